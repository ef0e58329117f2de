import {
  type Item,
  isClosed,
  isLaid,
  isThing,
  lineLength,
  offsetLine,
  postPlaces,
  type Ring,
  runOf,
} from '@hosket/core';
import { memo, type ReactNode } from 'react';
import { daylight } from '../../ui/daylight.ts';
import { linePath, type Placer } from '../handling/paths.ts';
import { inwardTicks, ticks, treadLines } from '../textures/strokes.ts';
import { ThingShape } from './ThingShape.tsx';

interface Props {
  item: Item;
  picked: boolean;
  place: Placer;
  scale: number;
}

/** One thing as it is drawn on the plan. Its kind reads from its line: ticks point down a face, edges run beside a way, treads cross it. */
export const ItemShape = memo(function ItemShape({ item, picked, place, scale }: Props) {
  const ink = picked ? 'var(--clay)' : daylight.graphite;
  const weight = picked ? 2.2 : 1.2;
  if (item.kind === 'spot') {
    const [x, y] = place(item.points[0]);
    return (
      <>
        <circle cx={x} cy={y} r={10} fill="transparent" />
        <path d={`M${x - 5} ${y}H${x + 5}M${x} ${y - 5}V${y + 5}`} stroke={ink} strokeWidth={picked ? 2.5 : 1.6} />
      </>
    );
  }
  if (isThing(item)) return <ThingShape thing={item} picked={picked} place={place} scale={scale} />;
  const run = runOf(item);
  const closed = isClosed(item);
  const path = linePath(run, place, closed);
  const line = (d: string, more: Record<string, string | number> = {}) => (
    <path d={d} fill="none" stroke={ink} strokeWidth={weight} strokeLinejoin="round" {...more} />
  );
  const grip = (
    <path d={path} fill={closed && filled(item) ? 'transparent' : 'none'} stroke="transparent" strokeWidth={11} />
  );
  return (
    <>
      {grip}
      {drawn(item, run, path, place, scale, line, picked)}
    </>
  );
});

/** Whether an outline can be taken hold of anywhere inside it. */
const filled = (item: Item) => isLaid(item) || ['pad', 'basin', 'cave', 'bay', 'chamber'].includes(item.kind);

type Line = (d: string, more?: Record<string, string | number>) => ReactNode;

function drawn(
  item: Item,
  run: Ring,
  path: string,
  place: Placer,
  scale: number,
  line: Line,
  picked: boolean,
): ReactNode {
  const area = (fill: string, opacity: number) => <path d={path} fill={fill} fillOpacity={opacity} />;
  switch (item.kind) {
    case 'contour':
      return (
        <>
          {item.level && area(picked ? 'var(--clay)' : daylight.graphite, picked ? 0.14 : 0.05)}
          {line(path)}
        </>
      );
    case 'pad':
      return (
        <>
          {area(daylight.sheet, 0.35)}
          {line(path)}
        </>
      );
    case 'form':
      return line(path, { strokeDasharray: '12 3 2 3' });
    case 'break':
      return (
        <>
          {line(path, { strokeWidth: 2 })}
          {line(ticks(run, place, scale, 5, 9))}
        </>
      );
    case 'cliff':
      return (
        <>
          {line(path, { strokeWidth: 2 })}
          {line(ticks(run, place, scale, Math.max(7, faceReach(item) * scale), 7), { strokeWidth: 0.9 })}
        </>
      );
    case 'way':
      return strip(run, item.widthMm, place, line, daylight.sheet, 0.4, '9 4');
    case 'channel':
      return strip(run, item.widthMm, place, line, daylight.water, 0.5);
    case 'span':
      return strip(run, item.widthMm, place, line, daylight.sheet, 0.85);
    case 'steps':
      return (
        <>
          {strip(run, item.widthMm, place, line, daylight.sheet, 0.4)}
          {line(treadLines(run, item.widthMm, item.count, place), { strokeWidth: 0.8 })}
        </>
      );
    case 'beach':
      return (
        <>
          {strip(run, 2 * item.widthMm, place, line, daylight.sand, 0.4)}
          {line(path, { stroke: daylight.water })}
        </>
      );
    case 'terraces':
      return Array.from({ length: item.count + 1 }, (_, k) => (
        <g key={k}>{line(linePath(offsetLine(run, k * item.treadMm), place, false), k ? { strokeWidth: 0.9 } : {})}</g>
      ));
    case 'basin':
      return (
        <>
          {area(daylight.water, 0.45)}
          {line(path, { stroke: picked ? 'var(--clay)' : daylight.deepWater })}
        </>
      );
    case 'pit':
      return (
        <>
          {item.waterMm !== null && area(daylight.water, 0.3)}
          {line(path)}
          {line(inwardTicks(run, place, scale))}
        </>
      );
    case 'island':
      return (
        <>
          {area(daylight.moss, 0.18)}
          {line(path, { stroke: picked ? 'var(--clay)' : daylight.water })}
        </>
      );
    case 'crater':
      return (
        <>
          {line(path, { strokeWidth: 2 })}
          {line(inwardTicks(run, place, scale))}
        </>
      );
    case 'cave':
    case 'bay':
    case 'chamber':
      return (
        <>
          {area(daylight.sheet, 0.45)}
          {line(path, { strokeDasharray: HOLLOW })}
          {line(inwardTicks(run, place, scale), { strokeWidth: 0.7 })}
        </>
      );
    case 'tunnel':
      return hollowStrip(run, item.widthMm, place, line);
    case 'cable':
      return hollowStrip(run, item.boreMm, place, line);
    case 'fence':
      return (
        <>
          {line(path, { strokeWidth: 0.9 })}
          {line(postsPath(item, run, place), { strokeWidth: 5, strokeLinecap: 'round' })}
        </>
      );
    case 'street':
      return line(path, { strokeDasharray: '14 4', strokeWidth: 3 });
    case 'track':
      return (
        <>
          {line(linePath(offsetLine(run, GAUGE_MM / 2), place, false))}
          {line(linePath(offsetLine(run, -GAUGE_MM / 2), place, false))}
          {line(treadLines(run, 1.7 * GAUGE_MM, sleepersDrawn(run, item.pitchMm), place), { strokeWidth: 1 })}
        </>
      );
    case 'patch':
      return (
        <>
          {area(daylight.moss, picked ? 0.22 : 0.1)}
          {line(path, { strokeDasharray: '1 3', strokeLinecap: 'round' })}
        </>
      );
    case 'mound':
    case 'heap':
      return line(path, { strokeDasharray: item.kind === 'heap' ? '2 3' : '7 4' });
    default:
      return (
        <>
          {area(item.kind === 'building' ? daylight.clay : daylight.stone, item.kind === 'building' ? 0.3 : 0.45)}
          {line(path)}
        </>
      );
  }
}

const faceReach = (cliff: { topMm: number; footMm: number; faceDegrees: number }) =>
  cliff.faceDegrees >= 89.5 ? 0 : Math.abs(cliff.topMm - cliff.footMm) / Math.tan((cliff.faceDegrees * Math.PI) / 180);

/** Two edges beside a line, the strip between them tinted; a dashed middle where it is asked for. */
function strip(
  run: Ring,
  widthMm: number,
  place: Placer,
  line: Line,
  fill: string,
  opacity: number,
  middle = '',
): ReactNode {
  const left = offsetLine(run, widthMm / 2);
  const right = offsetLine(run, -widthMm / 2);
  return (
    <>
      <path d={linePath([...left, ...[...right].reverse()], place, true)} fill={fill} fillOpacity={opacity} />
      {line(linePath(left, place, false))}
      {line(linePath(right, place, false))}
      {middle && line(linePath(run, place, false), { strokeWidth: 0.8, strokeDasharray: middle })}
    </>
  );
}

/** A track is drawn this wide, whatever its gauge, mm. */
const GAUGE_MM = 14;
/** More sleepers than this are not told apart. */
const MOST_SLEEPERS = 120;
const sleepersDrawn = (run: Ring, pitchMm: number): number =>
  Math.max(2, Math.min(MOST_SLEEPERS, Math.round(lineLength(run, false) / pitchMm)));

/** Posts as dots where they stand. */
const postsPath = (item: Extract<Item, { kind: 'fence' }>, run: Ring, place: Placer): string =>
  postPlaces(run, item.pitchMm, isClosed(item))
    .map((at) => {
      const [x, y] = place(at);
      return `M${x.toFixed(1)} ${y.toFixed(1)}h0`;
    })
    .join('');

/** What lies hidden in the ground is drawn dashed. */
const HOLLOW = '6 3';

function hollowStrip(run: Ring, widthMm: number, place: Placer, line: Line): ReactNode {
  const left = offsetLine(run, widthMm / 2);
  const right = offsetLine(run, -widthMm / 2);
  return (
    <>
      <path d={linePath([...left, ...[...right].reverse()], place, true)} fill={daylight.sheet} fillOpacity={0.45} />
      {line(linePath(left, place, false), { strokeDasharray: HOLLOW })}
      {line(linePath(right, place, false), { strokeDasharray: HOLLOW })}
    </>
  );
}
