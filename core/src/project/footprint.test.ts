import { describe, expect, it } from 'vitest';
import { ringArea } from '../geometry/index.ts';
import { footAreaMm2, footprintOfKind, footReachMm, footRing } from './footprint.ts';
import { changeItem, drawItem, type Footprint, mirrorItems, startProject, turnItems } from './index.ts';

const standing = (footprint: Footprint | undefined, footMm = 30) => ({
  points: [[100, 50]] as [number, number][],
  footMm,
  footprint,
});

describe('what a thing covers', () => {
  it('a disc, an oblong, a cross and an outline have the areas and reaches of school geometry, turned as they may be', () => {
    expect(footRing(standing(undefined))).toBeNull();
    expect(footAreaMm2(standing(undefined))).toBeCloseTo(225 * Math.PI, 9);
    for (const turnDegrees of [0, 30, 117]) {
      const oblong = standing({ kind: 'oblong', longMm: 80, turnDegrees });
      expect(footAreaMm2(oblong)).toBeCloseTo(2400, 9);
      expect(footReachMm(oblong)).toBeCloseTo(Math.hypot(40, 15), 9);
      const cross = standing({ kind: 'cross', longMm: 80, armMm: 10, turnDegrees });
      expect(footAreaMm2(cross)).toBeCloseTo(800 + 300 - 100, 9);
      expect(footReachMm(cross)).toBeCloseTo(Math.hypot(40, 5), 9);
      const corner: Footprint = {
        kind: 'outline',
        points: [
          [0, 0],
          [30, 0],
          [0, 40],
        ],
        turnDegrees,
      };
      expect(footAreaMm2(standing(corner))).toBeCloseTo(600, 9);
      expect(footReachMm(standing(corner))).toBeCloseTo(40, 9);
    }
    // Turned a quarter its length runs away from the viewer.
    const ring = footRing(standing({ kind: 'oblong', longMm: 80, turnDegrees: 90 })) ?? [];
    expect(Math.max(...ring.map(([, y]) => y))).toBeCloseTo(90, 9);
    expect(ringArea(ring)).toBeGreaterThan(0);
  });

  it('turns and mirrors with the thing, whose other measures stay', () => {
    const { project, id } = drawItem(startProject('turns', '2027-03-01'), 'vehicle', [[60, 40]], 0);
    const turned = turnItems(turnItems(project, [id], [60, 40], 100), [id], [60, 40], 100).things[0];
    expect(turned.footprint).toEqual({ kind: 'oblong', longMm: 90, turnDegrees: -160 });
    const flag: Footprint = {
      kind: 'outline',
      points: [
        [0, 0],
        [20, 0],
        [0, 10],
      ],
      turnDegrees: 20,
    };
    const flagged = changeItem(project, id, { footprint: flag });
    const before = footRing(flagged.things[0]) ?? [];
    const after = footRing(mirrorItems(flagged, [id], 50).things[0]) ?? [];
    before.forEach(([x, y], k) => {
      expect(after[k][0]).toBeCloseTo(100 - x, 9);
      expect(after[k][1]).toBeCloseTo(y, 9);
    });
    // One that is locked stays.
    const locked = changeItem(project, id, { locked: true });
    expect(turnItems(locked, [id], [0, 0], 45).things[0].footprint).toEqual(project.things[0].footprint);
  });

  it('another kind begins as what is there', () => {
    const oblong = standing({ kind: 'oblong', longMm: 80, turnDegrees: 25 });
    const outline = footprintOfKind(oblong, 'outline');
    expect(footAreaMm2({ ...oblong, footprint: outline })).toBeCloseTo(2400, 9);
    expect(footprintOfKind(oblong, 'cross')).toMatchObject({ longMm: 80, turnDegrees: 25 });
    expect(footprintOfKind(standing(undefined), 'oblong')).toMatchObject({ longMm: 60, turnDegrees: 0 });
  });
});
