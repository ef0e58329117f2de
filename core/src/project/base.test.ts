import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lineLength, ringArea } from '../geometry/index.ts';
import {
  type Base,
  type BaseShape,
  baseFromOutline,
  baseKinds,
  baseOutline,
  baseSize,
  drawItem,
  frameOf,
  freeOutline,
  shapeOfKind,
  startProject,
} from './index.ts';

const base = (shape: BaseShape, frame: Base['frame'] = null): Base => ({
  ...startProject('base', '2027-03-01', 'ground').base,
  shape,
  frame,
});

describe('the outline of a base', () => {
  it('a round one has the area and the outline of its circle', () => {
    const ring = baseOutline(base({ kind: 'round', diameterMm: 200 }));
    expect(ringArea(ring) / (Math.PI * 100 ** 2)).toBeCloseTo(1, 3);
    expect(lineLength(ring) / (Math.PI * 200)).toBeCloseTo(1, 3);
  });

  it('a hexagon of side 100: area 3/2 sqrt 3 a2, 200 by 173.2 mm, one side at the front', () => {
    const hexagon = base({ kind: 'polygon', sides: 6, sideMm: 100 });
    expect(ringArea(baseOutline(hexagon))).toBeCloseTo(1.5 * Math.sqrt(3) * 100 ** 2, 6);
    expect(baseSize(hexagon).widthMm).toBeCloseTo(200, 9);
    expect(baseSize(hexagon).depthMm).toBeCloseTo(100 * Math.sqrt(3), 9);
    const [a, b] = baseOutline(hexagon);
    expect([a[1], b[1]]).toEqual([0, 0]);
  });

  it('every kind runs counter-clockwise in a box at [0, 0], and changing kind stays in about the same box', () => {
    const start = base({ kind: 'rectangle', widthMm: 300, depthMm: 200 });
    for (const kind of baseKinds) {
      const next = base(shapeOfKind(start, kind));
      const ring = baseOutline(next);
      expect(ringArea(ring), kind).toBeGreaterThan(0);
      expect(Math.min(...ring.map(([x]) => x)), kind).toBeCloseTo(0, 6);
      expect(Math.min(...ring.map(([, y]) => y)), kind).toBeCloseTo(0, 6);
      expect(baseSize(next).widthMm, kind).toBeLessThanOrEqual(300 + 1e-9);
      expect(baseSize(next).depthMm, kind).toBeLessThanOrEqual(200 + 1e-9);
    }
  });

  it('a free outline is turned the right way round and moved to its box; one that crosses itself or is nothing is refused', () => {
    const clockwise = [
      [10, 20],
      [10, 120],
      [110, 120],
      [110, 20],
    ] as const;
    const read = freeOutline(clockwise);
    expect(read?.shift).toEqual([-10, -20]);
    expect(ringArea(baseOutline(base(read?.shape as BaseShape)))).toBe(10000);
    const bow = [
      [0, 0],
      [100, 100],
      [100, 0],
      [0, 100],
    ] as const;
    expect(freeOutline(bow)).toBeNull();
    expect(freeOutline([clockwise[0], clockwise[1], [10, 60]])).toBeNull();
  });
});

describe('a drawn outline as the base', () => {
  const square = [
    [50, 40],
    [150, 40],
    [150, 120],
    [50, 120],
  ] as const;

  it('everything moves with it: what is locked, the section line and the line of the distance too', () => {
    const start = startProject('outline', '2027-03-01', 'ground');
    const drawn = drawItem(start, 'spot', [[60, 50]], 20, { locked: true }).project;
    const far = {
      ...drawn,
      distance: { scale: 300, from: [50, 100] as [number, number], to: [150, 100] as [number, number] },
    };
    const next = baseFromOutline(far, square);
    expect(next && baseSize(next.base)).toEqual({ widthMm: 100, depthMm: 80 });
    expect(next?.marks[0].points).toEqual([[10, 10]]);
    expect(next?.distance).toMatchObject({ from: [0, 60], to: [100, 60] });
    expect(next?.sections[0].from).toEqual([0, 65]);
  });

  it('one that crosses itself is none', () =>
    expect(
      baseFromOutline(startProject('bow', '2027-03-01', 'ground'), [square[0], square[2], square[1], square[3]]),
    ).toBeNull());
});

describe('a frame', () => {
  const frame = { widthMm: 20, heightMm: 15, lapMm: 5 };

  it('round 300 x 200, 20 wide, lapping 5: long edges 330 and 230, short edges 290 and 190, all at 45 degrees', () => {
    const cut = frameOf(base({ kind: 'rectangle', widthMm: 300, depthMm: 200 }, frame));
    const rounded = cut?.pieces.map(({ outerMm, innerMm }) => [outerMm, innerMm].map((mm) => Number(mm.toFixed(6))));
    expect(rounded).toEqual([
      [330, 290],
      [230, 190],
      [330, 290],
      [230, 190],
    ]);
    for (const { startDegrees, endDegrees } of cut?.pieces ?? []) {
      expect(startDegrees).toBeCloseTo(45, 9);
      expect(endDegrees).toBeCloseTo(45, 9);
    }
    expect(cut?.lengthMm).toBeCloseTo(2 * 330 + 2 * 230, 6);
  });

  it('of a hexagon is cut at 30 degrees', () => {
    const cut = frameOf(base({ kind: 'polygon', sides: 6, sideMm: 100 }, frame));
    expect(cut?.pieces).toHaveLength(6);
    expect(cut?.pieces[2].startDegrees).toBeCloseTo(30, 9);
  });

  it('of a round base is one strip bent along its middle', () =>
    expect(frameOf(base({ kind: 'round', diameterMm: 200 }, frame))?.bentMm).toBeCloseTo(Math.PI * 210, 0));

  it('at an inward corner the saw is set the other way', () => {
    const angle = freeOutline([
      [0, 0],
      [200, 0],
      [200, 200],
      [100, 200],
      [100, 100],
      [0, 100],
    ]);
    const cut = frameOf(base(angle?.shape as BaseShape, frame));
    expect(cut?.pieces.map(({ startDegrees }) => Math.round(startDegrees))).toEqual([45, 45, 45, 45, -45, 45]);
  });

  it('the long edges of a regular frame are the sides of the polygon 15 mm further out: 2 r tan(pi / n), r the inradius', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 24 }), fc.integer({ min: 10, max: 200 }), (sides, sideMm) => {
        const cut = frameOf(base({ kind: 'polygon', sides, sideMm }, frame));
        const wanted = sideMm + 2 * 15 * Math.tan(Math.PI / sides);
        for (const piece of cut?.pieces ?? []) expect(piece.outerMm).toBeCloseTo(wanted, 6);
      }),
    );
  });
});
