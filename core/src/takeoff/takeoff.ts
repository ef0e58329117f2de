import type { Cutting } from '../cutting/index.ts';
import type { Ground } from '../ground/index.ts';
import type { LayerPlan } from '../layers/index.ts';
import { skillFactor } from '../materials/index.ts';
import type { Project } from '../project/index.ts';
import { countStages } from './countStages.ts';
import { carving, cutting, fitting, gluing } from './foamStages.ts';
import type { StageTakeoff } from './stage.ts';
import { atPace, surfaceStages } from './surfaceStages.ts';
import type { WornSurface } from './wornSurface.ts';

/** Everything that goes on a stack, and everything counted, in working order. What is set to nothing is left out. */
export const onGround = (project: Project, ground: Ground, surfaces: readonly WornSurface[]): StageTakeoff[] => [
  ...surfaceStages(project, surfaces, skillFactor[project.bench.skill]),
  ...countStages(project, ground),
];

/** Amounts for one stack and for what goes on it (`onGround`), in working order; `cut` is how its pieces lie on sheets, where that is known. */
export function takeoffOf(
  project: Project,
  plan: LayerPlan,
  above: readonly StageTakeoff[],
  cut: Cutting | null,
): StageTakeoff[] {
  const { skill } = project.bench;
  const pace = skillFactor[skill];
  const carved = carving(plan);
  const fitted = fitting(project);
  const foam = plan.layers.length
    ? [cutting(project, plan, cut), gluing(project, plan), ...(carved ? [carved] : []), ...(fitted ? [fitted] : [])]
    : [];
  const stages = [...foam, ...above];
  const there = new Set(stages.map(({ id }) => id));
  return stages.map((stage) => ({
    ...atPace(stage, pace, skill),
    after: stage.after.filter(({ id }) => there.has(id)),
  }));
}
