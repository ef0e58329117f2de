/**
 * The stiffness matrix of least bending (13-point stencil of the biharmonic operator, 5-point of tension, rows of their own near edges,
 * creases and constraints).
 */
import type { Constraints } from './constraints.ts';
import { addBending, addTension, type Creased, inWindow, REACH, specialNodes, WINDOW } from './creases.ts';

/** How hard pins hold, against bending at weight 1: those between nodes, and those that carry ground on straight to a line (hinges). */
export interface Hold {
  pin: number;
  hinge: number;
}

/** So many rows of their own are filled between two yields. */
const ROWS_EACH = 6000;
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
  /** Nodes that a hinge ties two and two. */
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
  /** Where the pairs of each lattice row begin (that of their first node); one more for the end. */
  from: Int32Array;
}

export const centreOf = (bend: number, pull: number) => 20 * bend + 4 * pull;
export const sideOf = (bend: number, pull: number) => 8 * bend + pull;

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
    if (own[n] % ROWS_EACH === 0) yield;
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
    pairs: pairsOf(pins, own, columns, rows, windows),
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

/** The pairs that hinges tie, in the order of their rows: a sweep over them then goes through the lattice, and what it needs is at hand. */
function pairsOf(
  { nodes, weights }: Constraints,
  own: Int32Array,
  columns: number,
  rows: number,
  windows: Float64Array,
): Pairs {
  const size = WINDOW * WINDOW;
  const middle = inWindow(0, 0);
  const pairs: { a: number; rowA: number; rowB: number; tie: number }[] = [];
  for (let p = 0; p < nodes.length; p += 4) {
    if (weights[p] === 0 || weights[p + 1] === 0 || weights[p + 2] !== 0 || weights[p + 3] !== 0) continue;
    // Other pins hold two nodes alike, which one after another is soon enough.
    if (weights[p] * weights[p + 1] > 0) continue;
    const [a, b] = [Math.min(nodes[p], nodes[p + 1]), Math.max(nodes[p], nodes[p + 1])];
    if (a === b || !own[a] || !own[b]) continue;
    const dj = Math.round((b - a) / columns);
    const tie = windows[(own[a] - 1) * size + inWindow(b - a - dj * columns, dj)];
    pairs.push({ a, rowA: own[a] - 1, rowB: own[b] - 1, tie });
  }
  pairs.sort((one, other) => one.rowA - other.rowA || one.rowB - other.rowB);
  const onItself = (row: number) => windows[row * size + middle];
  return {
    rows: Int32Array.from(pairs.flatMap(({ rowA, rowB }) => [rowA, rowB])),
    ties: Float64Array.from(pairs, ({ tie }) => tie),
    inverses: Float64Array.from(pairs, ({ rowA, rowB, tie }) => 1 / (onItself(rowA) * onItself(rowB) - tie * tie)),
    from: firstInRow(
      Int32Array.from(pairs, ({ a }) => a),
      1,
      columns,
      rows,
    ),
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
