import { toEnd } from '../kernel/index.ts';
import type { Grid } from './grid.ts';

/** Calls `visit` for each lattice cell on the base with its plan area (mm2), mean height (mm) and gradient (mm per mm) in x and y. */
export function forEachCell(
  grid: Grid,
  coverage: Float32Array | null,
  visit: (cell: number, areaMm2: number, heightMm: number, slopeX: number, slopeY: number) => void,
  fromRow = 0,
  toRow = grid.rows - 1,
): void {
  const { columns, cellMm, values: z } = grid;
  for (let j = fromRow, cell = fromRow * (columns - 1); j < toRow; j++)
    for (let i = 0; i < columns - 1; i++, cell++) {
      const share = coverage ? coverage[cell] : 1;
      if (share === 0) continue;
      const n = j * columns + i;
      const a = z[n];
      const b = z[n + 1];
      const c = z[n + columns];
      const d = z[n + columns + 1];
      const slopeX = (b - a + d - c) / (2 * cellMm);
      const slopeY = (c - a + d - b) / (2 * cellMm);
      visit(cell, share * cellMm * cellMm, (a + b + c + d) / 4, slopeX, slopeY);
    }
}

/** So many cells are visited between two yields. */
const CELLS_EACH = 20_000;

/** The same, yielding between pieces of work. */
export function* forEachCellIn(
  grid: Grid,
  coverage: Float32Array | null,
  visit: Parameters<typeof forEachCell>[2],
): Generator<undefined, void> {
  const rowsEach = Math.max(1, Math.floor(CELLS_EACH / grid.columns));
  for (let row = 0; row < grid.rows - 1; row += rowsEach) {
    forEachCell(grid, coverage, visit, row, Math.min(grid.rows - 1, row + rowsEach));
    yield;
  }
}

/** The true (sloped) surface: how much of it is no steeper than each whole degree, mm2; index 90 holds all of it. */
export interface TrueSurface {
  planMm2: number;
  trueMm2: number;
  notSteeperMm2: Float64Array;
  lowestMm: number;
  meanSlopeDegrees: number;
}

/** Area along the slope, cell by cell: plan area x sqrt(1 + gradient^2). Error of a smooth ground falls with the square of the cell. */
export const trueSurfaceOf = (grid: Grid, coverage: Float32Array | null): TrueSurface =>
  toEnd(trueSurfaceIn(grid, coverage));

/** The same, yielding between pieces of work. */
export function* trueSurfaceIn(grid: Grid, coverage: Float32Array | null): Generator<undefined, TrueSurface> {
  const notSteeperMm2 = new Float64Array(91);
  let planMm2 = 0;
  let trueMm2 = 0;
  let degreesTimesArea = 0;
  let lowestMm = Number.POSITIVE_INFINITY;
  yield* forEachCellIn(grid, coverage, (_, area, height, sx, sy) => {
    const sloped = area * Math.sqrt(1 + sx * sx + sy * sy);
    const degrees = (Math.atan(Math.sqrt(sx * sx + sy * sy)) * 180) / Math.PI;
    planMm2 += area;
    trueMm2 += sloped;
    degreesTimesArea += degrees * area;
    if (height < lowestMm) lowestMm = height;
    notSteeperMm2[Math.min(90, Math.ceil(degrees))] += sloped;
  });
  for (let k = 1; k <= 90; k++) notSteeperMm2[k] += notSteeperMm2[k - 1];
  return {
    planMm2,
    trueMm2,
    notSteeperMm2,
    lowestMm: Number.isFinite(lowestMm) ? lowestMm : 0,
    meanSlopeDegrees: planMm2 ? degreesTimesArea / planMm2 : 0,
  };
}
