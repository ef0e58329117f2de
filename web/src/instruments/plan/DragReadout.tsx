import type { Point } from '@hosket/core';
import { useSay } from '../../ui/Figures.tsx';
import { useFrame } from '../handling/planFrame.ts';

/** Where a dragged thing would go, what it has taken hold of, and what is being written. */
export function DragReadout({ at, what, typed }: { at: Point; what: string | null; typed: string }) {
  const { place, width } = useFrame();
  const say = useSay();
  const [x, y] = place(at);
  const first = typed ? `${typed}_` : `${say.mm(at[0]).replace(/ mm$/, '')} ; ${say.mm(at[1])}`;
  const lines = what ? [first, what] : [first];
  const wide = Math.max(...lines.map((line) => line.length)) * 7 + 14;
  const left = x + 14 + wide > width ? x - 14 - wide : x + 14;
  return (
    <g transform={`translate(${left} ${Math.max(18, y - 12)})`} pointerEvents="none" data-testid="drag-readout">
      <rect x={0} y={-16} width={wide} height={6 + 15 * lines.length} rx={3} fill="var(--graphite)" />
      {lines.map((line, k) => (
        <text key={line} x={7} y={-2 + 15 * k} fontSize={12} fill="var(--sheet)" className={k ? '' : 'figure'}>
          {line}
        </text>
      ))}
    </g>
  );
}
