import { contours } from 'd3-contour';
import { describe, expect, it } from 'vitest';
import { baseOutline, startProject } from '../project/index.ts';
import { seeded } from '../testing/edits.ts';
import { groundFrom } from '../testing/solids.ts';
import { volcano } from '../testing/volcano.ts';
import {
  areaAbove,
  clipRings,
  clipToConvex,
  convexHull,
  coverageOf,
  fitsSheet,
  gridOver,
  heightAt,
  hypsometryOf,
  insideRing,
  isolines,
  lineLength,
  nestRings,
  type Point,
  polygonArea,
  type Ring,
  ringArea,
  sampleFormula,
  volumeAbove,
  withValues,
} from './index.ts';

const square = (x: number, y: number, side: number): Ring => [
  [x, y],
  [x + side, y],
  [x + side, y + side],
  [x, y + side],
];

const volcanoGrid = volcano(1);

describe('outlines of what stands above a level', () => {
  it('a cone gives one round ring, counter-clockwise, of the right area and length', () => {
    const { grid } = groundFrom(200, 200, (x, y) => 60 - Math.hypot(x - 100, y - 100));
    const [rings] = isolines(grid, [20]);
    expect(rings).toHaveLength(1);
    expect(ringArea(rings[0]) / (Math.PI * 1600)).toBeCloseTo(1, 3);
    expect(lineLength(rings[0]) / (2 * Math.PI * 40)).toBeCloseTo(1, 3);
  });

  it('closes along the edge of the base, corner included', () => {
    const { grid } = groundFrom(100, 60, (x) => x);
    const [rings] = isolines(grid, [40]);
    expect(rings).toHaveLength(1);
    expect(ringArea(rings[0])).toBeCloseTo(60 * 60, 6);
    expect(isolines(grid, [-1])[0].map(ringArea)).toEqual([100 * 60]);
    expect(isolines(grid, [101])[0]).toEqual([]);
  });

  it('a crater gives a ring with a hole, an island in it is a piece of its own', () => {
    const { grid } = groundFrom(200, 200, (x, y) => {
      const r = Math.hypot(x - 100, y - 100);
      return r < 15 ? 40 : 40 - Math.abs(r - 60);
    });
    const pieces = nestRings(isolines(grid, [20])[0]);
    expect(pieces.map((piece) => piece.holes.length)).toEqual([1, 0]);
    expect(polygonArea(pieces[0]) / (Math.PI * (80 ** 2 - 40 ** 2))).toBeCloseTo(1, 2);
  });

  /**
   * Oracle: d3-contour 4 on the volcano grid. It samples at cell centres and closes half a cell out, so the grid gets a rim of nothing
   * and rings that keep off the border are compared one by one.
   */
  it('agrees with d3-contour ring by ring on the volcano grid', () => {
    const { columns, rows, values } = volcanoGrid;
    let compared = 0;
    for (const level of [45.25, 60.5, 75.75, 85.25, 95.5]) {
      const theirs = contours()
        .size([columns, rows])
        .smooth(true)
        .contour([...values], level)
        .coordinates.flat()
        .filter((ring) => ring.every(([x, y]) => x > 1 && y > 1 && x < columns - 1 && y < rows - 1))
        .map((ring) => Math.abs(ringArea(ring.slice(0, -1).map(([x, y]) => [x, y] as const))))
        .sort((a, b) => a - b);
      const ours = isolines(volcanoGrid, [level])[0]
        .filter((ring) => ring.every(([x, y]) => x > 0.5 && y > 0.5 && x < columns - 1.5 && y < rows - 1.5))
        .map((ring) => Math.abs(ringArea(ring)))
        .sort((a, b) => a - b);
      compared += theirs.length;
      // Saddle cells may be joined the other way; there rings merge, so totals are compared as well as counts nearly.
      expect(Math.abs(ours.length - theirs.length)).toBeLessThanOrEqual(1);
      const total = (areas: number[]) => areas.reduce((sum, area) => sum + area, 0);
      expect(Math.abs(total(ours) - total(theirs))).toBeLessThan(1.5);
    }
    expect(compared).toBeGreaterThan(3);
  });

  it('the volcano, measured a second way: each cell cut into 20 x 20 and counted, layer by layer', () => {
    const curve = hypsometryOf(volcanoGrid, null);
    const parts = 20;
    for (const level of [10, 25, 40, 55, 80]) {
      let count = 0;
      let volume = 0;
      for (let y = 0.5 / parts; y < volcanoGrid.rows - 1; y += 1 / parts)
        for (let x = 0.5 / parts; x < volcanoGrid.columns - 1; x += 1 / parts) {
          const z = heightAt(volcanoGrid, x, y);
          if (z >= level) {
            count++;
            volume += z - level;
          }
        }
      // Bilinear cells against two triangles: observed within 0.6 % of area, 0.4 % of volume on these 10 m steps.
      expect(Math.abs(areaAbove(curve, level) / (count / parts ** 2) - 1)).toBeLessThan(0.012);
      expect(Math.abs(volumeAbove(curve, level) / (volume / parts ** 2) - 1)).toBeLessThan(0.008);
    }
  });
});

describe('bases that are not rectangles on the lattice', () => {
  const { base } = startProject('oval', '2027-03-01', 'ground');
  const oval = baseOutline({ ...base, shape: { kind: 'oval', widthMm: 300, depthMm: 220 } });

  it('an oval covers pi a b of its cells, and cuts outlines to itself', () => {
    const grid = withValues(gridOver(300, 220, 1), new Float64Array(301 * 221).fill(10));
    const coverage = coverageOf(grid, oval);
    expect(coverage).not.toBeNull();
    expect(areaAbove(hypsometryOf(grid, coverage), 5) / (Math.PI * 150 * 110)).toBeCloseTo(1, 3);
    const cut = clipRings(isolines(grid, [5])[0], oval);
    expect(cut.reduce((sum, ring) => sum + ringArea(ring), 0) / (Math.PI * 150 * 110)).toBeCloseTo(1, 3);
  });

  it('a size that the cell does not divide is covered to the hundredth', () => {
    const outline = baseOutline({ ...base, shape: { kind: 'rectangle', widthMm: 279.4, depthMm: 215.9 } });
    const grid = sampleFormula(gridOver(279.4, 215.9, 1), () => 10);
    expect(areaAbove(hypsometryOf(grid, coverageOf(grid, outline)), 5)).toBeCloseTo(279.4 * 215.9, 1);
  });
});

describe('shares of cells', () => {
  it('are those of the outline cut to each cell by itself, on 60 bases of any shape, turn and place', () => {
    const random = seeded(20);
    for (let n = 0; n < 60; n++) {
      const points = 3 + Math.floor(random() * 40);
      const reach = () => 8 + random() * 22;
      const ring = Array.from({ length: points }, (_, k): [number, number] => {
        const [r, turn] = [reach(), (2 * Math.PI * k) / points];
        return [31 + r * Math.cos(turn), 31 + r * Math.sin(turn)];
      });
      const outline = n % 2 ? ring : [...ring].reverse();
      const grid = gridOver(62, 62, [1, 2, 3.1, 0.5][n % 4]);
      const across = grid.columns - 1;
      const shares = coverageOf(grid, outline) ?? [];
      expect(shares.length).toBe(across * (grid.rows - 1));
      for (let cell = 0; cell < shares.length; cell++) {
        const [x, y] = [(cell % across) * grid.cellMm, Math.floor(cell / across) * grid.cellMm];
        const square = [
          [0, 0],
          [1, 0],
          [1, 1],
          [0, 1],
        ].map(([u, v]): [number, number] => [x + u * grid.cellMm, y + v * grid.cellMm]);
        const apart = Math.abs(shares[cell] - Math.abs(ringArea(clipToConvex(outline, square))) / grid.cellMm ** 2);
        if (apart > 1e-6) expect(apart, `base ${n}, cell ${cell}`).toBeLessThan(1e-6);
      }
    }
  });
});

describe('plane geometry by hand', () => {
  it('areas, lengths, inside', () => {
    expect(ringArea(square(0, 0, 10))).toBe(100);
    expect(ringArea([...square(0, 0, 10)].reverse())).toBe(-100);
    expect(lineLength(square(0, 0, 10))).toBe(40);
    expect(lineLength(square(0, 0, 10), false)).toBe(30);
    expect(insideRing(square(0, 0, 10), 5, 5)).toBe(true);
    expect(insideRing(square(0, 0, 10), 15, 5)).toBe(false);
  });

  it('a ring of many points, asked often, answers as one that is looked through point by point, also after it was turned round', () => {
    const ring: Point[] = Array.from({ length: 180 }, (_, k): Point => {
      const a = (k / 90) * Math.PI;
      const r = 40 + 12 * Math.sin(7 * a) + (k % 3 ? 0 : 3);
      // Heights in whole millimetres, so that many places lie level with a point.
      return [r * Math.cos(a), Math.round(r * Math.sin(a))];
    });
    const plainly = (x: number, y: number) =>
      ring.filter(([xi, yi], k) => {
        const [xj, yj] = ring[k ? k - 1 : ring.length - 1];
        return yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi;
      }).length %
        2 ===
      1;
    let inside = 0;
    for (const turn of ['as it is', 'turned round']) {
      if (turn === 'turned round') ring.reverse();
      for (let x = -60; x <= 60; x += 1.7)
        for (let y = -60; y <= 60; y += 1) {
          expect(insideRing(ring, x, y)).toBe(plainly(x, y));
          if (insideRing(ring, x, y)) inside++;
        }
    }
    expect(inside).toBeGreaterThan(4000);
  });

  it('hull of a star is its five tips', () => {
    const star: Point[] = Array.from({ length: 10 }, (_, k) => {
      const r = k % 2 ? 3 : 10;
      return [r * Math.cos((k * Math.PI) / 5), r * Math.sin((k * Math.PI) / 5)];
    });
    expect(convexHull(star)).toHaveLength(5);
  });

  it('a piece fits a sheet turned, when only a turn makes it fit', () => {
    const bar: Ring = [
      [0, 0],
      [70, 70],
      [65, 75],
      [-5, 5],
    ];
    expect(fitsSheet(bar, 100, 10)).toBe(true);
    expect(fitsSheet(bar, 98, 10)).toBe(false);
    expect(fitsSheet(square(0, 0, 50), 50, 50)).toBe(true);
    expect(fitsSheet(square(0, 0, 50), 49.9, 80)).toBe(false);
  });
});
