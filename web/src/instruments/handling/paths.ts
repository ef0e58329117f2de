import type { Point, Ring } from '@hosket/core';

/** Turns mm on the base (y away from the viewer) into drawing units (y down). */
export type Placer = (point: Point) => Point;

const two = (value: number) => Math.round(value * 100) / 100;

export function linePath(points: Ring, place: Placer, closed: boolean): string {
  let path = '';
  for (let k = 0; k < points.length; k++) {
    const [x, y] = place(points[k]);
    path += `${k ? 'L' : 'M'}${two(x)} ${two(y)}`;
  }
  return closed ? `${path}Z` : path;
}

export const piecePath = (pieces: readonly { outer: Ring; holes: readonly Ring[] }[], place: Placer): string =>
  pieces.map(({ outer, holes }) => [outer, ...holes].map((ring) => linePath(ring, place, true)).join('')).join('');
