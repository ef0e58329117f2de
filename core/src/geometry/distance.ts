import type { Grid } from './grid.ts';

/**
 * Distance from every node to the nearest node of a set, mm; infinite where the set is empty. Exact on the lattice: two passes of lower envelopes of
 * parabolas (Felzenszwalb and Huttenlocher 2012, Theory of Computing 8, from memory).
 */
export function distanceTo({ columns, rows, cellMm }: Grid, inSet: ArrayLike<number>): Float64Array {
  const square = new Float64Array(columns * rows);
  for (let n = 0; n < square.length; n++) square[n] = inSet[n] ? 0 : Number.POSITIVE_INFINITY;
  const longest = Math.max(columns, rows);
  const room: Scratch = {
    line: new Float64Array(longest),
    at: new Int32Array(longest),
    from: new Float64Array(longest + 1),
  };
  for (let i = 0; i < columns; i++) envelope(square, i, columns, rows, room);
  for (let j = 0; j < rows; j++) envelope(square, j * columns, 1, columns, room);
  for (let n = 0; n < square.length; n++) square[n] = Math.sqrt(square[n]) * cellMm;
  return square;
}

interface Scratch {
  line: Float64Array;
  /** Places of the parabolas that make the envelope, and from where each is the lowest. */
  at: Int32Array;
  from: Float64Array;
}

function envelope(
  values: Float64Array,
  start: number,
  stride: number,
  count: number,
  { line, at, from }: Scratch,
): void {
  let last = -1;
  for (let k = 0; k < count; k++) {
    line[k] = values[start + k * stride];
    if (line[k] === Number.POSITIVE_INFINITY) continue;
    let meets = Number.NEGATIVE_INFINITY;
    for (; last >= 0; last--) {
      const before = at[last];
      meets = (line[k] + k * k - line[before] - before * before) / (2 * (k - before));
      if (meets > from[last]) break;
    }
    if (last < 0) meets = Number.NEGATIVE_INFINITY;
    last++;
    at[last] = k;
    from[last] = meets;
  }
  if (last < 0) return;
  for (let k = 0, q = 0; k < count; k++) {
    while (q < last && from[q + 1] < k) q++;
    values[start + k * stride] = (k - at[q]) ** 2 + line[at[q]];
  }
}
