import { shelf } from './row.ts';
import { c, plasterCare } from './spreading.ts';

/** What is laid in plies. */
export const plies = shelf('ply', 'C', 'trade', [
  {
    id: 'tissue',
    packs: [[100, 'g']],
    name: 'Tissue in PVA and water 1:1',
    facts: ['water-based'],
    use: 'Two to five plies, light and tough; tents over hollows, so press it in.',
    values: {
      plyMm: c(0.1, 0.25, 0.4),
      plyGPerM2: c(12, 17, 22),
      plyPasteGPerM2: [60, 90, 150],
      wetKgPerL: c(1.01, 1.03, 1.05),
      solidsPercent: c(20, 24, 28),
      workingMin: [10, 20, 40],
      touchH: [2, 3, 4],
      coatH: c(1, 2, 4),
      throughH: [4, 8, 24],
      lossPercent: [5, 10, 25],
      paceMin: c(1, 2, 4),
      setUpMin: c(4, 6, 9),
    },
  },
  {
    id: 'gauze',
    name: 'Plaster-filled gauze',
    facts: ['sets', 'water-based'],
    use: 'Dipped strips, two layers: a shell over a frame or over rough foam.',
    caution: plasterCare,
    packs: [[1000, 'g']],
    values: {
      plyMm: [1, 1.25, 1.5, 'B'],
      plyGPerM2: [350, 450, 600, 'B'],
      plyPasteGPerM2: c(0, 0, 0),
      workingMin: [2, 4, 6, 'B'],
      touchH: [0.17, 0.25, 0.33, 'B'],
      coatH: c(0.5, 1, 2),
      throughH: [8, 20, 48, 'B'],
      lossPercent: [5, 10, 25],
      paceMin: c(1, 2, 4),
      setUpMin: c(4, 6, 9),
    },
  },
]);
