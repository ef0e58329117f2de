import { type Factor, solveBy } from './cholesky.ts';
import { applyStiffness, type Stiffness, sweep, sweepPairs } from './stiffness.ts';

/** One lattice of the stack, finest first, each of twice the cell of the one before: its stiffness, its held nodes and room to work in. */
export interface Level {
  stiffness: Stiffness;
  /** 1 for nodes that do not move. */
  held: Uint8Array;
  /** What is asked for, and the answer. */
  wanted: Float64Array;
  change: Float64Array;
  rest: Float64Array;
  /** The coarsest lattice is solved outright. */
  factor: Factor | null;
}

/** Sweeps before and after the visit to the coarser lattice. */
const SWEEPS = 2;

/**
 * One visit to all coarser lattices (a V-cycle): `change` of the level becomes a near answer to stiffness x change = wanted. Sweeps after
 * go the other way than sweeps before, so that the whole is symmetric, as conjugate gradients need it.
 */
function visit(levels: readonly Level[], k: number): void {
  const { stiffness, held, wanted, change, rest, factor } = levels[k];
  if (factor) {
    solveBy(factor, wanted, change);
    return;
  }
  change.fill(0);
  for (let s = 0; s < SWEEPS; s++) sweep(stiffness, change, wanted, false);
  sweepPairs(stiffness, change, wanted, false);
  applyStiffness(stiffness, change, rest);
  for (let n = 0; n < rest.length; n++) rest[n] = held[n] ? 0 : wanted[n] - rest[n];
  gather(rest, stiffness, levels[k + 1]);
  visit(levels, k + 1);
  spread(levels[k + 1], stiffness, change, held);
  sweepPairs(stiffness, change, wanted, true);
  for (let s = 0; s < SWEEPS; s++) sweep(stiffness, change, wanted, true);
}

/**
 * What is left on a fine lattice, gathered on the coarse one: the transpose of `spread`, times 4, because the differences of a lattice of
 * twice the cell are written without its cell and stand for a quarter as many nodes with sixteen times the squares.
 */
function gather(rest: Float64Array, { columns, rows }: Stiffness, coarse: Level): void {
  const { wanted, held } = coarse;
  const wide = coarse.stiffness.columns;
  wanted.fill(0);
  for (let j = 0, n = 0; j < rows; j++) {
    const row = (j >> 1) * wide;
    const away = j & 1 ? wide : 0;
    for (let i = 0; i < columns; i++, n++) {
      if (rest[n] === 0) continue;
      const c = row + (i >> 1);
      const right = i & 1;
      wanted[c] += rest[n];
      wanted[c + right] += rest[n];
      wanted[c + away] += rest[n];
      wanted[c + right + away] += rest[n];
    }
  }
  for (let c = 0; c < wanted.length; c++) if (held[c]) wanted[c] = 0;
}

/** Adds the change of a coarse lattice to that of the fine one, linear between its nodes. */
function spread(coarse: Level, { columns, rows }: Stiffness, change: Float64Array, held: Uint8Array): void {
  const z = coarse.change;
  const wide = coarse.stiffness.columns;
  for (let j = 0, n = 0; j < rows; j++) {
    const row = (j >> 1) * wide;
    const away = j & 1 ? wide : 0;
    for (let i = 0; i < columns; i++, n++) {
      if (held[n]) continue;
      const c = row + (i >> 1);
      const right = i & 1;
      change[n] += (z[c] + z[c + right] + z[c + away] + z[c + right + away]) / 4;
    }
  }
}

/** Room for conjugate gradients on one lattice. */
export interface Room {
  rest: Float64Array;
  direction: Float64Array;
  image: Float64Array;
}

export const roomFor = (nodes: number): Room => ({
  rest: new Float64Array(nodes),
  direction: new Float64Array(nodes),
  image: new Float64Array(nodes),
});

/**
 * Brings z to rest over its free nodes: conjugate gradients, each step led by a visit to the coarser lattices. Ends when no node is
 * further than about `nearMm` from rest, or after `most` steps. Yields between steps.
 */
export function* settle(
  levels: readonly Level[],
  z: Float64Array,
  room: Room,
  nearMm: number,
  most: number,
): Generator<undefined, void> {
  const { stiffness, wanted, change } = levels[0];
  const { rest, direction, image } = room;
  image.fill(0);
  applyStiffness(stiffness, z, image);
  for (let n = 0; n < z.length; n++) rest[n] = stiffness.force[n] - image[n];
  direction.fill(0);
  let before = 0;
  for (let step = 0; step < most; step++) {
    wanted.set(rest);
    visit(levels, 0);
    if (furthest(change) < nearMm) {
      return;
    }
    const now = product(rest, change);
    if (!(now > 0)) return;
    turn(direction, change, step === 0 ? 0 : now / before);
    applyStiffness(stiffness, direction, image);
    const stride = now / product(direction, image);
    if (!(stride > 0)) return;
    go(z, direction, rest, image, stride);
    before = now;
    yield;
  }
}

function furthest(change: Float64Array): number {
  let most = 0;
  for (let n = 0; n < change.length; n++) {
    const far = Math.abs(change[n]);
    if (far > most) most = far;
  }
  return most;
}

function product(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let n = 0; n < a.length; n++) sum += a[n] * b[n];
  return sum;
}

function turn(direction: Float64Array, change: Float64Array, share: number): void {
  for (let n = 0; n < direction.length; n++) direction[n] = change[n] + share * direction[n];
}

function go(z: Float64Array, direction: Float64Array, rest: Float64Array, image: Float64Array, stride: number): void {
  for (let n = 0; n < z.length; n++) {
    z[n] += stride * direction[n];
    rest[n] -= stride * image[n];
  }
}
