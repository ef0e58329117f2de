import { shelf } from './row.ts';

type Three = [number, number, number];
const c = (low: number, likely: number, high: number): [number, number, number, 'C', 'memory'] => [
  low,
  likely,
  high,
  'C',
  'memory',
];
const spill: [number, number, number, 'C', 'trade'] = [5, 15, 30, 'C', 'trade'];
const mistCare = 'Alcohol and any flame, hot wire or spark never at the same time.';

/** Glue, mist and fixative for 100 cm2; then the hours until it is dry through. */
const bound = (glue: Three, mist: Three, fix: Three, through: Three) => ({
  glueMl: c(...glue),
  mistMl: c(...mist),
  fixMl: c(...fix),
  touchH: c(1, 1.5, 3),
  coatH: [1.5, 2, 4, 'C', 'trade', 'a couple of hours; common practice, no source'] as [
    number,
    number,
    number,
    'C',
    'trade',
    string,
  ],
  throughH: c(...through),
  lossPercent: spill,
  evenness: c(0.6, 1, 1.6),
  paceMin: c(1, 2.5, 5),
  setUpMin: c(3, 5, 8),
});

export const looseCovers = shelf('loose', 'B', 'memory', [
  {
    id: 'soil',
    packs: [
      [500, 'g'],
      [1000, 'g'],
    ],
    name: 'Sifted dried soil',
    use: 'Coarse first, then fine through a stocking, on thinned medium.',
    caution: mistCare,
    values: {
      bulkKgPerL: [1.0, 1.2, 1.4],
      layerMm: c(0.5, 1, 2),
      ...bound([1, 2, 3], [1, 1.5, 3], [3, 5, 9], [8, 16, 30]),
    },
  },
  {
    id: 'grout',
    name: 'Tile grout, dry, as earth or dust',
    facts: ['alkaline'],
    use: 'Sifted over soil to lighten it, or alone as pale dust; it sets when it is wetted.',
    caution: mistCare,
    packs: [
      [500, 'g'],
      [1000, 'g'],
    ],
    values: {
      bulkKgPerL: c(1.0, 1.2, 1.4),
      layerMm: c(0.2, 0.4, 1),
      ...bound([1, 1.5, 2.5], [1, 1.5, 3], [1.5, 2.5, 5], [8, 16, 30]),
    },
  },
  {
    id: 'fine sand',
    packs: [
      [500, 'g'],
      [1000, 'g'],
    ],
    name: 'Fine sand',
    caution: mistCare,
    use: 'Paths, beaches, between stones.',
    values: {
      bulkKgPerL: [1.4, 1.55, 1.7],
      layerMm: c(0.5, 0.8, 1.5),
      ...bound([1, 2, 3], [1, 1.5, 3], [2, 4, 7], [8, 14, 30]),
    },
  },
  {
    id: 'fine turf',
    name: 'Fine turf (ground foam)',
    caution: mistCare,
    use: 'Short growth and tone under grass.',
    packs: [
      [150, 'ml'],
      [350, 'ml'],
      [950, 'ml'],
    ],
    values: {
      bulkKgPerL: c(0.06, 0.11, 0.2),
      layerMm: c(0.5, 1, 2),
      ...bound([1, 2, 3], [1, 2, 3], [2, 4, 8], [8, 14, 24]),
    },
  },
  {
    id: 'coarse turf',
    name: 'Coarse turf',
    caution: mistCare,
    use: 'Rough growth; leave gaps.',
    packs: [
      [150, 'ml'],
      [350, 'ml'],
    ],
    values: {
      bulkKgPerL: c(0.04, 0.07, 0.12),
      layerMm: c(2, 3, 5),
      ...bound([2, 3, 4], [1.5, 2, 4], [4, 7, 12], [12, 20, 36]),
    },
  },
  {
    id: 'clump foliage',
    name: 'Clump foliage, bushes',
    caution: mistCare,
    use: 'Patches of bush.',
    packs: [[350, 'ml']],
    values: {
      bulkKgPerL: c(0.03, 0.05, 0.08),
      layerMm: c(5, 10, 20),
      ...bound([2, 3, 5], [1, 2, 4], [3, 6, 12], [12, 24, 48]),
    },
  },
  {
    id: 'dyed sawdust',
    packs: [
      [350, 'ml'],
      [950, 'ml'],
    ],
    name: 'Dyed sawdust',
    caution: mistCare,
    use: 'The old cheap cover.',
    values: {
      bulkKgPerL: [0.15, 0.2, 0.28],
      layerMm: c(0.5, 1, 2),
      ...bound([1, 2, 3], [1, 2, 3], [3, 5, 9], [8, 16, 30]),
    },
  },
  {
    id: 'leaf litter',
    packs: [
      [50, 'ml'],
      [150, 'ml'],
    ],
    name: 'Leaf litter',
    caution: mistCare,
    use: 'Under trees and in hollows.',
    values: {
      bulkKgPerL: c(0.08, 0.15, 0.25),
      layerMm: c(0.5, 1, 2),
      ...bound([1, 2, 3], [1, 1.5, 3], [2, 4, 7], [8, 14, 24]),
    },
  },
  {
    id: 'ballast',
    name: 'Stone ballast',
    caution: mistCare,
    use: 'Between rails, after the track is down.',
    packs: [
      [250, 'g'],
      [500, 'g'],
    ],
    values: {
      bulkKgPerL: [1.3, 1.45, 1.6],
      layerMm: [2, 4, 8],
      ...bound([0, 2, 3], [2, 3, 5], [8, 14, 28], [16, 30, 72]),
    },
  },
  {
    id: 'nut-shell ballast',
    name: 'Nut-shell ballast',
    caution: mistCare,
    use: 'Lighter; floats when it is wetted too fast.',
    packs: [[250, 'g']],
    values: {
      bulkKgPerL: [0.6, 0.7, 0.8],
      layerMm: [2, 4, 6],
      ...bound([0, 2, 3], [2, 3, 5], [8, 14, 22], [16, 30, 60]),
    },
  },
  {
    id: 'large stones',
    packs: [
      [250, 'g'],
      [500, 'g'],
    ],
    name: 'Stones, large',
    caution: mistCare,
    use: 'Before the small ones, thin enough that they are still seen.',
    values: {
      bulkKgPerL: [1.4, 1.5, 1.7],
      layerMm: c(4, 6, 10),
      ...bound([2, 3, 5], [1, 2, 4], [5, 9, 18], [16, 30, 72]),
    },
  },
  {
    id: 'small stones',
    packs: [
      [250, 'g'],
      [500, 'g'],
    ],
    name: 'Stones, small',
    caution: mistCare,
    use: 'Scree and talus round the large ones.',
    values: {
      bulkKgPerL: [1.4, 1.5, 1.7],
      layerMm: c(1, 2, 4),
      ...bound([2, 3, 5], [1, 2, 4], [4, 7, 12], [12, 24, 48]),
    },
  },
]);
