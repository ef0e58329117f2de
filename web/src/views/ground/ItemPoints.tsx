import { type Item, isClosed, isPoint, leastPoints, movePoint, removePoint, splitStretch } from '@hosket/core';
import { edit } from '../../store/projectStore.ts';
import { PointRows } from '../../ui/PointRows.tsx';

/** A list longer than this is cut off: the rest is edited on the plan. */
const MOST_ROWS = 200;

/** Points may lie so far off the base, mm. */
const REACH_MM = 5000;

/** Every point as numbers: what dragging does, by keyboard. */
export function ItemPoints({ item }: { item: Item }) {
  const { points } = item;
  const least = leastPoints(item);
  return (
    <details open={points.length <= 8}>
      <summary className="cursor-pointer text-sm font-semibold">
        {isPoint(item) ? 'Place' : `${points.length} points`}
      </summary>
      <ol className="mt-1">
        <PointRows
          points={points.slice(0, MOST_ROWS)}
          name="Point"
          measures={['across', 'away']}
          least={[-REACH_MM, -REACH_MM]}
          fewest={least}
          ends={!isClosed(item) && points.length <= MOST_ROWS}
          move={(k, to) => edit((p) => movePoint(p, item.id, k, to))}
          split={isPoint(item) ? undefined : (k) => edit((p) => splitStretch(p, item.id, k))}
          remove={isPoint(item) ? undefined : (k) => edit((p) => removePoint(p, item.id, k))}
        />
        {points.length > MOST_ROWS && (
          <li className="text-xs text-muted">The other {points.length - MOST_ROWS} are edited on the plan.</li>
        )}
      </ol>
    </details>
  );
}
