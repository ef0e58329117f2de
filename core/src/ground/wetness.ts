/** Flow accumulation and the topographic wetness index of a ground. */

import type { Grid, Ring } from '../geometry/index.ts';
import { toEnd } from '../kernel/index.ts';
import { power } from '../units/index.ts';
import { type Flood, floodIn, thinnedTo } from './flood.ts';

/** The eight neighbours: columns and rows to the side. */
const AROUND = [
  [1, 0],
  [1, -1],
  [0, -1],
  [-1, -1],
  [-1, 0],
  [-1, 1],
  [0, 1],
  [1, 1],
] as const;

/** Water parts among lower neighbours by this power of the slope (Freeman 1991, Computers and Geosciences 17, from memory). */
const POWER = 1.1;

/**
 * How many nodes drain through each node, itself not counted. `steepest`: all water goes to the neighbour with the steepest fall (O'Callaghan
 * and Mark 1984; Jenson and Domingue 1988); else it parts among all lower neighbours. On what the flood filled it goes the way the flood came.
 */
export function flowAccumulation(grid: Grid, { spill, order, from }: Flood, steepest: boolean): Float64Array {
  const { columns, rows } = grid;
  const flow = new Float64Array(columns * rows);
  const falls = new Float64Array(8);
  // The flood reached lower nodes first, so that the last reached have nothing above them.
  for (let k = order.length - 1; k >= 0; k--) {
    const n = order[k];
    const i = n % columns;
    const j = (n - i) / columns;
    const passing = flow[n] + 1;
    let best = -1;
    let sum = 0;
    for (let side = 0; side < 8; side++) {
      const [di, dj] = AROUND[side];
      falls[side] = 0;
      if (i + di < 0 || i + di >= columns || j + dj < 0 || j + dj >= rows) continue;
      const fall = (spill[n] - spill[n + dj * columns + di]) / (di && dj ? Math.SQRT2 : 1);
      if (fall <= 0) continue;
      falls[side] = steepest ? fall : power(fall, POWER);
      sum += falls[side];
      if (best < 0 || falls[side] > falls[best]) best = side;
    }
    if (best < 0) {
      if (from[n] >= 0) flow[from[n]] += passing;
    } else if (steepest) flow[n + AROUND[best][1] * columns + AROUND[best][0]] += passing;
    else
      for (let side = 0; side < 8; side++)
        if (falls[side] > 0) flow[n + AROUND[side][1] * columns + AROUND[side][0]] += (passing * falls[side]) / sum;
  }
  return flow;
}

/** Flatter than this counts as this steep: a wetness index of level ground would be infinite. */
const LEAST_GRADIENT = 0.01;
const MOST_NODES = 40_000;

/**
 * The topographic wetness index ln(a / tan b) of the finished ground (Beven and Kirkby 1979, from memory): a is the area that drains through
 * a millimetre of contour, mm; b the slope. On a lattice of no more than 40,000 nodes. High where water gathers.
 */
export const wetnessOf = (ground: Grid, outline: Ring): Grid => toEnd(wetnessIn(ground, outline));

/** The same, yielding between pieces of work. */
export function* wetnessIn(ground: Grid, outline: Ring): Generator<undefined, Grid> {
  const grid = thinnedTo(MOST_NODES, ground);
  const { columns, rows, cellMm, values: z } = grid;
  const flooded = yield* floodIn(grid, outline);
  const flow = flowAccumulation(grid, flooded, false);
  yield;
  const values = new Float64Array(columns * rows);
  for (let j = 0, n = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, n++) {
      const [left, right] = [Math.max(0, i - 1), Math.min(columns - 1, i + 1)];
      const [near, far] = [Math.max(0, j - 1), Math.min(rows - 1, j + 1)];
      const gx = (z[j * columns + right] - z[j * columns + left]) / ((right - left) * cellMm);
      const gy = (z[far * columns + i] - z[near * columns + i]) / ((far - near) * cellMm);
      values[n] = Math.log(((flow[n] + 1) * cellMm) / Math.max(LEAST_GRADIENT, Math.hypot(gx, gy)));
    }
  return { ...grid, values };
}
