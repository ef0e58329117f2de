/**
 * Products of the stiffness matrix and Gauss-Seidel sweeps with it, over runs of the plain 13-point stencil and over rows of their own: what
 * the multigrid cycle smooths with. Heights in mm.
 */
import { REACH } from './creases.ts';
import { centreOf, type Stiffness, sideOf } from './stiffness.ts';

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

/** Nodes with rows of their own, from row `first` by `step` up to `end`, each set to what its row asks of it. */
function setByOwnRows(
  { ownNodes, starts, nodes, weights, diagonal }: Stiffness,
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
    z[n] = sum / diagonal[row];
  }
}

/**
 * Both nodes of each pin set at once to what their rows ask of them (block Gauss-Seidel): a pin ties them so hard that one by one they
 * would never turn about it.
 */
export function sweepPairs(stiffness: Stiffness, z: Float64Array, rhs: Float64Array, backward: boolean): void {
  const { pairs, ownNodes, starts, nodes, weights, diagonal } = stiffness;
  const count = pairs.ties.length;
  for (let q = 0; q < count; q++) {
    const k = backward ? count - 1 - q : q;
    const [rowA, rowB, tie] = [pairs.rows[2 * k], pairs.rows[2 * k + 1], pairs.ties[k]];
    const [a, b] = [ownNodes[rowA], ownNodes[rowB]];
    let restA = rhs[a] - diagonal[rowA] * z[a];
    let restB = rhs[b] - diagonal[rowB] * z[b];
    for (let s = starts[rowA]; s < starts[rowA + 1]; s++) restA -= weights[s] * z[nodes[s]];
    for (let s = starts[rowB]; s < starts[rowB + 1]; s++) restB -= weights[s] * z[nodes[s]];
    z[a] += (restA * diagonal[rowB] - tie * restB) * pairs.inverses[k];
    z[b] += (diagonal[rowA] * restB - tie * restA) * pairs.inverses[k];
  }
}

/**
 * Each free node in turn set to what its row asks of it (Gauss-Seidel), twice over, forward or backward through the lattice. The second
 * sweep follows the first two lattice rows behind, as far as a row reaches, so that heights are still at hand when they are needed again.
 */
export function sweepTwice(stiffness: Stiffness, z: Float64Array, rhs: Float64Array, backward: boolean): void {
  const { rows } = stiffness;
  for (let t = 0; t < rows + REACH; t++) {
    if (t < rows) sweepRow(stiffness, z, rhs, backward ? rows - 1 - t : t, backward);
    const again = t - REACH;
    if (again >= 0) sweepRow(stiffness, z, rhs, backward ? rows - 1 - again : again, backward);
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

/** The same for the nodes with rows of their own alone. */
export function sweepOwnRows(stiffness: Stiffness, z: Float64Array, rhs: Float64Array, backward: boolean): void {
  const count = stiffness.ownNodes.length;
  if (backward) setByOwnRows(stiffness, z, rhs, count - 1, -1, -1);
  else setByOwnRows(stiffness, z, rhs, 0, count, 1);
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
  const inverse = 1 / centreOf(bend, runPull[run]);
  const pull = sideOf(bend, runPull[run]) * inverse;
  const twist = 2 * bend * inverse;
  const far = bend * inverse;
  const first = step > 0 ? from : to - 1;
  const end = step > 0 ? to : from - 1;
  let [before2, before, after] = [z[first - 2 * step], z[first - step], z[first + step]];
  let [nearBefore, near] = [z[first - columns - step], z[first - columns]];
  let [awayBefore, away] = [z[first + columns - step], z[first + columns]];
  for (let n = first; n !== end; n += step) {
    const after2 = z[n + 2 * step];
    const nearAfter = z[n - columns + step];
    const awayAfter = z[n + columns + step];
    const others =
      rhs[n] * inverse +
      pull * (after + near + away) -
      twist * (nearBefore + nearAfter + awayBefore + awayAfter) -
      far * (after2 + z[n - two] + z[n + two]);
    const here = others - far * before2 + pull * before;
    z[n] = here;
    before2 = before;
    before = here;
    after = after2;
    nearBefore = near;
    near = nearAfter;
    awayBefore = away;
    away = awayAfter;
  }
}
