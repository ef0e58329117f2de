import type { LayerPlan } from '../layers/index.ts';
import type { Project } from '../project/index.ts';
import type { StageTakeoff } from '../takeoff/index.ts';
import { type Range, uniformFrom } from '../units/index.ts';
import { type Stretch, sittingsOf, wallClock } from './calendar.ts';
import { operationsOf } from './operations.ts';
import { finishOf, type Operation, type Pick, schedule, type Task } from './schedule.ts';

/** The calendar of the build. Times are minutes from the start date's midnight; `finish` as wall-clock text. */
export interface Days {
  operations: Operation[];
  tasks: Task[];
  handsOnMin: number;
  /** Hours from the last stroke of paste until the seal may go on. */
  pasteDryHours: Range;
  finish: { early: string; likely: string; late: string } | null;
}

/** Runs of the calendar behind the range of the finish date. */
const RUNS = 200;

/**
 * Stages in bench hours, and when the base is dry. The range: the calendar is run 200 times with hands-on minutes and waits drawn
 * independently from their ranges (split log-normal: about one in twenty below low, one in twenty above high); 5 % and 95 % of the ends.
 */
export function daysOf(project: Project, plan: LayerPlan, takeoff: readonly StageTakeoff[]): Days {
  const operations = operationsOf(project, plan, takeoff);
  const sittings = sittingsOf(project.bench);
  const tasks = schedule(operations, sittings);
  const zero = { low: 0, likely: 0, high: 0 };
  const skin = operations.filter((operation) => operation.stage === 'skin').at(-1);
  return {
    operations,
    tasks: tasks ?? [],
    handsOnMin: operations.reduce((sum, operation) => sum + operation.handsOnMin.likely, 0),
    pasteDryHours: skin?.waits.through ?? zero,
    finish: tasks ? finishRange(project, operations, sittings, finishOf(tasks)) : null,
  };
}

function finishRange(
  project: Project,
  operations: readonly Operation[],
  sittings: readonly Stretch[],
  likelyEnd: number,
): Days['finish'] {
  const ends: number[] = [];
  for (let run = 0; run < RUNS; run++) {
    const draw = drawing(project.seed + run);
    const tasks = schedule(operations, sittings, draw);
    if (tasks) ends.push(finishOf(tasks));
  }
  ends.sort((a, b) => a - b);
  const at = (share: number) => ends[Math.min(ends.length - 1, Math.floor(share * ends.length))] ?? likelyEnd;
  const clock = (minutes: number) => wallClock(project.bench.startDate, minutes);
  return {
    early: clock(Math.min(at(0.05), likelyEnd)),
    likely: clock(likelyEnd),
    late: clock(Math.max(at(0.95), likelyEnd)),
  };
}

/** One draw for each key, the same for all waits of one operation. */
function drawing(seed: number): Pick {
  const normal = normalFrom(seed);
  const drawn = new Map<string, number>();
  return ({ low, likely, high }, key) => {
    let z = drawn.get(key);
    if (z === undefined) {
      z = normal();
      drawn.set(key, z);
    }
    if (!(likely > 0)) return likely;
    const side = z > 0 ? high / likely : likely / Math.max(low, likely / 20);
    return likely * Math.exp((Math.log(Math.max(1, side)) * z) / 1.645);
  };
}

/** Standard normal numbers from a seed (the polar-free Box-Muller form). */
function normalFrom(seed: number): () => number {
  const uniform = uniformFrom(seed);
  return () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
}
