import type { Ground } from '../ground/index.ts';
import {
  areasOf,
  type LayerPlan,
  layerPlan,
  layIn,
  levelPlaces,
  limitsOf,
  modelFor,
  pinnedOf,
  roomsOf,
  stackGround,
  type Target,
  targetOf,
  weightsOf,
} from '../layers/index.ts';
import type { Project, School } from '../project/index.ts';
import { cheapest, costOf, graphOf, type StackModel } from '../stack/index.ts';
import { zonesOf } from '../zones/index.ts';

/** Everything between a ground and its stack, as the plan does it. */
export function landFor(project: Project, ground: Ground, target: Target = targetOf(ground, project.surface.skinMm)) {
  const map = areasOf(project, ground, zonesOf(project, ground));
  const levels = levelPlaces([...project.marks, ...project.landforms], ground.built, target.grid, map);
  const rooms = roomsOf(project, ground, layIn(project.laid, ground, target));
  return { ground, target, map, levels, rooms, stack: stackGround(project, ground, target, map, levels) };
}

/** The cheapest stack of a school, measured. */
export function stacked(
  project: Project,
  ground: Ground,
  school: School = project.stacking.school,
): { plan: LayerPlan; model: StackModel; land: ReturnType<typeof landFor> } {
  const land = landFor(project, ground);
  const model = modelFor(project, land.stack, school);
  const weights = weightsOf(project.stacking);
  const { steps } = cheapest(graphOf(model, pinnedOf(project, model)), weights, limitsOf(project.stacking));
  return { plan: layerPlan(project, land, model, school, steps, costOf(model, steps, weights)), model, land };
}
