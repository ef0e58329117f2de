import { type Grid, withValues } from './grid.ts';

/** Three running means in each direction: near enough a bell `widthMm` wide. Beyond its edge the grid runs on as it ends. */
export function smoothed(grid: Grid, widthMm: number): Grid {
  const { columns, rows, cellMm } = grid;
  const half = Math.round(widthMm / cellMm / 2);
  if (half < 1) return grid;
  let from: ArrayLike<number> = grid.values;
  let to = Float64Array.from(from);
  for (let pass = 0; pass < 3; pass++) {
    to = runningMean(from, columns, rows, half, 1, columns);
    to = runningMean(to, rows, columns, half, columns, 1);
    from = to;
  }
  return withValues(grid, to);
}

/** Means over `half` neighbours to each side along lines of `length` nodes. */
function runningMean(
  from: ArrayLike<number>,
  length: number,
  lines: number,
  half: number,
  stride: number,
  next: number,
): Float64Array<ArrayBuffer> {
  const to = new Float64Array(from.length);
  for (let line = 0; line < lines; line++) {
    const at = (k: number) => from[line * next + Math.min(length - 1, Math.max(0, k)) * stride];
    let sum = 0;
    for (let k = -half; k <= half; k++) sum += at(k);
    for (let k = 0; k < length; k++) {
      to[line * next + k * stride] = sum / (2 * half + 1);
      sum += at(k + half + 1) - at(k - half);
    }
  }
  return to;
}
