import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gridOver, type Ring, sampleFormula } from '../geometry/index.ts';
import { STANDS, standAt, standingOf, standingShare, standUnder, verdict } from './index.ts';

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

describe('a base of any outline', () => {
  const box = (x: number, y: number, long: number, wide: number, degrees: number): Ring => {
    const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
    return [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ].map(([u, v]) => {
      const [p, q] = [(u * long) / 2, (v * wide) / 2];
      return [x + p * c - q * s, y + p * s + q * c] as const;
    });
  };

  it('on a plane stands as that plane tilts, turned any way, and nothing strays from it', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(number(-0.5, 0.5), number(-0.5, 0.5), number(0, 360), number(8, 40), (a, b, turn, wide) => {
        const grid = sampleFormula(gridOver(120, 100, 1), (x, y) => 60 + a * x + b * y);
        const stand = standUnder(grid, outline, box(60, 50, 50, wide, turn));
        expect(stand?.tiltDegrees).toBeCloseTo((Math.atan(Math.hypot(a, b)) * 180) / Math.PI, 6);
        expect(stand?.unevenMm).toBeCloseTo(0, 6);
      }),
    );
  });

  it('a long one rocks over a ridge that a short one stands beside, and one over the edge does not stand', () => {
    const grid = sampleFormula(gridOver(120, 100, 1), (x) => 20 - Math.abs(x - 60) / 5);
    expect(standUnder(grid, outline, box(60, 50, 80, 20, 0))?.unevenMm).toBeGreaterThan(2);
    expect(standUnder(grid, outline, box(60, 50, 80, 2, 90))?.unevenMm).toBeLessThan(0.2);
    expect(standUnder(grid, outline, box(90, 50, 30, 20, 0))?.unevenMm).toBeCloseTo(0, 6);
    expect(standUnder(grid, outline, box(110, 50, 40, 20, 0))).toBeNull();
  });
});
