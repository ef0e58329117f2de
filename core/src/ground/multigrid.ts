import { type Factor, solveBy } from './cholesky.ts';
import { type Spectrum, smallestOf } from './spectrum.ts';
import { applyStiffness, type Stiffness, sweepFew, sweepPairs, sweepTwice } from './stiffness.ts';
import { gather, spread, type Transfer } from './transfer.ts';

/** One lattice of the stack, finest first, each of twice the cell of the one before: its stiffness, its held nodes and room to work in. */
export interface Level {
  stiffness: Stiffness;
  /** 1 for nodes that do not move. */
  held: Uint8Array;
  /** What is asked for, and the answer. */
  wanted: Float64Array;
  change: Float64Array;
  rest: Float64Array;
  /** To the next coarser lattice; null on the coarsest, which is solved outright. */
  transfer: Transfer | null;
  factor: Factor | null;
}

/** The smallest eigenvalue is found from above: this much of it is trusted. */
const SURE = 0.5;
/** Sweeps over the nodes at edges, creases and pins alone, which come to rest most slowly and are few: in each visit, and before the first. */
const SWEEPS_OF_FEW = 2;
const SWEEPS_OF_PAIRS = 2;
const SWEEPS_AT_FIRST = 8;

/**
 * One visit to all coarser lattices (a V-cycle): `change` of the level becomes a near answer to stiffness x change = wanted. What comes after
 * the coarser lattice mirrors what came before, so that the whole is symmetric, as conjugate gradients need it.
 */
function visit(levels: readonly Level[], k: number): void {
  const { stiffness, held, wanted, change, rest, transfer, factor } = levels[k];
  if (factor || !transfer) {
    if (factor) solveBy(factor, wanted, change);
    return;
  }
  change.fill(0);
  sweepTwice(stiffness, change, wanted, false);
  for (let s = 0; s < SWEEPS_OF_FEW; s++) sweepFew(stiffness, change, wanted, s % 2 === 0);
  for (let s = 0; s < SWEEPS_OF_PAIRS; s++) sweepPairs(stiffness, change, wanted, s % 2 === 1);
  applyStiffness(stiffness, change, rest, wanted);
  const coarse = levels[k + 1];
  gather(transfer, rest, coarse.wanted);
  for (let c = 0; c < coarse.wanted.length; c++) if (coarse.held[c]) coarse.wanted[c] = 0;
  visit(levels, k + 1);
  spread(transfer, coarse.change, change, held);
  for (let s = SWEEPS_OF_PAIRS - 1; s >= 0; s--) sweepPairs(stiffness, change, wanted, s % 2 === 0);
  for (let s = SWEEPS_OF_FEW - 1; s >= 0; s--) sweepFew(stiffness, change, wanted, s % 2 !== 0);
  sweepTwice(stiffness, change, wanted, true);
}

/** Room for conjugate gradients on one lattice. */
export interface Room {
  direction: Float64Array;
  image: Float64Array;
}

export const roomFor = (nodes: number): Room => ({
  direction: new Float64Array(nodes),
  image: new Float64Array(nodes),
});

/**
 * Brings z to rest over its free nodes: conjugate gradients, each step led by a visit to the coarser lattices. Ends when no node is
 * further than about `nearMm` from rest, or after `most` steps. Yields between steps.
 *
 * What a visit would still change falls short of the way that is left where the coarser lattices see too little of it, at worst by the
 * smallest eigenvalue of visit x stiffness; the steps so far tell that (Lanczos).
 */
export function* settle(
  levels: readonly Level[],
  z: Float64Array,
  room: Room,
  nearMm: number,
  most: number,
): Generator<undefined, void> {
  const { stiffness, wanted: rest, change } = levels[0];
  const { direction, image } = room;
  const spectrum: Spectrum = { diagonal: [], beside: [] };
  for (let s = 0; s < SWEEPS_AT_FIRST; s++) sweepFew(stiffness, z, stiffness.force, s % 2 === 0);
  rest.fill(0);
  applyStiffness(stiffness, z, rest, stiffness.force);
  direction.fill(0);
  image.fill(0);
  let [before, strideBefore] = [0, 1];
  for (let step = 0; step < most; step++) {
    visit(levels, 0);
    const { now, furthest } = weighed(rest, change);
    if (furthest < nearMm * SURE * smallestOf(spectrum)) return;
    if (!(now > 0)) return;
    const share = step === 0 ? 0 : now / before;
    turn(direction, change, share);
    const stride = now / applyStiffness(stiffness, direction, image);
    if (!(stride > 0)) return;
    go(z, direction, rest, image, stride);
    if (step > 0) spectrum.beside.push(Math.sqrt(share) / strideBefore);
    spectrum.diagonal.push(1 / stride + share / strideBefore);
    [before, strideBefore] = [now, stride];
    yield;
  }
}

/** The product of what is left with the change that a visit makes, and the furthest that any node changes. */
function weighed(rest: Float64Array, change: Float64Array): { now: number; furthest: number } {
  let [now, furthest] = [0, 0];
  for (let n = 0; n < rest.length; n++) {
    now += rest[n] * change[n];
    const far = Math.abs(change[n]);
    if (far > furthest) furthest = far;
  }
  return { now, furthest };
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
