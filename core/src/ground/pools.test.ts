import { describe, expect, it } from 'vitest';
import { heightAt, type Point } from '../geometry/index.ts';
import { circle, groundFrom, spot } from '../testing/solids.ts';
import { holdsAlong } from './holds.ts';
import { poolsOf } from './pools.ts';

describe('low points that would hold water', () => {
  it('a cone-shaped hollow fills to its rim: pi r2 h / 3', () => {
    const hollow = (x: number, y: number) => 30 - Math.max(0, 12 * (1 - Math.hypot(x - 60, y - 50) / 25));
    const { grid, outline } = groundFrom(120, 100, hollow);
    const [pool, ...more] = poolsOf(grid, outline);
    expect(more).toEqual([]);
    expect(pool.at).toEqual([60, 50]);
    expect(pool.spillMm).toBeCloseTo(30, 6);
    expect(pool.depthMm).toBeCloseTo(12, 6);
    expect(Math.abs((pool.volumeMl * 1000) / ((Math.PI * 25 * 25 * 12) / 3) - 1)).toBeLessThan(0.01);
    expect(Math.abs(pool.areaMm2 / (Math.PI * 25 * 25) - 1)).toBeLessThan(0.03);
  });

  it('a notch in the rim lets it run down to the notch; a valley that reaches the edge holds nothing', () => {
    const notched = (x: number, y: number) =>
      x > 60 && Math.abs(y - 50) < 3 ? 24 : 30 - Math.max(0, 12 * (1 - Math.hypot(x - 60, y - 50) / 25));
    const { grid, outline } = groundFrom(120, 100, notched);
    expect(poolsOf(grid, outline)[0].spillMm).toBeCloseTo(24, 6);
    const valley = groundFrom(120, 100, (x, y) => 10 + Math.abs(x - 60) / 2 + y / 20);
    expect(poolsOf(valley.grid, valley.outline)).toEqual([]);
  });

  it('several come fullest first; a thumbprint is not told', () => {
    const dip = (x: number, y: number, at: Point, r: number, depth: number) =>
      Math.max(0, depth * (1 - Math.hypot(x - at[0], y - at[1]) / r));
    const { grid, outline } = groundFrom(
      160,
      100,
      (x, y) => 30 - dip(x, y, [40, 50], 20, 8) - dip(x, y, [110, 50], 30, 8) - dip(x, y, [80, 90], 4, 0.4),
    );
    expect(poolsOf(grid, outline).map(({ at }) => at)).toEqual([
      [110, 50],
      [40, 50],
    ]);
  });

  it('off a round base water runs off its edge', () => {
    const { grid } = groundFrom(100, 100, (x, y) => 10 + Math.hypot(x - 50, y - 50) / 10);
    const round = circle(50, 50, 45, 0).points;
    const { grid: high } = groundFrom(100, 100, (x, y) => 30 - Math.hypot(x - 50, y - 50) / 10);
    expect(poolsOf(grid, round)[0].spillMm).toBeCloseTo(14.5, 0);
    expect(poolsOf(high, round)).toEqual([]);
  });
});

describe('where a section can be taken hold of', () => {
  const { grid } = groundFrom(120, 100, (x) => x / 4);
  const at = (x: number, y: number) => heightAt(grid, x, y);
  it('a line where it crosses, an outline in its middle at its height, a spot that lies near', () => {
    const pad = { ...circle(60, 50, 20, 33, true), id: 'pad' };
    const holds = holdsAlong([pad, spot(12, 100, 52), spot(40, 30, 90)], {}, at, [0, 50], [120, 50]);
    expect(holds.map(({ itemId, alongMm, heightMm }) => [itemId, Math.round(alongMm), heightMm])).toEqual([
      ['pad', 40, 33],
      ['pad', 80, 33],
      ['spot-100-52', 100, 12],
    ]);
  });

  it('what is locked cannot be taken hold of', () => {
    expect(holdsAlong([{ ...spot(12, 60, 50), locked: true }], {}, at, [0, 50], [120, 50])).toEqual([]);
  });

  it('a way whose ends are left to the land is held at the height it has come to there', () => {
    const way = {
      kind: 'way' as const,
      id: 'w',
      name: 'W',
      hidden: false,
      locked: false,
      smooth: false,
      points: [
        [60, 0],
        [60, 100],
      ] as [number, number][],
      use: 'road' as const,
      widthMm: 20,
      fromMm: null,
      toMm: null,
      gradientPercent: 10,
      crossfallPercent: 0,
      bankDegrees: 34,
      cutDegrees: 45,
    };
    expect(holdsAlong([way], {}, at, [0, 50], [120, 50])).toEqual([]);
    const [hold] = holdsAlong([way], { w: { fromMm: 10, toMm: 20 } }, at, [0, 25], [120, 25]);
    expect(hold).toMatchObject({ itemId: 'w', label: 'way', alongMm: 60, heightMm: 12.5 });
  });
});
