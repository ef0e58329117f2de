import { findingsOf } from './checks/index.ts';
import type { Days } from './days/index.ts';
import { jointWaits } from './drying/index.ts';
import { figureStands, fitOf, houseWays, limitsRead, massOf, type StandingShare } from './fit/index.ts';
import type { Point } from './geometry/index.ts';
import {
  type Built,
  extremesOf,
  type Ground,
  type Pool,
  type Solved,
  type SpanRead,
  type VoidReads,
} from './ground/index.ts';
import type { LaidRead, LayerPlan, Target } from './layers/index.ts';
import { frameOf, type Landform, nameOf, type Project } from './project/index.ts';
import type { LandformReport, PlanReport, SchoolReport } from './report.ts';
import type { StageTakeoff } from './takeoff/index.ts';
import type { SetRead } from './tiles/index.ts';
import type { ZonesRead } from './zones/index.ts';

/** One school's stack with what follows from it. */
export interface Worked {
  plan: LayerPlan;
  takeoff: StageTakeoff[];
  days: Days;
}

/** All that is read off the finished ground and target. */
export interface Land {
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

/** The plan as data: what every screen shows and the command line prints. */
export function reportOf(project: Project, land: Land, worked: readonly Worked[], chosen: Worked): PlanReport {
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
