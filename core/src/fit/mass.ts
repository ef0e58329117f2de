import type { LaidRead, LayerPlan } from '../layers/index.ts';
import { boardOf, catalogueOf } from '../materials/index.ts';
import type { Project } from '../project/index.ts';
import type { StageTakeoff } from '../takeoff/index.ts';
import { type Range, scaleRange, sum } from '../units/index.ts';
import { massOfThing } from './thingMass.ts';

/** What the piece weighs when it is dry, g: its parts and their sum. Water is not counted. */
export interface Mass {
  boardG: Range;
  foamG: Range;
  /** Left in the joints. */
  glueG: Range;
  /** Fill and skin. */
  pasteG: Range;
  /** Seal, colour, cover and what is on the sides. */
  coverG: Range;
  laidG: Range;
  /** What stands on it: figures, trees, models. */
  thingsG: Range;
  totalG: Range;
}

/** Adds up board, foam, glue, paste, cover, laid-in things and what stands on it, as independent ranges. `planMm2` is the area of the base. */
export function massOf(
  project: Project,
  planMm2: number,
  plan: LayerPlan,
  laid: readonly LaidRead[],
  takeoff: readonly StageTakeoff[],
): Mass {
  const { board } = project.base;
  const { density } = boardOf(board.material, catalogueOf(project.materials));
  const boardG = scaleRange(density, (planMm2 * board.thicknessMm) / 1e6);
  const pasteG = sum(takeoff.filter(({ stage }) => stage === 'skin').map(({ dryG }) => dryG));
  const glueG = sum(takeoff.filter(({ stage }) => stage === 'glue').map(({ dryG }) => dryG));
  const under: readonly StageTakeoff['stage'][] = ['cut', 'glue', 'skin'];
  const coverG = sum(takeoff.filter(({ stage }) => !under.includes(stage)).map(({ dryG }) => dryG));
  const laidG = sum(laid.map(({ massG }) => massG));
  const thingsG = sum(project.things.map(massOfThing));
  const foamG = plan.foamMassG;
  const totalG = sum([boardG, foamG, glueG, pasteG, coverG, laidG, thingsG]);
  return { boardG, foamG, glueG, pasteG, coverG, laidG, thingsG, totalG };
}
