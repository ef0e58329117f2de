import { footReachMm, footRing, movedOut, type Thing } from '@hosket/core';
import { daylight } from '../../ui/daylight.ts';
import { linePath, type Placer } from '../handling/paths.ts';

interface Props {
  thing: Thing;
  picked: boolean;
  place: Placer;
  scale: number;
}

const margin = { stroke: 'var(--clay)', strokeWidth: 0.8, strokeDasharray: '1 3' };

/** A thing that stands on the ground: its foot, the crown over it, and when it is picked the room to be kept round it. */
export function ThingShape({ thing, picked, place, scale }: Props) {
  const [x, y] = place(thing.points[0]);
  const ink = picked ? 'var(--clay)' : daylight.graphite;
  const ring = footRing(thing);
  const foot = Math.max(2, footReachMm(thing) * scale);
  const crown = ((thing.crownMm ?? 0) / 2) * scale;
  const widest = Math.max(foot, crown);
  const around = widest + thing.marginMm * scale;
  const arm = (ring ? Math.min(foot, (thing.footMm / 2) * scale) : foot) * Math.SQRT1_2;
  const look = {
    fill: daylight.sheet,
    fillOpacity: 0.75,
    stroke: ink,
    strokeWidth: picked ? 2.2 : 1.3,
    strokeDasharray: thing.raisedMm > 0 ? '2 2' : undefined,
  };
  return (
    <>
      <circle cx={x} cy={y} r={Math.max(9, widest)} fill="transparent" />
      {crown > foot && (
        <circle cx={x} cy={y} r={crown} fill={daylight.moss} fillOpacity={0.2} stroke={ink} strokeDasharray="5 3" />
      )}
      {ring ? <path d={linePath(ring, place, true)} {...look} /> : <circle cx={x} cy={y} r={foot} {...look} />}
      {thing.kind === 'figure' && <circle cx={x} cy={y} r={Math.max(1.2, foot * 0.35)} fill={ink} />}
      {thing.kind === 'held' && (
        <path
          d={`M${x - arm} ${y - arm}L${x + arm} ${y + arm}M${x - arm} ${y + arm}L${x + arm} ${y - arm}`}
          stroke={ink}
        />
      )}
      {picked && thing.marginMm > 0 && (crown > foot || !ring) && (
        <circle cx={x} cy={y} r={around} fill="none" {...margin} />
      )}
      {picked && thing.marginMm > 0 && ring && (
        <path d={linePath(movedOut(ring, thing.marginMm), place, true)} fill="none" {...margin} />
      )}
    </>
  );
}
