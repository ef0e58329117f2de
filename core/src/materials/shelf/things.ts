import { shelf } from './row.ts';

type Three = [number, number, number];
const c = (low: number, likely: number, high: number): [number, number, number, 'C', 'memory'] => [
  low,
  likely,
  high,
  'C',
  'memory',
];

const fibre = (mm: 2 | 4 | 6 | 12, kept: Three, glue: Three, open: Three, dry: Three) => ({
  id: `grass ${mm} mm`,
  name: `Static grass, ${mm} mm`,
  use:
    mm === 2
      ? 'Edges and the base under longer grass.'
      : mm === 12
        ? 'Tall tufts, reeds, unmown banks.'
        : 'On top of 2 mm, blends of colours.',
  caution:
    'Clip the earth of the applicator to the work; keep it from wet alcohol, pacemakers and electronics. Glue in patches: it skins over.',
  packs: [
    [20, 'g'],
    [50, 'g'],
    [100, 'g'],
  ] as [number, 'g'][],
  values: {
    keptG: c(...kept),
    load: c(1.5, 2, 3),
    gatheredPercent: c(70, 85, 95),
    glueMl: c(...glue),
    openMin: c(...open),
    patchCm2: c(100, 250, 500),
    touchH: c(0.3, 0.5, 0.8),
    coatH: c(...dry),
    throughH: c(...dry),
    paceMin: c(0.8, 1.5, 3),
    setUpMin: c(9, 12, 16),
  },
});

/** Static grass by the length of its fibres. */
export const fibresOnShelf = shelf('fibre', 'C', 'memory', [
  fibre(2, [0.45, 0.8, 1.4], [1.5, 2.5, 4], [8, 15, 25], [6, 12, 24]),
  fibre(4, [0.7, 1.2, 2.0], [2, 3, 5], [8, 15, 25], [8, 12, 24]),
  fibre(6, [0.7, 1.4, 2.4], [2.5, 4, 6], [10, 15, 30], [8, 16, 24]),
  fibre(12, [0.8, 1.6, 2.7], [3.5, 5, 8], [10, 15, 30], [12, 24, 48]),
]);

/** What is counted piece by piece. */
export const countedThings = shelf('counted', 'C', 'memory', [
  {
    id: 'tuft',
    packs: [
      [50, 'each'],
      [100, 'each'],
    ],
    name: 'Tufts',
    values: { eachMin: [0.1, 0.2, 0.5], eachG: [0.02, 0.05, 0.1], setUpMin: [1, 2, 4] },
  },
  {
    id: 'shrub',
    packs: [
      [5, 'each'],
      [10, 'each'],
    ],
    name: 'Shrubs',
    values: { eachMin: [1, 2, 5], eachG: [0.3, 0.8, 2], setUpMin: [3, 5, 8] },
  },
  {
    id: 'reed',
    packs: [[50, 'each']],
    name: 'Reeds',
    values: { eachMin: [0.2, 0.5, 1], eachG: [0.02, 0.05, 0.1], setUpMin: [3, 5, 8] },
  },
  {
    id: 'tree',
    packs: [
      [1, 'each'],
      [5, 'each'],
    ],
    name: 'Trees',
    values: { eachMin: [1, 2, 5], eachG: [2, 6, 20], setUpMin: [3, 5, 8] },
  },
  {
    id: 'cast rock',
    packs: [[10, 'each']],
    name: 'Cast rocks',
    use: 'Cast beforehand, set in wet plaster; the gaps are filled after.',
    values: { eachMin: [1.5, 3, 6], eachG: [15, 35, 80], setUpMin: [5, 8, 12] },
  },
  {
    id: 'post',
    packs: [
      [25, 'each'],
      [100, 'each'],
    ],
    name: 'Fence posts',
    values: { eachMin: [0.5, 1, 2.5], eachG: [0.05, 0.1, 0.3], setUpMin: [3, 5, 8] },
  },
  {
    id: 'rail',
    packs: [
      [25, 'each'],
      [100, 'each'],
    ],
    name: 'Fence rails',
    values: { eachMin: [0.3, 0.7, 1.5], eachG: [0.05, 0.1, 0.3], setUpMin: [2, 3, 5] },
  },
  {
    id: 'house',
    packs: [[1, 'each']],
    name: 'Houses',
    values: { eachMin: [5, 10, 25], eachG: [10, 40, 150], setUpMin: [3, 5, 10] },
  },
  {
    id: 'ring stone',
    packs: [[50, 'each']],
    name: 'Ring stones',
    values: { eachMin: [1, 2, 5], eachG: [0.3, 1, 4], setUpMin: [5, 8, 12] },
  },
  {
    id: 'sleeper',
    packs: [
      [50, 'each'],
      [100, 'each'],
    ],
    name: 'Sleepers',
    values: { eachMin: [0.2, 0.4, 1], eachG: [0.05, 0.1, 0.3], setUpMin: [5, 8, 12] },
  },
  {
    id: 'running rail',
    packs: [[1000, 'mm']],
    name: 'Running rails',
    values: { perMMin: [10, 20, 40], eachG: [5, 12, 30], setUpMin: [5, 8, 12] },
  },
  {
    id: 'tile',
    packs: [
      [100, 'each'],
      [250, 'each'],
    ],
    name: 'Tiles',
    values: { eachMin: [0.1, 0.25, 0.6], eachG: [0.02, 0.05, 0.2], setUpMin: [3, 5, 8] },
  },
  {
    id: 'fibre fill',
    packs: [
      [100, 'g'],
      [250, 'g'],
    ],
    name: 'Fibre fill for smoke and cloud',
    values: { bulkKgPerL: [0.004, 0.008, 0.015], eachMin: [3, 6, 15], setUpMin: [2, 4, 6] },
  },
]);

export const edgings = shelf('panel', 'C', 'memory', [
  {
    id: 'edge panel',
    packs: [[1000, 'mm']],
    name: 'Edge panel, 3 mm',
    use: 'A thin panel along each side, cut to the ground’s profile.',
    values: {
      densityKgM3: [450, 600, 950, 'B', 'trade'],
      layerMm: [2, 3, 4],
      perMMin: [15, 30, 60],
      glueMl: [1, 1.4, 2.5],
      setUpMin: [5, 8, 12],
      touchH: [0.5, 1, 2],
      coatH: [1, 2, 4],
      throughH: [12, 24, 36],
    },
  },
]);
