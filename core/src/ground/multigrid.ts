/**
 * Least bending with constraints as a linear system, solved by conjugate gradients preconditioned with a symmetric multigrid V-cycle
 * (Gauss-Seidel smoothing, block Gauss-Seidel on pairs that a constraint ties, bilinear transfer, Cholesky on the coarsest lattice).
 */
import { type Factor, solveBy } from './cholesky.ts';
import { type Spectrum, smallestOf } from './spectrum.ts';
import type { Stiffness } from './stiffness.ts';
import { applyStiffness, sweepOwnRows, sweepPairs, sweepTwice } from './sweeps.ts';
import { prolongate, restrict, type Transfer } from './transfer.ts';

/** One lattice of the hierarchy, finest first, each of twice the cell of the one before: its stiffness, its held nodes and room to work in. */
export interface MultigridLevel {
  stiffness: Stiffness;
  /** 1 for nodes that do not move. */
  held: Uint8Array;
  /** The right-hand side, the answer, and what it leaves. */
  rhs: Float64Array;
  correction: Float64Array;
  residual: Float64Array;
  /** To the next coarser lattice; null on the coarsest, which is solved outright. */
  transfer: Transfer | null;
  factor: Factor | null;
}

/** Sweeps over the nodes at edges, creases and pins alone, which come to rest most slowly and are few: in each V-cycle, and before the first. */
const SWEEPS_OF_FEW = 4;
const SWEEPS_OF_PAIRS = 4;
const SWEEPS_AT_FIRST = 4;

/**
 * One V-cycle over all coarser lattices: `correction` of the level becomes a near answer to stiffness x correction = rhs. What comes after
 * the coarser lattice mirrors what came before, so that the whole is symmetric, as conjugate gradients need it.
 */
function vCycle(levels: readonly MultigridLevel[], k: number): void {
  for (const _ of cycle(levels, k)) void _;
}

/** The same, yielding on the way down and on the way up. */
function* cycle(levels: readonly MultigridLevel[], k: number): Generator<undefined, void> {
  const { stiffness, held, rhs, correction, residual, transfer, factor } = levels[k];
  if (factor || !transfer) {
    // What is left was gathered over held nodes too; a sweep passes them by, the outright solution would not.
    for (let n = 0; n < rhs.length; n++) if (held[n]) rhs[n] = 0;
    if (factor) solveBy(factor, rhs, correction);
    return;
  }
  correction.fill(0);
  sweepTwice(stiffness, correction, rhs, false);
  sweepOwnRows(stiffness, correction, rhs, false, SWEEPS_OF_FEW);
  sweepPairs(stiffness, correction, rhs, false, SWEEPS_OF_PAIRS);
  yield;
  applyStiffness(stiffness, correction, residual, rhs);
  const coarse = levels[k + 1];
  restrict(transfer, residual, coarse.rhs);
  vCycle(levels, k + 1);
  yield;
  prolongate(transfer, coarse.correction, correction, held);
  sweepPairs(stiffness, correction, rhs, true, SWEEPS_OF_PAIRS);
  sweepOwnRows(stiffness, correction, rhs, true, SWEEPS_OF_FEW);
  sweepTwice(stiffness, correction, rhs, true);
}

/** Room for conjugate gradients on one lattice. */
export interface Workspace {
  direction: Float64Array;
  image: Float64Array;
}

export const workspaceFor = (nodes: number): Workspace => ({
  direction: new Float64Array(nodes),
  image: new Float64Array(nodes),
});

/**
 * Brings z to rest over its free nodes: conjugate gradients, each step led by a V-cycle over the coarser lattices. Ends when no node is
 * further than about `nearMm` from rest, or after `most` steps. Yields between steps.
 *
 * What a V-cycle would still change falls short of the way that is left where the coarser lattices see too little of it, at worst by the
 * smallest eigenvalue of V-cycle x stiffness; the steps so far tell that (Lanczos).
 */
export function* conjugateGradients(
  levels: readonly MultigridLevel[],
  z: Float64Array,
  room: Workspace,
  nearMm: number,
  most: number,
): Generator<undefined, void> {
  const { stiffness, rhs: residual, correction } = levels[0];
  const { direction, image } = room;
  const spectrum: Spectrum = { diagonal: [], beside: [] };
  for (const backward of [true, false]) sweepOwnRows(stiffness, z, stiffness.force, backward, SWEEPS_AT_FIRST);
  residual.fill(0);
  applyStiffness(stiffness, z, residual, stiffness.force);
  direction.fill(0);
  image.fill(0);
  let [before, strideBefore] = [0, 1];
  for (let step = 0; step < most; step++) {
    yield* cycle(levels, 0);
    const { now, furthest } = weighed(residual, correction);
    // The smallest eigenvalue is found from above, which the last step, taken all the same, makes good.
    const last = furthest < nearMm * smallestOf(spectrum);
    if (!(now > 0)) return;
    const share = step === 0 ? 0 : now / before;
    updateDirection(direction, correction, share);
    const stride = now / applyStiffness(stiffness, direction, image);
    if (!(stride > 0)) return;
    updateSolution(z, direction, residual, image, stride);
    if (last) return;
    if (step > 0) spectrum.beside.push(Math.sqrt(share) / strideBefore);
    spectrum.diagonal.push(1 / stride + share / strideBefore);
    [before, strideBefore] = [now, stride];
    yield;
  }
}

/** The product of what is left with the change that a V-cycle makes, and the furthest that any node changes. */
function weighed(residual: Float64Array, correction: Float64Array): { now: number; furthest: number } {
  let [now, furthest] = [0, 0];
  for (let n = 0; n < residual.length; n++) {
    now += residual[n] * correction[n];
    const far = Math.abs(correction[n]);
    if (far > furthest) furthest = far;
  }
  return { now, furthest };
}

function updateDirection(direction: Float64Array, correction: Float64Array, share: number): void {
  for (let n = 0; n < direction.length; n++) direction[n] = correction[n] + share * direction[n];
}

function updateSolution(
  z: Float64Array,
  direction: Float64Array,
  residual: Float64Array,
  image: Float64Array,
  stride: number,
): void {
  for (let n = 0; n < z.length; n++) {
    z[n] += stride * direction[n];
    residual[n] -= stride * image[n];
  }
}
