/**
 * Products of the stiffness matrix and relaxation sweeps with it (Gauss-Seidel, successively over-relaxed), over runs of the plain 13-point
 * stencil and over rows of their own: what the multigrid cycle smooths with. Heights in mm.
 */
import { REACH } from './creases.ts';
import { centreOf, type Stiffness, sideOf } from './stiffness.ts';

/**
 * How far each node goes past what its row asks of it: in runs, and with a row of its own. Tried over seven grounds: with these the steps to
 * rest fall by a third to a half on those that take most (harder ones overshoot where lines meet edges).
 */
const RELAXATION = 1.2;
const RELAXATION_OF_OWN = 1.4;

/**
 * out = the stiffness times z: half the energy's gradient, without the pins' pull. With `rhs`: what z leaves of it, rhs - stiffness x z.
 * Held nodes are left as they are in `out`. Returns z x stiffness x z, twice the energy of z but for the pins' pull.
 */
export function applyStiffness(
  stiffness: Stiffness,
  z: Float64Array,
  out: Float64Array,
  rhs: Float64Array | null = null,
): number {
  let energy = 0;
  const { columns, runs, runBend, runPull, ownNodes, starts, nodes, weights, diagonal } = stiffness;
  const two = 2 * columns;
  for (let r = 0; r < runBend.length; r++) {
    const first = runs[2 * r];
    const end = runs[2 * r + 1];
    const bend = runBend[r];
    const centre = centreOf(bend, runPull[r]);
    const side = sideOf(bend, runPull[r]);
    const twist = 2 * bend;
    // What is carried along the lattice row is read once.
    let [left2, left, here, right] = [z[first - 2], z[first - 1], z[first], z[first + 1]];
    let [nearLeft, near, awayLeft, away] = [
      z[first - columns - 1],
      z[first - columns],
      z[first + columns - 1],
      z[first + columns],
    ];
    for (let n = first; n < end; n++) {
      const right2 = z[n + 2];
      const nearRight = z[n - columns + 1];
      const awayRight = z[n + columns + 1];
      const image =
        centre * here -
        side * (left + right + near + away) +
        twist * (nearLeft + nearRight + awayLeft + awayRight) +
        bend * (left2 + right2 + z[n - two] + z[n + two]);
      out[n] = rhs ? rhs[n] - image : image;
      energy += here * image;
      left2 = left;
      left = here;
      here = right;
      right = right2;
      nearLeft = near;
      near = nearRight;
      awayLeft = away;
      away = awayRight;
    }
  }
  for (let row = 0; row < ownNodes.length; row++) {
    const n = ownNodes[row];
    let sum = diagonal[row] * z[n];
    for (let s = starts[row]; s < starts[row + 1]; s++) sum += weights[s] * z[nodes[s]];
    out[n] = rhs ? rhs[n] - sum : sum;
    energy += z[n] * sum;
  }
  return energy;
}

/** Nodes with rows of their own, from row `first` by `step` up to `end`, each brought to what its row asks of it and as much beyond as is set. */
function setByOwnRows(
  {
    ownNodes,
    starts,
    nodes,
    weights,
    diagonal,
  }: Pick<Stiffness, 'ownNodes' | 'starts' | 'nodes' | 'weights' | 'diagonal'>,
  z: Float64Array,
  rhs: Float64Array,
  first: number,
  end: number,
  step: 1 | -1,
): void {
  for (let row = first; row !== end; row += step) {
    const n = ownNodes[row];
    let sum = rhs[n];
    const last = starts[row + 1];
    for (let s = starts[row]; s < last; s++) sum -= weights[s] * z[nodes[s]];
    z[n] += RELAXATION_OF_OWN * (sum / diagonal[row] - z[n]);
  }
}

/**
 * Both nodes of each hinge set at once to what their rows ask of them (block Gauss-Seidel), `times` over: it ties them so hard that one by
 * one they would never turn about it. A pair stands in two lattice rows, so each sweep keeps two rows more behind the one before than a row
 * reaches.
 */
export function sweepPairs(
  stiffness: Stiffness,
  z: Float64Array,
  rhs: Float64Array,
  backward: boolean,
  times: number,
): void {
  const { rows, pairs } = stiffness;
  const behind = REACH + 2;
  for (let t = 0; t < rows + behind * (times - 1); t++)
    for (let s = 0, j = t; s < times && j >= 0; s++, j -= behind) {
      if (j >= rows) continue;
      if (backward) setPairs(stiffness, z, rhs, pairs.from[rows - j] - 1, pairs.from[rows - 1 - j] - 1, -1);
      else setPairs(stiffness, z, rhs, pairs.from[j], pairs.from[j + 1], 1);
    }
}

function setPairs(
  { pairs, ownNodes, starts, nodes, weights, diagonal }: Stiffness,
  z: Float64Array,
  rhs: Float64Array,
  first: number,
  end: number,
  step: 1 | -1,
): void {
  for (let k = first; k !== end; k += step) {
    const rowA = pairs.rows[2 * k];
    const rowB = pairs.rows[2 * k + 1];
    const tie = pairs.ties[k];
    const a = ownNodes[rowA];
    const b = ownNodes[rowB];
    let restA = rhs[a] - diagonal[rowA] * z[a];
    let restB = rhs[b] - diagonal[rowB] * z[b];
    const endA = starts[rowA + 1];
    const endB = starts[rowB + 1];
    for (let s = starts[rowA]; s < endA; s++) restA -= weights[s] * z[nodes[s]];
    for (let s = starts[rowB]; s < endB; s++) restB -= weights[s] * z[nodes[s]];
    z[a] += (restA * diagonal[rowB] - tie * restB) * pairs.inverses[k];
    z[b] += (diagonal[rowA] * restB - tie * restA) * pairs.inverses[k];
  }
}

/**
 * Each free node in turn brought to what its row asks of it, twice over, forward or backward through the lattice. The second sweep follows
 * the first as far behind as a row reaches, so that heights are still at hand when they are needed again.
 */
export function sweepTwice(stiffness: Stiffness, z: Float64Array, rhs: Float64Array, backward: boolean): void {
  const { rows } = stiffness;
  for (let t = 0; t < rows + REACH; t++)
    for (let j = t; j >= 0 && j >= t - REACH; j -= REACH)
      if (j < rows) sweepRow(stiffness, z, rhs, backward ? rows - 1 - j : j, backward);
}

/** The same for the nodes with rows of their own alone, `times` over, each sweep following the one before. */
export function sweepOwnRows(
  stiffness: Stiffness,
  z: Float64Array,
  rhs: Float64Array,
  backward: boolean,
  times: number,
): void {
  const { rows, ownFrom } = stiffness;
  for (let t = 0; t < rows + REACH * (times - 1); t++)
    for (let s = 0, j = t; s < times && j >= 0; s++, j -= REACH) {
      if (j >= rows) continue;
      if (backward) setByOwnRows(stiffness, z, rhs, ownFrom[rows - j] - 1, ownFrom[rows - 1 - j] - 1, -1);
      else setByOwnRows(stiffness, z, rhs, ownFrom[j], ownFrom[j + 1], 1);
    }
}

/** One lattice row: its runs, and between them the nodes with rows of their own. */
function sweepRow(stiffness: Stiffness, z: Float64Array, rhs: Float64Array, j: number, backward: boolean): void {
  const { runs, runsFrom, ownNodes, ownFrom } = stiffness;
  if (backward) {
    let row = ownFrom[j + 1] - 1;
    for (let run = runsFrom[j + 1] - 1; run >= runsFrom[j]; run--) {
      const after = row;
      while (row >= ownFrom[j] && ownNodes[row] >= runs[2 * run]) row--;
      setByOwnRows(stiffness, z, rhs, after, row, -1);
      sweepRun(stiffness, z, rhs, run, -1);
    }
    setByOwnRows(stiffness, z, rhs, row, ownFrom[j] - 1, -1);
    return;
  }
  let row = ownFrom[j];
  for (let run = runsFrom[j]; run < runsFrom[j + 1]; run++) {
    const before = row;
    while (row < ownFrom[j + 1] && ownNodes[row] < runs[2 * run]) row++;
    setByOwnRows(stiffness, z, rhs, before, row, 1);
    sweepRun(stiffness, z, rhs, run, 1);
  }
  setByOwnRows(stiffness, z, rhs, row, ownFrom[j + 1], 1);
}

/**
 * A run, forward or backward; "before" is the side the sweep comes from. What is carried along is read once; what waits for the node before
 * comes last.
 */
function sweepRun(
  { columns, runs, runBend, runPull }: Stiffness,
  z: Float64Array,
  rhs: Float64Array,
  run: number,
  step: 1 | -1,
): void {
  const two = 2 * columns;
  const [from, to] = [runs[2 * run], runs[2 * run + 1]];
  const bend = runBend[run];
  const inverse = RELAXATION / centreOf(bend, runPull[run]);
  const stays = 1 - RELAXATION;
  const pull = sideOf(bend, runPull[run]) * inverse;
  const twist = 2 * bend * inverse;
  const far = bend * inverse;
  const first = step > 0 ? from : to - 1;
  const end = step > 0 ? to : from - 1;
  let [before2, before, was, after] = [z[first - 2 * step], z[first - step], z[first], z[first + step]];
  let [nearBefore, near] = [z[first - columns - step], z[first - columns]];
  let [awayBefore, away] = [z[first + columns - step], z[first + columns]];
  for (let n = first; n !== end; n += step) {
    const after2 = z[n + 2 * step];
    const nearAfter = z[n - columns + step];
    const awayAfter = z[n + columns + step];
    const others =
      rhs[n] * inverse +
      stays * was +
      pull * (after + near + away) -
      twist * (nearBefore + nearAfter + awayBefore + awayAfter) -
      far * (after2 + z[n - two] + z[n + two]);
    const here = others - far * before2 + pull * before;
    z[n] = here;
    before2 = before;
    before = here;
    was = after;
    after = after2;
    nearBefore = near;
    near = nearAfter;
    awayBefore = away;
    away = awayAfter;
  }
}
