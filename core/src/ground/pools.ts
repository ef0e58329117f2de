/** Low ground from which water cannot run off the base: by priority flood. Levels in mm, areas in mm2, volumes in ml. */
import type { Grid, Point, Ring } from '../geometry/index.ts';
import { toEnd } from '../kernel/index.ts';
import { floodIn, thinnedTo } from './flood.ts';

/** Low ground from which water cannot run off the base. */
export interface Pool {
  /** Its lowest place. */
  at: Point;
  /** Height at which it would spill, depth there, area and volume when it is full. */
  spillMm: number;
  depthMm: number;
  areaMm2: number;
  volumeMl: number;
}

/** Pools are sought on a lattice of no more nodes than this: every second or third node of a fine one. */
const MOST_NODES = 70_000;
const LEAST_DEPTH_MM = 0.5;
const LEAST_ML = 0.3;

/**
 * Low points that would hold water, the fullest first: the ground filled from its edge inwards (priority flood: Barnes, Lehman and Mulla 2014,
 * Computers and Geosciences 62, from memory) less the ground. Water runs off over the edge of the base. Exact to the thinned lattice.
 */
export const poolsOf = (grid: Grid, outline: Ring): Pool[] => toEnd(poolsIn(grid, outline));

/** The same, yielding between pieces of work. */
export function* poolsIn(grid: Grid, outline: Ring): Generator<undefined, Pool[]> {
  const thin = thinnedTo(MOST_NODES, grid);
  const { spill } = yield* floodIn(thin, outline);
  yield;
  return gather(thin, spill);
}

/** Neighbouring flooded nodes of one spill height make one pool. */
function gather({ columns, rows, cellMm, originMm, values: z }: Grid, spill: Float64Array): Pool[] {
  const seen = new Uint8Array(z.length);
  const pools: Pool[] = [];
  for (let start = 0; start < z.length; start++) {
    if (seen[start] || spill[start] - z[start] < 1e-6) continue;
    const level = spill[start];
    const stack = [start];
    seen[start] = 1;
    let deepest = start;
    let area = 0;
    let volume = 0;
    while (stack.length) {
      const n = stack.pop() ?? 0;
      area += cellMm * cellMm;
      volume += (level - z[n]) * cellMm * cellMm;
      if (z[n] < z[deepest]) deepest = n;
      const i = n % columns;
      for (const [di, step] of [
        [1, 1],
        [-1, -1],
        [0, columns],
        [0, -columns],
      ]) {
        const m = n + step;
        if (i + di < 0 || i + di >= columns || m < 0 || m >= columns * rows || seen[m]) continue;
        if (spill[m] - z[m] < 1e-6 || Math.abs(spill[m] - level) > 1e-9) continue;
        seen[m] = 1;
        stack.push(m);
      }
    }
    const depthMm = level - z[deepest];
    if (depthMm < LEAST_DEPTH_MM || volume / 1000 < LEAST_ML) continue;
    pools.push({
      at: [originMm[0] + (deepest % columns) * cellMm, originMm[1] + Math.floor(deepest / columns) * cellMm],
      spillMm: level,
      depthMm,
      areaMm2: area,
      volumeMl: volume / 1000,
    });
  }
  return pools.sort((a, b) => b.volumeMl - a.volumeMl);
}
