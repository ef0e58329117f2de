import type { Grid } from '../../geometry/index.ts';

type Box = readonly [number, number, number, number];

/** Lowest and highest land in squares of a lattice, so that the range within any box is soon read. */
export interface LandRanges {
  grid: Grid;
  columns: number;
  rows: number;
  low: Float64Array;
  high: Float64Array;
}

/** Nodes along a square. */
const SQUARE = 12;

export function landRanges(grid: Grid): LandRanges {
  const columns = Math.ceil(grid.columns / SQUARE);
  const rows = Math.ceil(grid.rows / SQUARE);
  const low = new Float64Array(columns * rows).fill(Number.POSITIVE_INFINITY);
  const high = new Float64Array(columns * rows).fill(Number.NEGATIVE_INFINITY);
  const z = grid.values;
  for (let j = 0, n = 0; j < grid.rows; j++) {
    const row = Math.floor(j / SQUARE) * columns;
    for (let i = 0; i < grid.columns; i++, n++) {
      const square = row + Math.floor(i / SQUARE);
      if (z[n] < low[square]) low[square] = z[n];
      if (z[n] > high[square]) high[square] = z[n];
    }
  }
  return { grid, columns, rows, low, high };
}

/** The lowest and highest land in the squares that a box touches. */
function rangeWithin({ grid, columns, rows, low, high }: LandRanges, box: Box, grownMm: number): [number, number] {
  const side = SQUARE * grid.cellMm;
  const square = (mm: number, origin: number, most: number) =>
    Math.min(most - 1, Math.max(0, Math.floor((mm - origin) / side)));
  const [x, y] = grid.originMm;
  let [lowest, highest] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (let j = square(box[1] - grownMm, y, rows); j <= square(box[3] + grownMm, y, rows); j++)
    for (let i = square(box[0] - grownMm, x, columns); i <= square(box[2] + grownMm, x, columns); i++) {
      lowest = Math.min(lowest, low[j * columns + i]);
      highest = Math.max(highest, high[j * columns + i]);
    }
  return [lowest, highest];
}

/** Banks that begin at heights between `lowMm` and `highMm` and fall and rise with these gradients. */
export interface Banks {
  lowMm: number;
  highMm: number;
  fall: number;
  rise: number;
}

const ROUNDS = 4;

/**
 * How far from a box its banks can reach before they meet the land, mm. First by all the land there is, then by the land within that reach,
 * and so on: beyond it no land stands in their way. `others` are heights, besides the land's, that the banks may meet (those of other stretches).
 */
export function bankReach(
  ranges: LandRanges,
  box: Box,
  { lowMm, highMm, fall, rise }: Banks,
  others: readonly [number, number] = [lowMm, highMm],
): number {
  let reach = Number.POSITIVE_INFINITY;
  for (let round = 0; round < ROUNDS; round++) {
    const [low, high] = rangeWithin(ranges, box, reach);
    const next = Math.max(0, (highMm - Math.min(low, others[0])) / fall, (Math.max(high, others[1]) - lowMm) / rise);
    if (next >= reach) break;
    reach = next;
  }
  return reach;
}
