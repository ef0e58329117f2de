import { type Point, tenth } from '@hosket/core';
import { type KeyboardEvent, type ReactNode, useState } from 'react';
import { useView } from '../../store/viewStore.ts';
import { useFrame } from '../handling/planFrame.ts';
import { typedPoint } from '../handling/typed.ts';
import { useDrag } from '../handling/useDrag.ts';
import { DragReadout } from './DragReadout.tsx';
import type { Snap } from './snap.ts';

interface Props {
  /** What it is and where, for screen readers. */
  label: string;
  at: Point;
  /** Called while it is dragged. */
  onPreview: (at: Point) => void;
  /** The drag is given up. */
  onCancel: () => void;
  onMove: (at: Point) => void;
  onRemove?: () => void;
  /** What a dragged place takes hold of; none for a place that stays free. */
  snap?: (at: Point) => Snap;
  children: ReactNode;
}

export const arrows: Record<string, Point> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** Something on the plan that can be dragged, nudged with the arrow keys (1 mm, Shift 10 mm) and deleted. Numbers written while dragging place it. */
export function Handle({ label, at, onPreview, onCancel, onMove, onRemove, snap, children }: Props) {
  const frame = useFrame();
  const units = useView((view) => view.units);
  const snapping = useView((view) => view.snapping);
  const [read, setRead] = useState<Snap | null>(null);

  const where = (
    { pointer, start }: { pointer: Point; start: Point },
    event: { clientX: number; clientY: number; altKey: boolean },
    typed: string,
  ): Snap => {
    const [x, y] = frame.toBase(event);
    const free: Point = [tenth(start[0] + x - pointer[0]), tenth(start[1] + y - pointer[1])];
    const written = typed ? typedPoint(typed, start, free, units) : null;
    if (written) return { at: written, what: null };
    return snap && snapping && !event.altKey ? snap(free) : { at: free, what: null };
  };
  const { typed, handlers } = useDrag<{ pointer: Point; start: Point }>({
    begin: (event) => ({ pointer: frame.toBase(event), start: at }),
    move: (start, event, written) => {
      const to = where(start, event, written);
      setRead(to);
      onPreview(to.at);
    },
    end: ({ start }) => {
      const to = read?.at;
      setRead(null);
      if (to && (to[0] !== start[0] || to[1] !== start[1])) onMove(to);
      else onCancel();
    },
    cancel: () => {
      setRead(null);
      onCancel();
    },
  });
  const key = (event: KeyboardEvent) => {
    const arrow = arrows[event.key];
    if (arrow && !event.altKey) {
      event.preventDefault();
      event.stopPropagation();
      const reach = event.shiftKey ? 10 : 1;
      onMove([tenth(at[0] + arrow[0] * reach), tenth(at[1] + arrow[1] * reach)]);
    } else if (onRemove && (event.key === 'Delete' || event.key === 'Backspace')) {
      event.preventDefault();
      event.stopPropagation();
      onRemove();
    }
  };
  // Under the pointer at once; the drawing follows.
  const [x, y] = frame.place(read?.at ?? at);
  return (
    <>
      <g
        role="button"
        tabIndex={0}
        aria-label={label}
        transform={`translate(${x} ${y})`}
        className="touch-none cursor-grab"
        {...handlers}
        onKeyDown={key}
      >
        <circle r="11" fill="transparent" />
        {children}
      </g>
      {read && <DragReadout at={read.at} what={read.what} typed={typed} />}
    </>
  );
}
