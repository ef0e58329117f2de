import { describe, expect, it } from 'vitest';
import type { Ring } from '../geometry/index.ts';
import { settingOut } from './settingOut.ts';

const circle = (x: number, y: number, radius: number, count: number): Ring =>
  Array.from({ length: count }, (_, k) => [
    x + radius * Math.cos((2 * Math.PI * k) / count),
    y + radius * Math.sin((2 * Math.PI * k) / count),
  ]);

describe('measures to carry an outline over', () => {
  it('of a rectangle are its corners, whatever points lie between them', () => {
    const outer: Ring = [
      [20, 10],
      [60, 10],
      [120, 10],
      [120, 70],
      [70, 70],
      [20, 70],
      [20, 40],
    ];
    const [{ places, strayMm, hole }] = settingOut([{ outer, holes: [] }]);
    expect(places.map(({ fromLeftMm, fromFrontMm }) => `${fromLeftMm} ${fromFrontMm}`).sort()).toEqual([
      '120 10',
      '120 70',
      '20 10',
      '20 70',
    ]);
    expect(places.map(({ letter }) => letter)).toEqual(['A', 'B', 'C', 'D']);
    expect([strayMm, hole]).toEqual([0, false]);
  });

  it('of a circle are no more than a handful, and say how far straight lines stray: the sagitta', () => {
    const [{ places, strayMm }] = settingOut([{ outer: circle(150, 100, 90, 720), holes: [] }]);
    expect(places.length).toBeLessThanOrEqual(12);
    for (const { fromLeftMm, fromFrontMm } of places)
      expect(Math.hypot(fromLeftMm - 150, fromFrontMm - 100)).toBeCloseTo(90, 6);
    // The widest gap between neighbours gives it: r (1 - cos(gap / 2)).
    const angles = places.map(({ fromLeftMm, fromFrontMm }) => Math.atan2(fromFrontMm - 100, fromLeftMm - 150));
    const gaps = angles.map((a, k) => {
      const next = angles[(k + 1) % angles.length];
      return (next - a + 4 * Math.PI) % (2 * Math.PI);
    });
    expect(strayMm).toBeCloseTo(90 * (1 - Math.cos(Math.max(...gaps) / 2)), 1);
  });

  it('go on through holes and pieces; a small one takes few', () => {
    const sets = settingOut([
      { outer: circle(100, 100, 80, 60), holes: [circle(100, 100, 3, 40)] },
      { outer: circle(300, 100, 2, 40), holes: [] },
    ]);
    expect(sets.map(({ hole }) => hole)).toEqual([false, true, false]);
    const letters = sets.flatMap(({ places }) => places.map(({ letter }) => letter));
    expect(new Set(letters).size).toBe(letters.length);
    expect(sets[2].places.length).toBeLessThanOrEqual(4);
  });
});
