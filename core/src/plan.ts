import { findingsOf } from './checks/index.ts';
import { type Days, daysOf } from './days/index.ts';
import { jointWaits } from './drying/index.ts';
import { type Ground, groundOf } from './ground/index.ts';
import { type LayerPlan, layerPlan, type Target, targetOf } from './layers/index.ts';
import { type Project, schools } from './project/index.ts';
import type { PlanReport, SchoolReport } from './report.ts';
import { type StageTakeoff, takeoffOf } from './takeoff/index.ts';

/** Everything worked out from a project: the report, and the fields that drawings are made from. */
export interface Plan {
  report: PlanReport;
  ground: Ground;
  target: Target;
}

/** Remembers the last result of a stage: it runs again only when what it reads has changed. */
interface Memory<T> {
  key: string;
  value: T;
}

interface Worked {
  plan: LayerPlan;
  takeoff: StageTakeoff[];
  days: Days;
}

/**
 * Runs the stages in the builder's order and keeps what has not changed since the last run. `run` is a generator that yields between
 * pieces of work, so that a newer edit can abandon an older run.
 */
export function createPlanner(): { run: (project: Project) => Generator<undefined, Plan> } {
  let ground: Memory<Ground> | undefined;
  let target: Memory<Target> | undefined;
  let layers: Memory<LayerPlan[]> | undefined;

  function* run(project: Project): Generator<undefined, Plan> {
    const groundKey = JSON.stringify([project.base.shape, project.marks]);
    if (ground?.key !== groundKey) ground = { key: groundKey, value: yield* groundOf(project.base, project.marks) };
    const land = ground.value;
    yield;
    const targetKey = JSON.stringify([groundKey, project.surface.skinMm]);
    if (target?.key !== targetKey) target = { key: targetKey, value: targetOf(land, project.surface.skinMm) };
    const wanted = target.value;
    yield;
    const layersKey = JSON.stringify([targetKey, project.sheets, { ...project.stacking, school: '' }]);
    if (layers?.key !== layersKey) {
      const plans: LayerPlan[] = [];
      for (const school of schools) {
        plans.push(layerPlan(project, land, wanted, school));
        yield;
      }
      layers = { key: layersKey, value: plans };
    }
    const skinMl = land.volumeMl - wanted.volumeMl;
    const worked = layers.value.map((plan) => workedOut(project, land, skinMl, plan));
    const chosen = worked.find(({ plan }) => plan.school === project.stacking.school) ?? worked[0];
    return { report: reportOf(project, land, wanted, worked, chosen), ground: land, target: wanted };
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

function reportOf(
  project: Project,
  ground: Ground,
  target: Target,
  worked: readonly Worked[],
  chosen: Worked,
): PlanReport {
  const joints = jointWaits(project, chosen.plan);
  const { surface, grid } = ground;
  return {
    format: 'hosket-plan',
    version: 1,
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
    },
    target: { volumeMl: target.volumeMl, skinMl: ground.volumeMl - target.volumeMl, highestMm: target.curve.highestMm },
    chosen: chosen.plan.school,
    schools: worked.map(schoolReport),
    takeoff: chosen.takeoff,
    joints,
    operations: chosen.days.operations,
    tasks: chosen.days.tasks,
    finish: chosen.days.finish,
    findings: findingsOf({ project, ground, target, layers: chosen.plan, joints, days: chosen.days }),
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
