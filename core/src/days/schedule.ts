import type { Waits } from '../drying/index.ts';
import type { StageId, WaitKind } from '../takeoff/index.ts';
import type { Range } from '../units/index.ts';
import type { Stretch } from './calendar.ts';

/** One thing to do: hands-on minutes, then waits; it may begin when the named waits of earlier operations are over. */
export interface Operation {
  id: string;
  /** The step of the take-off that it is part of. */
  step: string;
  stage: StageId;
  title: string;
  handsOnMin: Range;
  waits: Waits;
  needs: { operation: string; wait: WaitKind }[];
}

/** When an operation is worked on and when its waits end, in minutes from the start of the first day. */
export interface Task {
  operation: string;
  sessions: Stretch[];
  touchAt: number;
  coatAt: number;
  solventAt: number;
  throughAt: number;
}

/** Less time than this at the end of a sitting is not begun with. */
const LEAST_SESSION_MIN = 10;

const waitKinds = ['touch', 'coat', 'solvent', 'through'] as const satisfies readonly WaitKind[];
const THROUGH = 3;

/** Operations by their place in the list: how many others each needs, its minutes, and its four waits in minutes one after another. */
export interface Bench {
  needed: Int32Array;
  /** What waits for each operation, and for which of its waits. */
  followers: readonly (readonly { after: number; wait: number }[])[];
  handsMin: Float64Array;
  waitMin: Float64Array;
}

/** A bench with the likely minutes and waits. What is needed but is not in the list holds nothing up. */
export function benchOf(operations: readonly Operation[]): Bench {
  const at = new Map(operations.map(({ id }, k) => [id, k]));
  const followers: { after: number; wait: number }[][] = operations.map(() => []);
  const needed = new Int32Array(operations.length);
  operations.forEach(({ needs }, after) => {
    for (const { operation, wait } of needs) {
      const before = at.get(operation);
      if (before === undefined) continue;
      followers[before].push({ after, wait: waitKinds.indexOf(wait) });
      needed[after]++;
    }
  });
  return {
    needed,
    followers,
    handsMin: Float64Array.from(operations, ({ handsOnMin }) => handsOnMin.likely),
    waitMin: Float64Array.from(operations.flatMap(({ waits }) => waitKinds.map((wait) => 60 * waits[wait].likely))),
  };
}

/**
 * Operations in the builder's sittings (`sittingsOf`); waits run day and night. Whenever the hands are free, of the operations whose needs are begun with the one is
 * taken that can be worked on soonest, and of several the one that comes first in the list: so what stands still on one zone leaves time for another. An operation goes
 * on over as many sittings as it takes. `visit` is told the sessions of each. Gives when the four waits of each end, in minutes; null when there are no bench hours or
 * the end is out of sight.
 */
function workThrough(
  { needed, followers, handsMin, waitMin }: Bench,
  sittings: readonly Stretch[],
  visit: ((operation: number, sessions: Stretch[]) => void) | null,
): Float64Array | null {
  if (!sittings.length) return null;
  const count = needed.length;
  const open = needed.slice();
  const ready = new Float64Array(count);
  const begun = new Uint8Array(count);
  const over = new Float64Array(4 * count);
  let handsFree = 0;
  /** Sittings before this one are over. */
  let first = 0;
  /** Operations before this one are begun. */
  let lowest = 0;
  for (let n = 0; n < count; n++) {
    while (begun[lowest]) lowest++;
    let next = -1;
    let soonest = Number.POSITIVE_INFINITY;
    for (let k = lowest; k < count && soonest > handsFree; k++) {
      if (begun[k] || open[k] > 0) continue;
      const from = ready[k] > handsFree ? ready[k] : handsFree;
      if (from >= soonest) continue;
      next = k;
      soonest = from;
    }
    // Needs that go round in a circle are taken in the order of the list.
    if (next < 0) {
      next = begun.indexOf(0);
      soonest = handsFree;
    }
    begun[next] = 1;
    while (first < sittings.length && sittings[first].to <= handsFree) first++;
    let left = Math.max(1, handsMin[next]);
    const sessions: Stretch[] | null = visit && [];
    for (let k = first; left > 1e-9; k++) {
      if (k === sittings.length) return null;
      const from = Math.max(sittings[k].from, soonest);
      const room = sittings[k].to - from;
      if (room < Math.min(LEAST_SESSION_MIN, left)) continue;
      const spent = Math.min(room, left);
      handsFree = from + spent;
      sessions?.push({ from, to: handsFree });
      left -= spent;
    }
    if (visit && sessions) visit(next, sessions);
    for (let wait = 0; wait < 4; wait++) over[4 * next + wait] = handsFree + waitMin[4 * next + wait];
    for (const { after, wait } of followers[next]) {
      open[after]--;
      ready[after] = Math.max(ready[after], over[4 * next + wait]);
    }
  }
  return over;
}

/** Every operation with its sessions and the ends of its waits, in the order of the list. */
export function schedule(operations: readonly Operation[], sittings: readonly Stretch[]): Task[] | null {
  const worked: Stretch[][] = operations.map(() => []);
  const over = workThrough(benchOf(operations), sittings, (operation, sessions) => {
    worked[operation] = sessions;
  });
  if (!over) return null;
  return operations.map(({ id }, k) => ({
    operation: id,
    sessions: worked[k],
    touchAt: over[4 * k],
    coatAt: over[4 * k + 1],
    solventAt: over[4 * k + 2],
    throughAt: over[4 * k + THROUGH],
  }));
}

/** When the last of everything is dry through; null where that is out of sight. */
export function endOf(bench: Bench, sittings: readonly Stretch[]): number | null {
  const over = workThrough(bench, sittings, null);
  if (!over) return null;
  let end = 0;
  for (let k = THROUGH; k < over.length; k += 4) end = Math.max(end, over[k]);
  return end;
}

/** When the last of everything is dry through. */
export const finishOf = (tasks: readonly Task[]): number => Math.max(0, ...tasks.map((task) => task.throughAt));
