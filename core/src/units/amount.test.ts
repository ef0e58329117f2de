import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { atLeast, exactly, product, sum } from './amount.ts';

const range = fc
  .tuple(
    fc.double({ min: 0.1, max: 10, noNaN: true }),
    fc.double({ min: 1, max: 3, noNaN: true }),
    fc.double({ min: 1, max: 3, noNaN: true }),
  )
  .map(([likely, down, up]) => ({ low: likely / down, likely, high: likely * up }));

describe('ranges', () => {
  it('one factor keeps its own spread, and dividing turns it round', () => {
    const one = product(10, [{ range: { low: 1, likely: 2, high: 4 } }]);
    expect([one.low, one.likely, one.high].map((v) => Number(v.toFixed(9)))).toEqual([10, 20, 40]);
    const under = product(10, [{ range: { low: 1, likely: 2, high: 5 }, under: true }]);
    expect(under.low).toBeCloseTo(2, 9);
    expect(under.likely).toBeCloseTo(5, 9);
    expect(under.high).toBeCloseTo(10, 9);
  });

  it('two equal spreads combine by the square root of two in the logarithm, by hand', () => {
    const both = product(1, [{ range: { low: 0.5, likely: 1, high: 2 } }, { range: { low: 0.5, likely: 1, high: 2 } }]);
    expect(both.high).toBeCloseTo(2 ** Math.SQRT2, 9);
    expect(both.low).toBeCloseTo(0.5 ** Math.SQRT2, 9);
  });

  it('products and sums stay inside the worst cases and in order', () => {
    fc.assert(
      fc.property(fc.array(range, { minLength: 1, maxLength: 5 }), (ranges) => {
        const p = product(
          1,
          ranges.map((r) => ({ range: r })),
        );
        expect(p.low).toBeLessThanOrEqual(p.likely + 1e-12);
        expect(p.high).toBeGreaterThanOrEqual(p.likely - 1e-12);
        expect(p.high).toBeLessThanOrEqual(ranges.reduce((t, r) => t * r.high, 1) * (1 + 1e-9));
        const s = sum(ranges);
        expect(s.high).toBeLessThanOrEqual(ranges.reduce((t, r) => t + r.high, 0) + 1e-9);
        expect(s.low).toBeGreaterThanOrEqual(ranges.reduce((t, r) => t + r.low, 0) - 1e-9);
      }),
    );
  });

  it('a smallest quantity lifts what is below it and nothing else', () => {
    expect(atLeast({ low: 1, likely: 4, high: 9 }, { low: 2, likely: 3, high: 6 })).toEqual({
      low: 2,
      likely: 4,
      high: 9,
    });
    expect(exactly(3)).toEqual({ low: 3, likely: 3, high: 3 });
  });
});
