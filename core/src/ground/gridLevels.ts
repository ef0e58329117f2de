/**
 * The hierarchy of lattices for multigrid: constraints, regions and held nodes on each, by coarsening to twice the cell; and the operators on
 * them.
 */
import type { Grid } from '../geometry/index.ts';
import { factorOf } from './cholesky.ts';
import {
  type Constraints,
  constraintsOf,
  crowdedConstraints,
  foldedConstraints,
  hingedConstraints,
} from './constraints.ts';
import type { MultigridLevel } from './multigrid.ts';
import { FLAT, ON_LINE, type Regions } from './regions.ts';
import type { ShapeLine } from './shapeLines.ts';
import { FIRM, stiffnessOf, YIELDING } from './stiffness.ts';
import { transferOf } from './transfer.ts';

/**
 * Tension against bending everywhere, 1/mm2: too little to draw a slope flat by a hundredth of a millimetre over a metre, enough to say how
 * ground lies that its lines leave free to tilt (one line, one spot).
 */
const LEAST_TENSION_PER_MM2 = 1e-9;

/** How far the finest lattice lets a drawn flat reach outside its line, on the average: coarser ones follow, in its cells. */
const OUTSIDE = 0.5;
/** Lattices are halved until one side has fewer nodes than this. */
const SMALLEST = 10;

/** A lattice of the stack. All heights in it are counted from the datum. */
export interface GridLevel {
  datumMm: number;
  lattice: Grid;
  regions: Pick<Regions, 'label' | 'held' | 'heightMm'>;
  flat: Uint8Array;
  pins: Constraints;
  coarsest: boolean;
  /** Room to work in. */
  work: Pick<MultigridLevel, 'rhs' | 'correction' | 'residual'>;
  /** The mean height of its pins. */
  meanMm: number;
}

/**
 * The stack of lattices, finest first, of regions given on the finest. Heights are counted from a datum, the mean of the finest pins: sums over
 * a whole lattice that lies level, or hangs on one pin, then have nothing to round.
 */
export function* gridLevelsOf(
  grid: Grid,
  lines: readonly ShapeLine[],
  finePins: Constraints,
  fineRegions: Regions,
): Generator<undefined, GridLevel[]> {
  const gridLevels: GridLevel[] = [];
  const datumMm = meanOf(finePins.heights);
  for (let lattice = grid; ; lattice = halved(lattice)) {
    const finest = lattice === grid;
    const regions = finest ? fineRegions : injected(fineRegions, grid, lattice, lattice.cellMm / grid.cellMm);
    const flat = regions.held.map((held) => (held === FLAT ? 1 : 0));
    // On the finest lattice a flat that was drawn keeps its whole outline; one that only follows from the lines (the baseboard round the
    // foot of a hill) gives way, or every hill would lose a little all round.
    const foldAt = (line: number) => {
      if (line < 0 || (finest && lines[line].level)) return null;
      return lines[line].level ? (OUTSIDE * grid.cellMm) / lattice.cellMm : 0;
    };
    const crossed = finest ? yield* crowdedConstraints(finePins, lattice.columns) : constraintsOf(lattice, lines);
    yield;
    const folded = foldedConstraints(crossed, flat, lattice.columns, foldAt);
    const pins = hingedConstraints(folded, lattice.columns, (line) => line >= 0 && lines[line].fold);
    const coarsest = Math.min(lattice.columns, lattice.rows) < 2 * SMALLEST;
    yield;
    gridLevels.push({ ...gridLevelOf(lattice, regions, flat, pins, datumMm), coarsest });
    yield;
    if (coarsest) return gridLevels;
  }
}

/** The lattice of twice the cell, reaching at least as far. */
function halved({ columns, rows, cellMm, originMm }: Grid): Grid {
  const [wide, deep] = [Math.ceil((columns - 1) / 2) + 1, Math.ceil((rows - 1) / 2) + 1];
  return { columns: wide, rows: deep, cellMm: 2 * cellMm, originMm, values: new Float64Array(wide * deep) };
}

const meanOf = (heights: Float64Array): number =>
  heights.reduce((sum, height) => sum + height, 0) / Math.max(1, heights.length);

function gridLevelOf(
  lattice: Grid,
  { label, held, heightMm }: GridLevel['regions'],
  flat: Uint8Array,
  given: Constraints,
  datumMm: number,
): Omit<GridLevel, 'coarsest'> {
  const empty = () => new Float64Array(lattice.columns * lattice.rows);
  const pins = { ...given, heights: given.heights.map((height) => height - datumMm) };
  // A pin that speaks for one node and another beyond it has weights that add up to one too.
  const regions = { label, held, heightMm: heightMm.map((height) => height - datumMm) };
  return {
    datumMm,
    lattice,
    regions,
    flat,
    pins,
    meanMm: meanOf(pins.heights),
    work: { rhs: empty(), correction: empty(), residual: empty() },
  };
}

/**
 * The grid levels made stiff, a piece at a time. `bendLengthMm`: over which length each region bends rather than stretches; infinite where it only bends. Where that
 * is less than a few of the finest cells (`finestMm`), bending is weakened instead, so that tension does not outweigh the pins.
 */
export function* multigridLevelsOf(
  gridLevels: readonly GridLevel[],
  bendLengthMm: Float64Array,
  finestMm: number,
): Generator<undefined, MultigridLevel[]> {
  const levels: MultigridLevel[] = [];
  for (const gridLevel of gridLevels) levels.push(yield* multigridLevelOf(gridLevel, bendLengthMm, finestMm));
  return levels;
}

/** One storey made stiff. */
export function* multigridLevelOf(
  { lattice: { columns, rows, cellMm }, regions: { label, held }, flat, pins, work, coarsest }: GridLevel,
  bendLengthMm: Float64Array,
  finestMm: number,
): Generator<undefined, MultigridLevel> {
  const tension = bendLengthMm.map((length) => LEAST_TENSION_PER_MM2 + 1 / length ** 2);
  const bend = tension.map((each) => 1 / (1 + each * finestMm ** 2));
  const pull = tension.map((each, k) => each * bend[k] * cellMm ** 2);
  const { blocked, folded, cut } = pins;
  const creased = { columns, rows, flat, blocked, folded, cut, label, bend, pull };
  const stiffness = yield* stiffnessOf(creased, held, pins, cellMm > finestMm ? YIELDING : FIRM);
  yield;
  return {
    stiffness,
    held,
    ...work,
    transfer: coarsest ? null : transferOf(creased),
    factor: coarsest ? factorOf(stiffness) : null,
  };
}

/** The regions at every `stride`-th node. */
function injected(regions: Regions, fine: Grid, lattice: Grid, stride: number): GridLevel['regions'] {
  const count = lattice.columns * lattice.rows;
  const label = new Int32Array(count);
  const held = new Uint8Array(count);
  const heightMm = new Float64Array(count);
  for (let j = 0, n = 0; j < lattice.rows; j++)
    for (let i = 0; i < lattice.columns; i++, n++) {
      const from = Math.min(j * stride, fine.rows - 1) * fine.columns + Math.min(i * stride, fine.columns - 1);
      label[n] = regions.label[from];
      // A node beyond the base is not on the line that runs along its edge.
      const beyond = j * stride >= fine.rows || i * stride >= fine.columns;
      held[n] = beyond && regions.held[from] === ON_LINE ? 0 : regions.held[from];
      heightMm[n] = regions.heightMm[from];
    }
  return { label, held, heightMm };
}

/** Heights of a coarse lattice carried to one of half the cell: curved between its nodes by the lesser of the bends on either side, straight where they disagree. */
export function interpolated(z: Float64Array, coarse: Grid, fine: Grid): Float64Array {
  const across = new Float64Array(fine.columns * coarse.rows);
  for (let j = 0; j < coarse.rows; j++)
    halfway(z, j * coarse.columns, 1, coarse.columns, across, j * fine.columns, 1, fine.columns);
  const out = new Float64Array(fine.columns * fine.rows);
  for (let i = 0; i < fine.columns; i++) halfway(across, i, fine.columns, coarse.rows, out, i, fine.columns, fine.rows);
  return out;
}

/** One row or column: its values at every second place, and between them. */
function halfway(
  from: Float64Array,
  first: number,
  stride: number,
  count: number,
  to: Float64Array,
  start: number,
  step: number,
  length: number,
): void {
  for (let k = 0; k < length; k++) {
    const at = first + (k >> 1) * stride;
    let value = from[at];
    if (k & 1) {
      value = (value + from[at + stride]) / 2;
      if (k > 1 && k >> 1 < count - 2) {
        const before = from[at - stride] - 2 * from[at] + from[at + stride];
        const after = from[at] - 2 * from[at + stride] + from[at + 2 * stride];
        // A cliff beside it bends one side only.
        if (before * after > 0) value -= (Math.abs(before) < Math.abs(after) ? before : after) / 8;
      }
    }
    to[start + k * step] = value;
  }
}

/** Held nodes put to their heights. */
export function holdStill(z: Float64Array, { held, heightMm }: GridLevel['regions']): void {
  for (let n = 0; n < z.length; n++) if (held[n]) z[n] = heightMm[n];
}
