/**
 * Cholesky's factorisation of a banded symmetric positive matrix and the solution by it: for the coarsest lattice of the multigrid hierarchy.
 */
import { REACH } from './creases.ts';
import type { Stiffness } from './stiffness.ts';

/** The lower triangle L of a banded symmetric positive matrix A = L L', row by row: `width` weights left of the diagonal, then the diagonal. */
export interface Factor {
  size: number;
  width: number;
  lower: Float64Array;
}

/** Cholesky's factor of a stiffness, held nodes left where they are. Work is nodes x (2 columns)^2: for the coarsest lattice only. */
export function factorOf(stiffness: Stiffness): Factor {
  const { columns, rows } = stiffness;
  const size = columns * rows;
  const width = REACH * columns + REACH;
  const stride = width + 1;
  const lower = new Float64Array(size * stride);
  fill(stiffness, lower, width);
  for (let n = 0; n < size; n++) {
    const from = Math.max(0, n - width);
    const row = n * stride + width - n;
    for (let m = from; m <= n; m++) {
      const other = m * stride + width - m;
      let sum = lower[row + m];
      for (let k = Math.max(from, m - width); k < m; k++) sum -= lower[row + k] * lower[other + k];
      // What nothing holds (ground that is neither pinned nor near anything that is) stays where it is.
      if (m === n) lower[row + n] = sum > 1e-12 ? Math.sqrt(sum) : 1;
      else lower[row + m] = sum / lower[other + m];
    }
  }
  return { size, width, lower };
}

/** x with A x = wanted. */
export function solveBy({ size, width, lower }: Factor, wanted: Float64Array, x: Float64Array): void {
  const stride = width + 1;
  for (let n = 0; n < size; n++) {
    const row = n * stride + width - n;
    let sum = wanted[n];
    for (let k = Math.max(0, n - width); k < n; k++) sum -= lower[row + k] * x[k];
    x[n] = sum / lower[row + n];
  }
  for (let n = size - 1; n >= 0; n--) {
    const row = n * stride + width - n;
    x[n] /= lower[row + n];
    for (let k = Math.max(0, n - width); k < n; k++) x[k] -= lower[row + k] * x[n];
  }
}

/** The stiffness written out below its diagonal. */
function fill(
  { columns, runs, runBend, runPull, own, starts, nodes, weights, diagonal }: Stiffness,
  lower: Float64Array,
  width: number,
): void {
  const at = (n: number, m: number) => n * (width + 1) + width - n + m;
  for (let n = 0; n < own.length; n++) lower[at(n, n)] = 1;
  const free = new Uint8Array(own.length);
  for (let r = 0; r < runBend.length; r++) free.fill(1, runs[2 * r], runs[2 * r + 1]);
  for (let n = 0; n < own.length; n++) if (own[n]) free[n] = 1;
  const put = (n: number, m: number, weight: number) => {
    if (m < n && free[m]) lower[at(n, m)] += weight;
  };
  for (let r = 0; r < runBend.length; r++) {
    const [bend, pull] = [runBend[r], runPull[r]];
    for (let n = runs[2 * r]; n < runs[2 * r + 1]; n++) {
      lower[at(n, n)] = 20 * bend + 4 * pull;
      put(n, n - 1, -8 * bend - pull);
      put(n, n - columns, -8 * bend - pull);
      put(n, n - columns - 1, 2 * bend);
      put(n, n - columns + 1, 2 * bend);
      put(n, n - 2, bend);
      put(n, n - 2 * columns, bend);
    }
  }
  for (let n = 0; n < own.length; n++) {
    if (!own[n]) continue;
    lower[at(n, n)] = diagonal[own[n] - 1];
    for (let s = starts[own[n] - 1]; s < starts[own[n]]; s++) put(n, nodes[s], weights[s]);
  }
}
