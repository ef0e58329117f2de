import { daysOf } from './days/index.ts';
import { standingShares } from './fit/index.ts';
import {
  cellOf,
  finishedGround,
  type Ground,
  groundOf,
  poolsOf,
  readSpans,
  readVoids,
  type Solved,
  solvedOf,
  type VoidField,
} from './ground/index.ts';
import { type LayerPlan, layerPlan, layIn, type Target, targetOf } from './layers/index.ts';
import { createMemory } from './memory.ts';
import { type Land, reportOf, type Worked } from './planReport.ts';
import { openAsClosed, type Project, schools } from './project/index.ts';
import type { PlanReport } from './report.ts';
import { takeoffOf } from './takeoff/index.ts';
import { readSet, readTile, type SetRead, type TileRead } from './tiles/index.ts';
import { type ZoneMap, zonesOf } from './zones/index.ts';

/** Everything worked out from a project: the report, and the fields that drawings are made from. */
export interface Plan {
  report: PlanReport;
  ground: Ground;
  target: Target;
  /** Which zone lies where. */
  zones: ZoneMap;
  /** Floor and roof of every void on the lattice of the ground. */
  hollows: VoidField[];
  /** Not the last word: the ground is not quite at rest, or schools and low points are still those from before; run again for the exact plan. */
  near: boolean;
}

/**
 * Runs the stages in the builder's order and keeps what has not changed since the last run. `run` is a generator that yields between
 * pieces of work, so that a newer edit can abandon an older run. A `quick` run may answer with a plan that is `near`.
 */
export function createPlanner(): { run: (project: Project, quick?: boolean) => Generator<undefined, Plan> } {
  let solved: Solved | undefined;
  const memory = createMemory();
  let layers: { key: string; sheetsKey: string; value: LayerPlan[] } | undefined;

  function* run(project: Project, quick = false): Generator<undefined, Plan> {
    memory.begin();
    solved = yield* solvedOf(project, cellOf(project.base), solved, quick);
    const lines = solved;
    const { base, marks, landforms, terrain, tile, profiles } = project;
    // Written out once: a plan of many points is long.
    const groundKey = JSON.stringify([lines.near, base.shape, marks, landforms, terrain, tile, profiles]);
    const land = yield* memory.exact('ground', groundKey, () => finishedGround(project, lines));
    const targetKey = [groundKey, project.surface.skinMm];
    const wanted = yield* memory.exact('target', targetKey, () => targetOf(land, project.surface.skinMm));
    // A quick run leaves what changes little, and the schools that are not chosen, as they were.
    const read = quick ? memory.loose : memory.exact;
    const pools = yield* read('pools', groundKey, () => poolsOf(land.grid, land.outline));
    const standing = yield* read('standing', [groundKey, project.judging], () =>
      standingShares(land.grid, land.outline, project.judging),
    );
    const zones = yield* read('zones', [groundKey, project.patches, project.zones, project.laid], () =>
      zonesOf(project, land),
    );
    const voids = yield* memory.exact('voids', [groundKey, project.voids], () =>
      readVoids(land.grid, land.outline, project.voids),
    );
    const set = yield* setOf(project, land, groundKey, quick);
    const sheetsKey = JSON.stringify([project.sheets, { ...project.stacking, school: '' }]);
    const layersKey = JSON.stringify([targetKey, sheetsKey]);
    let left = memory.left();
    if (layers?.key !== layersKey) {
      const known = quick && layers?.sheetsKey === sheetsKey ? layers.value : null;
      left ||= known !== null;
      const plans: LayerPlan[] = [];
      for (const school of schools) {
        const kept = school === project.stacking.school ? undefined : known?.find((plan) => plan.school === school);
        plans.push(kept ?? layerPlan(project, land, wanted, school));
        yield;
      }
      layers = { key: known ? '' : layersKey, sheetsKey, value: plans };
    }
    const skinMl = land.volumeMl - wanted.volumeMl;
    const worked = layers.value.map((plan) => workedOut(project, land, skinMl, plan));
    const chosen = worked.find(({ plan }) => plan.school === project.stacking.school) ?? worked[0];
    const reads: Land = {
      solved: lines,
      ground: land,
      target: wanted,
      spans: readSpans(land.grid, project.landforms, land.built),
      laid: layIn(project.laid, land, wanted),
      pools,
      standing,
      voids,
      zones,
      set,
    };
    return {
      report: reportOf(project, reads, worked, chosen),
      ground: land,
      target: wanted,
      zones: zones.map,
      hollows: voids.fields,
      near: lines.near || left,
    };
  }

  /** How the tiles of the set meet: the open one by its ground, each other one by a ground that is worked out once. */
  function* setOf(project: Project, land: Ground, groundKey: string, quick: boolean): Generator<undefined, SetRead> {
    const reads = new Map<string, TileRead>();
    const { profiles, tile, things, laid } = project;
    if (!project.tiles.length) return readSet(project, reads);
    const read = quick ? memory.loose : memory.exact;
    const open = yield* read('open tile', [groundKey, things, laid], () =>
      readTile(project, openAsClosed(project), land),
    );
    reads.set(tile.id, open);
    for (const closed of project.tiles) {
      const shape = { ...closed, tile: closed, profiles };
      const other = yield* memory.exact(`tile ${closed.id}`, [closed, profiles], function* () {
        return readTile(project, closed, yield* groundOf(shape));
      });
      reads.set(closed.id, other);
    }
    return readSet(project, reads);
  }
  return { run };
}

function workedOut(project: Project, ground: Ground, skinMl: number, plan: LayerPlan): Worked {
  const takeoff = takeoffOf(project, ground.surface, skinMl, plan);
  return { plan, takeoff, days: daysOf(project, plan, takeoff) };
}

/** The plan of a project, worked out from nothing. The same project always gives the same plan. */
export function plan(project: Project): Plan {
  const run = createPlanner().run(project);
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
  }
}
