import type { Point, Ring } from '@hosket/core';

/** Turns mm on the base (y away from the viewer) into drawing units (y down). */
export type Placer = (point: Point) => Point;

const two = (value: number) => Math.round(value * 100) / 100;

export const linePath = (points: Ring, place: Placer, closed: boolean): string =>
  points.map((point, k) => `${k ? 'L' : 'M'}${place(point).map(two).join(' ')}`).join('') + (closed ? 'Z' : '');

export const piecePath = (pieces: readonly { outer: Ring; holes: readonly Ring[] }[], place: Placer): string =>
  pieces.map(({ outer, holes }) => [outer, ...holes].map((ring) => linePath(ring, place, true)).join('')).join('');
