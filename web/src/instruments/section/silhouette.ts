import type { Grid } from '@hosket/core';

/** Highest ground along the front (by column) or along the side (by row), as points of place and height, mm. */
export function silhouette(grid: Grid, from: 'front' | 'side'): [number, number][] {
  const { columns, rows, cellMm, originMm, values } = grid;
  const count = from === 'front' ? columns : rows;
  const tops = new Array<number>(count).fill(0);
  for (let j = 0, n = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, n++) {
      const k = from === 'front' ? i : j;
      if (values[n] > tops[k]) tops[k] = values[n];
    }
  const origin = from === 'front' ? originMm[0] : originMm[1];
  return tops.map((top, k) => [origin + k * cellMm, top]);
}
