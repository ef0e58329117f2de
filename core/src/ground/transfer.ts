/** Prolongation and restriction between a lattice and the one of twice its cell, aware of folds. */
import type { Creased } from './creases.ts';

/**
 * Heights carried between a lattice and the one of twice its cell (prolongation and restriction): linear between coarse nodes, first across and
 * then away. Where the ground may fold between two coarse nodes, a fine node there is carried on straight from those on its own side: a ground
 * that turns about a fold would else be bent at the line that holds it.
 */
export interface Transfer {
  columns: number;
  rows: number;
  wide: number;
  deep: number;
  /** Heights on fine columns and coarse rows. */
  middle: Float64Array;
  /** Nodes of `middle` that are carried on, and of the fine lattice, each with the node that is next to it and the one behind that. */
  across: Int32Array;
  away: Int32Array;
}

/** Numbers for each node that is carried on: itself, the one next to it, the one behind. */
const EACH = 3;

/** The transfer of a fine lattice with these creases. */
export function transferOf({
  columns,
  rows,
  folded,
  cut,
}: Pick<Creased, 'columns' | 'rows' | 'folded' | 'cut'>): Transfer {
  const [wide, deep] = [Math.ceil((columns - 1) / 2) + 1, Math.ceil((rows - 1) / 2) + 1];
  /** Whether the ground may fold between a fine node and the next: bit 1 to the right, 2 away. */
  const folds = (n: number, bit: 1 | 2) => ((folded[n] | cut[n]) & bit) !== 0;
  /**
   * Of the fine nodes at `n` (odd along its line, of `count` nodes, its own the k-th) the coarse steps to the node beside it on its own side
   * and the one behind; null where nothing folds, or on both sides.
   */
  const onOwnSide = (n: number, k: number, count: number, bit: 1 | 2): [number, number] | null => {
    const stride = bit === 1 ? 1 : columns;
    const before = folds(n - stride, bit);
    const after = k + 1 < count && folds(n, bit);
    if (before === after) return null;
    if (after) {
      const straight = k >= 3 && !folds(n - 2 * stride, bit) && !folds(n - 3 * stride, bit);
      return [0, straight ? -1 : 0];
    }
    if (k + 1 >= count) return null;
    const straight = k + 3 < count && !folds(n + stride, bit) && !folds(n + 2 * stride, bit);
    return [1, straight ? 2 : 1];
  };
  const across: number[] = [];
  for (let j = 0; j < deep; j++)
    for (let i = 1; i < columns; i += 2) {
      // A coarse row beyond the lattice is folded as its last row is.
      const steps = onOwnSide(Math.min(2 * j, rows - 1) * columns + i, i, columns, 1);
      if (!steps) continue;
      const left = j * wide + (i >> 1);
      across.push(j * columns + i, left + steps[0], left + steps[1]);
    }
  const away: number[] = [];
  for (let j = 1; j < rows; j += 2)
    for (let i = 0; i < columns; i++) {
      const steps = onOwnSide(j * columns + i, j, rows, 2);
      if (!steps) continue;
      const near = (j >> 1) * columns + i;
      away.push(j * columns + i, near + steps[0] * columns, near + steps[1] * columns);
    }
  return {
    columns,
    rows,
    wide,
    deep,
    middle: new Float64Array(columns * deep),
    across: Int32Array.from(across),
    away: Int32Array.from(away),
  };
}

/** Adds the change of a coarse lattice to that of the fine one, but for its held nodes (prolongation). */
export function prolongate(
  { columns, rows, wide, deep, middle, across, away }: Transfer,
  coarse: Float64Array,
  correction: Float64Array,
  held: Uint8Array,
): void {
  for (let j = 0; j < deep; j++) {
    const from = j * wide;
    const to = j * columns;
    for (let i = 0, c = from; i < columns; i += 2, c++) {
      middle[to + i] = coarse[c];
      if (i + 1 < columns) middle[to + i + 1] = (coarse[c] + coarse[c + 1]) / 2;
    }
  }
  for (let k = 0; k < across.length; k += EACH)
    middle[across[k]] = 1.5 * coarse[across[k + 1]] - 0.5 * coarse[across[k + 2]];
  for (let j = 0; j < rows; j++) {
    const near = (j >> 1) * columns;
    const to = j * columns;
    if (j & 1) {
      const far = near + columns;
      for (let i = 0; i < columns; i++)
        if (!held[to + i]) correction[to + i] += (middle[near + i] + middle[far + i]) / 2;
    } else for (let i = 0; i < columns; i++) if (!held[to + i]) correction[to + i] += middle[near + i];
  }
  for (let k = 0; k < away.length; k += EACH) {
    const n = away[k];
    if (held[n]) continue;
    const near = between(n, columns);
    correction[n] +=
      1.5 * middle[away[k + 1]] - 0.5 * middle[away[k + 2]] - (middle[near] + middle[near + columns]) / 2;
  }
}

/**
 * What is left on a fine lattice, gathered on the coarse one (restriction): the transpose of `spread`, times 4, because the differences of a
 * lattice of twice the cell are written without its cell and stand for a quarter as many nodes with sixteen times the squares.
 */
export function restrict(
  { columns, rows, wide, deep, middle, across, away }: Transfer,
  residual: Float64Array,
  rhs: Float64Array,
): void {
  for (let j = 0; j < deep; j++) {
    const to = j * columns;
    const here = 2 * to;
    // The fine row on this coarse one, and those on either side of it; what lies beyond the lattice adds nothing.
    const [before, on, after] = [j > 0, 2 * j < rows, 2 * j + 1 < rows];
    for (let i = 0; i < columns; i++) {
      const n = here + i;
      middle[to + i] =
        (on ? 4 * residual[n] : 0) + 2 * ((before ? residual[n - columns] : 0) + (after ? residual[n + columns] : 0));
    }
  }
  for (let k = 0; k < away.length; k += EACH) {
    const left = 4 * residual[away[k]];
    const near = between(away[k], columns);
    middle[away[k + 1]] += 1.5 * left;
    middle[away[k + 2]] -= 0.5 * left;
    middle[near] -= left / 2;
    middle[near + columns] -= left / 2;
  }
  for (let j = 0; j < deep; j++) {
    const from = j * columns;
    const to = j * wide;
    for (let c = 0; c < wide; c++) {
      const m = from + 2 * c;
      const on = 2 * c < columns ? middle[m] : 0;
      rhs[to + c] = on + ((c > 0 ? middle[m - 1] : 0) + (2 * c + 1 < columns ? middle[m + 1] : 0)) / 2;
    }
  }
  for (let k = 0; k < across.length; k += EACH) {
    const left = middle[across[k]];
    const row = Math.floor(across[k] / columns);
    const c = row * wide + ((across[k] - row * columns) >> 1);
    rhs[across[k + 1]] += 1.5 * left;
    rhs[across[k + 2]] -= 0.5 * left;
    rhs[c] -= left / 2;
    rhs[c + 1] -= left / 2;
  }
}

/** The node of `middle` before a fine node between two coarse rows; the other is a row on. */
function between(n: number, columns: number): number {
  const row = Math.floor(n / columns);
  return (row >> 1) * columns + n - row * columns;
}
