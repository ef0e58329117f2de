import type { Point, Underlay } from '@hosket/core';

/** Turn, size and place of a picture whose pixels run downwards. */
interface Laying {
  a: number;
  b: number;
  x: number;
  y: number;
}

/**
 * How a picture lies on the base so that its two points lie where they are pinned: x = X + a px + b py, y = Y + b px - a py, which turns, scales and
 * keeps angles. Where both points are the same it lies unscaled.
 */
function layingOf([p, q]: Underlay['pins']): Laying {
  const [dx, dy] = [q.px[0] - p.px[0], q.px[1] - p.px[1]];
  const [du, dv] = [q.mm[0] - p.mm[0], q.mm[1] - p.mm[1]];
  const square = dx * dx + dy * dy;
  const a = square ? (du * dx - dv * dy) / square : 0.1;
  const b = square ? (du * dy + dv * dx) / square : 0;
  return { a, b, x: p.mm[0] - a * p.px[0] - b * p.px[1], y: p.mm[1] - b * p.px[0] + a * p.px[1] };
}

/** Where a pixel of the picture lies on the base. */
export function onBase(pins: Underlay['pins'], [px, py]: Point): Point {
  const { a, b, x, y } = layingOf(pins);
  return [x + a * px + b * py, y + b * px - a * py];
}

/** Which pixel lies at a place of the base. */
export function onPicture(pins: Underlay['pins'], [u, v]: Point): [number, number] {
  const { a, b, x, y } = layingOf(pins);
  const square = a * a + b * b || 1;
  const [du, dv] = [u - x, v - y];
  return [(a * du + b * dv) / square, (b * du - a * dv) / square];
}
