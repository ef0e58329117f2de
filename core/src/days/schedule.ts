import type { Waits } from '../drying/index.ts';
import type { StageId } from '../takeoff/index.ts';
import type { Range } from '../units/index.ts';
import type { Stretch } from './calendar.ts';

export type WaitKind = 'touch' | 'coat' | 'through';

/** One thing to do: hands-on minutes, then waits; it may begin when the named waits of earlier operations are over. */
export interface Operation {
  id: string;
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
  throughAt: number;
}

/** Less time than this at the end of a sitting is not begun with. */
const LEAST_SESSION_MIN = 10;

/** How a range becomes one number in a run of the calendar: `key` says whose it is, so that a run can draw each afresh. */
export type Pick = (range: Range, key: string) => number;
const likely: Pick = (range) => range.likely;

/**
 * Stages one after another in the builder's sittings (`sittingsOf`); waits run day and night. An operation begins when the hands are free and what it
 * needs has waited long enough, and goes on over as many sittings as it takes. Null when there are no bench hours or the end is out of sight.
 */
export function schedule(
  operations: readonly Operation[],
  sittings: readonly Stretch[],
  pick: Pick = likely,
): Task[] | null {
  if (!sittings.length) return null;
  const done = new Map<string, Task>();
  let handsFree = 0;
  for (const operation of operations) {
    const ready = operation.needs.reduce((at, { operation: id, wait }) => {
      const before = done.get(id);
      return before ? Math.max(at, before[`${wait}At`]) : at;
    }, handsFree);
    const sessions = sit(sittings, ready, Math.max(1, pick(operation.handsOnMin, `${operation.id} hands`)));
    if (!sessions) return null;
    handsFree = sessions[sessions.length - 1].to;
    const after = (wait: WaitKind) => handsFree + 60 * pick(operation.waits[wait], `${operation.id} wait`);
    done.set(operation.id, {
      operation: operation.id,
      sessions,
      touchAt: after('touch'),
      coatAt: after('coat'),
      throughAt: after('through'),
    });
  }
  return [...done.values()];
}

function sit(sittings: readonly Stretch[], ready: number, minutes: number): Stretch[] | null {
  const sessions: Stretch[] = [];
  let left = minutes;
  for (const sitting of sittings) {
    const from = Math.max(sitting.from, ready);
    const room = sitting.to - from;
    if (room < Math.min(LEAST_SESSION_MIN, left)) continue;
    const spent = Math.min(room, left);
    sessions.push({ from, to: from + spent });
    left -= spent;
    if (left <= 1e-9) return sessions;
  }
  return null;
}

/** When the last of everything is dry through. */
export const finishOf = (tasks: readonly Task[]): number => Math.max(0, ...tasks.map((task) => task.throughAt));
