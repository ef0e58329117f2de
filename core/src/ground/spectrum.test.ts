import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { smallestOf } from './spectrum.ts';

describe('the smallest eigenvalue of a tridiagonal matrix', () => {
  it('that of the chain of springs, 2 - 2 cos(pi / (n + 1)), by its closed form', () => {
    for (const n of [2, 3, 5, 9])
      expect(
        smallestOf({ diagonal: Array<number>(n).fill(2), beside: Array<number>(n - 1).fill(1) }) /
          Math.min(1, 2 - 2 * Math.cos(Math.PI / (n + 1))),
      ).toBeCloseTo(1, 4);
  });

  it('of two rows, by the root of its polynomial', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 3, noNaN: true }),
        fc.double({ min: 0.2, max: 3, noNaN: true }),
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        (a, b, share) => {
          const beside = share * Math.sqrt(a * b);
          const least = (a + b) / 2 - Math.sqrt(((a - b) / 2) ** 2 + beside ** 2);
          expect(smallestOf({ diagonal: [a, b], beside: [beside] }) / Math.min(1, least)).toBeCloseTo(1, 3);
        },
      ),
    );
  });

  it('is 1 before there is a row', () => expect(smallestOf({ diagonal: [], beside: [] })).toBe(1));
});
