import { type Item, isClosed, isPoint, leastPoints, movePoint, removePoint, splitStretch } from '@hosket/core';
import { Plus, X } from 'lucide-react';
import { edit } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { MeasureField } from '../../ui/Field.tsx';

/** A list longer than this is cut off: the rest is edited on the plan. */
const MOST_ROWS = 200;

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
        {points.slice(0, MOST_ROWS).map((point, k) => (
          <li key={k} className="mb-1 grid grid-cols-[1.4rem_1fr_1fr_auto_auto] items-center gap-1">
            <span className="text-xs text-muted">{k + 1}</span>
            <MeasureField
              hideLabel
              label={`Point ${k + 1}, across`}
              least={-5000}
              value={point[0]}
              onValue={(x) => edit((p) => movePoint(p, item.id, k, [x, point[1]]))}
            />
            <MeasureField
              hideLabel
              label={`Point ${k + 1}, away`}
              least={-5000}
              value={point[1]}
              onValue={(y) => edit((p) => movePoint(p, item.id, k, [point[0], y]))}
            />
            {!isPoint(item) && (
              <>
                <Button
                  tone="quiet"
                  className="!px-1"
                  aria-label={`Add a point after point ${k + 1}`}
                  disabled={!isClosed(item) && k === points.length - 1}
                  onClick={() => edit((p) => splitStretch(p, item.id, k))}
                >
                  <Plus size={13} aria-hidden />
                </Button>
                <Button
                  tone="quiet"
                  className="!px-1"
                  aria-label={`Take out point ${k + 1}`}
                  disabled={points.length <= least}
                  onClick={() => edit((p) => removePoint(p, item.id, k))}
                >
                  <X size={13} aria-hidden />
                </Button>
              </>
            )}
          </li>
        ))}
        {points.length > MOST_ROWS && (
          <li className="text-xs text-muted">The other {points.length - MOST_ROWS} are edited on the plan.</li>
        )}
      </ol>
    </details>
  );
}
