import type { Pins } from './lattice.ts';

/** A row of the stiffness touches nodes at most two steps away: a window of five by five. */
export const REACH = 2;
export const WINDOW = 5;

/** What decides where bending and tension act. */
export interface Creased {
  columns: number;
  rows: number;
  /** 1 for nodes of a flat: bending does not act across its rim. */
  flat: Uint8Array;
  /** Edges (1 to the right, 2 away) across which bending does not act, and across which nothing does. */
  folded: Pins['folded'];
  cut: Pins['cut'];
}

/** Nodes within two steps of the lattice's edge or of an edge that folds or is cut, and free nodes within two steps of a flat. */
export function specialNodes({ columns, rows, flat, folded, cut }: Creased): Uint8Array {
  const special = new Uint8Array(columns * rows);
  for (let j = 0, n = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, n++) {
      if (i < REACH || j < REACH || i >= columns - REACH || j >= rows - REACH) special[n] = 1;
      const creased = folded[n] | cut[n];
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
  { columns, rows, flat, folded, cut }: Creased,
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
  for (let shift = -1; shift <= 1; shift++) {
    const share = shift === 0 ? -2 : 1;
    if (free(shift - 1, 0) && free(shift, 0) && free(shift + 1, 0) && open(shift - 1, 0, 1) && open(shift, 0, 1)) {
      window[inWindow(shift - 1, 0)] += share;
      window[inWindow(shift, 0)] -= 2 * share;
      window[inWindow(shift + 1, 0)] += share;
    }
    if (free(0, shift - 1) && free(0, shift) && free(0, shift + 1) && open(0, shift - 1, 2) && open(0, shift, 2)) {
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
      window[inWindow(0, 0)] += 2;
      window[inWindow(di, 0)] -= 2;
      window[inWindow(0, dj)] -= 2;
      window[inWindow(di, dj)] += 2;
    }
}

/** Tension acts on every neighbour inside the lattice, flats included, but not across a cut. */
export function addTension(
  { columns, rows, cut }: Creased,
  window: Float64Array,
  i: number,
  j: number,
  tension: number,
): void {
  const n = j * columns + i;
  const pull = (di: number, dj: number) => {
    window[inWindow(0, 0)] += tension;
    window[inWindow(di, dj)] -= tension;
  };
  if (i > 0 && !(cut[n - 1] & 1)) pull(-1, 0);
  if (i < columns - 1 && !(cut[n] & 1)) pull(1, 0);
  if (j > 0 && !(cut[n - columns] & 2)) pull(0, -1);
  if (j < rows - 1 && !(cut[n] & 2)) pull(0, 1);
}
