import type { Cutting } from '../cutting/index.ts';
import type { TrueSurface } from '../geometry/index.ts';
import type { LayerPlan } from '../layers/index.ts';
import { skillFactor } from '../materials/index.ts';
import type { Project } from '../project/index.ts';
import { scaleRange } from '../units/index.ts';
import { reworked } from './amounts.ts';
import { thinCoats } from './coatStages.ts';
import { grassStage, soilStage } from './coverStages.ts';
import { carving, cutting, gluing } from './foamStages.ts';
import { skin } from './pasteStage.ts';
import type { StageTakeoff } from './stage.ts';

/** Amounts for the default recipe over one stack, in working order; `cut` is how its pieces lie on sheets, where that is known. Stages set to nothing are left out. */
export function takeoffOf(
  project: Project,
  surface: TrueSurface,
  skinMl: number,
  plan: LayerPlan,
  cut: Cutting | null,
): StageTakeoff[] {
  const pace = skillFactor[project.bench.skill];
  const stages = [
    ...(plan.layers.length ? [cutting(project, plan, cut), gluing(project, plan), carving(plan)] : []),
    skin(project, surface, skinMl, plan),
    ...thinCoats(project, surface),
    soilStage(project, surface),
    grassStage(project, surface),
  ];
  return stages
    .filter((stage): stage is StageTakeoff => stage !== null)
    .map((stage) =>
      pace === 1
        ? stage
        : {
            ...stage,
            handsOn: reworked(
              stage.handsOn,
              scaleRange(stage.handsOn, pace),
              `x ${pace} for a ${project.bench.skill} builder`,
            ),
          },
    );
}
