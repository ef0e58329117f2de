import { describe, expect, it } from 'vitest';
import { createKernel, stagesUnder } from './kernel.ts';
import { toEnd } from './run.ts';
import { stagesOf } from './stage.ts';

interface Input {
  a: number;
  b: number;
  names: { id: number; name: string }[];
}
const stage = stagesOf<Input>();
const input = (change: Partial<Input> = {}): Input => ({ a: 1, b: 2, names: [{ id: 1, name: 'one' }], ...change });

/** A table of stages that counts how often each of them ran. */
function table() {
  const ran: string[] = [];
  const count = <T>(name: string, value: T): T => {
    ran.push(name);
    return value;
  };
  const double = stage({ name: 'double', needs: {}, run: ({ input: { a } }) => count('double', 2 * a) });
  const sign = stage({
    name: 'sign',
    needs: { double },
    run: ({ needs }) => count('sign', { sign: Math.sign(needs.double) }),
    byContent: true,
  });
  const slow = stage({
    name: 'slow',
    needs: { sign },
    *run({ input: { b }, needs }) {
      yield;
      return count('slow', needs.sign.sign * b);
    },
    lags: () => true,
  });
  const sum = stage({
    name: 'sum',
    needs: { double, slow },
    run: ({ needs }) => count('sum', needs.double + needs.slow),
  });
  return { ran, sum, take: () => ran.splice(0).join(' ') };
}

describe('the kernel', () => {
  it('tells which stage works now, and how many there are', () => {
    const { sum } = table();
    expect(stagesUnder(sum)).toBe(4);
    const kernel = createKernel<Input>();
    const run = kernel.get(sum, input());
    const seen: string[] = [];
    for (let step = run.next(); !step.done; step = run.next())
      seen.push(`${kernel.underWay()} ${kernel.times().length}`);
    expect(seen).toEqual(['double 1', 'sign 2', 'slow 2', 'slow 3', 'sum 4']);
  });

  it('runs what is needed in its order, once, and nothing again while nothing changes', () => {
    const { sum, take } = table();
    const kernel = createKernel<Input>();
    expect(toEnd(kernel.get(sum, input()))).toEqual({ value: 4, near: false });
    expect(take()).toBe('double sign slow sum');
    expect(toEnd(kernel.get(sum, structuredClone(input()))).value).toBe(4);
    expect(take()).toBe('');
  });

  it('runs again only what reads a change; a result that says the same stops it there', () => {
    const { sum, take } = table();
    const kernel = createKernel<Input>();
    toEnd(kernel.get(sum, input()));
    take();
    expect(toEnd(kernel.get(sum, input({ a: 5 }))).value).toBe(12);
    expect(take()).toBe('double sign sum');
    expect(toEnd(kernel.get(sum, input({ a: -5 }))).value).toBe(-12);
    expect(take()).toBe('double sign slow sum');
    expect(toEnd(kernel.get(sum, input({ a: -5, names: [] }))).value).toBe(-12);
    expect(take()).toBe('');
  });

  it('lags in a quick run, says so, and catches up', () => {
    const { sum, take } = table();
    const kernel = createKernel<Input>();
    toEnd(kernel.get(sum, input()));
    take();
    expect(toEnd(kernel.get(sum, input({ b: 7 }), true))).toEqual({ value: 4, near: true });
    expect(kernel.times().map(({ name, how }) => `${name} ${how}`)).toEqual([
      'double kept',
      'sign kept',
      'slow left',
      'sum kept',
    ]);
    expect(take()).toBe('');
    expect(toEnd(kernel.get(sum, input({ b: 7 })))).toEqual({ value: 9, near: false });
    expect(take()).toBe('slow sum');
  });

  it('a run that is broken off leaves nothing half done', () => {
    const { sum, take } = table();
    const kernel = createKernel<Input>();
    for (let pieces = 0; pieces < 6; pieces++) {
      const broken = kernel.get(sum, input({ a: 3 + pieces, b: 3 }));
      for (let k = 0; k < pieces; k++) broken.next();
      expect(toEnd(kernel.get(sum, input({ b: pieces }))).value).toBe(2 + pieces);
    }
    expect(take()).not.toBe('');
  });

  it('a result that is near is taken again when there is time, and its maker is given its last one', () => {
    const rest = stage({
      name: 'rest',
      needs: {},
      run: ({ input: { a }, before, quick }) => ({
        at: quick ? a + 0.5 : a,
        from: (before as { at: number })?.at,
        quick,
      }),
      near: ({ quick }) => quick,
    });
    const kernel = createKernel<Input>();
    expect(toEnd(kernel.get(rest, input(), true))).toMatchObject({ value: { at: 1.5, from: undefined }, near: true });
    expect(toEnd(kernel.get(rest, input(), true))).toMatchObject({ value: { at: 1.5 }, near: true });
    expect(toEnd(kernel.get(rest, input()))).toMatchObject({ value: { at: 1, from: 1.5 }, near: false });
    expect(toEnd(kernel.get(rest, input(), true))).toMatchObject({ value: { at: 1 }, near: false });
  });

  it('stages asked for by the way count as needed, those no longer asked for do not', () => {
    let ran = 0;
    const nameOf = (id: number) =>
      stage({
        name: `name ${id}`,
        needs: {},
        run: ({ input: { names } }) => names.find((one) => one.id === id)?.name ?? '',
      });
    const all = stage({
      name: 'all',
      needs: {},
      *run({ input: { names }, ask }) {
        ran++;
        const said: string[] = [];
        for (const { id } of names) said.push(yield* ask(nameOf(id)));
        return said.join();
      },
    });
    const kernel = createKernel<Input>();
    const two = [
      { id: 1, name: 'one' },
      { id: 2, name: 'two' },
    ];
    expect(toEnd(kernel.get(all, input({ names: two }))).value).toBe('one,two');
    expect(toEnd(kernel.get(all, input({ names: [two[0], { id: 2, name: 'zwei' }] }))).value).toBe('one,zwei');
    expect(toEnd(kernel.get(all, input({ names: [two[1]] }))).value).toBe('two');
    expect(ran).toBe(3);
    toEnd(kernel.get(all, input({ a: 9, names: [two[1]] })));
    expect(ran).toBe(3);
  });

  it('puts time down to the stage that took it, not to those that waited for it', () => {
    let now = 0;
    const slow = stage({
      name: 'slow',
      needs: {},
      *run() {
        now += 30;
        yield;
        now += 10;
        return 1;
      },
    });
    const waits = stage({
      name: 'waits',
      needs: {},
      *run({ ask }) {
        now += 1;
        const one = yield* ask(slow);
        now += 2;
        return one;
      },
    });
    const kernel = createKernel<Input>(() => now);
    toEnd(kernel.get(waits, input()));
    expect(kernel.times()).toEqual([
      { name: 'slow', how: 'ran', ms: 40, longestMs: 30 },
      { name: 'waits', how: 'ran', ms: 3, longestMs: 2 },
    ]);
  });
});
