import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distanceTo } from './distance.ts';
import { gridOver } from './grid.ts';

describe('distance to a set of nodes', () => {
  it('is the least of the distances to every node of the set', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 14 }),
        fc.integer({ min: 2, max: 11 }),
        fc.array(fc.nat(200), { minLength: 1, maxLength: 6 }),
        (wide, deep, picks) => {
          const grid = gridOver(wide * 0.5, deep * 0.5, 0.5);
          const set = new Uint8Array(grid.values.length);
          for (const pick of picks) set[pick % set.length] = 1;
          const far = distanceTo(grid, set);
          for (let n = 0; n < set.length; n++) {
            let least = Number.POSITIVE_INFINITY;
            for (let m = 0; m < set.length; m++)
              if (set[m])
                least = Math.min(
                  least,
                  0.5 *
                    Math.hypot(
                      (n % grid.columns) - (m % grid.columns),
                      Math.floor(n / grid.columns) - Math.floor(m / grid.columns),
                    ),
                );
            expect(far[n]).toBeCloseTo(least, 9);
          }
        },
      ),
    );
  });

  it('is infinite where there is nothing to be near to', () => {
    const grid = gridOver(3, 3, 1);
    expect([...distanceTo(grid, new Uint8Array(16))].every((mm) => mm === Number.POSITIVE_INFINITY)).toBe(true);
  });
});
