/** Where an item makes the ground along a section, so that it can be raised there: by looking each item up under the line. */
import { insideRing, lineLength, type Point, type Ring } from '../geometry/index.ts';
import { heightParts, type Item, isClosed, isThing, runOf } from '../project/index.ts';

/** A place on a section where an item makes the ground, and can be raised or lowered. */
export interface Hold {
  itemId: string;
  name: string;
  /** What is held there: "floor", "water", "top". */
  label: string;
  /** The field that is held, where it is one of several. */
  key: string | undefined;
  alongMm: number;
  heightMm: number;
}

type Ends = Readonly<Record<string, { fromMm: number | null; toMm: number | null }>>;

/** Spots count as lying on a section within this distance, mm. */
const NEAR_MM = 4;

/** All holds along a section from one point to another. `ends`: heights that lines left to the land have come to; `groundAt`: height of the finished ground. */
export function holdsAlong(
  items: readonly Item[],
  ends: Ends,
  groundAt: (x: number, y: number) => number,
  from: Point,
  to: Point,
): Hold[] {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  if (length < 1) return [];
  return items.flatMap((item): Hold[] => {
    if (item.locked) return [];
    const run = runOf(item);
    const name = item.name || item.id;
    const hold = (alongMm: number, heightMm: number, label: string, key?: string): Hold => ({
      itemId: item.id,
      name,
      label,
      key,
      alongMm,
      heightMm,
    });
    if (isThing(item)) return [];
    if (item.kind === 'spot') {
      const along = ((run[0][0] - from[0]) * (to[0] - from[0]) + (run[0][1] - from[1]) * (to[1] - from[1])) / length;
      const off =
        Math.abs((run[0][0] - from[0]) * (to[1] - from[1]) - (run[0][1] - from[1]) * (to[0] - from[0])) / length;
      return off <= NEAR_MM && along >= 0 && along <= length ? [hold(along, item.heightMm, 'height')] : [];
    }
    const crossings = crossingsOf(run, isClosed(item), from, to, length);
    const at = (along: number): Point => [
      from[0] + ((to[0] - from[0]) * along) / length,
      from[1] + ((to[1] - from[1]) * along) / length,
    ];
    if (isClosed(item) && item.kind !== 'contour')
      return middlesInside(run, crossings, length, at).map((along) => {
        const [x, y] = at(along);
        const part = heightParts(item)[0];
        const own = (item as unknown as Record<string, number | null>)[part.key];
        return hold(along, part.sense === 'height' && own !== null ? own : groundAt(x, y), part.label, part.key);
      });
    return crossings.flatMap(({ alongMm, share }) => {
      switch (item.kind) {
        case 'contour':
          return [hold(alongMm, item.heightMm, 'height')];
        case 'form':
          return [hold(alongMm, item.fromMm + share * (item.toMm - item.fromMm), 'line')];
        case 'way':
        case 'steps':
        case 'channel':
        case 'span': {
          const { fromMm, toMm } = ends[item.id] ?? item;
          if (fromMm === null || toMm === null) return [];
          const label = item.kind === 'span' ? 'deck' : item.kind === 'channel' ? 'banks' : 'way';
          return [hold(alongMm, fromMm + share * (toMm - fromMm), label)];
        }
        case 'cliff':
        case 'break':
          return (['top', 'foot'] as const).flatMap((part) => {
            const height = part === 'top' ? item.topMm : item.footMm;
            return height === null ? [] : [hold(alongMm, height, part, `${part}Mm`)];
          });
        case 'terraces':
          return [hold(alongMm, item.firstMm, 'first tread')];
        case 'beach':
          return [hold(alongMm, item.waterMm, 'water')];
        default:
          return [];
      }
    });
  });
}

/** Where a run crosses the section: how far along the section, and at what share of the run's length. Sorted along the section. */
function crossingsOf(
  run: Ring,
  closed: boolean,
  from: Point,
  to: Point,
  length: number,
): { alongMm: number; share: number }[] {
  const whole = lineLength(run, closed) || 1;
  const found: { alongMm: number; share: number }[] = [];
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  let walked = 0;
  for (let k = 0; k < (closed ? run.length : run.length - 1); k++) {
    const a = run[k];
    const b = run[(k + 1) % run.length];
    const [ex, ey] = [b[0] - a[0], b[1] - a[1]];
    const stretch = Math.hypot(ex, ey);
    const cross = dx * ey - dy * ex;
    if (Math.abs(cross) > 1e-9) {
      const t = ((a[0] - from[0]) * ey - (a[1] - from[1]) * ex) / cross;
      const s = ((a[0] - from[0]) * dy - (a[1] - from[1]) * dx) / cross;
      if (t >= 0 && t <= 1 && s >= 0 && s < 1)
        found.push({ alongMm: t * length, share: (walked + s * stretch) / whole });
    }
    walked += stretch;
  }
  return found.sort((p, q) => p.alongMm - q.alongMm);
}

/** The middle of every part of the section that lies inside an outline. */
function middlesInside(
  run: Ring,
  crossings: readonly { alongMm: number }[],
  length: number,
  at: (along: number) => Point,
): number[] {
  const cuts = [0, ...crossings.map(({ alongMm }) => alongMm), length];
  const middles: number[] = [];
  for (let k = 1; k < cuts.length; k++) {
    const middle = (cuts[k - 1] + cuts[k]) / 2;
    const [x, y] = at(middle);
    if (cuts[k] - cuts[k - 1] > 0.5 && insideRing(run, x, y)) middles.push(middle);
  }
  return middles;
}
