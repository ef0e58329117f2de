import type { Grid } from '../geometry/index.ts';
import type { Bounds } from './bounds.ts';
import { type Pins, pinsOf } from './lattice.ts';
import type { ShapeLine } from './shapeLines.ts';
import { settleFrom } from './solve.ts';

/** Bending dies away within about this distance of a change, mm. */
const NEAR_MM = 45;
/** A window larger than this share of the whole, or of fewer nodes across, is not worth cutting out. */
const WORTHWHILE = 0.6;
const LEAST_ACROSS = 20;

/** A part of a lattice: first and last column and row. */
interface Part {
  i0: number;
  i1: number;
  j0: number;
  j1: number;
}

/**
 * The ground after a change of lines within `box` (`lines`, `pins` and `bounds` are those after it), taken up from the ground before it: solved anew in a window round the change and left as it
 * was elsewhere, or over the whole lattice where the change reaches further. Not quite at rest: what follows a drag, or comes before the exact ground.
 */
export function* resolveNear(
  before: { grid: Grid; bounds: Bounds },
  lines: readonly ShapeLine[],
  pins: Pins,
  bounds: Bounds,
  box: readonly [number, number, number, number],
): Generator<undefined, Float64Array> {
  const { grid } = before;
  const old = Float64Array.from(grid.values);
  const part = partRound(grid, box);
  const local = part && staysWithin(part, grid, before.bounds, bounds);
  if (!local) return yield* settleFrom(old, grid, lines, pins, bounds);
  const { window, inside } = windowOf(grid, old, bounds, part);
  const solved = yield* settleFrom(window.values as Float64Array, window, lines, pinsOf(window, lines), inside);
  for (let j = 0; j < window.rows; j++)
    old.set(solved.subarray(j * window.columns, (j + 1) * window.columns), (j + part.j0) * grid.columns + part.i0);
  return old;
}

/** The part of a lattice that a change can reach; null when it is not worth cutting out. */
function partRound({ columns, rows, cellMm }: Grid, box: readonly [number, number, number, number]): Part | null {
  const cell = (mm: number, most: number) => Math.min(most, Math.max(0, Math.round(mm / cellMm)));
  const part = {
    i0: cell(box[0] - NEAR_MM, columns - 1),
    i1: cell(box[2] + NEAR_MM, columns - 1),
    j0: cell(box[1] - NEAR_MM, rows - 1),
    j1: cell(box[3] + NEAR_MM, rows - 1),
  };
  const [wide, deep] = [part.i1 - part.i0 + 1, part.j1 - part.j0 + 1];
  return Math.min(wide, deep) < LEAST_ACROSS || wide * deep > WORTHWHILE * columns * rows ? null : part;
}

/** Whether the bounds are the same everywhere outside a part: a line can open or close ground far away from it. */
function staysWithin({ i0, i1, j0, j1 }: Part, { columns, rows }: Grid, before: Bounds, after: Bounds): boolean {
  for (let j = 0, n = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, n++) {
      if (before.lower[n] === after.lower[n] && before.upper[n] === after.upper[n]) continue;
      if (i < i0 || i > i1 || j < j0 || j > j1) return false;
    }
  return true;
}

/** A part as a lattice of its own. Two rows of the old ground round it hold its height and its slope; at the edge of the base there is nothing to hold. */
function windowOf(grid: Grid, old: Float64Array, whole: Bounds, { i0, i1, j0, j1 }: Part) {
  const { columns, rows, cellMm, originMm } = grid;
  const [wide, deep] = [i1 - i0 + 1, j1 - j0 + 1];
  const empty = () => new Float64Array(wide * deep);
  const inside: Bounds = { lower: empty(), upper: empty(), flat: new Uint8Array(wide * deep) };
  const values = empty();
  for (let j = 0, n = 0; j < deep; j++)
    for (let i = 0; i < wide; i++, n++) {
      const m = (j + j0) * columns + i + i0;
      const rim =
        (i < 2 && i0 > 0) ||
        (j < 2 && j0 > 0) ||
        (i >= wide - 2 && i1 < columns - 1) ||
        (j >= deep - 2 && j1 < rows - 1);
      values[n] = old[m];
      inside.lower[n] = rim ? old[m] : whole.lower[m];
      inside.upper[n] = rim ? old[m] : whole.upper[m];
      inside.flat[n] = whole.flat[m];
    }
  const at: Grid['originMm'] = [originMm[0] + i0 * cellMm, originMm[1] + j0 * cellMm];
  const window: Grid = { columns: wide, rows: deep, cellMm, originMm: at, values };
  return { window, inside };
}
