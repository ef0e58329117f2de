/**
 * The smallest eigenvalue of a symmetric tridiagonal matrix with positive ones (Sturm's count, bisection): of the matrix that the steps of
 * conjugate gradients make (Lanczos), which nears the smallest of the operator itself from above.
 */

/** The diagonal, and what stands beside it: one number fewer. */
export interface Spectrum {
  diagonal: number[];
  beside: number[];
}

/** Bisections: to about a thousandth of the answer. */
const HALVINGS = 24;
const LEAST = 1e-4;

/** The smallest eigenvalue, at most 1 (which is also the answer for no rows at all) and at least `LEAST`. */
export function smallestOf({ diagonal, beside }: Spectrum): number {
  let [low, high] = [Math.log(LEAST), 0];
  for (let h = 0; h < HALVINGS; h++) {
    const middle = (low + high) / 2;
    if (hasBelow(Math.exp(middle), diagonal, beside)) high = middle;
    else low = middle;
  }
  return Math.exp(high);
}

/** Whether an eigenvalue lies below `bound`: then a pivot of the matrix less the bound is negative. */
function hasBelow(bound: number, diagonal: readonly number[], beside: readonly number[]): boolean {
  let pivot = 1;
  for (let k = 0; k < diagonal.length; k++) {
    pivot = diagonal[k] - bound - (k > 0 ? beside[k - 1] ** 2 / pivot : 0);
    if (pivot <= 0) return true;
  }
  return false;
}
