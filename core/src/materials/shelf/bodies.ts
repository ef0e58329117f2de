import { shelf } from './row.ts';

/** What layers and boards are cut from, and what is laid in. */
export const foams = shelf('foam', 'B', 'memory', [
  {
    id: 'xps',
    packs: [[1, 'each']],
    name: 'Dense foam (extruded)',
    facts: ['foam-safe'],
    values: {
      densityKgM3: [25, 32, 45, 'B', 'memory', 'building board; ASTM C578 type minima about 19 to 48, from memory'],
      vapourResistance: [
        80,
        100,
        200,
        'B',
        'memory',
        'EN ISO 10456 tabulates 150 (from memory); without its skin about 100',
      ],
    },
    use: 'The body, and everything that is carved crisp.',
    caution: 'Hot-cut foam gives off harmful fumes: outdoors or extracted, mask with organic-vapour cartridges.',
  },
  {
    id: 'eps',
    packs: [[1, 'each']],
    name: 'Bead foam (expanded)',
    values: {
      densityKgM3: [10, 15, 18, 'B', 'memory', 'light board, EN 13163 (from memory)'],
      vapourResistance: [20, 40, 100, 'B', 'memory', 'EN ISO 10456 tabulates 60 (from memory); light grades lower'],
    },
    use: 'Cheap bulk under plaster, cut with a hot wire.',
    caution: 'Its beads fly and cling: sand it damp or with suction.',
  },
  {
    id: 'card',
    packs: [[1, 'each']],
    name: 'Foam-cored card',
    values: { densityKgM3: [60, 90, 140, 'B', 'trade'], vapourResistance: [30, 60, 120, 'C'] },
    use: 'Thin steps and hollow frames.',
  },
  {
    id: 'cork',
    packs: [[1, 'each']],
    name: 'Cork sheet',
    values: { densityKgM3: [120, 180, 250, 'B', 'trade'], vapourResistance: [5, 10, 20, 'C'] },
    use: 'Roadbeds and torn rock faces.',
  },
]);

export const boards = shelf('board', 'B', 'trade', [
  {
    id: 'fibreboard',
    packs: [[1, 'each']],
    name: 'Fibreboard',
    values: { densityKgM3: [650, 750, 850], vapourResistance: [10, 15, 25, 'B', 'memory'] },
    caution: 'Mask when sawing or sanding it.',
  },
  {
    id: 'plywood',
    packs: [[1, 'each']],
    name: 'Plywood',
    values: { densityKgM3: [450, 600, 700], vapourResistance: [50, 90, 150, 'B', 'memory'] },
  },
  {
    id: 'hardboard',
    packs: [[1, 'each']],
    name: 'Hardboard',
    values: { densityKgM3: [850, 950, 1050], vapourResistance: [20, 30, 60, 'C', 'memory'] },
  },
  {
    id: 'cork board',
    packs: [[1, 'each']],
    name: 'Cork board',
    values: { densityKgM3: [120, 180, 250], vapourResistance: [5, 10, 20, 'C', 'memory'] },
  },
  {
    id: 'foam-cored card',
    packs: [[1, 'each']],
    name: 'Foam-cored card, as a board',
    values: { densityKgM3: [60, 90, 140], vapourResistance: [30, 60, 120, 'C', 'memory'] },
  },
  {
    id: 'card board',
    packs: [[1, 'each']],
    name: 'Card, as a board',
    values: { densityKgM3: [600, 700, 850, 'B', 'memory'], vapourResistance: [20, 50, 100, 'C', 'memory'] },
  },
  {
    id: 'solid wood',
    packs: [[1, 'each']],
    name: 'Solid wood',
    values: { densityKgM3: [400, 550, 750, 'B', 'memory'], vapourResistance: [20, 50, 200, 'C', 'memory'] },
    use: 'Plinths; it moves across its grain with the damp.',
  },
  {
    id: 'acrylic sheet',
    packs: [[1, 'each']],
    name: 'Acrylic sheet',
    values: { densityKgM3: [1170, 1190, 1200, 'B', 'memory'], vapourResistance: [5000, 10000, 50000, 'C', 'memory'] },
  },
  {
    id: 'cast plaster',
    packs: [[1, 'each']],
    name: 'Cast plaster, as a base',
    values: { densityKgM3: [900, 1100, 1400, 'B', 'memory'], vapourResistance: [6, 10, 15, 'B', 'memory'] },
    use: 'Heavy and rigid; dry it through before anything is glued on it.',
  },
  {
    id: 'other board',
    packs: [[1, 'each']],
    name: 'Another board',
    values: { densityKgM3: [300, 700, 1500, 'C'], vapourResistance: [10, 50, 200, 'C'] },
    use: 'Put in its density.',
  },
]);

export const laidIn = shelf('laid', 'C', 'memory', [
  {
    id: 'rock',
    packs: [[500, 'g']],
    name: 'Stone',
    values: { wetKgPerL: [2.4, 2.65, 2.8], solidShare: [0.5, 0.6, 0.75] },
  },
  {
    id: 'bark',
    packs: [[500, 'g']],
    name: 'Dry bark',
    values: { wetKgPerL: [0.25, 0.4, 0.6], solidShare: [0.5, 0.7, 0.85] },
  },
  {
    id: 'slate',
    packs: [[500, 'g']],
    name: 'Slate',
    values: { wetKgPerL: [2.6, 2.75, 2.9], solidShare: [0.65, 0.8, 0.95] },
  },
  {
    id: 'cast',
    packs: [[500, 'g']],
    name: 'Cast plaster',
    values: { wetKgPerL: [1.0, 1.16, 1.3], solidShare: [0.5, 0.6, 0.75] },
  },
  {
    id: 'building',
    packs: [[1, 'each']],
    name: 'A hollow model building',
    values: { wetKgPerL: [0.05, 0.1, 0.2], solidShare: [1, 1, 1] },
  },
]);
