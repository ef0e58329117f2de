import type { LaidRead, LayerPlan } from '../layers/index.ts';
import { boardDensity, compound } from '../materials/index.ts';
import type { Project } from '../project/index.ts';

interface Range {
  low: number;
  likely: number;
  high: number;
}

/** What the piece weighs when it is dry, g: its parts and their sum. Paint, cover, water and things that only stand on it are not counted. */
export interface Mass {
  boardG: Range;
  foamG: Range;
  pasteG: Range;
  laidG: Range;
  totalG: Range;
}

const bounds = ['low', 'likely', 'high'] as const;
const range = (of: (bound: (typeof bounds)[number]) => number): Range => ({
  low: of('low'),
  likely: of('likely'),
  high: of('high'),
});

/** Adds up board, foam, paste and laid-in things. `planMm2` is the area of the base, `skinMl` the skin over all foam. */
export function massOf(
  project: Project,
  planMm2: number,
  skinMl: number,
  plan: LayerPlan,
  laid: readonly LaidRead[],
): Mass {
  const { board } = project.base;
  const boardMl = (planMm2 * board.thicknessMm) / 1000;
  const density = boardDensity[board.material];
  const boardG = range((bound) => (boardMl * density[bound]) / 1000);
  const pasteG = range((bound) => (plan.fillMl + skinMl) * compound.dryKgPerL[bound]);
  const laidG = range((bound) => laid.reduce((sum, { massG }) => sum + massG[bound], 0));
  const foamG = plan.foamMassG;
  const totalG = range((bound) => boardG[bound] + foamG[bound] + pasteG[bound] + laidG[bound]);
  return { boardG, foamG, pasteG, laidG, totalG };
}
