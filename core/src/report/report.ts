import { findingsFor, type OtherStack, type PlanView } from '../checks/index.ts';
import type { Choice, Chosen, Proposal, Way } from '../choice/index.ts';
import type { Cutting } from '../cutting/index.ts';
import { type Days, wallClock } from '../days/index.ts';
import { jointWaits } from '../drying/index.ts';
import {
  balanceOf,
  bodiesOf,
  figureStands,
  fitOf,
  houseWays,
  limitsRead,
  limitWritten,
  type Middles,
  massOf,
  type StandingShare,
} from '../fit/index.ts';
import type { Point } from '../geometry/index.ts';
import {
  type Built,
  extremesOf,
  type Ground,
  type Pool,
  type Solved,
  type SpanRead,
  type VoidReads,
} from '../ground/index.ts';
import {
  type AreaMap,
  type LaidRead,
  type LayerPlan,
  levelName,
  type PasteMap,
  type Target,
  type ZonePaste,
} from '../layers/index.ts';
import { frameOf, holeName, type Landform, nameOf, type Project, sheetsWorth, standsOn } from '../project/index.ts';
import type { Worn } from '../recipes/index.ts';
import { handOf, optionFor, sameOption } from '../stack/index.ts';
import { breakdownOf, needsOf, shoppingOf } from '../stores/index.ts';
import { dressedOf, readRow } from '../takeoff/index.ts';
import type { SetRead } from '../tiles/index.ts';
import type { ZoneRead } from '../zones/index.ts';
import { piecesWritten, written } from './cutting.ts';
import { withOtherGlues } from './otherGlues.ts';
import type { LandformReport, PlanReport, SchoolReport, WedgesReport } from './schema.ts';
import type { Worked } from './worked.ts';

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
  zones: readonly ZoneRead[];
  worn: Worn;
  paste: PasteMap;
  set: SetRead;
  choice: Choice;
  way: Way;
  map: AreaMap;
  cutting: Cutting;
  cuttingReport: PlanReport['cutting'];
  middles: Middles;
  wedges: WedgesReport | null;
  otherStacks: readonly OtherStack[];
}

/** The plan as data: what every screen shows and the command line prints; and what its rules read. Yields between pieces of work. */
export function* reportOf(
  project: Project,
  land: Land,
  worked: readonly Worked[],
  chosen: Worked,
): Generator<undefined, { report: PlanReport; view: PlanView }> {
  const {
    ground,
    target,
    spans,
    laid,
    pools,
    standing,
    voids,
    zones,
    worn: dressed,
    paste,
    set,
    choice,
    map,
    cutting,
  } = land;
  const joints = jointWaits(project, chosen.plan.layers);
  const { surface, grid } = ground;
  const { highest, lowest } = extremesOf(grid, ground.outline);
  const skinMl = ground.volumeMl - target.volumeMl;
  yield;
  const fit = fitOf(project, ground, laid, spans, set.tiles);
  yield;
  const mass = massOf(project, surface.planMm2, chosen.plan, laid, chosen.takeoff);
  const balance = balanceOf(
    project.support,
    standsOn(project.base),
    bodiesOf(project, land.middles, zones, laid, fit.things, chosen.takeoff, mass),
  );
  yield;
  const shopping = shoppingOf(project, needsOf(project, chosen.takeoff, dayOfSteps(project, chosen.days)));
  const breakdown = breakdownOf(project, chosen.takeoff, mass);
  yield;
  const judgements = { standing, figures: figureStands(project, ground, spans), houses: houseWays(project) };
  const limits = limitsRead(project, {
    finish: chosen.days.finish?.sure ?? null,
    handsOnMin: chosen.days.handsOnMin,
    mass,
    cost: breakdown.reduce<number | null>((all, { money }) => (money === null ? all : (all ?? 0) + money), null),
    toBuy: shopping.reduce<number | null>((all, { buy }) => (buy?.cost == null ? all : (all ?? 0) + buy.cost), null),
    tallestMm: fit.tallestMm,
    zones: zones,
    takeoff: chosen.takeoff,
    streetHouses: project.rows
      .filter(({ kind }) => kind === 'street')
      .reduce((sum, row) => sum + readRow(row, ground).pieces.reduce((houses, { count }) => houses + count, 0), 0),
  });
  const view: PlanView = {
    project,
    ground,
    solved: land.solved.grid,
    spans,
    laid,
    target,
    layers: chosen.plan,
    cutting,
    choice,
    joints,
    takeoff: chosen.takeoff,
    days: chosen.days,
    fit,
    judgements,
    paste: zones.map(({ id, name }, k) => ({ id, name, ...paste.zones[k] })),
    shopping,
    balance,
    limits,
    voids,
    set,
    zones: zones,
    glues: limits.some(({ id, kept }) => id === 'due' && kept === false)
      ? yield* withOtherGlues(project, chosen, cutting)
      : [],
    stacks: land.otherStacks,
    ways: worked.map(({ plan, days }) => ({
      school: plan.school,
      finish: days.finish,
      handsOnMin: days.handsOnMin,
    })),
  };
  yield;
  const bySchool: SchoolReport[] = [];
  for (const school of worked) {
    bySchool.push(schoolReport(project, school));
    yield;
  }
  const stack = { ...schoolReport(project, chosen), ...choiceReport(project, choice.chosen), way: land.way };
  yield;
  const findings = yield* findingsFor(view);
  const pair = ([x, y]: Point): [number, number] => [x, y];
  const report: PlanReport = {
    format: 'hosket-plan',
    version: 13,
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
      guess: ground.guess && { share: ground.guess.share, at: pair(ground.guess.at) },
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
    zones: [...zones],
    surfaces: dressed.zones.map(({ id, recipe, trueMm2, coatMm2 }, k) => ({
      id,
      name: zones[k].name,
      recipe,
      trueMm2,
      coatMm2,
      ...pasteRead(paste.zones[k]),
    })),
    dressed: dressedOf(project, ground),
    rows: project.rows.map((row) => ({ id: row.id, ...readRow(row, ground) })),
    set,
    fit,
    judgements,
    mass,
    balance,
    breakdown,
    shopping,
    limits: limits.map(limitWritten),
    frame: frameOf(project.base),
    target: { volumeMl: target.volumeMl, skinMl, highestMm: target.curve.highestMm },
    chosen: chosen.plan.school,
    schools: bySchool,
    stack,
    moves: null,
    front: {
      complete: choice.complete,
      proposals: choice.proposals.map(proposalReport),
    },
    areas: project.stacking.areas.map(({ id, name }, k) => ({
      id,
      name,
      planMm2: coveredMm2(ground, map.coverage[k]),
    })),
    cutting: land.cuttingReport,
    takeoff: chosen.takeoff,
    joints,
    operations: chosen.days.operations,
    tasks: chosen.days.tasks,
    wedges: land.wedges,
    finish: chosen.days.finish,
    findings,
  };
  return { report, view };
}

/** Paste of a zone without its depths one by one. */
function pasteRead({ depths: _, deepestAt, ...read }: ZonePaste) {
  return { ...read, deepestAt: deepestAt && ([deepestAt[0], deepestAt[1]] as [number, number]) };
}

/** On which day each step is last worked on, `2027-03-15`; the first day where that is not known. */
function dayOfSteps({ bench }: Project, { operations, tasks }: Days): (step: string) => string {
  const days = new Map<string, string>();
  for (const { operation, sessions } of tasks) {
    const step = operations.find(({ id }) => id === operation)?.step;
    const end = sessions.at(-1)?.to;
    if (step === undefined || end === undefined) continue;
    const day = wallClock(bench.startDate, end).slice(0, 10);
    if (day > (days.get(step) ?? '')) days.set(step, day);
  }
  return (step) => days.get(step) ?? bench.startDate;
}

/** Sheets and paste of a stack, as far as they are priced. */
function moneyOf(project: Project, { plan, takeoff }: Worked): number | null {
  const sheets = sheetsWorth(project, plan.sheetsUsed);
  const { pastePerL } = project.stacking;
  if (pastePerL === null) return sheets;
  const mixedMl = takeoff
    .filter(({ drying, stage }) => stage === 'skin' && drying.kind === 'paste')
    .reduce((sum, { materials }) => sum + materials[0].amount.likely, 0);
  return (sheets ?? 0) + (pastePerL * mixedMl) / 1000;
}

/** Plan area of an area of the base, mm2. */
function coveredMm2({ grid }: Ground, coverage: Float32Array | null): number {
  let cells = 0;
  for (const share of coverage ?? []) cells += share;
  return cells * grid.cellMm ** 2;
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

/** Layers as data, once for each stack: rounding every corner of every piece takes longer than an edit may. */
const layersOnce = new WeakMap<LayerPlan['layers'], ReturnType<typeof layersAnew>>();

function layersWritten(layers: LayerPlan['layers']): ReturnType<typeof layersAnew> {
  const known = layersOnce.get(layers);
  if (known) return known;
  const made = layersAnew(layers);
  layersOnce.set(layers, made);
  return made;
}

const layersAnew = (layers: LayerPlan['layers']) =>
  layers.map((layer) => ({
    ...layer,
    pieces: piecesWritten(layer.pieces),
    cutOuts: piecesWritten(layer.cutOuts),
    parts: layer.parts.map((part) => ({ ...part, pieces: piecesWritten(part.pieces) })),
    dowels: written(layer.dowels),
  }));

/** A stack's layers and levels with the names of what they are for: names change nothing that is cut, so they come last. */
function named(project: Project, { layers, levels }: LayerPlan): Pick<SchoolReport, 'layers' | 'levels'> {
  const nameOfRoom = (id: string) => {
    const room = [...project.voids, ...project.laid].find((one) => one.id === id);
    return room ? nameOf(room) : (holeName(project.base, id) ?? id);
  };
  return {
    layers: layersWritten(layers).map((layer) => ({
      ...layer,
      works: layer.works.map((work) => ({ ...work, name: nameOfRoom(work.roomId) })),
    })),
    levels: levels
      .map((level) => ({ ...level, name: levelName(project, level) }))
      .sort((a, b) => b.wantedMm - a.wantedMm || a.name.localeCompare(b.name)),
  };
}

export function schoolReport(project: Project, worked: Worked): SchoolReport {
  const { plan, days } = worked;
  return {
    ...plan,
    ...named(project, plan),
    paste: worked.paste,
    handsOnMin: days.handsOnMin,
    pasteDryHours: days.pasteDryHours,
    finish: days.finish,
    money: moneyOf(project, worked),
  };
}

/** How the stack that is built was come by. */
const choiceReport = ({ stack, stacking }: Project, chosen: Chosen) => ({
  byHand: chosen.byHand,
  written: chosen.steps.map(({ option }) => handOf(option, chosen.model.stock)),
  best: { totals: chosen.best.totals, costMin: chosen.best.costMin },
  exact: chosen.exact,
  pinned: chosen.steps.map(({ option, fromMm }) =>
    stack.pinned.some((pin) => {
      const pinned = optionFor(pin, chosen.model.stock, stacking.wire);
      return pinned !== null && sameOption(pinned, option) && Math.abs(pin.fromMm - fromMm) < 0.03;
    }),
  ),
});

const proposalReport = ({ steps: _, ...proposal }: Proposal) => proposal;
