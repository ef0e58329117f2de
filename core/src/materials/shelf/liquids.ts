import { shelf } from './row.ts';

const litres: [number, 'ml'][] = [
  [250, 'ml'],
  [500, 'ml'],
  [1000, 'ml'],
];

/** What fixes loose cover, thins paint and goes into mixes. */
export const liquids = shelf('liquid', 'B', 'memory', [
  {
    id: 'matt medium',
    name: 'Matt medium',
    facts: ['water-based', 'foam-safe'],
    use: 'Binds seal coats and washes; with water it fixes loose cover.',
    packs: litres,
    values: { wetKgPerL: [1.02, 1.05, 1.1], solidsPercent: [35, 42, 50, 'C'] },
  },
  {
    id: 'fixative',
    name: 'Fixative, 1 matt medium to 3 water',
    facts: ['water-based', 'foam-safe'],
    use: 'Dripped into wetted cover until it shows between the grains; a drop of washing-up liquid lets it run in.',
    values: {
      wetKgPerL: [1, 1.01, 1.03],
      solidsPercent: [8, 10.5, 13, 'C', 'trade'],
      touchH: [4, 8, 16, 'C'],
      throughH: [8, 16, 30, 'C'],
    },
  },
  {
    id: 'fixative spray',
    name: 'Fixing spray, foam-safe',
    facts: ['foam-safe', 'flammable'],
    use: 'For powders and a last layer of fibres; only one labelled foam-safe.',
    caution: 'Outdoors or extracted, no flame or spark.',
    packs: [[400, 'ml']],
    values: { wetKgPerL: [0.65, 0.75, 0.85, 'C'], touchH: [0.2, 0.3, 0.6, 'C'], throughH: [1, 2, 4, 'C'] },
  },
  {
    id: 'grass glue',
    name: 'Grass glue',
    facts: ['water-based', 'foam-safe'],
    use: 'Spread in patches, thicker under longer fibres; it must still be wet when the fibres land.',
    packs: [
      [100, 'ml'],
      [250, 'ml'],
    ],
    values: { wetKgPerL: [1.03, 1.06, 1.1], openMin: [8, 15, 25, 'C'] },
  },
  {
    id: 'alcohol',
    name: 'Alcohol, 50 to 70 % in water',
    facts: ['flammable', 'foam-safe'],
    use: 'Misted over loose cover so that the fixative runs in.',
    caution: 'Alcohol and any flame, hot wire or spark never at the same time.',
    packs: litres,
    values: { wetKgPerL: [0.87, 0.9, 0.93] },
  },
  {
    id: 'thinner',
    name: 'Low-odour thinner for oil paint',
    facts: ['solvent', 'attacks foam', 'flammable'],
    use: 'Over sealed and dry ground only.',
    caution: 'Air and gloves; no flame. Rags dry spread out, outdoors. Follow the maker’s safety sheet.',
    packs: [
      [250, 'ml'],
      [500, 'ml'],
    ],
    values: { wetKgPerL: [0.75, 0.78, 0.82] },
  },
  {
    id: 'oil paint',
    name: 'Oil paint',
    facts: ['a colour'],
    use: 'For washes that stay workable for hours.',
    packs: [
      [20, 'ml'],
      [40, 'ml'],
    ],
    values: { wetKgPerL: [1.2, 1.5, 1.9] },
  },
  {
    id: 'snow powder',
    name: 'Snow powder',
    use: 'Stirred 1:1 with white PVA, or sifted on last.',
    packs: [
      [100, 'g'],
      [250, 'g'],
    ],
    values: { bulkKgPerL: [0.15, 0.3, 0.6, 'C'] },
  },
  {
    id: 'soap',
    name: 'Washing-up liquid',
    use: 'A drop in a fixative, so that it wets.',
    packs: [[500, 'ml']],
    values: { wetKgPerL: [1.0, 1.03, 1.06] },
  },
  {
    id: 'water',
    name: 'Water',
    use: 'From the tap.',
    values: { wetKgPerL: [1, 1, 1, 'A', 'standard', 'physical constant'] },
  },
]);
