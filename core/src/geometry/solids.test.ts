import { describe, expect, it } from 'vitest';
import { groundFrom } from '../testing/solids.ts';
import { areaAbove, hypsometryOf, volumeAbove } from './index.ts';

/**
 * Solids with closed formulas on 1 mm cells. The surface between nodes is flat triangles, so a smooth solid is off by the order of
 * cell^2 x curvature; each bound below is a little above the error observed, which is written beside it.
 */
describe('areas and volumes above a height, and the true surface, against closed formulas', () => {
  it('cone: area pi r^2, volume pi r^2 h / 3, surface pi r s', () => {
    const [R, H] = [90, 60];
    const ground = groundFrom(200, 200, (x, y) => Math.max(0, H * (1 - Math.hypot(x - 100, y - 100) / R)));
    const curve = hypsometryOf(ground.grid, ground.coverage);
    for (const h of [5, 10, 25, 40, 55]) {
      const r = R * (1 - h / H);
      // Ground within 0.01 mm of a level counts as reaching it. Observed: area within 0.03 % at h = 5, 0.4 % near the tip (r = 7.5 mm).
      const reached = R * (1 - (h - 0.01) / H);
      expect(areaAbove(curve, h) / (Math.PI * reached * reached)).toBeCloseTo(1, r > 30 ? 3 : 2);
      expect(Math.abs(volumeAbove(curve, h) / ((Math.PI * r * r * (H - h)) / 3) - 1)).toBeLessThan(
        r > 30 ? 0.001 : 0.02,
      );
    }
    const slanted = Math.PI * R * Math.hypot(R, H);
    const flat = 200 * 200 - Math.PI * R * R;
    expect(Math.abs(ground.surface.trueMm2 / (slanted + flat) - 1)).toBeLessThan(0.0005);
  });

  it('hemisphere: area pi (R^2 - h^2), cap volume pi d^2 (3R - d) / 3, surface 2 pi R d of the cap above 45 degrees', () => {
    const R = 80;
    const ground = groundFrom(180, 180, (x, y) => Math.sqrt(Math.max(0, R * R - (x - 90) ** 2 - (y - 90) ** 2)));
    const curve = hypsometryOf(ground.grid, ground.coverage);
    for (const h of [10, 30, 60, 75]) {
      const d = R - h;
      expect(Math.abs(areaAbove(curve, h) / (Math.PI * (R * R - h * h)) - 1)).toBeLessThan(0.002);
      expect(Math.abs(volumeAbove(curve, h) / ((Math.PI * d * d * (3 * R - d)) / 3) - 1)).toBeLessThan(0.003);
    }
    // The zone where the slope is at most 45 degrees is the cap of height R (1 - cos 45).
    const cap = 2 * Math.PI * R * R * (1 - Math.SQRT1_2);
    const sloping = ground.surface.notSteeperMm2[45] - ground.surface.notSteeperMm2[0];
    expect(Math.abs(sloping / cap - 1)).toBeLessThan(0.005);
  });

  it('plane: linear area, quadratic volume, surface by the slope, exactly', () => {
    const ground = groundFrom(120, 50, (x) => 0.5 * x);
    const curve = hypsometryOf(ground.grid, ground.coverage);
    expect(ground.volumeMl).toBeCloseTo((0.5 * 120 * 120 * 50) / 2 / 1000, 6);
    for (const h of [10, 20, 45.5]) {
      // Ground within 0.01 mm of a level counts as reaching it: 0.02 mm of plan here.
      expect(areaAbove(curve, h)).toBeCloseTo((120 - (h - 0.01) / 0.5) * 50, 4);
      expect(volumeAbove(curve, h)).toBeCloseTo(((60 - h) ** 2 / 2 / 0.5) * 50, 4);
    }
    expect(ground.surface.trueMm2).toBeCloseTo(120 * 50 * Math.sqrt(1.25), 6);
    expect(ground.surface.meanSlopeDegrees).toBeCloseTo((Math.atan(0.5) * 180) / Math.PI, 6);
  });

  it('stepped pyramid: each step its whole square, a level on a step belongs to it', () => {
    const half = (x: number, y: number) => Math.max(Math.abs(x - 60), Math.abs(y - 60));
    const ground = groundFrom(120, 120, (x, y) => (half(x, y) <= 20 ? 30 : half(x, y) <= 40 ? 20 : 10));
    const curve = hypsometryOf(ground.grid, ground.coverage);
    // Steps rise within one cell, so a step of side s is between s and s + 2 cells wide there.
    expect(areaAbove(curve, 10)).toBeCloseTo(120 * 120, 4);
    expect(areaAbove(curve, 20)).toBeGreaterThanOrEqual(80 * 80);
    expect(areaAbove(curve, 20)).toBeLessThan(80.1 * 80.1);
    expect(areaAbove(curve, 30)).toBeGreaterThanOrEqual(40 * 40);
    expect(areaAbove(curve, 30)).toBeLessThan(40.1 * 40.1);
    const steps = 10 * (120 ** 2 + 80 ** 2 + 40 ** 2);
    const rounded = 10 * (120 ** 2 + 82 ** 2 + 42 ** 2);
    expect(ground.volumeMl * 1000).toBeGreaterThan(steps);
    expect(ground.volumeMl * 1000).toBeLessThan(rounded);
  });
});
