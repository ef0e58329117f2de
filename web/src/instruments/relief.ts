import type { Grid } from '@hosket/core';

/** Light from the far left, half way up the sky; the ground in plaster tones, a little lighter the higher it stands. */
const LIGHT = [-0.5, 0.5, Math.SQRT1_2];
const EXAGGERATION = 1.4;

/** The relief as picture rows from the far edge to the near one, one pixel a node. */
export function reliefPixels(grid: Grid): Uint8ClampedArray<ArrayBuffer> {
  const { columns, rows, cellMm, values: z } = grid;
  let highest = 1;
  for (let n = 0; n < z.length; n++) if (z[n] > highest) highest = z[n];
  const pixels = new Uint8ClampedArray(4 * columns * rows);
  for (let j = 0; j < rows; j++) {
    const up = Math.min(j + 1, rows - 1);
    const down = Math.max(j - 1, 0);
    for (let i = 0; i < columns; i++) {
      const right = Math.min(i + 1, columns - 1);
      const left = Math.max(i - 1, 0);
      const gx = (EXAGGERATION * (z[j * columns + right] - z[j * columns + left])) / ((right - left) * cellMm);
      const gy = (EXAGGERATION * (z[up * columns + i] - z[down * columns + i])) / ((up - down) * cellMm);
      const length = Math.sqrt(1 + gx * gx + gy * gy);
      const lit = Math.max(0, (-gx * LIGHT[0] - gy * LIGHT[1] + LIGHT[2]) / length);
      const height = z[j * columns + i] / highest;
      const tone = 0.4 + 0.62 * lit + 0.16 * (height - 0.5);
      const p = 4 * ((rows - 1 - j) * columns + i);
      pixels[p] = 246 * tone;
      pixels[p + 1] = 240 * tone;
      pixels[p + 2] = 228 * tone + 6;
      pixels[p + 3] = 255;
    }
  }
  return pixels;
}
