import { baseSize, type Point, type TileSide } from '@hosket/core';
import { useProject } from '../../store/projectStore.ts';
import { daylight } from '../../ui/daylight.ts';
import { usePlan } from '../../worker/planStore.ts';
import { useFrame } from '../handling/planFrame.ts';

/** On the plan: the box and the turntable's circle, rings round what does not fit, and sides that do not meet their neighbour's. */
export function PlanRoom() {
  const { base, envelope } = useProject();
  const fit = usePlan((state) => state.report?.fit ?? null);
  const set = usePlan((state) => state.report?.set ?? null);
  const { tile } = useProject();
  const { place, scale } = useFrame();
  const { widthMm, depthMm } = baseSize(base);
  const [cx, cy] = place([widthMm / 2, depthMm / 2]);
  return (
    <g pointerEvents="none" fill="none">
      {fit?.room && (
        <rect
          x={place([fit.room.x0, fit.room.y1])[0]}
          y={place([fit.room.x0, fit.room.y1])[1]}
          width={(fit.room.x1 - fit.room.x0) * scale}
          height={(fit.room.y1 - fit.room.y0) * scale}
          stroke="var(--clay)"
          strokeWidth={1.4}
          strokeDasharray="7 4"
        />
      )}
      {envelope.swingMm !== null && (
        <circle
          cx={cx}
          cy={cy}
          r={(envelope.swingMm / 2) * scale}
          stroke="var(--clay)"
          strokeWidth={1.4}
          strokeDasharray="2 4"
        />
      )}
      {set?.joints
        .filter((joint) => !joint.meets && (joint.aId === tile.id || joint.bId === tile.id))
        .map((joint) => {
          const side = joint.aId === tile.id ? joint.aSide : joint.bSide;
          const other = joint.aId === tile.id ? joint.bName : joint.aName;
          const ends: Record<TileSide, [Point, Point]> = {
            front: [
              [0, 0],
              [widthMm, 0],
            ],
            back: [
              [0, depthMm],
              [widthMm, depthMm],
            ],
            left: [
              [0, 0],
              [0, depthMm],
            ],
            right: [
              [widthMm, 0],
              [widthMm, depthMm],
            ],
          };
          const [from, to] = ends[side].map(place);
          return (
            <path
              key={`${side} ${other}`}
              d={`M${from.join(' ')}L${to.join(' ')}`}
              stroke={daylight.plum}
              strokeWidth={4}
              strokeDasharray="4 4"
            >
              <title>{`Does not meet ${other}`}</title>
            </path>
          );
        })}
      {fit?.breaches
        .filter(({ id }) => id !== null)
        .map(({ id, side, at }) => {
          const [x, y] = place(at);
          return <circle key={`${id} ${side}`} cx={x} cy={y} r={12} stroke={daylight.plum} strokeWidth={2.4} />;
        })}
      {fit?.meetings.map(({ aId, bId, at }) => {
        const [x, y] = place(at);
        return (
          <path
            key={`${aId} ${bId}`}
            d={`M${x - 6} ${y - 6}L${x + 6} ${y + 6}M${x - 6} ${y + 6}L${x + 6} ${y - 6}`}
            stroke={daylight.plum}
            strokeWidth={2.6}
          />
        );
      })}
    </g>
  );
}
