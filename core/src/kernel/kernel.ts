import { type Reading, reading } from './reading.ts';
import { shared } from './share.ts';
import type { AnyStage, Stage } from './stage.ts';

/** What became of a stage in a run. */
export interface StageTime {
  name: string;
  /** Left: something it reads has changed, but in a quick run its old result did. */
  how: 'ran' | 'kept' | 'left';
  /** Its own time, without that of the stages that it needs, ms; and the longest piece of it between two breaths. */
  ms: number;
  longestMs: number;
}

export interface Kernel<I> {
  /**
   * The result of a stage for an input. Yields between pieces of work: whoever does not take it further has broken it off, and loses only the stage under way. `near` is set where a quick
   * run left something for later.
   */
  get: <V>(stage: Stage<I, V>, input: I, quick?: boolean) => Generator<undefined, { value: V; near: boolean }>;
  /** The stages of the last run, in the order in which they were ready. */
  times: () => readonly StageTime[];
  /** The stage that worked last, by name; empty before the first. */
  underWay: () => string;
}

/** How many stages one rests on, itself among them; what is asked for only on the way is not counted. */
export function stagesUnder<I, V>(stage: Stage<I, V>): number {
  const names = new Set<string>();
  const visit = ({ name, needs }: AnyStage<I>): void => {
    if (names.has(name)) return;
    names.add(name);
    for (const need of Object.values(needs)) visit(need);
  };
  visit(stage as unknown as AnyStage<I>);
  return names.size;
}

interface Kept<I> {
  value: unknown;
  /** Grows with every new value. */
  version: number;
  reads: Reading<object>;
  /** The stages that were needed, each with its version then. */
  needed: Map<string, { stage: AnyStage<I>; version: number }>;
  near: boolean;
  /** The last run in which it was asked for. */
  seenIn: number;
}

/** Results that nobody has asked for in so many runs are let go. */
const LET_GO_AFTER = 40;

const isRun = (made: unknown): made is Generator<undefined, unknown> =>
  typeof made === 'object' && made !== null && 'next' in made && 'return' in made;

/**
 * Keeps the results of stages. `clock` gives the time in ms; without it, no times are taken.
 */
export function createKernel<I extends object>(clock: () => number = () => 0): Kernel<I> {
  const kept = new Map<string, Kept<I>>();
  let known: I | undefined;
  let runs = 0;
  let versions = 0;
  let last: StageTime[] = [];
  let underWay = '';

  function* get<V>(wanted: Stage<I, V>, given: I, quick = false): Generator<undefined, { value: V; near: boolean }> {
    const input = shared(known, given);
    known = input;
    const run = ++runs;
    const times: StageTime[] = [];
    last = times;
    let left = false;
    /** Time that has been put down to some stage, ms. */
    let measured = 0;
    const ready = new Map<string, Kept<I>>();

    function* bring(stage: AnyStage<I>): Generator<undefined, Kept<I>> {
      const here = ready.get(stage.name);
      if (here) return here;
      const old = kept.get(stage.name);
      const needed: Kept<I>['needed'] = new Map();
      const values: Record<string, unknown> = {};
      for (const [name, need] of Object.entries(stage.needs)) {
        const one = yield* bring(need);
        needed.set(need.name, { stage: need, version: one.version });
        values[name] = one.value;
      }
      const settle = (one: Kept<I>, time: StageTime): Kept<I> => {
        one.seenIn = run;
        kept.set(stage.name, one);
        ready.set(stage.name, one);
        times.push(time);
        return one;
      };
      const idle = (how: 'kept' | 'left') => ({ name: stage.name, how, ms: 0, longestMs: 0 });
      if (old) {
        if ((quick || !old.near) && old.reads.unchanged(input) && (yield* same(old.needed))) {
          left ||= old.near;
          return settle(old, idle('kept'));
        }
        const known = (name: string) => ready.get(name)?.value;
        if (quick && stage.lags?.({ input, needs: values, before: old.value, known })) {
          left = true;
          return settle(old, idle('left'));
        }
      }
      const reads = reading<object>(input);
      const given = {
        input: reads.view as I,
        needs: values,
        before: old?.value,
        quick,
        *ask<W>(other: Stage<I, W>) {
          const one = yield* bring(other);
          needed.set(other.name, { stage: other, version: one.version });
          return one.value as W;
        },
      };
      const time: StageTime = { name: stage.name, how: 'ran', ms: 0, longestMs: 0 };
      const value = yield* timed(() => stage.run(given), time);
      const result = stage.byContent ? shared(old?.value, value) : value;
      const version = old && Object.is(result, old.value) ? old.version : ++versions;
      const near = stage.near?.(result) ?? false;
      left ||= near;
      const one = settle({ value: result, version, reads, needed, near, seenIn: run }, time);
      yield;
      return one;
    }

    /** A stage's own work, measured piece by piece; what it waits for of other stages is theirs. */
    function* timed(start: () => unknown, time: StageTime): Generator<undefined, unknown> {
      const piece = <T>(work: () => T): T => {
        const begun = clock();
        const before = measured;
        const done = work();
        const own = clock() - begun - (measured - before);
        measured += own;
        time.ms += own;
        time.longestMs = Math.max(time.longestMs, own);
        return done;
      };
      underWay = time.name;
      const made = piece(start);
      if (!isRun(made)) return made;
      for (;;) {
        underWay = time.name;
        const step = piece(() => made.next());
        if (step.done) return step.value;
        yield;
      }
    }

    /** Whether what was needed is still what it was. */
    function* same(needed: Kept<I>['needed']): Generator<undefined, boolean> {
      for (const { stage, version } of needed.values()) if ((yield* bring(stage)).version !== version) return false;
      return true;
    }

    const one = yield* bring(wanted);
    for (const [name, { seenIn }] of kept) if (run - seenIn > LET_GO_AFTER) kept.delete(name);
    return { value: one.value as V, near: left };
  }

  return { get, times: () => last, underWay: () => underWay };
}
