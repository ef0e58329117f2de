import { type Grid, nearestValue } from '@hosket/core';
import type { Band } from '../textures/band.ts';
import type { Shading } from './shading.ts';

/** Light from the far left, half way up the sky. */
const LIGHT = [-0.5, 0.5, Math.SQRT1_2];
const EXAGGERATION = 1.4;
const DEGREE = Math.PI / 180;

/**
 * The relief as picture rows from the far edge to the near one, one pixel a node: light and shade over the tint of each node's band,
 * a little lighter the higher it stands. `read` holds what is tinted where that is neither slope nor height, on a lattice of its own.
 */
export function reliefPixels(
  grid: Grid,
  shading: Shading,
  bands: readonly Band[],
  read: Grid | null = null,
): Uint8ClampedArray<ArrayBuffer> {
  const { columns, rows, cellMm, values: z } = grid;
  let highest = 1;
  for (let n = 0; n < z.length; n++) if (z[n] > highest) highest = z[n];
  // A tint that means something must stay readable in the shade.
  const depth = shading === 'relief' ? 1 : 0.55;
  const pixels = new Uint8ClampedArray(4 * columns * rows);
  for (let j = 0; j < rows; j++) {
    const up = Math.min(j + 1, rows - 1);
    const down = Math.max(j - 1, 0);
    for (let i = 0; i < columns; i++) {
      const right = Math.min(i + 1, columns - 1);
      const left = Math.max(i - 1, 0);
      const slopeX = (z[j * columns + right] - z[j * columns + left]) / ((right - left) * cellMm);
      const slopeY = (z[up * columns + i] - z[down * columns + i]) / ((up - down) * cellMm);
      const gx = EXAGGERATION * slopeX;
      const gy = EXAGGERATION * slopeY;
      const length = Math.sqrt(1 + gx * gx + gy * gy);
      const lit = Math.max(0, (-gx * LIGHT[0] - gy * LIGHT[1] + LIGHT[2]) / length);
      const height = z[j * columns + i] / highest;
      const tone = 1 - depth * (0.6 - 0.62 * lit - 0.16 * (height - 0.5));
      const p = 4 * ((rows - 1 - j) * columns + i);
      const measure = read
        ? nearestValue(read, i * cellMm, j * cellMm)
        : shading === 'slope'
          ? Math.atan(Math.hypot(slopeX, slopeY)) / DEGREE
          : z[j * columns + i];
      let band = 0;
      while (band < bands.length - 1 && measure > bands[band].upTo) band++;
      const { tint, grain } = bands[band];
      const light = grain ? tone * grain(i, j) : tone;
      pixels[p] = tint[0] * light;
      pixels[p + 1] = tint[1] * light;
      pixels[p + 2] = tint[2] * light + 6;
      pixels[p + 3] = 255;
    }
  }
  return pixels;
}
