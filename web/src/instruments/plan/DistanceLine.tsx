import { type Distance, formatScale, type Point } from '@hosket/core';
import { endPreview, preview, settle, useShown } from '../../store/preview.ts';
import { daylight } from '../../ui/daylight.ts';
import { useFrame } from '../handling/planFrame.ts';
import { Handle } from './Handle.tsx';

/** The line where the distance begins, with a handle at each end where it may be moved. */
export function DistanceLine({ editable }: { editable: boolean }) {
  const { distance } = useShown();
  const { place } = useFrame();
  if (!distance) return null;
  const moved = (end: 'from' | 'to', at: Point): Distance => ({ ...distance, [end]: [at[0], at[1]] });
  const [x, y] = place(distance.from);
  return (
    <g>
      <path
        d={`M${place(distance.from).join(' ')}L${place(distance.to).join(' ')}`}
        stroke={daylight.graphite}
        strokeWidth={1.2}
        strokeDasharray="14 4 2 4"
        pointerEvents="none"
      />
      <text x={x + 12} y={y - 6} fontSize={11} fill={daylight.graphite} className="figure" pointerEvents="none">
        {`beyond: ${formatScale(distance.scale)}`}
      </text>
      {editable &&
        (['from', 'to'] as const).map((end) => (
          <Handle
            key={end}
            label={`${end === 'from' ? 'Left' : 'Right'} end of the line where the distance begins, ${Math.round(distance[end][0])} mm across, ${Math.round(distance[end][1])} mm away`}
            at={distance[end]}
            onPreview={(at) => preview((p) => ({ ...p, distance: moved(end, at) }))}
            onCancel={endPreview}
            onMove={(at) => settle((p) => ({ ...p, distance: moved(end, at) }))}
          >
            <path d="M0 -6L6 0L0 6L-6 0Z" fill={daylight.sheet} stroke={daylight.graphite} strokeWidth={1.5} />
          </Handle>
        ))}
    </g>
  );
}
