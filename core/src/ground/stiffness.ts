import { addBending, addTension, type Creased, inWindow, REACH, specialNodes, WINDOW } from './creases.ts';
import type { Pins } from './lattice.ts';

/** How hard a pin holds, against bending at weight 1: a crease of 1 mm a cell gives way by about a hundredth of a millimetre. */
const PIN_WEIGHT = 200;

/**
 * The energy that the ground makes least, as a matrix: bending (sum of squared second differences) plus tension (squared first
 * differences) plus the pins. Differences exist only inside the lattice, which is the natural condition at a free edge; no bending acts
 * across the rim of a flat or a line where the ground may fold (the crest and the toe of a bench are creases), and nothing acts across
 * a break. Most nodes have the same row of thirteen; the others (near an edge, a crease or a pin) have one of their own.
 */
export interface Stiffness {
  columns: number;
  rows: number;
  /** Weight of the node itself, of its neighbour beside it, in a plain row. */
  centre: number;
  side: number;
  /** 0 for a node with a plain row, else 1 + the number of its own row. */
  own: Int32Array;
  starts: Int32Array;
  nodes: Int32Array;
  weights: Float64Array;
  /** The own rows' weights of the node itself, which are not among `weights`. */
  diagonal: Float64Array;
  /** What the pins' heights pull with: the right-hand side. */
  force: Float64Array;
}

/** The stiffness of a lattice. `tension` is per cell: the tension per mm2 times the cell's area. */
export function stiffnessOf(creased: Creased, tension: number, pins: Pins): Stiffness {
  const { columns, rows } = creased;
  const centre = 20 + 4 * tension;
  const side = 8 + tension;
  const special = specialNodes(creased);
  const own = new Int32Array(columns * rows);
  for (let k = 0; k < pins.nodes.length; k++)
    if (pins.weights[k] !== 0 && !special[pins.nodes[k]]) special[pins.nodes[k]] = 2;
  let count = 0;
  for (let n = 0; n < own.length; n++) if (special[n]) own[n] = ++count;
  const windows = new Float64Array(count * WINDOW * WINDOW);
  for (let n = 0; n < own.length; n++) {
    if (!special[n]) continue;
    const window = windows.subarray((own[n] - 1) * WINDOW * WINDOW, own[n] * WINDOW * WINDOW);
    if (special[n] === 2) plainRow(window, centre, side);
    else {
      const i = n % columns;
      const j = (n - i) / columns;
      addBending(creased, window, i, j);
      addTension(creased, window, i, j, tension);
    }
  }
  const force = new Float64Array(own.length);
  addPins(pins, columns, own, windows, force);
  return { columns, rows, centre, side, own, force, ...ownRows(own, columns, windows, count) };
}

function plainRow(window: Float64Array, centre: number, side: number): void {
  window[inWindow(0, 0)] = centre;
  for (const [di, dj] of [
    [1, 0],
    [0, 1],
  ]) {
    window[inWindow(di, dj)] = window[inWindow(-di, -dj)] = -side;
    window[inWindow(2 * di, 2 * dj)] = window[inWindow(-2 * di, -2 * dj)] = 1;
    window[inWindow(di + dj, dj - di)] = window[inWindow(-di - dj, di - dj)] = 2;
  }
}

function addPins(pins: Pins, columns: number, own: Int32Array, windows: Float64Array, force: Float64Array): void {
  const { nodes, weights, heights } = pins;
  for (let k = 0; k < heights.length; k++)
    for (let a = 4 * k; a < 4 * k + 4; a++) {
      if (weights[a] === 0) continue;
      const n = nodes[a];
      const pull = PIN_WEIGHT * weights[a];
      force[n] += pull * heights[k];
      for (let b = 4 * k; b < 4 * k + 4; b++) {
        if (weights[b] === 0) continue;
        const dj = Math.round((nodes[b] - n) / columns);
        windows[(own[n] - 1) * WINDOW * WINDOW + inWindow(nodes[b] - n - dj * columns, dj)] += pull * weights[b];
      }
    }
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

/** out = the stiffness times z: half the energy's gradient, without the pins' pull. */
export function applyStiffness(stiffness: Stiffness, z: Float64Array, out: Float64Array): void {
  const { columns, rows, centre, side, own, starts, nodes, weights, diagonal } = stiffness;
  const two = 2 * columns;
  for (let j = REACH; j < rows - REACH; j++) {
    const first = j * columns + REACH;
    const end = first + columns - 2 * REACH;
    // The thirteen-point row. What is carried along the lattice row is read once.
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
      out[n] =
        centre * here -
        side * (left + right + near + away) +
        2 * (nearLeft + nearRight + awayLeft + awayRight) +
        (left2 + right2 + z[n - two] + z[n + two]);
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
  for (let n = 0; n < own.length; n++) {
    const row = own[n];
    if (row === 0) continue;
    let sum = diagonal[row - 1] * z[n];
    for (let s = starts[row - 1]; s < starts[row]; s++) sum += weights[s] * z[nodes[s]];
    out[n] = sum;
  }
}

/** The node set to what its own row asks of it. */
function setByOwnRow(stiffness: Stiffness, z: Float64Array, wanted: Float64Array, n: number): void {
  const { own, starts, nodes, weights, diagonal } = stiffness;
  const row = own[n];
  let sum = wanted[n];
  for (let s = starts[row - 1]; s < starts[row]; s++) sum -= weights[s] * z[nodes[s]];
  z[n] = sum / diagonal[row - 1];
}

/** A stretch of free nodes with plain rows is swept as one when it has at least this many; shorter ones are not worth the setting up. */
const SHORTEST_STRETCH = 6;

/** The stretches of a lattice that are swept as one: first node and the node after the last, pair by pair, in order. */
export function plainStretches({ own }: Stiffness, held: Uint8Array): Int32Array {
  const stretches: number[] = [];
  for (let n = 0, from = 0; n <= own.length; n++) {
    if (n < own.length && own[n] === 0 && held[n] === 0) continue;
    if (n - from >= SHORTEST_STRETCH) stretches.push(from, n);
    from = n + 1;
  }
  return Int32Array.from(stretches);
}

/**
 * Each node in turn set to what its row asks of it (Gauss-Seidel), forward or backward through the lattice; held nodes stay. `stretches`
 * are the lattice's `plainStretches` under these holds. Rows within REACH of the edge are never plain, so that no stretch leaves its row.
 */
export function sweep(
  stiffness: Stiffness,
  held: Uint8Array,
  stretches: Int32Array,
  z: Float64Array,
  wanted: Float64Array,
  backward: boolean,
): void {
  const count = stretches.length;
  if (backward) {
    let n = z.length - 1;
    for (let s = count - 2; s >= 0; s -= 2) {
      for (; n >= stretches[s + 1]; n--) if (held[n] === 0) setByRow(stiffness, z, wanted, n);
      sweepStretch(stiffness, z, wanted, stretches[s], stretches[s + 1], -1);
      n = stretches[s] - 1;
    }
    for (; n >= 0; n--) if (held[n] === 0) setByRow(stiffness, z, wanted, n);
    return;
  }
  let n = 0;
  for (let s = 0; s < count; s += 2) {
    for (; n < stretches[s]; n++) if (held[n] === 0) setByRow(stiffness, z, wanted, n);
    sweepStretch(stiffness, z, wanted, stretches[s], stretches[s + 1], 1);
    n = stretches[s + 1];
  }
  for (; n < z.length; n++) if (held[n] === 0) setByRow(stiffness, z, wanted, n);
}

function setByRow(stiffness: Stiffness, z: Float64Array, wanted: Float64Array, n: number): void {
  if (stiffness.own[n] === 0) sweepStretch(stiffness, z, wanted, n, n + 1, 1);
  else setByOwnRow(stiffness, z, wanted, n);
}

/**
 * A stretch of plain rows, forward or backward; "before" is the side the sweep comes from. What is carried along is read once; what waits
 * for the node before comes last.
 */
function sweepStretch(
  { columns, centre, side }: Stiffness,
  z: Float64Array,
  wanted: Float64Array,
  from: number,
  to: number,
  step: 1 | -1,
): void {
  const two = 2 * columns;
  const inverse = 1 / centre;
  const pull = side * inverse;
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
      wanted[n] +
      side * (after + near + away) -
      2 * (nearBefore + nearAfter + awayBefore + awayAfter) -
      (after2 + z[n - two] + z[n + two]);
    const here = (others - before2) * inverse + pull * before;
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
