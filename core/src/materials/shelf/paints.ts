import type { Property } from '../properties.ts';
import { shelf } from './row.ts';

type Three = [number, number, number, 'C', ('memory' | 'trade')?];
const c = (low: number, likely: number, high: number): Three => [low, likely, high, 'C', 'memory'];
/** Waits whose spread nobody has measured: 0.6 to 1.8 times the likely hours. */
const waits = (touch: number, coat: number, through: number): Partial<Record<Property, Three>> => ({
  touchH: c(0.6 * touch, touch, 1.8 * touch),
  coatH: c(0.6 * coat, coat, 1.8 * coat),
  throughH: c(0.6 * through, through, 1.8 * through),
});
const loss: Three = [5, 10, 20, 'C', 'trade'];
const filmDryKgPerL = c(0.4, 0.55, 0.75);
const m = 1 / 60;
const bottles: [number, 'ml'][] = [
  [17, 'ml'],
  [60, 'ml'],
  [120, 'ml'],
];

/** What a litre covers is over the true area; where a paint "spreads thinned" it is a litre of the thinned mix. */
export const paints = shelf('thin', 'B', 'trade', [
  {
    id: 'seal coat',
    name: 'Seal coat, matt medium and black paint 1:1',
    facts: ['water-based', 'foam-safe'],
    use: 'Over all foam: tough, and dark where nothing else gets to.',
    values: {
      spreadM2PerL: [3.5, 5.5, 8],
      lossPercent: loss,
      paceMin: c(0.6, 1.2, 2.5),
      setUpMin: c(2, 4, 6),
      dryKgPerL: filmDryKgPerL,
      ...waits(40 * m, 1.5, 24),
    },
  },
  {
    id: 'gesso',
    name: 'Acrylic gesso',
    facts: ['water-based', 'foam-safe'],
    use: 'White and toothed: under washes on white.',
    packs: [
      [250, 'ml'],
      [500, 'ml'],
      [1000, 'ml'],
    ],
    values: {
      spreadM2PerL: [5, 7, 10],
      lossPercent: loss,
      paceMin: c(0.6, 1.2, 2.5),
      setUpMin: c(2, 4, 6),
      dryKgPerL: c(0.5, 0.7, 0.9),
      ...waits(30 * m, 1, 24),
    },
  },
  {
    id: 'PVA seal',
    name: 'PVA and water 1:1, as a seal',
    facts: ['water-based', 'foam-safe'],
    use: 'The cheapest seal; softens again under much water.',
    values: {
      spreadM2PerL: c(5, 8, 12),
      lossPercent: loss,
      paceMin: c(0.5, 1, 2),
      setUpMin: c(2, 3, 5),
      dryKgPerL: c(0.22, 0.26, 0.3),
      ...waits(45 * m, 2, 24),
    },
  },
  {
    id: 'acrylic',
    name: 'Acrylic paint, brushed',
    facts: ['water-based', 'foam-safe', 'a colour'],
    use: 'The base colour; two thin coats rather than one thick.',
    packs: bottles,
    values: {
      wetKgPerL: [1.1, 1.2, 1.4, 'B', 'memory'],
      spreadM2PerL: [6, 10, 15],
      lossPercent: loss,
      thinParts: c(0, 0.1, 0.2),
      paceMin: c(0.8, 1.5, 3.5),
      setUpMin: c(2, 4, 6),
      dryKgPerL: filmDryKgPerL,
      touchH: c(0.2, 20 * m, 0.6),
      coatH: c(0.45, 45 * m, 1.35),
      throughH: [24, 36, 72],
    },
  },
  {
    id: 'water bands',
    name: 'Acrylic paint in bands of depth',
    facts: ['water-based', 'foam-safe', 'a colour'],
    use: 'Light and sandy at the shore to dark in the deep; a few bands at a time, blended before they dry.',
    values: {
      spreadM2PerL: c(5, 8, 12),
      lossPercent: [10, 15, 25, 'C', 'trade'],
      paceMin: c(1.5, 3, 6),
      setUpMin: c(3, 5, 8),
      dryKgPerL: filmDryKgPerL,
      ...waits(20 * m, 45 * m, 36),
    },
  },
  {
    id: 'airbrushed',
    name: 'Acrylic paint, airbrushed',
    facts: ['water-based', 'foam-safe', 'a colour', 'spreads thinned'],
    use: 'Thin even coats, quickly dry; overspray is counted in what a litre covers.',
    caution: 'Even water paint is harmful as mist: filter mask and extraction.',
    values: {
      spreadM2PerL: [7, 11, 18],
      thinParts: [0.5, 1, 2],
      paceMin: c(0.3, 0.7, 1.5),
      setUpMin: c(8, 12, 18),
      dryKgPerL: c(0.1, 0.17, 0.25),
      ...waits(5 * m, 10 * m, 18),
    },
  },
  {
    id: 'spray primer',
    name: 'Spray primer, solvent',
    facts: ['solvent', 'attacks foam', 'flammable', 'a colour'],
    use: 'Over sealed foam only: it eats bare foam.',
    caution: 'Outdoors or extracted, no flame or spark, mask with organic-vapour filter.',
    packs: [[400, 'ml']],
    values: {
      spreadM2PerL: [2.5, 3.75, 6.25],
      paceMin: c(0.2, 0.4, 0.8),
      setUpMin: c(3, 5, 10),
      dryKgPerL: c(0.1, 0.18, 0.25),
      ...waits(15 * m, 30 * m, 24),
    },
  },
  {
    id: 'wash',
    name: 'Wash over all',
    facts: ['water-based', 'foam-safe', 'a colour', 'spreads thinned'],
    use: 'One part of paint in ten of water and medium: runs into the cracks.',
    values: {
      spreadM2PerL: c(7, 12, 20),
      thinParts: c(6, 10, 20),
      lossPercent: loss,
      paceMin: c(0.5, 1, 2),
      setUpMin: c(2, 4, 6),
      dryKgPerL: c(0.03, 0.05, 0.1),
      ...waits(30 * m, 1, 12),
    },
  },
  {
    id: 'pin wash',
    name: 'Wash into cracks only',
    facts: ['water-based', 'foam-safe', 'a colour', 'spreads thinned'],
    use: 'With a fine brush along joints and cracks: about an eighth of the ground is touched.',
    values: {
      spreadM2PerL: c(7, 12, 20),
      thinParts: c(5, 8, 12),
      lossPercent: [10, 20, 30, 'C', 'trade'],
      paceMin: c(8, 20, 50),
      setUpMin: c(2, 4, 6),
      dryKgPerL: c(0.04, 0.06, 0.1),
      ...waits(30 * m, 1, 12),
    },
  },
  {
    id: 'oil wash',
    name: 'Oil wash',
    facts: ['solvent', 'flammable', 'a colour', 'spreads thinned'],
    use: 'Stays workable for hours; over sealed, dry acrylic.',
    caution: 'Solvent: air, gloves; oily rags dry spread out.',
    values: {
      spreadM2PerL: c(10, 18, 30),
      thinParts: c(8, 12, 20),
      lossPercent: [10, 15, 25, 'C', 'trade'],
      paceMin: c(0.8, 1.5, 3),
      setUpMin: c(3, 5, 8),
      dryKgPerL: c(0.03, 0.06, 0.1),
      ...waits(4, 24, 72),
    },
  },
  {
    id: 'glaze',
    name: 'Glaze',
    facts: ['water-based', 'foam-safe', 'a colour', 'spreads thinned'],
    use: 'A thin tint that pulls tones together.',
    values: {
      spreadM2PerL: c(10, 15, 25),
      thinParts: c(5, 8, 15),
      lossPercent: loss,
      paceMin: c(0.5, 1, 2),
      setUpMin: c(2, 4, 6),
      dryKgPerL: c(0.05, 0.08, 0.12),
      ...waits(20 * m, 45 * m, 12),
    },
  },
  {
    id: 'dry-brush',
    name: 'Dry-brush',
    facts: ['water-based', 'foam-safe', 'a colour'],
    use: 'Each tone lighter and drier on the brush than the last; what is wiped off is counted in what a litre covers.',
    values: {
      spreadM2PerL: c(30, 80, 150),
      paceMin: c(0.8, 2, 4),
      setUpMin: c(2, 3, 5),
      dryKgPerL: c(0.08, 0.14, 0.22),
      ...waits(5 * m, 10 * m, 12),
    },
  },
  {
    id: 'stipple',
    name: 'Stippled with a sponge',
    facts: ['water-based', 'foam-safe', 'a colour'],
    use: 'Broken tones over rock and paving.',
    values: {
      spreadM2PerL: c(20, 35, 60),
      paceMin: c(0.8, 1.5, 3),
      setUpMin: c(2, 3, 5),
      dryKgPerL: c(0.25, 0.35, 0.5),
      ...waits(15 * m, 30 * m, 24),
    },
  },
  {
    id: 'matt varnish',
    name: 'Matt varnish, brushed',
    facts: ['water-based', 'foam-safe'],
    use: 'Takes the shine off and holds powders.',
    packs: [[250, 'ml']],
    values: {
      spreadM2PerL: [7, 11, 16],
      lossPercent: loss,
      paceMin: c(0.6, 1.2, 2.5),
      setUpMin: c(2, 4, 6),
      dryKgPerL: c(0.3, 0.4, 0.5),
      ...waits(30 * m, 2, 24),
    },
  },
  {
    id: 'matt varnish, foam-safe spray',
    name: 'Matt varnish, foam-safe spray',
    facts: ['foam-safe', 'flammable'],
    use: 'Only one labelled foam-safe.',
    caution: 'Outdoors or extracted, no flame or spark.',
    packs: [[400, 'ml']],
    values: {
      spreadM2PerL: c(2.5, 4, 6.5),
      paceMin: c(0.2, 0.4, 0.8),
      setUpMin: c(3, 5, 10),
      dryKgPerL: c(0.1, 0.18, 0.25),
      ...waits(20 * m, 40 * m, 24),
    },
  },
]);

export const powders = shelf('powder', 'C', 'memory', [
  {
    id: 'weathering powder',
    name: 'Weathering powder',
    facts: ['a colour'],
    use: 'Dust and rust, brushed on and fixed.',
    packs: [[20, 'g']],
    values: {
      dustG: [0.2, 0.5, 1.5],
      lossPercent: [20, 30, 40],
      paceMin: [1, 2, 4],
      setUpMin: [2, 3, 5],
      touchH: [0.3, 0.5, 1],
      coatH: [0.5, 1, 2],
      throughH: [1, 2, 4],
    },
  },
]);
