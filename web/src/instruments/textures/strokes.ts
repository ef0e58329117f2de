import { lineLength, type Point, pointAlong, type Ring } from '@hosket/core';
import type { Placer } from '../handling/paths.ts';

/** Short strokes on the right of a line, `lengthPx` long and about `apartPx` apart: downhill. */
export function ticks(run: Ring, place: Placer, scale: number, lengthPx: number, apartPx: number): string {
  const whole = lineLength(run, false);
  const count = Math.min(400, Math.max(1, Math.floor((whole * scale) / apartPx)));
  let path = '';
  for (let k = 0; k <= count; k++) {
    const { at, way } = pointAlong(run, (whole * k) / count);
    path += stroke(place, at, [at[0] + (way[1] * lengthPx) / scale, at[1] - (way[0] * lengthPx) / scale]);
  }
  return path;
}

const stroke = (place: Placer, from: Point, to: Point) => {
  const [x0, y0] = place(from);
  const [x1, y1] = place(to);
  return `M${x0.toFixed(1)} ${y0.toFixed(1)}L${x1.toFixed(1)} ${y1.toFixed(1)}`;
};

/** Ticks that point into an outline, whichever way round it is drawn. */
export function inwardTicks(run: Ring, place: Placer, scale: number): string {
  let twice = 0;
  run.forEach(([x, y], k) => {
    const [nx, ny] = run[(k + 1) % run.length];
    twice += x * ny - nx * y;
  });
  const ring = [...run, run[0]];
  return ticks(twice > 0 ? ring.reverse() : ring, place, scale, 5, 12);
}

export function treadLines(run: Ring, widthMm: number, count: number, place: Placer): string {
  const whole = lineLength(run, false);
  let path = '';
  for (let k = 0; k <= count; k++) {
    const { at, way } = pointAlong(run, (whole * k) / count);
    const half = widthMm / 2;
    path += stroke(
      place,
      [at[0] - way[1] * half, at[1] + way[0] * half],
      [at[0] + way[1] * half, at[1] - way[0] * half],
    );
  }
  return path;
}
