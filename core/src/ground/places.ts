/** The highest and lowest places of a ground, mm, each once. */
import { type Grid, insideRing, type Point, type Ring } from '../geometry/index.ts';

/** A height and where it is. */
export interface Place {
  at: Point;
  heightMm: number;
}

/** The highest and the lowest place of the ground on the base; of equals the one nearest to the viewer's left. */
export function extremesOf(grid: Grid, outline: Ring): { highest: Place; lowest: Place } {
  const { columns, cellMm, originMm, values: z } = grid;
  const place = (n: number): Point => [
    originMm[0] + (n % columns) * cellMm,
    originMm[1] + Math.floor(n / columns) * cellMm,
  ];
  let high = -1;
  let low = -1;
  for (let n = 0; n < z.length; n++) {
    if (high >= 0 && z[n] <= z[high] && z[n] >= z[low]) continue;
    const [x, y] = place(n);
    if (outline.length > 4 && !insideRing(outline, x, y)) continue;
    if (high < 0 || z[n] > z[high]) high = n;
    if (low < 0 || z[n] < z[low]) low = n;
  }
  const read = (n: number): Place => (n < 0 ? { at: [0, 0], heightMm: 0 } : { at: place(n), heightMm: z[n] });
  return { highest: read(high), lowest: read(low) };
}
