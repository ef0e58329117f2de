import { findingsOf } from './checks/index.ts';
import { type Days, daysOf } from './days/index.ts';
import { jointWaits } from './drying/index.ts';
import { figureStands, fitOf, houseWays, limitsRead, massOf, type StandingShare, standingShares } from './fit/index.ts';
import type { Point } from './geometry/index.ts';
import {
  type Built,
  cellOf,
  extremesOf,
  finishedGround,
  type Ground,
  groundOf,
  type Pool,
  poolsOf,
  readSpans,
  readVoids,
  type Solved,
  type SpanRead,
  solvedOf,
  type VoidField,
  type VoidReads,
} from './ground/index.ts';
import { type LaidRead, type LayerPlan, layerPlan, layIn, type Target, targetOf } from './layers/index.ts';
import { createMemory } from './memory.ts';
import { frameOf, type Landform, nameOf, openAsClosed, type Project, schools } from './project/index.ts';
import type { LandformReport, PlanReport, SchoolReport } from './report.ts';
import { type StageTakeoff, takeoffOf } from './takeoff/index.ts';
import { readSet, readTile, type SetRead, type TileRead } from './tiles/index.ts';
import { type ZoneMap, type ZonesRead, zonesOf } from './zones/index.ts';

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

interface Worked {
  plan: LayerPlan;
  takeoff: StageTakeoff[];
  days: Days;
}

/** All that is read off the finished ground and target. */
interface Land {
  solved: Solved;
  ground: Ground;
  target: Target;
  spans: SpanRead[];
  laid: LaidRead[];
  pools: Pool[];
  standing: StandingShare[];
  voids: VoidReads;
  zones: ZonesRead;
  set: SetRead;
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

function reportOf(project: Project, land: Land, worked: readonly Worked[], chosen: Worked): PlanReport {
  const { ground, target, spans, laid, pools, standing, voids, zones, set } = land;
  const joints = jointWaits(project, chosen.plan);
  const { surface, grid } = ground;
  const { highest, lowest } = extremesOf(grid, ground.outline);
  const skinMl = ground.volumeMl - target.volumeMl;
  const fit = fitOf(project, ground, laid, spans, set.tiles);
  const mass = massOf(project, surface.planMm2, skinMl, chosen.plan, laid);
  const judgements = { standing, figures: figureStands(project, ground), houses: houseWays(project) };
  const limits = limitsRead(project, {
    finish: chosen.days.finish?.likely ?? null,
    handsOnMin: chosen.days.handsOnMin,
    mass,
    cost: sheetsCost(project, chosen.plan),
    tallestMm: fit.tallestMm,
    zones: zones.zones,
  });
  const pair = ([x, y]: Point): [number, number] => [x, y];
  return {
    format: 'hosket-plan',
    version: 4,
    project: project.name,
    startDate: project.bench.startDate,
    ground: {
      cellMm: grid.cellMm,
      columns: grid.columns,
      rows: grid.rows,
      lowestMm: surface.lowestMm,
      highestMm: ground.highestMm,
      planMm2: surface.planMm2,
      trueMm2: surface.trueMm2,
      meanSlopeDegrees: surface.meanSlopeDegrees,
      volumeMl: ground.volumeMl,
      highestAt: pair(highest.at),
      lowestAt: pair(lowest.at),
      pools: pools.map((pool) => ({ ...pool, at: pair(pool.at) })),
    },
    landforms: project.landforms.map((form, k) => landformReport(form, ground.built[k])),
    spans: spans.map((span) => {
      const form = project.landforms.find(({ id }) => id === span.id);
      return {
        ...span,
        name: form ? nameOf(form) : span.id,
        wantedMm: form?.kind === 'span' ? form.clearanceMm : 0,
        rooms: span.rooms.map((room) => ({ ...room, at: pair(room.at) })),
      };
    }),
    laid,
    voids: voids.voids.map((read) => ({
      ...read,
      thinnestAt: read.thinnestAt && pair(read.thinnestAt),
      openings: read.openings.map((opening) => ({ ...opening, at: pair(opening.at) })),
      ends: read.ends.map((end) => ({ ...end, at: pair(end.at) })),
    })),
    voidMeetings: voids.meetings.map((meeting) => ({ ...meeting, at: pair(meeting.at) })),
    zones: zones.zones,
    set,
    fit,
    judgements,
    mass,
    limits,
    frame: frameOf(project.base),
    target: { volumeMl: target.volumeMl, skinMl, highestMm: target.curve.highestMm },
    chosen: chosen.plan.school,
    schools: worked.map(schoolReport),
    takeoff: chosen.takeoff,
    joints,
    operations: chosen.days.operations,
    tasks: chosen.days.tasks,
    finish: chosen.days.finish,
    findings: findingsOf({
      project,
      ground,
      solved: land.solved.grid,
      spans,
      laid,
      target,
      layers: chosen.plan,
      joints,
      days: chosen.days,
      fit,
      judgements,
      limits,
      voids,
      set,
    }),
  };
}

/** Price of the sheets a plan takes, where they are priced; null when none of them is. */
function sheetsCost(project: Project, { sheetsUsed }: LayerPlan): number | null {
  const priced = sheetsUsed.flatMap(({ sheetId, sheets }) => {
    const price = project.sheets.find(({ id }) => id === sheetId)?.price;
    return price == null ? [] : [sheets * price];
  });
  return priced.length ? priced.reduce((sum, cost) => sum + cost, 0) : null;
}

function landformReport(form: Landform, { ends, areaMm2, cutMl, fillMl, steepestDegrees }: Built): LandformReport {
  const climbs = ends && ends.lengthMm > 0 ? (100 * (ends.toMm - ends.fromMm)) / ends.lengthMm : null;
  return {
    id: form.id,
    kind: form.kind,
    name: nameOf(form),
    fromMm: ends?.fromMm ?? null,
    toMm: ends?.toMm ?? null,
    lengthMm: ends?.lengthMm ?? null,
    gradientPercent: climbs,
    limitPercent: form.kind === 'way' ? form.gradientPercent : null,
    areaMm2,
    cutMl,
    fillMl,
    steepestDegrees,
  };
}

const tenThousandths = (value: number) => Math.round(value * 1e4) / 1e4;
const written = (ring: readonly (readonly [number, number])[]): [number, number][] =>
  ring.map(([x, y]) => [tenThousandths(x), tenThousandths(y)]);

function schoolReport({ plan, days }: Worked): SchoolReport {
  return {
    ...plan,
    layers: plan.layers.map((layer) => ({
      ...layer,
      pieces: layer.pieces.map(({ outer, holes }) => ({ outer: written(outer), holes: holes.map(written) })),
    })),
    handsOnMin: days.handsOnMin,
    pasteDryHours: days.pasteDryHours,
    finish: days.finish,
  };
}
