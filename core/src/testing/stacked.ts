import type { Ground } from '../ground/index.ts';
import { toEnd } from '../kernel/index.ts';
import {
  areasOf,
  type LayerPlan,
  layerPlan,
  layIn,
  levelPlaces,
  limitsOf,
  modelFor,
  pasteOfZones,
  pinnedOf,
  roomsOf,
  stackGround,
  type Target,
  targetOf,
  weightsOf,
} from '../layers/index.ts';
import type { Project, School } from '../project/index.ts';
import { wornOf } from '../recipes/index.ts';
import { cheapest, costOf, graphOf, type StackModel } from '../stack/index.ts';
import { onGround, surfacesOf, takeoffOf } from '../takeoff/index.ts';
import { namedZones, zonesOf } from '../zones/index.ts';

/** Everything between a ground and its stack, as the plan does it. */
export function landFor(project: Project, ground: Ground, given?: Target) {
  const zones = zonesOf(project, ground);
  const worn = toEnd(wornOf(project, ground, zones));
  const target = given ?? targetOf(ground, worn.skin);
  const map = areasOf(project, ground, zones);
  const levels = toEnd(
    levelPlaces(project.heights, [...project.marks, ...project.landforms], ground.built, ground.grid, target.grid, map),
  );
  const rooms = roomsOf(project, ground, layIn(project, ground, target));
  return {
    ground,
    target,
    map,
    levels,
    rooms,
    zones,
    worn,
    stack: toEnd(stackGround(project, ground, target, map, levels)),
  };
}

/** Everything that goes on a stack, and the paste under it zone by zone. */
export function taken(project: Project, plan: LayerPlan, land: ReturnType<typeof landFor>) {
  const { ground, target, zones, worn } = land;
  const skinMl = ground.volumeMl - target.volumeMl;
  const paste = toEnd(pasteOfZones(land, plan, skinMl, zones.map, zones.zones.length));
  return {
    paste,
    skinMl,
    stages: takeoffOf(
      project,
      plan,
      onGround(project, ground, surfacesOf(project, ground, namedZones(project, zones.zones), worn, paste)),
      null,
    ),
  };
}

/** The cheapest stack of a school, measured. */
export function stacked(
  project: Project,
  ground: Ground,
  school: School = project.stacking.school ?? 'halfway',
): { plan: LayerPlan; model: StackModel; land: ReturnType<typeof landFor> } {
  const land = landFor(project, ground);
  const model = modelFor(project, land.stack, school);
  const weights = weightsOf(project);
  const { steps } = cheapest(graphOf(model, pinnedOf(project, model)), weights, limitsOf(project.stacking));
  return { plan: toEnd(layerPlan(project, land, model, school, steps, costOf(model, steps, weights))), model, land };
}
