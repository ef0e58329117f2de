import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boundsOf, type Point, type Polygon, polygonArea, polygonOutline, type Ring } from '../geometry/index.ts';
import { toEnd } from '../kernel/index.ts';
import { cutUp } from '../testing/cutUp.ts';
import { commonArea } from '../testing/judge.ts';
import { bitsOf, deepened, noFitOf } from './noFit.ts';
import { laidOut, type NestProblem, prepare } from './problem.ts';
import { type Raster, rasterOf, turnPolygon } from './raster.ts';
import { slideTogether, wayTo } from './slide.ts';

const square = (x: number, y: number, w: number, d: number): Polygon => ({
  outer: [
    [x, y],
    [x + w, y],
    [x + w, y + d],
    [x, y + d],
  ],
  holes: [],
});
const frame: Polygon = { outer: square(0, 0, 60, 60).outer, holes: [[...square(15, 15, 30, 30).outer].reverse()] };

const cellsOf = ({ columns, rows, starts, runs }: Raster): boolean[][] =>
  Array.from({ length: columns }, (_, i) =>
    Array.from({ length: rows }, (_, j) => {
      for (let k = starts[i]; k < starts[i + 1]; k += 2) if (j >= runs[k] && j < runs[k + 1]) return true;
      return false;
    }),
  );

describe('a raster', () => {
  it('sets exactly the cells that a shape touches: none with area in it is left out, none beyond a hair from it is set (polygon-clipping)', () => {
    for (const shape of [...cutUp(60, 45, 5, 3, 0.4), frame]) {
      const turned = turnPolygon(shape, 33);
      const [x0, y0] = boundsOf(turned.outer);
      const all = cellsOf(rasterOf(turned, 4)).flatMap((column, i) =>
        column.map((set, j) => {
          const [x, y] = [x0 + i * 4, y0 + j * 4];
          const held = commonArea(turned, square(x, y, 4, 4)) > 1e-6;
          const near = commonArea(turned, square(x - 0.01, y - 0.01, 4.02, 4.02)) > 0;
          return { cell: `${i}, ${j}`, set, held, near };
        }),
      );
      expect(all.filter(({ set, held }) => held && !set)).toEqual([]);
      expect(all.filter(({ set, near }) => set && !near)).toEqual([]);
      // Cells of both kinds were looked at.
      expect(all.some(({ set }) => set)).toBe(true);
      expect(all.some(({ set }) => !set)).toBe(true);
    }
  });

  it('of finer and finer cells comes to the area of the shape: too much by no more than a cell along the outline', () => {
    for (const shape of cutUp(300, 300, 6, 1)) {
      for (const cellMm of [4, 1]) {
        const count = cellsOf(rasterOf(turnPolygon(shape, 17), cellMm))
          .flat()
          .filter(Boolean).length;
        const over = count * cellMm ** 2 - polygonArea(shape);
        expect(over).toBeGreaterThanOrEqual(-1e-6);
        expect(over).toBeLessThan(polygonOutline(shape) * cellMm * 1.0);
      }
    }
  });

  it('of a square of whole cells is that square, at every quarter turn', () => {
    for (const degrees of [0, 90, 180, 270]) {
      const { columns, rows } = rasterOf(turnPolygon(square(0, 0, 12, 8), degrees), 4);
      expect([columns, rows]).toEqual(degrees % 180 ? [2, 3] : [3, 2]);
    }
  });
});

/** Whether two rasters have a cell in common when the second one's corner stands at (dx, dy) of the first. */
function meets(a: boolean[][], b: boolean[][], dx: number, dy: number): boolean {
  return b.some((column, i) => column.some((set, j) => set && a[i + dx]?.[j + dy] === true));
}

describe('where one may not lie beside another', () => {
  const shapes = [...cutUp(60, 60, 4, 5, 0.4), frame].map((shape) => rasterOf(shape, 5));

  it('is wherever they have a cell in common, in holes and bays too', () => {
    for (const fixed of shapes)
      for (const moving of shapes) {
        const map = noFitOf(fixed, moving);
        const [a, b] = [cellsOf(fixed), cellsOf(moving)];
        const bits = bitsOf(map, false);
        for (let i = 0; i < map.columns; i++)
          for (let j = 0; j < map.rows; j++) {
            const wrong = meets(a, b, map.x0 + i, map.y0 + j);
            expect(map.depth[i * map.rows + j] > 0).toBe(wrong);
            expect(((bits.bits[i * bits.words + (j >>> 5)] >>> (j & 31)) & 1) === 1).toBe(wrong);
          }
      }
  });

  it('turned round is the map with the two exchanged', () => {
    const [one, two] = shapes;
    const there = bitsOf(noFitOf(one, two), true);
    const back = bitsOf(noFitOf(two, one), false);
    expect(there).toEqual(back);
  });

  it('is so deep as the nearest free place is far, in steps of 3 and 4 aslant', () => {
    const map = deepened(noFitOf(rasterOf(frame, 5), rasterOf(square(0, 0, 15, 10), 5)));
    const depth = (i: number, j: number) =>
      i < 0 || j < 0 || i >= map.columns || j >= map.rows ? 0 : map.depth[i * map.rows + j];
    const steps = [3, 4];
    for (let i = 0; i < map.columns; i++)
      for (let j = 0; j < map.rows; j++) {
        if (!depth(i, j)) continue;
        let least = Number.POSITIVE_INFINITY;
        for (let u = -1; u <= map.columns; u++)
          for (let v = -1; v <= map.rows; v++) {
            if (depth(u, v)) continue;
            const [far, near] = [
              Math.max(Math.abs(u - i), Math.abs(v - j)),
              Math.min(Math.abs(u - i), Math.abs(v - j)),
            ];
            least = Math.min(least, (far - near) * steps[0] + near * steps[1]);
          }
        expect(depth(i, j)).toBe(least);
      }
  });
});

describe('how far a shape can be pushed', () => {
  it('to a wall, to a slope, and into a bay', () => {
    const at = (x: number, y: number) => [square(x, y, 10, 10).outer];
    expect(wayTo(at(50, 0), at(0, 0))).toBeCloseTo(40, 9);
    expect(wayTo(at(50, 5), at(0, 0))).toBeCloseTo(40, 9);
    expect(wayTo(at(50, 11), at(0, 0))).toBe(Number.POSITIVE_INFINITY);
    // A right triangle, its long side rising from (0, 20) to (20, 0): a square from the right touches it with its lower left corner.
    const slope = [
      [
        [0, 0],
        [20, 0],
        [0, 20],
      ] as const,
    ];
    expect(wayTo(at(50, 5), slope)).toBeCloseTo(35, 9);
    // Into the mouth of a U.
    const u = [
      [
        [0, 0],
        [40, 0],
        [40, 10],
        [10, 10],
        [10, 30],
        [40, 30],
        [40, 40],
        [0, 40],
      ] as const,
    ];
    expect(wayTo(at(60, 15), u)).toBeCloseTo(50, 9);
  });

  it('is that of every corner against every edge, whatever the shapes and however many rings', () => {
    // Stars with whole-number corners too, so that corners lie level with one another and with the ends of edges.
    const star = fc
      .tuple(fc.array(fc.integer({ min: 3, max: 20 }), { minLength: 3, maxLength: 14 }), fc.boolean())
      .map(([radii, whole]) =>
        radii.map((r, k): Point => {
          const turn = (2 * Math.PI * k) / radii.length;
          const at: Point = [r * Math.cos(turn), r * Math.sin(turn)];
          return whole ? [Math.round(at[0]), Math.round(at[1])] : at;
        }),
      );
    const shape = fc.array(star, { minLength: 1, maxLength: 3 });
    fc.assert(
      fc.property(shape, shape, fc.integer({ min: -25, max: 25 }), (still, loose, dy) => {
        const moving = loose.map((ring) => ring.map(([x, y]): Point => [x + 60, y + dy]));
        let least = Number.POSITIVE_INFINITY;
        const meet = (corners: readonly Ring[], edges: readonly Ring[], sign: 1 | -1) => {
          for (const ring of edges)
            ring.forEach((to, k) => {
              const from = ring[(k + ring.length - 1) % ring.length];
              if (sign * (to[1] - from[1]) <= 0) return;
              for (const [x, y] of corners.flat()) {
                const t = (y - from[1]) / (to[1] - from[1]);
                if (y < Math.min(from[1], to[1]) || y > Math.max(from[1], to[1])) continue;
                least = Math.min(least, sign * (x - from[0] - t * (to[0] - from[0])));
              }
            });
        };
        meet(moving, still, 1);
        meet(still, moving, -1);
        if (least === Number.POSITIVE_INFINITY) expect(wayTo(moving, still)).toBe(least);
        else expect(wayTo(moving, still)).toBeCloseTo(least, 9);
      }),
    );
  });

  it('slides up a slope that is in its way, and never into it (polygon-clipping)', () => {
    const wedge: Polygon = {
      outer: [
        [0, 0],
        [60, 0],
        [0, 60],
      ],
      holes: [],
    };
    const block = square(0, 0, 10, 10);
    const problem: NestProblem = {
      pieces: [wedge, block].map((outline, k) => ({ id: `${k}`, outline, turns: [0] })),
      beds: [{ id: 'bed', outline: square(0, 0, 100, 100).outer, kind: 'sheet' }],
      gapMm: 0,
      marginMm: 0,
      pinned: [{ piece: 0, bed: 0, turn: 0, xMm: 30, yMm: 30 }],
    };
    const [, at] = toEnd(
      slideTogether(prepare(problem), [...problem.pinned, { piece: 1, bed: 0, turn: 0, xMm: 85, yMm: 5 }]),
    );
    // Straight to the left it would stop with its corner at the foot of the slope, its middle at 65.
    expect(at.xMm).toBeLessThan(40);
    expect(commonArea(wedge, laidOut(problem.pieces[1], at))).toBeLessThan(1e-6);
  });
});
