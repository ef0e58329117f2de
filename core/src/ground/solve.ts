import type { Grid } from '../geometry/index.ts';
import type { Mark } from '../project/index.ts';
import { applyEnergy, type Energy, energyDiagonal, energyOf, pinForces } from './bending.ts';
import { type Bounds, boundsOfMarks } from './bounds.ts';
import { foldedPins, type Pins, pinsOf } from './lattice.ts';

/** Tension against bending, 1/mm2: beyond about 1/sqrt of it (50 mm) the ground is drawn straight rather than bent. */
const TENSION_PER_MM2 = 0.0004;

/** Rounds of search on each lattice, and steps in each round; after every round the ground is put back within its bounds. */
const ROUNDS = 3;
const STEPS_COARSE = 40;
const STEPS_FINE = 16;

/** The search rests when the scaled squared gradient a node is below this, mm2. */
const STILL = 1e-9;

/** Lattices are halved until one side has fewer nodes than this. */
const SMALLEST = 10;

/**
 * The surface of least bending (with a little tension) through all lines and spots, kept within the bounds of `boundsOfMarks`.
 * Solved on lattices from coarse to fine, each starting from the last; on each by conjugate gradients over the nodes that are free to
 * move. A generator: it yields between pieces of work, so that a caller can give up an older run.
 */
export function* solveGround(grid: Grid, marks: readonly Mark[]): Generator<undefined, Float64Array> {
  const lattices = [grid];
  for (;;) {
    const { columns, rows, cellMm, originMm } = lattices[0];
    if (Math.min(columns, rows) < 2 * SMALLEST) break;
    const halved = { columns: Math.ceil((columns - 1) / 2) + 1, rows: Math.ceil((rows - 1) / 2) + 1 };
    lattices.unshift({
      ...halved,
      cellMm: 2 * cellMm,
      originMm,
      values: new Float64Array(halved.columns * halved.rows),
    });
  }
  const finePins = pinsOf(grid, marks);
  const fineBounds = boundsOfMarks(grid, marks, finePins);
  let z: Float64Array | undefined;
  for (let k = 0; k < lattices.length; k++) {
    const lattice = lattices[k];
    const finest = k === lattices.length - 1;
    const bounds = finest ? fineBounds : thinned(fineBounds, grid, lattice, 2 ** (lattices.length - 1 - k));
    const pins = finest ? finePins : foldedPins(pinsOf(lattice, marks), bounds.flat, lattice.columns);
    z = z ? refined(z, lattices[k - 1], lattice) : levelled(lattice, pins);
    clamp(z, bounds);
    yield* relax(lattice, pins, bounds, z, finest ? STEPS_FINE : STEPS_COARSE);
  }
  return z ?? new Float64Array(grid.values.length);
}

/** Everything at the mean height of the pins: where the coarsest search begins. */
function levelled(lattice: Grid, pins: Pins): Float64Array {
  const mean = pins.heights.reduce((sum, height) => sum + height, 0) / Math.max(1, pins.heights.length);
  return new Float64Array(lattice.columns * lattice.rows).fill(mean);
}

/** The bounds at every `stride`-th node. */
function thinned(bounds: Bounds, fine: Grid, lattice: Grid, stride: number): Bounds {
  const count = lattice.columns * lattice.rows;
  const lower = new Float64Array(count);
  const upper = new Float64Array(count);
  const flat = new Uint8Array(count);
  for (let j = 0, n = 0; j < lattice.rows; j++)
    for (let i = 0; i < lattice.columns; i++, n++) {
      const from = Math.min(j * stride, fine.rows - 1) * fine.columns + Math.min(i * stride, fine.columns - 1);
      lower[n] = bounds.lower[from];
      upper[n] = bounds.upper[from];
      flat[n] = bounds.flat[from];
    }
  return { lower, upper, flat };
}

/** Heights of a coarse lattice carried to one of half the cell, linear between. */
function refined(z: Float64Array, coarse: Grid, fine: Grid): Float64Array {
  const out = new Float64Array(fine.columns * fine.rows);
  for (let j = 0, n = 0; j < fine.rows; j++)
    for (let i = 0; i < fine.columns; i++, n++) {
      const c = (j >> 1) * coarse.columns + (i >> 1);
      const right = i & 1 ? 1 : 0;
      const up = j & 1 ? coarse.columns : 0;
      out[n] = (z[c] + z[c + right] + z[c + up] + z[c + right + up]) / 4;
    }
  return out;
}

function clamp(z: Float64Array, { lower, upper }: Bounds): void {
  for (let n = 0; n < z.length; n++) z[n] = z[n] < lower[n] ? lower[n] : z[n] > upper[n] ? upper[n] : z[n];
}

/** The search on one lattice: what does not change from step to step, and the vectors it works in. */
interface Search {
  energy: Energy;
  bounds: Bounds;
  z: Float64Array;
  force: Float64Array;
  diagonal: Float64Array;
  held: Uint8Array;
  gradient: Float64Array;
  direction: Float64Array;
  image: Float64Array;
}

/** Rounds of: find which nodes are held by their bounds, search over the others, put everything back within bounds. */
function* relax(lattice: Grid, pins: Pins, bounds: Bounds, z: Float64Array, steps: number): Generator<undefined, void> {
  const energy = energyOf(lattice.columns, lattice.rows, bounds.flat, TENSION_PER_MM2 * lattice.cellMm ** 2, pins);
  const empty = () => new Float64Array(z.length);
  const search: Search = {
    energy,
    bounds,
    z,
    force: pinForces(energy),
    diagonal: energyDiagonal(energy),
    held: new Uint8Array(z.length),
    gradient: empty(),
    direction: empty(),
    image: empty(),
  };
  for (let round = 0; round < ROUNDS; round++) {
    let rho = beginRound(search, round > 0);
    for (let step = 0; step < steps && rho > STILL * z.length; step++) {
      rho = stepDown(search, rho);
      if (step % 8 === 7) yield;
    }
    clamp(z, bounds);
    yield;
  }
}

/**
 * Marks the nodes that their bounds hold (in the first round none that could move, so that a bad start is not held), points the search downhill, and gives the
 * scaled squared gradient of the free nodes.
 */
function beginRound(
  { energy, bounds, z, force, diagonal, held, gradient, direction }: Search,
  holdAtBounds: boolean,
): number {
  applyEnergy(energy, z, gradient);
  const { lower, upper } = bounds;
  let rho = 0;
  for (let n = 0; n < z.length; n++) {
    const g = gradient[n] - force[n];
    gradient[n] = g;
    const pressed = holdAtBounds && ((z[n] <= lower[n] && g > 0) || (z[n] >= upper[n] && g < 0));
    const isHeld = pressed || lower[n] === upper[n];
    held[n] = isHeld ? 1 : 0;
    direction[n] = isHeld ? 0 : -g / diagonal[n];
    if (!isHeld) rho += (g * g) / diagonal[n];
  }
  return rho;
}

/** One step of conjugate gradients over the free nodes; gives the new scaled squared gradient. */
function stepDown({ energy, z, diagonal, held, gradient, direction, image }: Search, rho: number): number {
  applyEnergy(energy, direction, image);
  let curvature = 0;
  for (let n = 0; n < z.length; n++) curvature += direction[n] * image[n];
  if (!(curvature > 0)) return 0;
  const stride = rho / curvature;
  let next = 0;
  for (let n = 0; n < z.length; n++) {
    if (held[n]) continue;
    z[n] += stride * direction[n];
    const g = gradient[n] + stride * image[n];
    gradient[n] = g;
    next += (g * g) / diagonal[n];
  }
  const turn = next / rho;
  for (let n = 0; n < z.length; n++) if (!held[n]) direction[n] = turn * direction[n] - gradient[n] / diagonal[n];
  return next;
}
