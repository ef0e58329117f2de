import type { Cutting } from '../cutting/index.ts';
import type { Ground } from '../ground/index.ts';
import type { LayerPlan, PasteMap } from '../layers/index.ts';
import { skillFactor } from '../materials/index.ts';
import type { Project } from '../project/index.ts';
import { countStages } from './countStages.ts';
import { carving, cutting, fitting, gluing, wedging } from './foamStages.ts';
import type { StageTakeoff } from './stage.ts';
import { atPace, surfaceStages } from './surfaceStages.ts';
import type { WornSurface } from './wornSurface.ts';

/** Everything that goes on a stack, and everything counted, in working order. What is set to nothing is left out. */
export function onGround(project: Project, ground: Ground, surfaces: readonly WornSurface[]): StageTakeoff[] {
  const worn = surfaceStages(project, surfaces, skillFactor[project.bench.skill]);
  return [...worn, ...countStages(project, ground, bedOf(worn))];
}

/** What must be there before a row is set on the ground: joints that hold, the last of each kind of skin, seal and colour, and ballast. */
function bedOf(worn: readonly StageTakeoff[]): StageTakeoff['after'] {
  const bed = worn.filter(
    ({ stage, id }) => stage === 'skin' || stage === 'seal' || stage === 'colour' || id.startsWith('scatter-ballast'),
  );
  return [
    { id: 'glue', wait: 'coat' },
    { id: 'carve', wait: 'touch' },
    ...bed.map(({ id, drying }) => ({ id, wait: drying.kind === 'paste' ? ('through' as const) : ('coat' as const) })),
  ];
}

/** Amounts for one stack and for what goes on it (`onGround`), in working order; `cut` is how its pieces lie on sheets, where that is known. */
export function takeoffOf(
  project: Project,
  plan: LayerPlan,
  above: readonly StageTakeoff[],
  cut: Cutting | null,
  wedges: PasteMap['wedges'] = null,
): StageTakeoff[] {
  const { skill } = project.bench;
  const pace = skillFactor[skill];
  const carved = carving(plan);
  const fitted = fitting(project);
  const wedged = wedging(project, wedges);
  const glued = isGlued(plan) ? gluing(project, plan) : null;
  const foam = plan.layers.length
    ? [cutting(project, plan, cut), glued, carved, wedged, fitted].filter((stage) => stage !== null)
    : [];
  const stages = [...foam, ...above];
  const there = new Set(stages.map(({ id }) => id));
  return stages.map((stage) => ({
    ...atPace(stage, pace, skill),
    after: stage.after
      .map((before) => (before.id === 'glue' && !there.has('glue') ? { ...before, id: 'cut' } : before))
      .filter(({ id }) => there.has(id)),
  }));
}

/** One layer without a board under it lies on nothing: what waits for its joint waits for its cutting. */
const isGlued = ({ layers }: LayerPlan): boolean => layers.some(({ contactMm2 }) => contactMm2 > 0);
