import type { Point } from '@hosket/core';
import { type KeyboardEvent, type PointerEvent, type ReactNode, useRef } from 'react';
import { useFrame } from './Frame.tsx';

interface Props {
  /** What it is and where, for screen readers. */
  label: string;
  at: Point;
  /** Called while it is dragged, and with null when the drag is given up. */
  onPreview: (at: Point | null) => void;
  onMove: (at: Point) => void;
  onRemove?: () => void;
  children: ReactNode;
}

const arrows: Record<string, Point> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };

/** Something on the plan that can be dragged, nudged with the arrow keys (1 mm, Shift 10 mm) and deleted. */
export function Handle({ label, at, onPreview, onMove, onRemove, children }: Props) {
  const frame = useFrame();
  // Where the pointer and the thing stood when the drag began, and where it would go.
  const drag = useRef<{ pointer: Point; start: Point; to: Point } | null>(null);

  const down = (event: PointerEvent<SVGGElement>) => {
    if (event.button !== 0) return;
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { pointer: frame.toBase(event), start: at, to: at };
  };
  const move = (event: PointerEvent) => {
    if (!drag.current) return;
    const [x, y] = frame.toBase(event);
    const { pointer, start } = drag.current;
    drag.current.to = [start[0] + x - pointer[0], start[1] + y - pointer[1]];
    onPreview(drag.current.to);
  };
  const up = () => {
    if (!drag.current) return;
    const { start, to } = drag.current;
    drag.current = null;
    onPreview(null);
    if (to[0] !== start[0] || to[1] !== start[1]) onMove(to);
  };
  const giveUp = () => {
    drag.current = null;
    onPreview(null);
  };
  const key = (event: KeyboardEvent) => {
    const arrow = arrows[event.key];
    if (arrow) {
      event.preventDefault();
      event.stopPropagation();
      const reach = event.shiftKey ? 10 : 1;
      onMove([at[0] + arrow[0] * reach, at[1] + arrow[1] * reach]);
    } else if (onRemove && (event.key === 'Delete' || event.key === 'Backspace')) {
      event.preventDefault();
      event.stopPropagation();
      onRemove();
    } else if (event.key === 'Escape') giveUp();
  };
  const [x, y] = frame.place(at);
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={label}
      transform={`translate(${x} ${y})`}
      className="cursor-grab"
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={giveUp}
      onKeyDown={key}
    >
      <circle r="11" fill="transparent" />
      {children}
    </g>
  );
}
