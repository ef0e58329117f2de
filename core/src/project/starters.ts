/**
 * Grounds to begin from: each a handful of items with their points as shares of the base and their heights as shares of its lesser side (less than that on large bases), so that it
 * suits any size. They are drawn like anything else, and changed like it. Shapes are invented; proportions are common practice, no source.
 */

import type { Point } from '../geometry/index.ts';
import { baseSize } from './base.ts';
import { drawItem, type ItemKind } from './schemas/kinds.ts';
import type { Project } from './schemas/schema.ts';

interface Draw {
  kind: ItemKind;
  name: string;
  /** Across and deep, shares of the base. */
  at: readonly (readonly [number, number])[];
  /** Fields that are lengths, shares of the lesser side; and such as are none. */
  mm?: Readonly<Record<string, number>>;
  as?: object;
}

export interface Starter {
  id: string;
  title: string;
  about: string;
  draws: readonly Draw[];
}

/** A level line from side to side. */
const across = (name: string, deep: readonly number[], heightMm: number): Draw => ({
  kind: 'contour',
  name,
  at: deep.map((y, k) => [k / (deep.length - 1), y]),
  mm: { heightMm },
  as: { closed: false, smooth: true },
});
/** A level ring. */
const ring = (
  name: string,
  [x, y]: readonly [number, number],
  [rx, ry]: readonly [number, number],
  heightMm: number,
): Draw => ({
  kind: 'contour',
  name,
  at: Array.from({ length: 10 }, (_, k) => {
    const turn = (2 * Math.PI * k) / 10;
    // Not quite round: no hill is.
    const bent = 1 + 0.1 * Math.sin(2 * turn + 1);
    return [x + rx * bent * Math.cos(turn), y + ry * bent * Math.sin(turn)] as const;
  }),
  mm: { heightMm },
  as: { closed: true, smooth: true },
});

export const starters: readonly Starter[] = [
  {
    id: 'slope',
    title: 'Slope with a path',
    about: 'Rising to the back, a path winding up it.',
    draws: [
      across('Front', [0.02, 0.04, 0.02], 0.05),
      across('Middle of the slope', [0.42, 0.5, 0.46], 0.16),
      across('Back', [0.97, 0.94, 0.98], 0.28),
      {
        kind: 'way',
        name: 'Path',
        at: [
          [0.12, 0.06],
          [0.55, 0.22],
          [0.35, 0.5],
          [0.72, 0.74],
          [0.62, 0.95],
        ],
        mm: { widthMm: 0.08 },
        as: { use: 'path', gradientPercent: 25 },
      },
    ],
  },
  {
    id: 'river',
    title: 'River bank',
    about: 'Low meadow, a river across it, higher ground behind.',
    draws: [
      across('Meadow', [0.03, 0.05, 0.03], 0.09),
      across('Foot of the bank', [0.6, 0.66, 0.58], 0.1),
      across('Top of the bank', [0.95, 0.92, 0.96], 0.2),
      {
        kind: 'channel',
        name: 'River',
        at: [
          [-0.03, 0.34],
          [0.3, 0.42],
          [0.65, 0.3],
          [1.03, 0.4],
        ],
        mm: { widthMm: 0.16, depthMm: 0.06, waterMm: 0.035 },
      },
    ],
  },
  {
    id: 'hill',
    title: 'Hill and hollow',
    about: 'A hill at the back, a hollow before it.',
    draws: [
      ring('All round', [0.5, 0.5], [0.47, 0.46], 0.08),
      ring('Side of the hill', [0.62, 0.62], [0.25, 0.24], 0.18),
      ring('Top of the hill', [0.64, 0.66], [0.1, 0.09], 0.27),
      ring('Hollow', [0.27, 0.3], [0.12, 0.11], 0.03),
    ],
  },
  {
    id: 'terraces',
    title: 'Terraces',
    about: 'Steps of ground with walls, one above the other.',
    draws: [
      across('Front', [0.02, 0.03, 0.02], 0.05),
      {
        kind: 'terraces',
        name: 'Terraces',
        at: [
          [0.04, 0.2],
          [0.5, 0.28],
          [0.96, 0.2],
        ],
        mm: { firstMm: 0.1, treadMm: 0.16, riseMm: 0.06 },
        as: { count: 4, wallDegrees: 80 },
      },
    ],
  },
  {
    id: 'quarry',
    title: 'Quarry',
    about: 'A pit with benches cut into high ground, water at its bottom.',
    draws: [
      across('Front', [0.02, 0.03, 0.02], 0.16),
      across('Back', [0.97, 0.95, 0.97], 0.3),
      {
        kind: 'pit',
        name: 'Upper bench',
        at: [
          [0.2, 0.2],
          [0.8, 0.16],
          [0.86, 0.6],
          [0.55, 0.82],
          [0.22, 0.7],
        ],
        mm: { floorMm: 0.14 },
        as: { wallDegrees: 70, smooth: true },
      },
      {
        kind: 'pit',
        name: 'Lower bench',
        at: [
          [0.34, 0.3],
          [0.66, 0.27],
          [0.72, 0.52],
          [0.52, 0.64],
          [0.35, 0.55],
        ],
        mm: { floorMm: 0.05, waterMm: 0.08 },
        as: { wallDegrees: 70, smooth: true },
      },
    ],
  },
  {
    id: 'coast',
    title: 'Coast',
    about: 'Land behind, a beach, and the sea to the front edge.',
    draws: [
      across('Land', [0.72, 0.66, 0.74], 0.16),
      across('Back', [0.96, 0.95, 0.97], 0.24),
      across('Above the beach', [0.5, 0.44, 0.52], 0.09),
      {
        kind: 'basin',
        name: 'Sea',
        at: [
          [-0.05, -0.05],
          [1.05, -0.05],
          [1.05, 0.4],
          [0.7, 0.3],
          [0.4, 0.34],
          [-0.05, 0.42],
        ],
        mm: { waterMm: 0.06, depthMm: 0.045 },
        as: { water: 'sea', smooth: false },
      },
    ],
  },
  {
    id: 'rock',
    title: 'Rock face',
    about: 'A face from side to side, flat ground below and above.',
    draws: [
      across('Below', [0.03, 0.05, 0.03], 0.05),
      across('Above', [0.95, 0.96, 0.95], 0.34),
      {
        kind: 'cliff',
        name: 'Face',
        at: [
          [0.0, 0.5],
          [0.25, 0.58],
          [0.5, 0.48],
          [0.75, 0.56],
          [1.0, 0.5],
        ],
        mm: { topMm: 0.32, footMm: 0.07 },
        as: { faceDegrees: 75 },
      },
    ],
  },
  {
    id: 'plain',
    title: 'Plain with a road',
    about: 'Nearly flat, a road through it, a low rise beside.',
    draws: [
      across('Front', [0.02, 0.03, 0.02], 0.06),
      across('Back', [0.97, 0.96, 0.97], 0.08),
      {
        kind: 'mound',
        name: 'Rise',
        at: [
          [0.62, 0.62],
          [0.82, 0.58],
          [0.9, 0.74],
          [0.76, 0.88],
          [0.6, 0.8],
        ],
        mm: { riseMm: 0.07 },
      },
      {
        kind: 'way',
        name: 'Road',
        at: [
          [-0.02, 0.3],
          [0.35, 0.34],
          [0.7, 0.4],
          [1.02, 0.36],
        ],
        mm: { widthMm: 0.14 },
      },
    ],
  },
];

/** Up to this side heights grow with it, mm. */
const USUAL_SIDE_MM = 210;
/** Lengths that lie flat. */
const FLAT: readonly string[] = ['widthMm', 'treadMm'];

/** Draws a starter onto a project that has nothing drawn yet; gives the project. */
export function beginWith(project: Project, starter: Starter): Project {
  const { widthMm, depthMm } = baseSize(project.base);
  const side = Math.min(widthMm, depthMm);
  // A base twice as wide is not built twice as high.
  const rise = Math.min(side, USUAL_SIDE_MM + (side - USUAL_SIDE_MM) * 0.4);
  const half = (mm: number) => Math.round(mm * 2) / 2;
  return starter.draws.reduce((made, { kind, name, at, mm = {}, as = {} }) => {
    const lengths = Object.fromEntries(
      Object.entries(mm).map(([field, share]) => [field, half(share * (FLAT.includes(field) ? side : rise))]),
    );
    const points = at.map(([x, y]): Point => [half(x * widthMm), half(y * depthMm)]);
    return drawItem(made, kind, points, half(0.08 * rise), { name, ...as, ...lengths }).project;
  }, project);
}
