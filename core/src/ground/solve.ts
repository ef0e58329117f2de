import type { Grid } from '../geometry/index.ts';
import type { Bounds } from './bounds.ts';
import type { Pins } from './lattice.ts';
import { roomFor, settle } from './multigrid.ts';
import { changeHolds, holdAsBefore, holdAtBounds, thinHolds } from './pressing.ts';
import type { ShapeLine } from './shapeLines.ts';
import { clamp, refined, type Storey, storeysOf } from './storeys.ts';

/** A lattice has come to rest when its nodes are nearer than this to where they belong, mm. */
const REST_MM = 0.05;
/**
 * The most steps in each round, by the nodes of the lattice: after every round what has left its bounds is put back and held, and what
 * no longer presses is let go. Rounds cost little on coarse lattices, and there most of what is held is found.
 */
const STEPS: readonly { fromNodes: number; rounds: readonly number[] }[] = [
  { fromNodes: 90_000, rounds: [4, 2] },
  { fromNodes: 30_000, rounds: [6, 4] },
  { fromNodes: 8_000, rounds: [8, 4, 4] },
  { fromNodes: 2_000, rounds: new Array<number>(6).fill(8) },
  { fromNodes: 0, rounds: new Array<number>(10).fill(8) },
];
/** The same for a ground that was at rest before a small change: a coarse one follows a pointer and has no time to lose. */
const stepsAfter = (nodes: number): readonly number[] => (nodes < 4_000 ? [2, 1] : [4, 2]);

/**
 * The surface of least bending (with a little tension) through all lines and spots, kept within the given bounds.
 * Solved on lattices from coarse to fine, each starting from the last; on each by conjugate gradients over the nodes that are free to
 * move, led by the coarser lattices. A generator: it yields between pieces of work, so that a caller can give up an older run.
 */
export function* solveGround(
  grid: Grid,
  lines: readonly ShapeLine[],
  pins: Pins,
  bounds: Bounds,
): Generator<undefined, Float64Array> {
  const storeys = yield* storeysOf(grid, lines, pins, bounds);
  const coarsest = storeys[storeys.length - 1];
  let z: Float64Array = new Float64Array(coarsest.lattice.values.length).fill(coarsest.meanMm);
  for (let k = storeys.length - 1; k >= 0; k--) {
    if (k < storeys.length - 1) z = refined(z, storeys[k + 1].lattice, storeys[k].lattice);
    clamp(z, storeys[k].bounds);
    holdAsBefore(storeys[k], storeys[k + 1], z);
    const steps = STEPS.find(({ fromNodes }) => z.length >= fromNodes);
    yield* settleWithin(storeys.slice(k), z, steps?.rounds ?? []);
  }
  return z;
}

/** The same, taken up from heights that were at rest before a small change of the lines or bounds. */
export function* settleFrom(
  before: Float64Array,
  grid: Grid,
  lines: readonly ShapeLine[],
  pins: Pins,
  bounds: Bounds,
): Generator<undefined, Float64Array> {
  const storeys = yield* storeysOf(grid, lines, pins, bounds);
  const z = before.slice();
  clamp(z, bounds);
  holdAtBounds(storeys[0], z);
  yield* settleWithin(storeys, z, stepsAfter(z.length));
  return z;
}

/** Brings z to rest on the first of the storeys, within its bounds, beginning with the holds it has. */
function* settleWithin(
  storeys: readonly Storey[],
  z: Float64Array,
  steps: readonly number[],
): Generator<undefined, void> {
  const [{ bounds, level }] = storeys;
  const levels = storeys.map((storey) => storey.level);
  const room = roomFor(z.length);
  for (let round = 0; round < steps.length; round++) {
    if (round > 0 && !changeHolds(storeys[0], z)) break;
    for (let k = 1; k < storeys.length; k++) thinHolds(storeys[k - 1], storeys[k]);
    yield* settle(levels, z, room, REST_MM, steps[round]);
  }
  clamp(z, bounds);
  storeys[0].pressed = level.held.slice();
}
