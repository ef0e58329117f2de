/** Takes a solved ground up again after a small change: a window round it with its rim held, or a few steps over the whole lattice. */
import type { Grid } from '../geometry/index.ts';
import { type Constraints, constraintsOf } from './constraints.ts';
import { FLAT, type Regions } from './regions.ts';
import type { ShapeLine } from './shapeLines.ts';
import { type Surface, solveFrom } from './solve.ts';

/** What lies further than this from a change waits for the exact ground, mm. */
const NEAR_MM = 60;
/** A window larger than this share of the whole, or of fewer nodes across, is not worth cutting out. */
const WORTHWHILE = 0.6;
const LEAST_ACROSS = 20;
/** A node that is held and is not of a flat. */
const HELD_AT_RIM = 2;

/** A part of a lattice: first and last column and row. */
interface Part {
  i0: number;
  i1: number;
  j0: number;
  j1: number;
}

/** A solved ground, and what it was solved from. */
export interface Rested {
  grid: Grid;
  regions: Regions;
  surface: Surface;
}

/**
 * The surface after a change of lines within `box` (`lines`, `pins` and `regions` are those after it), taken up from the one before it:
 * solved anew in a window round the change and left as it was elsewhere, or over the whole lattice where the change reaches further. Not
 * quite at rest: what follows a drag, or comes before the exact ground.
 */
export function* resolveNear(
  { grid, regions: old, surface: { z, bendLengthMm } }: Rested,
  lines: readonly ShapeLine[],
  pins: Constraints,
  regions: Regions,
  box: readonly [number, number, number, number],
): Generator<undefined, Surface> {
  const before: Surface = { z, bendLengthMm: carriedOn(bendLengthMm, old, regions) };
  const part = partRound(grid, box);
  const local = part && staysWithin(part, grid, old, regions);
  if (!local) return { ...before, z: yield* solveFrom(before, grid, lines, pins, regions) };
  const { window, inside, values } = windowOf(grid, z, regions, part);
  const solved = yield* solveFrom({ ...before, z: values }, window, lines, constraintsOf(window, lines), inside);
  const whole = z.slice();
  for (let j = 0; j < window.rows; j++)
    whole.set(solved.subarray(j * window.columns, (j + 1) * window.columns), (j + part.j0) * grid.columns + part.i0);
  return { ...before, z: whole };
}

/** How straight each region is drawn: as straight as the one that lay there before. */
function carriedOn(bendLengthMm: Float64Array, before: Regions, after: Regions): Float64Array {
  const lengths = new Float64Array(after.rules.length).fill(Number.POSITIVE_INFINITY);
  const votes = after.rules.map(() => new Map<number, number>());
  for (let n = 0; n < after.label.length; n++) {
    const tally = votes[after.label[n]];
    tally.set(before.label[n], (tally.get(before.label[n]) ?? 0) + 1);
  }
  votes.forEach((tally, region) => {
    const [most] = [...tally].sort((a, b) => b[1] - a[1]);
    if (most && after.rules[region].kind === 'between') lengths[region] = bendLengthMm[most[0]];
  });
  return lengths;
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

/** Whether the rules are the same everywhere outside a part: a line can open or close ground far away from it. */
function staysWithin({ i0, i1, j0, j1 }: Part, { columns, rows }: Grid, before: Regions, after: Regions): boolean {
  const same = new Map<number, boolean>();
  const alike = (a: number, b: number): boolean => {
    const key = a * after.rules.length + b;
    const known = same.get(key);
    if (known !== undefined) return known;
    const now = JSON.stringify(before.rules[a]) === JSON.stringify(after.rules[b]);
    same.set(key, now);
    return now;
  };
  for (let j = 0, n = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, n++) {
      if (j >= j0 && j <= j1 && i >= i0 && i <= i1) continue;
      if (before.held[n] !== after.held[n] || before.heightMm[n] !== after.heightMm[n]) return false;
      if (!alike(before.label[n], after.label[n])) return false;
    }
  return true;
}

/** A part as a lattice of its own. Two rows of the old ground round it hold its height and its slope; at the edge of the base there is nothing to hold. */
function windowOf(grid: Grid, old: Float64Array, whole: Regions, { i0, i1, j0, j1 }: Part) {
  const { columns, rows, cellMm, originMm } = grid;
  const [wide, deep] = [i1 - i0 + 1, j1 - j0 + 1];
  const inside: Regions = {
    ...whole,
    label: new Int32Array(wide * deep),
    held: new Uint8Array(wide * deep),
    heightMm: new Float64Array(wide * deep),
  };
  const values = new Float64Array(wide * deep);
  for (let j = 0, n = 0; j < deep; j++)
    for (let i = 0; i < wide; i++, n++) {
      const m = (j + j0) * columns + i + i0;
      const rim =
        (i < 2 && i0 > 0) ||
        (j < 2 && j0 > 0) ||
        (i >= wide - 2 && i1 < columns - 1) ||
        (j >= deep - 2 && j1 < rows - 1);
      values[n] = old[m];
      inside.label[n] = whole.label[m];
      inside.held[n] = whole.held[m];
      inside.heightMm[n] = whole.heightMm[m];
      if (!rim || whole.held[m] === FLAT) continue;
      inside.held[n] = HELD_AT_RIM;
      inside.heightMm[n] = old[m];
    }
  const at: Grid['originMm'] = [originMm[0] + i0 * cellMm, originMm[1] + j0 * cellMm];
  const window: Grid = { columns: wide, rows: deep, cellMm, originMm: at, values };
  return { window, inside, values };
}
