import type { PlanReport } from '@hosket/core';
import { useSay } from '../../ui/Figures.tsx';

type SetRead = PlanReport['set'];

interface Props {
  set: SetRead;
  openId: string;
  onOpen: (id: string) => void;
}

const WIDE = 420;
const HIGH = 230;
const PAD = 14;

/** The set from above, front below: its tiles where they stand, and every joint, whole where the edges meet and broken with the step where they do not. */
export function SetDrawing({ set: { tiles, joints }, openId, onOpen }: Props) {
  const say = useSay();
  const right = Math.max(1, ...tiles.map(({ xMm, widthMm }) => xMm + widthMm));
  const back = Math.max(1, ...tiles.map(({ yMm, depthMm }) => yMm + depthMm));
  const scale = Math.min((WIDE - 2 * PAD) / right, (HIGH - 2 * PAD) / back);
  const x = (mm: number) => PAD + mm * scale;
  const y = (mm: number) => PAD + (back - mm) * scale;
  const ground = tiles.filter(
    (tile) => !tiles.some((other) => other.xMm === tile.xMm && other.yMm === tile.yMm && other.riseMm > tile.riseMm),
  );
  const storeys = (tile: SetRead['tiles'][number]) =>
    tiles.filter(({ xMm, yMm }) => xMm === tile.xMm && yMm === tile.yMm).length;
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${Math.min(HIGH, back * scale + 2 * PAD)}`}
      className="w-full rounded-md border border-line bg-sheet"
      role="group"
      aria-label={`The set: ${tiles.length} tiles, ${joints.filter(({ meets }) => !meets).length} joints that do not meet`}
    >
      {ground.map((tile) => {
        const open = tile.id === openId;
        const [cx, cy] = [x(tile.xMm + tile.widthMm / 2), y(tile.yMm + tile.depthMm / 2)];
        return (
          <g
            key={tile.id}
            role="button"
            tabIndex={0}
            aria-label={`Open ${tile.name}`}
            aria-pressed={open}
            className="cursor-pointer"
            onClick={() => onOpen(tile.id)}
            onKeyDown={(event) => {
              if (event.key === 'Enter' || event.key === ' ') {
                event.preventDefault();
                onOpen(tile.id);
              }
            }}
          >
            <rect
              x={x(tile.xMm)}
              y={y(tile.yMm + tile.depthMm)}
              width={tile.widthMm * scale}
              height={tile.depthMm * scale}
              fill={open ? 'var(--plaster)' : 'var(--foam-a)'}
              stroke={open ? 'var(--clay)' : 'var(--muted)'}
              strokeWidth={open ? 2 : 1}
            />
            <text x={cx} y={cy} textAnchor="middle" fontSize={13} fill="var(--graphite)">
              {tile.name}
            </text>
            <text x={cx} y={cy + 15} textAnchor="middle" fontSize={11} fill="var(--muted)">
              {[
                open ? 'open' : '',
                tile.turn ? `turned ${tile.turn}°` : '',
                storeys(tile) > 1 ? `${storeys(tile)} storeys` : '',
              ]
                .filter(Boolean)
                .join(', ')}
            </text>
          </g>
        );
      })}
      {joints.map((joint) => {
        const a = tiles.find(({ id }) => id === joint.aId);
        const b = tiles.find(({ id }) => id === joint.bId);
        if (!a || !b) return null;
        const upright = b.xMm > a.xMm;
        const [x0, y0] = upright ? [b.xMm, a.yMm] : [a.xMm, b.yMm];
        const [x1, y1] = upright
          ? [x0, y0 + Math.min(a.depthMm, b.depthMm)]
          : [x0 + Math.min(a.widthMm, b.widthMm), y0];
        return (
          <g key={`${joint.aId} ${joint.bId}`} pointerEvents="none">
            <path
              d={`M${x(x0)} ${y(y0)}L${x(x1)} ${y(y1)}`}
              stroke={joint.meets ? 'var(--moss)' : 'var(--plum)'}
              strokeWidth={joint.meets ? 3 : 4}
              strokeDasharray={joint.meets ? undefined : '4 4'}
            />
            <text
              // Away from the middle, where the names of the tiles stand.
              x={x(x0 + (x1 - x0) * 0.84)}
              y={y(y0 + (y1 - y0) * 0.84) - 4}
              textAnchor="middle"
              fontSize={11}
              fill={joint.meets ? 'var(--graphite)' : 'var(--plum)'}
              stroke="var(--sheet)"
              strokeWidth={3}
              paintOrder="stroke"
            >
              {joint.meets ? 'meets' : joint.longerMm >= 1 ? 'lengths differ' : `step ${say.mm(joint.mostMm)}`}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
