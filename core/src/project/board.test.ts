import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lineLength, ringArea } from '../geometry/index.ts';
import { baseOutline } from './base.ts';
import {
  boardAreaMm2,
  boardOfKind,
  boardOutline,
  coveredSize,
  feetPlaces,
  footprintOf,
  standsOn,
  underMm,
} from './board.ts';
import { frameOf } from './frame.ts';
import { type Base, projectSchema, startProject } from './index.ts';

const flush = startProject('board', '2027-03-01').base;
const sized = (widthMm: number, depthMm: number, change: Partial<Base> = {}): Base => ({
  ...flush,
  shape: { kind: 'rectangle', widthMm, depthMm },
  ...change,
});
const board = (change: Partial<Base['board']>): Base['board'] => ({ ...flush.board, ...change });

describe('the board under the ground', () => {
  it("is the ground's outline, moved out or in: rectangles and rounds by school geometry", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 600 }),
        fc.integer({ min: 60, max: 600 }),
        fc.integer({ min: -25, max: 80 }),
        (w, d, by) => {
          const base = sized(w, d, { board: board({ beyondMm: by }) });
          expect(boardAreaMm2(base)).toBeCloseTo((w + 2 * by) * (d + 2 * by), 6);
          // What hangs over counts for what it covers, not for what it stands on.
          expect(coveredSize(base).widthMm).toBeCloseTo(w + 2 * Math.max(0, by), 6);
          expect(Math.abs(ringArea(standsOn(base)))).toBeCloseTo((w + 2 * by) * (d + 2 * by), 6);
        },
      ),
    );
    const round: Base = { ...flush, shape: { kind: 'round', diameterMm: 200 }, board: board({ beyondMm: 10 }) };
    expect(boardAreaMm2(round)).toBeCloseTo(Math.PI * 110 ** 2, -1);
  });

  it('an L drawn by hand keeps its notch', () => {
    const points: [number, number][] = [
      [0, 0],
      [200, 0],
      [200, 100],
      [80, 100],
      [80, 160],
      [0, 160],
    ];
    const base: Base = { ...flush, shape: { kind: 'outline', points }, board: board({ beyondMm: 10 }) };
    // 220 x 120 and 100 x 60 above.
    expect(boardAreaMm2(base)).toBeCloseTo(220 * 120 + 100 * 60, 6);
  });

  it('sawn in waves it swings out and back in whole waves and covers about as much as before', () => {
    const base = sized(300, 200, { board: board({ beyondMm: 12, wave: { deepMm: 6, longMm: 50 } }) });
    const outline = boardOutline(base) ?? [];
    const out = outline.map(([x, y]) => Math.max(-12 - x, x - 312, -12 - y, y - 212));
    expect(Math.max(...out)).toBeCloseTo(6, 1);
    expect(Math.min(...out)).toBeLessThan(-4);
    expect(boardAreaMm2(base) / (324 * 224)).toBeCloseTo(1, 1);
    expect(outline.length).toBe(16 * Math.round((2 * (324 + 224)) / 50));
  });

  it('holes are not there; no board has no area, no thickness and covers what the ground covers', () => {
    const holed = sized(100, 100, {
      board: board({
        holes: [
          { id: 'a', at: [20, 20], acrossMm: 10, upMm: 0 },
          { id: 'b', at: [60, 20], acrossMm: 20, upMm: 15 },
        ],
      }),
    });
    expect(boardAreaMm2(holed)).toBeCloseTo(10_000 - 25 * Math.PI - 100 * Math.PI, 6);
    const none = sized(100, 100, { board: boardOfKind(board({ beyondMm: 20, thicknessMm: 9 }), 'none') });
    expect(boardOutline(none)).toBeNull();
    expect([boardAreaMm2(none), underMm(none)]).toEqual([0, 0]);
    expect(footprintOf(none)).toEqual(baseOutline(none));
    expect(boardOfKind(none.board, 'plywood')).toMatchObject({ material: 'plywood', thicknessMm: 6 });
  });

  it('feet stand whole under it: at the corners of a rectangle, else evenly parted', () => {
    const feet = { count: 4, heightMm: 10, acrossMm: 20 };
    const base = sized(300, 200, { feet });
    expect(feetPlaces(base)).toEqual([
      [10, 10],
      [290, 10],
      [290, 190],
      [10, 190],
    ]);
    expect(underMm(base)).toBe(flush.board.thicknessMm + 10);
    const three = feetPlaces({ ...flush, shape: { kind: 'round', diameterMm: 200 }, feet: { ...feet, count: 3 } });
    const sides = three.map(([x, y], k) => Math.hypot(x - three[(k + 1) % 3][0], y - three[(k + 1) % 3][1]));
    // A triangle in a circle of radius 90.
    for (const side of sides) expect(side).toBeCloseTo(90 * Math.sqrt(3), 0);
  });

  it('a frame goes round the board, and its bottom panel counts in the height', () => {
    const frame = { widthMm: 20, heightMm: 30, lapMm: 5, bottomMm: 3 };
    const base = sized(300, 200, { frame, board: board({ beyondMm: 10 }) });
    // Outer lengths: the board and 15 mm at either end.
    expect(frameOf(base)?.pieces.map(({ outerMm }) => outerMm)).toEqual([350, 250, 350, 250]);
    expect(underMm(base)).toBe(flush.board.thicknessMm + 3);
    expect(lineLength(footprintOf(base), true)).toBeGreaterThan(0);
  });

  it('a board without a thickness, and none with one, are refused', () => {
    const start = startProject('board', '2027-03-01');
    const wearing = (change: Partial<Base['board']>) =>
      projectSchema.safeParse({ ...start, base: { ...start.base, board: board(change) } }).success;
    expect(wearing({})).toBe(true);
    expect(wearing({ material: 'none', thicknessMm: 0 })).toBe(true);
    expect(wearing({ thicknessMm: 0 })).toBe(false);
    expect(wearing({ material: 'none', thicknessMm: 6 })).toBe(false);
  });
});
