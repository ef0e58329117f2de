/**
 * Least bending through all lines and spots by full multigrid: coarse to fine, each lattice starting from the last, with regions drawn
 * straighter (tension) where they pass their lines.
 */
import type { Grid } from '../geometry/index.ts';
import type { Constraints } from './constraints.ts';
import {
  type GridLevel,
  gridLevelsOf,
  holdStill,
  interpolated,
  multigridLevelOf,
  multigridLevelsOf,
} from './gridLevels.ts';
import { conjugateGradients, type MultigridLevel, workspaceFor } from './multigrid.ts';
import type { Regions, Rule } from './regions.ts';
import type { ShapeLine } from './shapeLines.ts';

/** A lattice has come to rest when its nodes are nearer than this to where they belong, mm. */
const REST_MM = 0.016;
/** One that only leads to a finer one need not be as near. */
const REST_ON_THE_WAY_MM = 0.4;
/** The most steps to rest: far more than are ever needed, so that bad luck ends. */
const MOST_STEPS = 60;
/** Ground between lines may pass their heights by less than this, mm. */
const SLACK_MM = 0.1;
/** The first length over which a region that passes its lines is made to bend, mm; halved until it no longer does, or is as good as straight. */
const FIRST_LENGTH_MM = 64;
const LEAST_LENGTH_MM = 1;
/** How often a lattice is drawn straighter, by its nodes: most is found on coarse ones. */
const ROUNDS: readonly { fromNodes: number; rounds: number }[] = [
  { fromNodes: 60_000, rounds: 1 },
  { fromNodes: 15_000, rounds: 2 },
  { fromNodes: 5_000, rounds: 4 },
  { fromNodes: 1_500, rounds: 7 },
  { fromNodes: 0, rounds: 0 },
];
/** A ground that was at rest before a small change: a coarse one follows a pointer and has no time to lose. */
const stepsAfter = (nodes: number): number => (nodes < 4_000 ? 3 : 6);

/** A solved surface, before it is rounded over; and how straight each region is drawn. */
export interface Surface {
  z: Float64Array;
  /** Over which length each region bends, mm; infinite where it bends as it likes. */
  bendLengthMm: Float64Array;
}

/**
 * The surface of least bending through all lines and spots. Where it would pass the heights of the lines that border a region, that region
 * is drawn straighter (tension beside bending, over a length that is halved until it does no longer): a plate turns into a membrane, which
 * never passes its rim. Solved on lattices from coarse to fine, each starting from the last; on each by conjugate gradients over the nodes
 * that are free to move, led by the coarser lattices. A generator: it yields between pieces of work, so that a caller can give up an older
 * run.
 */
export function* solveGround(
  grid: Grid,
  lines: readonly ShapeLine[],
  pins: Constraints,
  regions: Regions,
): Generator<undefined, Surface> {
  const gridLevels = yield* gridLevelsOf(grid, lines, pins, regions);
  const coarsest = gridLevels[gridLevels.length - 1];
  const bendLengthMm = new Float64Array(regions.rules.length).fill(Number.POSITIVE_INFINITY);
  // Finest first; a lattice is made stiff when it is reached.
  let levels: MultigridLevel[] = [];
  let z: Float64Array = new Float64Array(coarsest.lattice.values.length).fill(coarsest.meanMm);
  for (let k = gridLevels.length - 1; k >= 0; k--) {
    if (k < gridLevels.length - 1) z = interpolated(z, gridLevels[k + 1].lattice, gridLevels[k].lattice);
    holdStill(z, gridLevels[k].regions);
    levels = [yield* multigridLevelOf(gridLevels[k], bendLengthMm, grid.cellMm), ...levels];
    const room = workspaceFor(z.length);
    const rounds = ROUNDS.find(({ fromNodes }) => z.length >= fromNodes)?.rounds ?? 0;
    for (let round = 0; ; round++) {
      yield* conjugateGradients(levels, z, room, k ? REST_ON_THE_WAY_MM : REST_MM, MOST_STEPS);
      if (round === rounds || !straighten(gridLevels[k], grid, regions.rules, z, bendLengthMm)) break;
      levels = yield* multigridLevelsOf(gridLevels.slice(k), bendLengthMm, grid.cellMm);
    }
  }
  const { datumMm } = gridLevels[0];
  for (let n = 0; n < z.length; n++) z[n] += datumMm;
  return { z, bendLengthMm };
}

/** The same, taken up from a surface that was at rest before a small change of the lines; each region is drawn as straight as it was. */
export function* solveFrom(
  before: Surface,
  grid: Grid,
  lines: readonly ShapeLine[],
  pins: Constraints,
  regions: Regions,
): Generator<undefined, Float64Array> {
  const gridLevels = yield* gridLevelsOf(grid, lines, pins, regions);
  const [{ datumMm, regions: held }] = gridLevels;
  const z = before.z.map((height) => height - datumMm);
  holdStill(z, held);
  const levels = yield* multigridLevelsOf(gridLevels, before.bendLengthMm, grid.cellMm);
  yield* conjugateGradients(levels, z, workspaceFor(z.length), REST_MM, stepsAfter(z.length));
  for (let n = 0; n < z.length; n++) z[n] += datumMm;
  return z;
}

/** Draws regions straighter that pass the heights of their lines. False when none does. */
function straighten(
  { datumMm, lattice, regions: { label }, flat, pins }: GridLevel,
  base: Grid,
  rules: readonly Rule[],
  z: Float64Array,
  bendLengthMm: Float64Array,
): boolean {
  const past = new Float64Array(rules.length);
  const { columns, rows } = lattice;
  const stride = lattice.cellMm / base.cellMm;
  const beside = besideMarks(pins, columns);
  for (let j = 0; j < rows && j * stride < base.rows; j++)
    for (let i = 0; i < columns && i * stride < base.columns; i++) {
      const n = j * columns + i;
      const rule = rules[label[n]];
      if (rule.kind !== 'between' || flat[n]) continue;
      const height = z[n] + datumMm;
      const by = Math.max(rule.lowMm - height, height - rule.highMm);
      if (by > past[label[n]] && !beside[n]) past[label[n]] = by;
    }
  let changed = false;
  for (let r = 0; r < rules.length; r++) {
    if (past[r] <= SLACK_MM || bendLengthMm[r] <= LEAST_LENGTH_MM) continue;

    bendLengthMm[r] = bendLengthMm[r] === Number.POSITIVE_INFINITY ? FIRST_LENGTH_MM : bendLengthMm[r] / 2;
    changed = true;
  }
  return changed;
}

/** 1 for nodes that lines and spots pin, and for their neighbours: they are only as near to a line as their cell. */
function besideMarks({ nodes, weights, blocked }: Constraints, columns: number): Uint8Array {
  const beside = new Uint8Array(blocked.length);
  for (let k = 0; k < nodes.length; k++)
    if (weights[k] !== 0)
      for (const step of [0, -1, 1, -columns, columns]) if (beside[nodes[k] + step] === 0) beside[nodes[k] + step] = 1;
  return beside;
}
