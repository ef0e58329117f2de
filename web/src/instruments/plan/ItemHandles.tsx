import { findItem, type Item, isClosed, isPoint, movePoint, removePoint, splitStretch } from '@hosket/core';
import { endPreview, preview, settle } from '../../store/preview.ts';
import { edit, useProject } from '../../store/projectStore.ts';
import { useFrame } from '../handling/planFrame.ts';
import { Handle } from './Handle.tsx';
import { snapPoint } from './snap.ts';

/** Above this many points handles would be a thicket: they appear only when the plan is near enough. */
const LEAST_APART_PX = 9;

/** The picked item's points as handles, and a plus on every stretch that adds one. */
export function ItemHandles({ item }: { item: Item }) {
  const project = useProject();
  const { place, scale, width, height } = useFrame();
  const kept = findItem(project, item.id) ?? item;
  const { points } = item;
  const name = item.name || item.id;
  const stretches = isPoint(item) ? [] : points.slice(0, isClosed(item) ? undefined : -1);
  const seen = (x: number, y: number) => x > -20 && y > -20 && x < width + 20 && y < height + 20;
  let last: readonly [number, number] | null = null;
  const shown = points.flatMap((point, k) => {
    const at = place(point);
    // A point dragged out of sight keeps its handle: the drag hangs on it.
    if (!seen(...at) && !seen(...place(kept.points[k] ?? point))) return [];
    if (points.length > 60 && last && Math.hypot(at[0] - last[0], at[1] - last[1]) < LEAST_APART_PX) return [];
    last = at;
    return [{ point, k }];
  });
  return (
    <g>
      {stretches.map((point, k) => {
        const to = points[(k + 1) % points.length];
        const [x, y] = place([(point[0] + to[0]) / 2, (point[1] + to[1]) / 2]);
        if (Math.hypot(to[0] - point[0], to[1] - point[1]) * scale < 22 || !seen(x, y)) return null;
        return (
          <g
            key={k}
            transform={`translate(${x} ${y})`}
            className="cursor-copy"
            onPointerDown={(event) => {
              event.stopPropagation();
              edit((p) => splitStretch(p, item.id, k));
            }}
          >
            <circle r={8} fill="transparent" />
            <path d="M-3.2 0H3.2M0 -3.2V3.2" stroke="var(--clay)" strokeWidth={1.4} />
          </g>
        );
      })}
      {shown.map(({ point, k }) => (
        <Handle
          key={k}
          label={`${item.kind === 'spot' ? 'Spot' : isPoint(item) ? 'Place' : `Point ${k + 1}`} of ${name}, ${point[0]} mm across, ${point[1]} mm away`}
          at={point}
          snap={(at) => snapPoint(project, at, scale, [kept.id])}
          onPreview={(at) => preview((p) => movePoint(p, item.id, k, at))}
          onCancel={endPreview}
          onMove={(at) => settle((p) => movePoint(p, item.id, k, at))}
          onRemove={() => edit((p) => removePoint(p, item.id, k))}
        >
          <circle r={4.5} fill="var(--sheet)" stroke="var(--clay)" strokeWidth={2} />
        </Handle>
      ))}
    </g>
  );
}
