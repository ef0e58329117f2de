import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shared } from './share.ts';

describe('shared structure', () => {
  it('of an equal copy nothing is new', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        const copy = structuredClone(value);
        expect(shared(value, copy)).toBe(value);
      }),
    );
  });

  it('says what the new value says, whatever the old one was, and changes neither', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (before, after) => {
        const kept = structuredClone([before, after]);
        expect(shared(before, after)).toEqual(after);
        expect([before, after]).toEqual(kept);
      }),
    );
  });

  it('keeps the parts beside a change, numbers in bulk too', () => {
    const before = { a: { x: [1, 2] }, list: [{ id: 1 }, { id: 2 }], cells: new Float64Array([1, 2, Number.NaN]) };
    const after = structuredClone(before);
    after.list[1].id = 3;
    const made = shared(before, after);
    expect(made).not.toBe(before);
    expect(made.a).toBe(before.a);
    expect(made.list[0]).toBe(before.list[0]);
    expect(made.list[1]).toEqual({ id: 3 });
    expect(made.cells).toBe(before.cells);
  });

  it('tells apart what only looks alike', () => {
    expect(shared([], {})).toEqual({});
    expect(shared({ a: undefined }, {})).not.toHaveProperty('a');
    expect(shared([1, 2], [1])).toEqual([1]);
    expect(shared(new Float64Array([1]), new Float32Array([1]))).toBeInstanceOf(Float32Array);
  });
});
