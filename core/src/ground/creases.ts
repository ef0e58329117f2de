/** The bending and tension stencils of a lattice row by row, left out across creases (rims of flats, folds) and cuts. */
import type { Constraints } from './constraints.ts';

/** A row of the stiffness touches nodes at most two steps away: a window of five by five. */
export const REACH = 2;
export const WINDOW = 5;

/** What decides where bending and tension act, and how hard. */
export interface Creased {
  columns: number;
  rows: number;
  /** 1 for nodes of a flat: bending does not act across its rim. */
  flat: Uint8Array;
  /** Edges (1 to the right, 2 away) that a line crosses, across which bending does not act, and across which nothing does. */
  blocked: Constraints['blocked'];
  folded: Constraints['folded'];
  cut: Constraints['cut'];
  /** The region of each node, and how hard bending and tension (per cell) act in each. */
  label: Int32Array;
  bend: Float64Array;
  pull: Float64Array;
}

/** The weight of bending over several nodes: the least of their regions', so that one that is drawn straight is not bent by its neighbour. */
const leastOf = (weights: Float64Array, label: Int32Array, a: number, b: number, c = b, d = c): number =>
  Math.min(weights[label[a]], weights[label[b]], weights[label[c]], weights[label[d]]);

/**
 * Nodes within two steps of the lattice's edge, of an edge that folds or is cut or parts regions of different weights, and free nodes within
 * two steps of a flat.
 */
export function specialNodes(creases: Creased): Uint8Array {
  const { columns, rows, flat, blocked, folded, cut, label, bend, pull } = creases;
  const differ = (n: number, m: number) =>
    label[n] !== label[m] &&
    !flat[n] &&
    !flat[m] &&
    (bend[label[n]] !== bend[label[m]] || pull[label[n]] !== pull[label[m]]);
  const special = new Uint8Array(columns * rows);
  for (let j = 0, n = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, n++) {
      if (i < REACH || j < REACH || i >= columns - REACH || j >= rows - REACH) special[n] = 1;
      let creased = folded[n] | cut[n];
      if (blocked[n] & 1 && differ(n, n + 1)) creased |= 1;
      if (blocked[n] & 2 && differ(n, n + columns)) creased |= 2;
      if (!creased && (!flat[n] || insideFlat(flat, columns, rows, i, j))) continue;
      for (let dj = -REACH; dj <= REACH + 1; dj++)
        for (let di = -REACH; di <= REACH + 1; di++) {
          const m = n + dj * columns + di;
          if (i + di >= 0 && i + di < columns && j + dj >= 0 && j + dj < rows && (creased || !flat[m])) special[m] = 1;
        }
    }
  return special;
}

/** Whether a flat node has only flat nodes round it; any free node two steps away then has a nearer flat node than this. */
function insideFlat(flat: Uint8Array, columns: number, rows: number, i: number, j: number): boolean {
  if (i === 0 || j === 0 || i === columns - 1 || j === rows - 1) return false;
  const n = j * columns + i;
  const row = (m: number) => flat[m - 1] & flat[m] & flat[m + 1];
  return (row(n - columns) & row(n) & row(n + columns)) === 1;
}

/** Where a neighbour so many steps away stands in a window. */
export const inWindow = (di: number, dj: number) => (dj + REACH) * WINDOW + di + REACH;

/** Bending terms that node (i, j) takes part in: second differences across and away, and twists (weight 2), none of which touch a flat, a fold or a cut. */
export function addBending(
  { columns, rows, flat, folded, cut, label, bend }: Creased,
  window: Float64Array,
  i: number,
  j: number,
): void {
  const free = (di: number, dj: number) =>
    i + di >= 0 && i + di < columns && j + dj >= 0 && j + dj < rows && !flat[(j + dj) * columns + i + di];
  /** Whether bending passes from a node to its neighbour at the right (bit 1) or away (bit 2); both nodes are free. */
  const open = (di: number, dj: number, bit: number) => {
    const n = (j + dj) * columns + i + di;
    return !((folded[n] | cut[n]) & bit);
  };
  const here = j * columns + i;
  for (let shift = -1; shift <= 1; shift++) {
    const side = shift === 0 ? -2 : 1;
    if (free(shift - 1, 0) && free(shift, 0) && free(shift + 1, 0) && open(shift - 1, 0, 1) && open(shift, 0, 1)) {
      const n = here + shift;
      const share = side * leastOf(bend, label, n - 1, n, n + 1);
      window[inWindow(shift - 1, 0)] += share;
      window[inWindow(shift, 0)] -= 2 * share;
      window[inWindow(shift + 1, 0)] += share;
    }
    if (free(0, shift - 1) && free(0, shift) && free(0, shift + 1) && open(0, shift - 1, 2) && open(0, shift, 2)) {
      const n = here + shift * columns;
      const share = side * leastOf(bend, label, n - columns, n, n + columns);
      window[inWindow(0, shift - 1)] += share;
      window[inWindow(0, shift)] -= 2 * share;
      window[inWindow(0, shift + 1)] += share;
    }
  }
  for (let dj = -1; dj <= 1; dj += 2)
    for (let di = -1; di <= 1; di += 2) {
      if (!(free(0, 0) && free(di, 0) && free(0, dj) && free(di, dj))) continue;
      const left = Math.min(0, di);
      const near = Math.min(0, dj);
      const whole = open(left, near, 1) && open(left, near + 1, 1) && open(left, near, 2) && open(left + 1, near, 2);
      if (!whole) continue;
      const n = here + di;
      const share = 2 * leastOf(bend, label, here, n, here + dj * columns, n + dj * columns);
      window[inWindow(0, 0)] += share;
      window[inWindow(di, 0)] -= share;
      window[inWindow(0, dj)] -= share;
      window[inWindow(di, dj)] += share;
    }
}

/** Tension acts on every neighbour inside the lattice, flats included, but not across a cut. */
export function addTension(
  { columns, rows, cut, label, pull }: Creased,
  window: Float64Array,
  i: number,
  j: number,
): void {
  const n = j * columns + i;
  const tie = (di: number, dj: number) => {
    const tension = Math.min(pull[label[n]], pull[label[n + di + dj * columns]]);
    window[inWindow(0, 0)] += tension;
    window[inWindow(di, dj)] -= tension;
  };
  if (i > 0 && !(cut[n - 1] & 1)) tie(-1, 0);
  if (i < columns - 1 && !(cut[n] & 1)) tie(1, 0);
  if (j > 0 && !(cut[n - columns] & 2)) tie(0, -1);
  if (j < rows - 1 && !(cut[n] & 2)) tie(0, 1);
}
