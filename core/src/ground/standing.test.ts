import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gridOver, type Ring, sampleFormula } from '../geometry/index.ts';
import { STANDS, standAt, standingOf, standingShare, verdict } from './index.ts';

const outline: Ring = [
  [0, 0],
  [120, 0],
  [120, 100],
  [0, 100],
];
const land = (z: (x: number, y: number) => number) => sampleFormula(gridOver(120, 100, 1), z);
const limits = { tiltDegrees: 20, unevenMm: 1.5 };

describe('how a figure stands', () => {
  it('on a plane it tilts as the plane does and lies on it everywhere', () => {
    const slope = fc.double({ min: -1.5, max: 1.5, noNaN: true });
    fc.assert(
      fc.property(slope, slope, fc.constantFrom(25, 32, 40), (a, b, across) => {
        const stand = standAt(
          land((x, y) => 200 + a * x + b * y),
          outline,
          60,
          50,
          across,
        );
        expect(stand?.tiltDegrees).toBeCloseTo((Math.atan(Math.hypot(a, b)) * 180) / Math.PI, 6);
        expect(stand?.unevenMm).toBeLessThan(1e-6);
      }),
    );
  });

  it('1 in 2.75 is 20 degrees: just steeper it slides', () => {
    const tan = Math.tan((20 * Math.PI) / 180);
    const on = (gradient: number) =>
      verdict(
        standAt(
          land((x) => gradient * x),
          outline,
          60,
          50,
          32,
        ),
        limits,
      );
    expect(on(tan - 0.001)).toBe(STANDS);
    expect(on(tan + 0.001)).not.toBe(STANDS);
  });

  it('across the edge of a step of 6 mm it rocks, a base length away it stands', () => {
    const step = land((x) => (x < 60 ? 20 : 26));
    const across = standAt(step, outline, 60, 50, 32);
    expect(across?.unevenMm).toBeGreaterThan(1.5);
    expect(verdict(standAt(step, outline, 100, 50, 32), limits)).toBe(STANDS);
  });

  it('over the edge of the base it does not stand at all', () => {
    const flat = land(() => 10);
    expect(standAt(flat, outline, 10, 50, 32)).toBeNull();
    expect(standAt(flat, outline, 17, 50, 32)).not.toBeNull();
  });

  it('on a level base it can stand everywhere but within half its base of the edge', () => {
    const flat = land(() => 10);
    const share = standingShare(standingOf(flat, outline, 20, limits), outline);
    expect(share).toBeGreaterThan((100 * (100 * 80)) / (120 * 100) - 3);
    expect(share).toBeLessThan((100 * (100 * 80)) / (120 * 100) + 3);
  });
});
