import { describe, expect, it } from 'vitest';
import { gridOver, outlineCurve, outlineLength, type Ring, sampleFormula } from './index.ts';

const base: Ring = [
  [0, 0],
  [240, 0],
  [240, 160],
  [0, 160],
];

describe('the outline of the ground by height', () => {
  it('of a cone: a circle at every height', () => {
    const cone = sampleFormula(gridOver(240, 160, 1), (x, y) => Math.max(0, 50 - Math.hypot(x - 120, y - 80)));
    const curve = outlineCurve(cone, null, base);
    for (const height of [5, 12.5, 30, 44])
      expect(outlineLength(curve, height) / (2 * Math.PI * (50 - height))).toBeCloseTo(1, 1);
    expect(outlineLength(curve, 60)).toBe(0);
  });

  it('of a slab that covers the base: the edge of the base, up to its top', () => {
    const slab = sampleFormula(gridOver(240, 160, 2), () => 20);
    const curve = outlineCurve(slab, null, base);
    expect(outlineLength(curve, 10)).toBeCloseTo(800, 6);
    expect(outlineLength(curve, 22)).toBe(0);
  });

  it('of a slope from one side to the other: across, and the edge above it', () => {
    const slope = sampleFormula(gridOver(240, 160, 1), (x) => x / 4);
    const curve = outlineCurve(slope, null, base);
    // At 30 mm the line stands at x = 120: 160 across, and the edge round the higher half.
    expect(outlineLength(curve, 30)).toBeCloseTo(160 + 120 + 160 + 120, -1);
  });

  it('of a wall: as long as it is, at every height of it', () => {
    const wall = sampleFormula(gridOver(240, 160, 1), (x) => (x < 100 ? 40 : 0));
    const curve = outlineCurve(wall, null, base, () => false);
    for (const height of [3, 20, 37]) expect(outlineLength(curve, height)).toBeCloseTo(160, 6);
  });
});
