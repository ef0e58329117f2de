import {
  boundsOf,
  footRing,
  type Item,
  insideRing,
  isClosed,
  isThing,
  isVoid,
  itemsOf,
  lineLength,
  nearestOn,
  type PlanReport,
  type Point,
  runOf,
  type SectionSample,
  voidShape,
} from '@hosket/core';
import { useShown } from '../../store/preview.ts';
import { usePlan } from '../../worker/planStore.ts';
import type { SectionFrame } from './sectionFrame.ts';

interface Props {
  frame: SectionFrame;
  from: Point;
  to: Point;
  samples: readonly SectionSample[];
}

/** A stretch of the section that something covers, with its underside and its top there, mm. */
interface Cover {
  alongMm: number;
  bottomMm: number;
  topMm: number;
}

/** What the cut goes through besides the ground: water, decks, laid-in things, hollows. */
export function SectionThings({ frame, from, to, samples }: Props) {
  const project = useShown();
  const report = usePlan((state) => state.report);
  if (!report) return null;
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
  const at = (along: number): Point => [
    from[0] + ((to[0] - from[0]) * along) / length,
    from[1] + ((to[1] - from[1]) * along) / length,
  ];
  return (
    <g pointerEvents="none">
      {itemsOf(project).map((item) => {
        const look = looks(item);
        const cover = look && coverOf(item, report);
        if (!look || !cover) return null;
        const path = coverPath(
          samples
            .filter(({ onBase }) => onBase)
            .map((sample) => ({ sample, cover: cover(at(sample.alongMm), sample) })),
          frame,
        );
        return path && <path key={item.id} d={path} data-item={item.kind} {...look} />;
      })}
    </g>
  );
}

interface Look {
  fill: string;
  fillOpacity: number;
  stroke: string;
  strokeWidth: number;
  strokeDasharray?: string;
}

function looks(item: Item): Look | null {
  if (isVoid(item))
    return {
      fill: 'var(--sheet)',
      fillOpacity: 1,
      stroke: 'var(--graphite)',
      strokeWidth: 1.2,
      strokeDasharray: '5 3',
    };
  if (item.kind === 'basin' || item.kind === 'channel' || item.kind === 'pit')
    return { fill: 'var(--water)', fillOpacity: 0.45, stroke: 'var(--water)', strokeWidth: 0.8 };
  if (item.kind === 'span') return { fill: 'var(--board)', fillOpacity: 1, stroke: 'var(--graphite)', strokeWidth: 1 };
  if (isClosed(item) && 'beddedMm' in item)
    return { fill: 'var(--muted)', fillOpacity: 0.55, stroke: 'var(--graphite)', strokeWidth: 1 };
  if (isThing(item))
    return {
      fill: item.crownMm === null ? 'var(--sheet)' : 'var(--moss)',
      fillOpacity: 0.55,
      stroke: 'var(--graphite)',
      strokeWidth: 1,
    };
  return null;
}

/** For a place on the cut, between which heights an item lies there. */
function coverOf(item: Item, report: PlanReport): ((at: Point, sample: SectionSample) => Cover | null) | null {
  if (isVoid(item)) {
    const { at: hollowAt } = voidShape(item);
    return ([x, y], { alongMm, groundMm }) => {
      const hollow = hollowAt(x, y);
      if (!hollow || groundMm <= hollow.floorMm) return null;
      return { alongMm, bottomMm: hollow.floorMm, topMm: Math.min(hollow.roofMm, groundMm) };
    };
  }
  const run = runOf(item);
  const built = report.landforms.find(({ id }) => id === item.id);
  const laid = report.laid.find(({ id }) => id === item.id);
  const [x0, y0, x1, y1] = boundsOf(run);
  const inside = ([x, y]: Point) => x >= x0 && x <= x1 && y >= y0 && y <= y1 && insideRing(run, x, y);
  const stood = report.fit.things.find(({ id }) => id === item.id);
  if (stood && isThing(item)) {
    const [x, y] = item.points[0];
    const foot = footRing(item);
    return (at, { alongMm }) => {
      const away = Math.hypot(at[0] - x, at[1] - y);
      if (foot ? insideRing(foot, ...at) : away <= item.footMm / 2)
        return { alongMm, bottomMm: stood.bottomMm, topMm: stood.topMm };
      return stood.branchesMm > stood.bottomMm && away <= stood.reachMm
        ? { alongMm, bottomMm: stood.branchesMm, topMm: stood.topMm }
        : null;
    };
  }
  if (laid)
    return (at, { alongMm }) => (inside(at) ? { alongMm, bottomMm: laid.undersideMm, topMm: laid.topMm } : null);
  if ((item.kind === 'basin' || item.kind === 'pit') && item.waterMm !== null) {
    const level = item.waterMm;
    return (at, { alongMm, groundMm }) =>
      inside(at) && groundMm < level ? { alongMm, bottomMm: groundMm, topMm: level } : null;
  }
  if (!built || built.fromMm === null || built.toMm === null) return null;
  const { fromMm, toMm } = built;
  const whole = lineLength(run, false) || 1;
  const height = (share: number) => fromMm + share * (toMm - fromMm);
  if (item.kind === 'span')
    return (at, { alongMm }) => {
      const near = nearestOn(run, at[0], at[1]);
      if (near.distanceMm > item.widthMm / 2) return null;
      const topMm = height(near.alongMm / whole);
      return { alongMm, bottomMm: topMm - item.thicknessMm, topMm };
    };
  if (item.kind === 'channel')
    return (at, { alongMm, groundMm }) => {
      const near = nearestOn(run, at[0], at[1]);
      const level = Math.max(0, height(near.alongMm / whole) - item.depthMm) + item.waterMm;
      if (near.distanceMm > item.widthMm / 2 + item.waterMm * 2 || groundMm >= level) return null;
      return { alongMm, bottomMm: groundMm, topMm: level };
    };
  return null;
}

function coverPath(
  rows: readonly { sample: SectionSample; cover: Cover | null }[],
  { across, up }: SectionFrame,
): string {
  let path = '';
  let run: Cover[] = [];
  const close = () => {
    if (run.length > 1) {
      const point = (along: number, height: number) => `${across(along).toFixed(1)} ${up(height).toFixed(1)}`;
      const there = run.map((cover) => point(cover.alongMm, cover.topMm));
      const back = [...run].reverse().map((cover) => point(cover.alongMm, cover.bottomMm));
      path += `M${there.join('L')}L${back.join('L')}Z`;
    }
    run = [];
  };
  for (const { cover } of rows) {
    if (cover) run.push(cover);
    else close();
  }
  close();
  return path;
}
