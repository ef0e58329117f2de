import { type KeyboardEvent, type ReactNode, useState } from 'react';
import { useView } from '../../store/viewStore.ts';
import { typedMeasure } from '../handling/typed.ts';
import { useDrag } from '../handling/useDrag.ts';

interface Props {
  label: string;
  x: number;
  y: number;
  /** What is dragged: a height (up is more) or a place along the cut (right is more), mm. */
  value: number;
  axis: 'up' | 'along';
  pxPerMm: number;
  /** Heights or places it takes hold of, by name. */
  snaps?: readonly { at: number; what: string }[];
  onPreview: (value: number) => void;
  onCancel: () => void;
  onValue: (value: number) => void;
  onPick?: () => void;
  say: (value: number) => string;
  children: ReactNode;
}

const SNAP_PX = 5;
const half = (value: number) => Math.round(value * 2) / 2;

/** Something in the section that can be dragged one way, nudged with the arrow keys (1 mm, Shift 10 mm), or set to a number written while dragging. */
export function SectionGrip({
  label,
  x,
  y,
  value,
  axis,
  pxPerMm,
  snaps = [],
  onPreview,
  onCancel,
  onValue,
  onPick,
  say,
  children,
}: Props) {
  const units = useView((view) => view.units);
  const snapping = useView((view) => view.snapping);
  const [read, setRead] = useState<{ value: number; what: string | null } | null>(null);
  const { typed, handlers } = useDrag<{ from: number; value: number }>({
    begin: (event) => {
      onPick?.();
      return { from: axis === 'up' ? -event.clientY : event.clientX, value };
    },
    move: (start, event, written) => {
      const by = ((axis === 'up' ? -event.clientY : event.clientX) - start.from) / pxPerMm;
      const number = written ? typedMeasure(written, units) : null;
      const free = half(start.value + by);
      const near =
        snapping && !event.altKey ? snaps.find(({ at }) => Math.abs(at - free) * pxPerMm <= SNAP_PX) : undefined;
      const to = Math.max(0, number ?? near?.at ?? free);
      setRead({ value: to, what: number === null ? (near?.what ?? null) : null });
      onPreview(to);
    },
    end: (start) => {
      const to = read?.value;
      setRead(null);
      if (to !== undefined && to !== start.value) onValue(to);
      else onCancel();
    },
    cancel: () => {
      setRead(null);
      onCancel();
    },
  });
  const key = (event: KeyboardEvent) => {
    const [more, less] = axis === 'up' ? ['ArrowUp', 'ArrowDown'] : ['ArrowRight', 'ArrowLeft'];
    if (event.altKey || (event.key !== more && event.key !== less)) return;
    event.preventDefault();
    event.stopPropagation();
    onValue(Math.max(0, value + (event.key === more ? 1 : -1) * (event.shiftKey ? 10 : 1)));
  };
  const words = read && (typed ? `${typed}_` : `${say(read.value)}${read.what ? `, ${read.what}` : ''}`);
  return (
    <>
      <g
        role="button"
        tabIndex={0}
        aria-label={label}
        transform={`translate(${x} ${y})`}
        className={`touch-none ${axis === 'up' ? 'cursor-ns-resize' : 'cursor-ew-resize'}`}
        {...handlers}
        onKeyDown={key}
      >
        <circle r="9" fill="transparent" />
        {children}
      </g>
      {words && (
        <g transform={`translate(${x + 12} ${Math.max(16, y - 8)})`} pointerEvents="none" data-testid="section-readout">
          <rect x={0} y={-14} width={words.length * 7 + 12} height={19} rx={3} fill="var(--graphite)" />
          <text x={6} y={0} fontSize={12} fill="var(--sheet)" className="figure">
            {words}
          </text>
        </g>
      )}
    </>
  );
}
