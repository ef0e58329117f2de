import type { Ring } from '../geometry/index.ts';
import type { Base } from './schema.ts';

/** Points round an oval: chords stay within 0.01 mm of the curve for anything up to 3 m. */
const ovalPoints = (largestMm: number) =>
  Math.max(64, Math.ceil(Math.PI / Math.acos(1 - 0.01 / Math.max(1, largestMm / 2))));

/** The outline of the base, counter-clockwise from its near left corner's box at [0, 0]. */
export function baseOutline({ shape }: Base): Ring {
  const { widthMm: w, depthMm: d } = shape;
  if (shape.kind === 'rectangle')
    return [
      [0, 0],
      [w, 0],
      [w, d],
      [0, d],
    ];
  const count = ovalPoints(Math.max(w, d));
  return Array.from({ length: count }, (_, k) => {
    const turn = (2 * Math.PI * k) / count;
    return [(w / 2) * (1 + Math.cos(turn)), (d / 2) * (1 + Math.sin(turn))] as const;
  });
}

/** A usual size of base: paper sizes by ISO 216 and ANSI Y14.1 (from memory), and the square tiles of gaming boards. */
export interface BasePreset {
  name: string;
  widthMm: number;
  depthMm: number;
}

export const basePresets: readonly BasePreset[] = [
  { name: 'A5', widthMm: 210, depthMm: 148 },
  { name: 'A4', widthMm: 297, depthMm: 210 },
  { name: 'A3', widthMm: 420, depthMm: 297 },
  { name: 'A2', widthMm: 594, depthMm: 420 },
  { name: 'Letter', widthMm: 279.4, depthMm: 215.9 },
  { name: 'Tabloid', widthMm: 431.8, depthMm: 279.4 },
  { name: 'Tile 100 mm', widthMm: 100, depthMm: 100 },
  { name: 'Tile 250 mm', widthMm: 250, depthMm: 250 },
  { name: 'Tile 300 mm', widthMm: 300, depthMm: 300 },
  { name: 'Tile 1 foot', widthMm: 304.8, depthMm: 304.8 },
  { name: 'Board 1200 x 600', widthMm: 1200, depthMm: 600 },
];
