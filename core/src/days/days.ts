import type { LayerPlan } from '../layers/index.ts';
import type { Project } from '../project/index.ts';
import type { StageTakeoff } from '../takeoff/index.ts';
import { type Range, uniformFrom } from '../units/index.ts';
import { type Stretch, sittingsOf, wallClock } from './calendar.ts';
import { operationsOf } from './operations.ts';
import { benchOf, endOf, finishOf, type Operation, schedule, type Task } from './schedule.ts';

/** The calendar of the build. Times are minutes from the start date's midnight; `finish` as wall-clock text. */
export interface Days {
  operations: Operation[];
  tasks: Task[];
  handsOnMin: number;
  /** Hours from the last stroke of paste until the seal may go on. */
  pasteDryHours: Range;
  /** One in twenty is done by `early`; `likely` is kept at least half of the time, `sure` as often as the brief asks, `late` 19 times in 20. */
  finish: { early: string; likely: string; sure: string; late: string } | null;
}

/** Runs of the calendar behind the range of the finish date. */
const RUNS = 200;

/**
 * Stages in bench hours, and when the base is dry. The range: the calendar is run 200 times with hands-on minutes and waits drawn
 * independently from their ranges (split log-normal: about one in twenty below low, one in twenty above high); 5 % and 95 % of the ends.
 */
export function daysOf(project: Project, plan: LayerPlan, takeoff: readonly StageTakeoff[]): Days {
  const operations = operationsOf(project, plan.layers, takeoff);
  const sittings = sittingsOf(project.bench);
  const tasks = schedule(operations, sittings);
  const zero = { low: 0, likely: 0, high: 0 };
  const skins = operations.filter((operation) => operation.stage === 'skin').map(({ waits }) => waits.through);
  return {
    operations,
    tasks: tasks ?? [],
    handsOnMin: operations.reduce((sum, operation) => sum + operation.handsOnMin.likely, 0),
    pasteDryHours: skins.reduce((slowest, each) => (each.likely > slowest.likely ? each : slowest), zero),
    finish: tasks ? finishRange(project, operations, sittings, finishOf(tasks)) : null,
  };
}

/** No day after the year 9999 is named. */
const inSight = (moment: string) => /^\d/.test(moment);

function finishRange(
  project: Project,
  operations: readonly Operation[],
  sittings: readonly Stretch[],
  likelyEnd: number,
): Days['finish'] {
  const ends: number[] = [];
  const likely = benchOf(operations);
  const drawn = { ...likely, handsMin: likely.handsMin.slice(), waitMin: likely.waitMin.slice() };
  const hands = operations.map(({ handsOnMin }) => slopesOf(handsOnMin));
  const waits = operations.flatMap(({ waits: { touch, coat, solvent, through } }) =>
    [touch, coat, solvent, through].map(slopesOf),
  );
  const z = drawsOf(project.seed, 2 * operations.length);
  for (let run = 0, at = 0; run < RUNS; run++) {
    for (let k = 0; k < hands.length; k++) {
      drawn.handsMin[k] = likely.handsMin[k] * spreadAt(hands[k], z[at++]);
      // All waits of one operation are long or short together.
      const slow = z[at++];
      for (let n = 4 * k; n < 4 * k + 4; n++)
        if (likely.waitMin[n] > 0) drawn.waitMin[n] = likely.waitMin[n] * spreadAt(waits[n], slow);
    }
    const end = endOf(drawn, sittings);
    if (end !== null) ends.push(end);
  }
  ends.sort((a, b) => a - b);
  // The first end by which so many of the runs are over.
  const at = (share: number) => ends[Math.max(0, Math.ceil(share * ends.length - 1e-9) - 1)] ?? likelyEnd;
  const clock = (minutes: number) => wallClock(project.bench.startDate, minutes);
  // The calendar that is shown must not end after the day that is named.
  const half = Math.max(at(0.5), likelyEnd);
  const sure = Math.max(at(project.limits.sureOf / 100), half);
  const late = Math.max(at(0.95), sure);
  if (!inSight(clock(late))) return null;
  return { early: clock(at(0.05)), likely: clock(half), sure: clock(sure), late: clock(late) };
}

/** Logarithms of a range for one standard deviation down and up: low and high lie at 1.645 of them, to either side of the likely value. */
function slopesOf({ low, likely, high }: Range): { down: number; up: number } {
  if (!(likely > 0)) return { down: 0, up: 0 };
  const log = (ratio: number) => Math.log(Math.max(1, ratio)) / 1.645;
  return { down: log(likely / Math.max(low, likely / 20)), up: log(high / likely) };
}

const spreadAt = ({ down, up }: { down: number; up: number }, z: number): number => Math.exp(z * (z > 0 ? up : down));

/** The draws of all runs, one run after another: the same for every plan of a seed, so they are made once and kept as long as no other are asked for. */
function drawsOf(seed: number, perRun: number): Float64Array {
  if (draws?.seed === seed && draws.perRun === perRun) return draws.z;
  const z = new Float64Array(RUNS * perRun);
  for (let run = 0, at = 0; run < RUNS; run++) {
    const normal = normalFrom(seed + run);
    for (let n = 0; n < perRun; n++) z[at++] = normal();
  }
  draws = { seed, perRun, z };
  return z;
}
let draws: { seed: number; perRun: number; z: Float64Array } | null = null;

/** Standard normal numbers from a seed (the polar-free Box-Muller form). */
function normalFrom(seed: number): () => number {
  const uniform = uniformFrom(seed);
  return () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
}
