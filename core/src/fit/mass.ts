import type { LaidRead, LayerPlan } from '../layers/index.ts';
import { boardOf, catalogueOf } from '../materials/index.ts';
import { boardAreaMm2, type Project } from '../project/index.ts';
import type { StageTakeoff } from '../takeoff/index.ts';
import { type Range, scaleRange, sum } from '../units/index.ts';
import { massOfThing } from './thingMass.ts';

/** What the piece weighs when it is dry, g: its parts and their sum. Water is not counted. */
export interface Mass {
  /** The board with a bottom panel and feet. */
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

/** Hardboard under a frame; feet of rubber or wood: g/ml (common practice, no source). */
const BOTTOM: Range = { low: 0.6, likely: 0.9, high: 1 };
const FOOT: Range = { low: 0.5, likely: 1, high: 1.3 };

/** Adds up board, foam, glue, paste, cover, laid-in things and what stands on it, as independent ranges. `planMm2` is the area of the base. */
export function massOf(
  project: Project,
  planMm2: number,
  plan: LayerPlan,
  laid: readonly LaidRead[],
  takeoff: readonly StageTakeoff[],
): Mass {
  const { base } = project;
  const { density } = boardOf(base.board, catalogueOf(project.materials));
  const boardG = sum([
    scaleRange(density, (boardAreaMm2(base) * base.board.thicknessMm) / 1e6),
    scaleRange(BOTTOM, (planMm2 * (base.frame?.bottomMm ?? 0)) / 1000),
    scaleRange(
      FOOT,
      ((base.feet?.count ?? 0) * (Math.PI / 4) * (base.feet?.acrossMm ?? 0) ** 2 * (base.feet?.heightMm ?? 0)) / 1000,
    ),
  ]);
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
