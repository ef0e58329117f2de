import { describe, expect, it } from 'vitest';
import { heightAt } from '../geometry/index.ts';
import { toEnd } from '../kernel/index.ts';
import { drawItem, type Project, startProject, type Terrain, writeHeights } from '../project/index.ts';
import { groundOf } from './ground.ts';

/** A grid of 11 x 9 numbers that rises evenly to the right (or by another rule). */
function terrain(rule: (i: number, j: number) => number, change: Partial<Terrain> = {}): Terrain {
  const numbers = Array.from({ length: 99 }, (_, n) => rule(n % 11, Math.floor(n / 11)));
  return {
    name: 'made up',
    columns: 11,
    rows: 9,
    data: writeHeights(numbers),
    from: { low: 0, high: 100, cell: 10 },
    crop: { left: 0, right: 1, near: 0, far: 1 },
    turnDegrees: 0,
    lowMm: 10,
    highMm: 50,
    smoothMm: 0,
    reachMm: 20,
    ...change,
  };
}
const base = {
  ...startProject('p', '2027-03-01', 'ground').base,
  shape: { kind: 'rectangle', widthMm: 100, depthMm: 80 } as const,
};
const start: Project = { ...startProject('p', '2027-03-01', 'ground'), base };
const heights = (project: Project, places: [number, number][]) => {
  const { grid } = toEnd(groundOf(project, 1));
  return places.map(([x, y]) => Math.round(heightAt(grid, x, y) * 100) / 100);
};
const eastward = (i: number) => i * 1000;

describe('a grid as ground', () => {
  it('is stretched over the base and to the heights wanted', () => {
    const project = { ...start, terrain: terrain(eastward) };
    expect(
      heights(project, [
        [0, 0],
        [50, 40],
        [100, 80],
        [25, 10],
      ]),
    ).toEqual([10, 30, 50, 20]);
  });

  it('cropped to its right half it rises as much over half the way', () => {
    const project = { ...start, terrain: terrain(eastward, { crop: { left: 0.5, right: 1, near: 0, far: 1 } }) };
    expect(
      heights(project, [
        [0, 40],
        [100, 40],
      ]),
    ).toEqual([10, 50]);
  });

  it('turned a quarter counter-clockwise what rose to the right rises away', () => {
    const project = { ...start, terrain: terrain(eastward, { turnDegrees: 90 }) };
    expect(
      heights(project, [
        [50, 0],
        [50, 80],
        [10, 40],
        [90, 40],
      ]),
    ).toEqual([10, 50, 30, 30]);
  });

  it('smoothed a lone peak is lower and broader, and an even slope stays as it is', () => {
    const peak = (i: number, j: number) => (i === 5 && j === 4 ? 40_000 : 0);
    const [sharp] = heights({ ...start, terrain: terrain(peak) }, [[50, 40]]);
    const [soft, beside] = heights({ ...start, terrain: terrain(peak, { smoothMm: 20 }) }, [
      [50, 40],
      [50, 55],
    ]);
    expect(sharp).toBe(50);
    expect(soft).toBeLessThan(40);
    expect(beside).toBeGreaterThan(heights({ ...start, terrain: terrain(peak) }, [[50, 55]])[0]);
    expect(heights({ ...start, terrain: terrain(eastward, { smoothMm: 10 }) }, [[50, 40]])).toEqual([30]);
  });

  it('marks act on top: they are met, and die away within their reach', () => {
    const spot = drawItem({ ...start, terrain: terrain(eastward) }, 'spot', [[50, 40]], 0, { heightMm: 38 }).project;
    const [on, near, far] = heights(spot, [
      [50, 40],
      [50, 46],
      [90, 40],
    ]);
    expect(on).toBeCloseTo(38, 1);
    expect(near).toBeGreaterThan(30.2);
    expect(near).toBeLessThan(38);
    expect(Math.abs(far - 46)).toBeLessThan(0.05);
  });

  it('a line lifts the terrain without a crease: across it by 2 exp(-x / L) - exp(-2 x / L), L a quarter of the reach', () => {
    const flat = terrain(() => 0, { lowMm: 20, highMm: 20, reachMm: 40 });
    const across: [number, number][] = [
      [50, 0],
      [50, 80],
    ];
    const line = drawItem({ ...start, terrain: flat }, 'contour', across, 0, { heightMm: 30, closed: false }).project;
    const places = [50, 52, 55, 60, 70].map((x): [number, number] => [x, 40]);
    const expected = [0, 2, 5, 10, 20].map((x) => 20 + 10 * (2 * Math.exp(-x / 10) - Math.exp(-x / 5)));
    heights(line, places).forEach((height, k) => {
      // On cells of 1 mm, where the narrower skin falls by e over 5 mm.
      expect(Math.abs(height - expected[k])).toBeLessThan(0.25);
    });
  });

  it('a bench that lies level inside is flat, and a landform is built on the terrain', () => {
    const ring: [number, number][] = [
      [30, 20],
      [60, 20],
      [60, 50],
      [30, 50],
    ];
    const bench = drawItem({ ...start, terrain: terrain(eastward) }, 'contour', ring, 0, {
      heightMm: 33,
      level: true,
    }).project;
    expect(
      heights(bench, [
        [35, 25],
        [45, 35],
        [58, 45],
      ]),
    ).toEqual([33, 33, 33]);
    const pad = drawItem({ ...start, terrain: terrain(eastward) }, 'pad', ring, 0, { heightMm: 41 }).project;
    expect(heights(pad, [[45, 35]])).toEqual([41]);
  });
});
