/**
 * The stiffness matrix of least bending (13-point stencil of the biharmonic operator, 5-point of tension, rows of their own near edges,
 * creases and constraints), its products and Gauss-Seidel sweeps.
 */
import type { Constraints } from './constraints.ts';
import { addBending, addTension, type Creased, inWindow, REACH, specialNodes, WINDOW } from './creases.ts';

/** How hard pins hold, against bending at weight 1: those between nodes, and those that carry ground on straight to a line (hinges). */
export interface Hold {
  pin: number;
  hinge: number;
}

/** A crease of 1 mm a cell gives way by about a hundredth of a millimetre. */
export const FIRM: Hold = { pin: 250, hinge: 250 };
/**
 * On coarser lattices, which only lead to the finest: softer, hinges most of all. A coarse lattice has few nodes to turn about a winding line
 * with; hinges as hard as the finest's lock it there, and the steps to rest are twice as many (tried from 0.03 to 1 times).
 */
export const YIELDING: Hold = { pin: 100, hinge: 20 };

/**
 * The energy that the ground makes least, as a matrix: bending (sum of squared second differences) plus tension (squared first
 * differences), each with the weight of its region, plus the pins. Differences exist only inside the lattice, which is the natural condition
 * at a free edge; no bending acts across the rim of a flat or a line where the ground may fold (the crest and the toe of a bench are
 * creases), and nothing acts across a break. Held nodes have no row. Most of the others have the same thirteen-point stencil as their
 * neighbours and stand in runs; those near an edge, a crease or a pin have a row of their own.
 */
export interface Stiffness {
  columns: number;
  rows: number;
  /** Runs of nodes in one lattice row with the plain stencil: first node and the node after the last, pair by pair, in order. */
  runs: Int32Array;
  /** Weights of bending and tension (per cell) of each run. */
  runBend: Float64Array;
  runPull: Float64Array;
  /** 0 for a node in a run or a held one, else 1 + the number of its own row. */
  own: Int32Array;
  /** The nodes with rows of their own, in order: row r is that of ownNodes[r]. */
  ownNodes: Int32Array;
  starts: Int32Array;
  nodes: Int32Array;
  weights: Float64Array;
  /** The own rows' weights of the node itself, which are not among `weights`. */
  diagonal: Float64Array;
  /** Where in each lattice row its runs and its own rows begin; one more for the end. */
  runsFrom: Int32Array;
  ownFrom: Int32Array;
  /** Nodes that a pin ties two and two. */
  pairs: Pairs;
  /** What the pins' heights pull with: the right-hand side. */
  force: Float64Array;
}

/** Pairs of own rows, each with what the two weigh on one another and the inverse of their determinant. */
interface Pairs {
  /** Two rows a pair. */
  rows: Int32Array;
  ties: Float64Array;
  inverses: Float64Array;
}

const centreOf = (bend: number, pull: number) => 20 * bend + 4 * pull;
const sideOf = (bend: number, pull: number) => 8 * bend + pull;

/** The stiffness of a lattice; nodes that are `held` do not move. Yields between pieces of work. */
export function* stiffnessOf(
  creased: Creased,
  held: Uint8Array,
  pins: Constraints,
  hold: Hold,
): Generator<undefined, Stiffness> {
  const { columns, rows, label, bend, pull } = creased;
  const special = specialNodes(creased);
  yield;
  const own = new Int32Array(columns * rows);
  for (let k = 0; k < pins.nodes.length; k++)
    if (pins.weights[k] !== 0 && !special[pins.nodes[k]]) special[pins.nodes[k]] = 2;
  let count = 0;
  for (let n = 0; n < own.length; n++) if (special[n] && !held[n]) own[n] = ++count;
  const windows = new Float64Array(count * WINDOW * WINDOW);
  for (let n = 0; n < own.length; n++) {
    if (!own[n]) continue;
    const window = windows.subarray((own[n] - 1) * WINDOW * WINDOW, own[n] * WINDOW * WINDOW);
    if (special[n] === 2) plainRow(window, bend[label[n]], pull[label[n]]);
    else {
      const i = n % columns;
      const j = (n - i) / columns;
      addBending(creased, window, i, j);
      addTension(creased, window, i, j);
    }
  }
  yield;
  const ownNodes = new Int32Array(count);
  for (let n = 0; n < own.length; n++) if (own[n]) ownNodes[own[n] - 1] = n;
  const force = new Float64Array(own.length);
  addPins(pins, hold, creased, own, windows, force);
  yield;
  const runs = runsOf(creased, own, held);
  yield;
  return {
    columns,
    rows,
    own,
    ownNodes,
    force,
    ...runs,
    runsFrom: firstInRow(runs.runs, 2, columns, rows),
    ownFrom: firstInRow(ownNodes, 1, columns, rows),
    pairs: pairsOf(pins, own, columns, windows),
    ...ownRows(own, columns, windows, count),
  };
}

/** Of ascending node numbers, every `stride`-th one counted: how many stand before each lattice row. */
function firstInRow(nodes: Int32Array, stride: number, columns: number, rows: number): Int32Array {
  const from = new Int32Array(rows + 1);
  const count = nodes.length / stride;
  for (let j = 1, k = 0; j <= rows; j++) {
    while (k < count && nodes[k * stride] < j * columns) k++;
    from[j] = k;
  }
  return from;
}

/** The runs of free nodes with the plain stencil. Nodes within REACH of the edge have rows of their own, so that no run leaves its lattice row. */
function runsOf({ label, bend, pull }: Creased, own: Int32Array, held: Uint8Array) {
  const runs: number[] = [];
  const bends: number[] = [];
  const pulls: number[] = [];
  for (let n = 0, from = 0; n <= own.length; n++) {
    const plain = n < own.length && own[n] === 0 && held[n] === 0;
    if (plain && (n === from || label[n] === label[from])) continue;
    if (n > from) {
      runs.push(from, n);
      bends.push(bend[label[from]]);
      pulls.push(pull[label[from]]);
    }
    from = plain ? n : n + 1;
  }
  return { runs: Int32Array.from(runs), runBend: Float64Array.from(bends), runPull: Float64Array.from(pulls) };
}

function plainRow(window: Float64Array, bend: number, pull: number): void {
  window[inWindow(0, 0)] = centreOf(bend, pull);
  for (const [di, dj] of [
    [1, 0],
    [0, 1],
  ]) {
    window[inWindow(di, dj)] = window[inWindow(-di, -dj)] = -sideOf(bend, pull);
    window[inWindow(2 * di, 2 * dj)] = window[inWindow(-2 * di, -2 * dj)] = bend;
    window[inWindow(di + dj, dj - di)] = window[inWindow(-di - dj, di - dj)] = 2 * bend;
  }
}

function addPins(
  pins: Constraints,
  { pin, hinge }: Hold,
  { columns, label, pull }: Creased,
  own: Int32Array,
  windows: Float64Array,
  force: Float64Array,
): void {
  const { nodes, weights, heights } = pins;
  for (let k = 0; k < heights.length; k++) {
    // Where tension is strong, as on a coarse lattice, pins are as much stronger.
    let strongest = 0;
    for (let a = 4 * k; a < 4 * k + 4; a++)
      if (weights[a] !== 0 && own[nodes[a]] !== 0) strongest = Math.max(strongest, pull[label[nodes[a]]]);
    const hold = (Math.min(weights[4 * k], weights[4 * k + 1]) < 0 ? hinge : pin) * (1 + strongest);
    for (let a = 4 * k; a < 4 * k + 4; a++) {
      const n = nodes[a];
      if (weights[a] === 0 || own[n] === 0) continue;
      force[n] += hold * weights[a] * heights[k];
      for (let b = 4 * k; b < 4 * k + 4; b++) {
        if (weights[b] === 0) continue;
        const dj = Math.round((nodes[b] - n) / columns);
        windows[(own[n] - 1) * WINDOW * WINDOW + inWindow(nodes[b] - n - dj * columns, dj)] +=
          hold * weights[a] * weights[b];
      }
    }
  }
}

/** In the order of their rows: a sweep over them then goes through the lattice, and what it needs is at hand. */
function pairsOf({ nodes, weights }: Constraints, own: Int32Array, columns: number, windows: Float64Array): Pairs {
  const size = WINDOW * WINDOW;
  const middle = inWindow(0, 0);
  const pairs: { rowA: number; rowB: number; tie: number }[] = [];
  for (let p = 0; p < nodes.length; p += 4) {
    if (weights[p] === 0 || weights[p + 1] === 0 || weights[p + 2] !== 0 || weights[p + 3] !== 0) continue;
    const [a, b] = [Math.min(nodes[p], nodes[p + 1]), Math.max(nodes[p], nodes[p + 1])];
    if (a === b || !own[a] || !own[b]) continue;
    const dj = Math.round((b - a) / columns);
    const tie = windows[(own[a] - 1) * size + inWindow(b - a - dj * columns, dj)];
    pairs.push({ rowA: own[a] - 1, rowB: own[b] - 1, tie });
  }
  pairs.sort((one, other) => one.rowA - other.rowA || one.rowB - other.rowB);
  const onItself = (row: number) => windows[row * size + middle];
  return {
    rows: Int32Array.from(pairs.flatMap(({ rowA, rowB }) => [rowA, rowB])),
    ties: Float64Array.from(pairs, ({ tie }) => tie),
    inverses: Float64Array.from(pairs, ({ rowA, rowB, tie }) => 1 / (onItself(rowA) * onItself(rowB) - tie * tie)),
  };
}

/** The windows packed into rows without their zeros. */
function ownRows(own: Int32Array, columns: number, windows: Float64Array, count: number) {
  const size = WINDOW * WINDOW;
  const middle = inWindow(0, 0);
  let filled = 0;
  for (let w = 0; w < windows.length; w++) if (windows[w] !== 0 && w % size !== middle) filled++;
  const starts = new Int32Array(count + 1);
  const nodes = new Int32Array(filled);
  const weights = new Float64Array(filled);
  const diagonal = new Float64Array(count);
  let s = 0;
  for (let n = 0; n < own.length; n++) {
    if (own[n] === 0) continue;
    const from = (own[n] - 1) * size;
    diagonal[own[n] - 1] = windows[from + middle];
    for (let w = 0; w < size; w++) {
      if (windows[from + w] === 0 || w === middle) continue;
      nodes[s] = n + (Math.floor(w / WINDOW) - REACH) * columns + (w % WINDOW) - REACH;
      weights[s++] = windows[from + w];
    }
    starts[own[n]] = s;
  }
  return { starts, nodes, weights, diagonal };
}

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
