import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { heightAt } from '../geometry/index.ts';
import { groundOf } from '../ground/index.ts';
import { toEnd } from '../kernel/index.ts';
import { plan } from '../planner/index.ts';
import {
  addTile,
  changeTile,
  drawItem,
  openTile,
  type Project,
  profileHeight,
  putProfile,
  removeProfile,
  startProject,
  tilesOf,
} from '../project/index.ts';
import { placesOf, sideAt } from './set.ts';

const base = {
  ...startProject('p', '2027-03-01', 'ground').base,
  shape: { kind: 'rectangle', widthMm: 100, depthMm: 100 } as const,
};
const one: Project = { ...startProject('p', '2027-03-01', 'ground'), base };
const lane = {
  id: 'lane',
  name: 'Lane',
  points: [
    [0, 10],
    [40, 22],
    [100, 14],
  ] as [number, number][],
  features: [
    { kind: 'lane' as const, atMm: 60, widthMm: 20, heightMm: 0 },
    { kind: 'wall' as const, atMm: 80, widthMm: 4, heightMm: 8 },
    { kind: 'channel' as const, atMm: 20, widthMm: 6, heightMm: 5 },
  ],
};

describe('a profile', () => {
  it('is straight between its points, with what runs over it', () => {
    const bare = { ...lane, features: [] };
    expect([0, 20, 40, 70, 100].map((at) => profileHeight(bare, at))).toEqual([10, 16, 22, 18, 14]);
    // The lane is level at its middle's height, the wall 8 mm over the slope, the channel 5 mm under it.
    expect(profileHeight(lane, 55)).toBeCloseTo(22 - (20 * 8) / 60, 9);
    expect(profileHeight(lane, 65)).toBeCloseTo(profileHeight(lane, 55), 9);
    expect(profileHeight(lane, 80)).toBeCloseTo(profileHeight(bare, 80) + 8, 9);
    expect(profileHeight(lane, 20)).toBeCloseTo(16 - 5, 9);
  });
});

/** Two tiles beside each other, whose sides that meet wear the same profile; the right one is drawn differently. */
function pair(
  turn: 0 | 90 | 180 | 270 = 0,
  side: 'left' | 'front' | 'right' | 'back' = 'left',
  flipped = false,
): Project {
  const worn = { profileId: 'lane', flipped: false };
  const left = changeTile(putProfile(one, lane), 'tile-1', { sides: { ...one.tile.sides, right: worn } });
  const hill = drawItem(left, 'spot', [[50, 50]], 0, { heightMm: 40 }).project;
  const { project, id } = addTile(hill, true);
  return changeTile(project, id, {
    place: { column: 1, row: 0, turn, riseMm: 0 },
    sides: { ...one.tile.sides, [side]: { ...worn, flipped } },
  });
}

describe('edges', () => {
  it('that agree give the same height on both tiles to 0.05 mm, 25 mm in from either', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 40 }), { minLength: 3, maxLength: 6 }),
        fc.integer({ min: 5, max: 60 }),
        (heights, spotMm) => {
          const points = heights.map((h, k): [number, number] => [Math.round((100 * k) / (heights.length - 1)), h]);
          const project = putProfile(pair(), { ...lane, points });
          const drawn = drawItem(project, 'spot', [[70, 60]], 0, { heightMm: spotMm }).project;
          const grounds = tilesOf(drawn).map(
            (tile) => toEnd(groundOf({ ...tile, tile, profiles: drawn.profiles }, 1)).grid,
          );
          for (let y = 0; y <= 100; y += 1)
            for (const inward of [0, 10, 24]) {
              const [a, b] = [heightAt(grounds[0], 100 - inward, y), heightAt(grounds[1], inward, y)];
              expect(Math.abs(a - b)).toBeLessThanOrEqual(0.05);
            }
        },
      ),
      { numRuns: 12 },
    );
  });

  it('beyond what is kept the ground runs out in banks', () => {
    const project = pair();
    const { grid } = toEnd(groundOf({ ...tilesOf(project)[0], tile: project.tile, profiles: project.profiles }, 1));
    // The profile stands 22 mm high 40 mm along; 30 mm in, 5 mm of bank at 40 degrees let the land fall 4.2 mm below that.
    expect(heightAt(grid, 75, 40)).toBeCloseTo(22, 1);
    expect(heightAt(grid, 70, 40)).toBeGreaterThanOrEqual(22 - 5 * Math.tan((40 * Math.PI) / 180) - 0.01);
  });
});

describe('a set', () => {
  const joints = (project: Project) => plan(project).report.set.joints;

  it('sides that wear the same profile meet; without it they do not, and the step is named', () => {
    expect(joints(pair())).toMatchObject([{ aSide: 'right', bSide: 'left', meets: true }]);
    const bare = changeTile(pair(), 'tile-2', { sides: one.tile.sides });
    const [joint] = joints(bare);
    expect(joint.meets).toBe(false);
    // A bare board against the profile: the step is as high as the wall on it.
    expect(joint.mostMm).toBeCloseTo(Math.max(...Array.from({ length: 101 }, (_, k) => profileHeight(lane, k))), 6);
  });

  it('a turned tile meets by the side that comes to lie there, end for end where it must', () => {
    expect(sideAt(0, 'left')).toEqual({ side: 'left', reversed: false });
    expect(sideAt(180, 'left')).toEqual({ side: 'right', reversed: true });
    expect(sideAt(90, 'right')).toEqual({ side: 'front', reversed: false });
    expect(joints(pair(180, 'right'))).toMatchObject([{ bSide: 'right', meets: false }]);
    expect(joints(pair(180, 'right', true))).toMatchObject([{ bSide: 'right', meets: true }]);
  });

  it('tells which sides would go together', () => {
    const mates = plan(pair()).report.set.mates;
    const right = mates.find(({ id, side }) => id === 'tile-1' && side === 'right');
    expect(right?.with).toEqual([{ id: 'tile-2', side: 'left' }]);
  });

  it('opening another tile swaps what is drawn, and back again nothing is lost', () => {
    const project = pair();
    const there = openTile(project, 'tile-2');
    expect(there.marks).toEqual([]);
    expect(there.tile.id).toBe('tile-2');
    const back = openTile(there, 'tile-1');
    expect(back.marks).toEqual(project.marks);
    expect(tilesOf(back)).toEqual(tilesOf(project));
  });

  it('columns are as wide as their widest tile, turned as it stands', () => {
    const wide = {
      ...pair(90),
      tiles: pair(90).tiles.map((tile) => ({ ...tile, base: { ...base, shape: { ...base.shape, widthMm: 60 } } })),
    };
    expect(placesOf(tilesOf(wide)).map(({ xMm, widthMm, depthMm }) => [xMm, widthMm, depthMm])).toEqual([
      [0, 100, 100],
      [100, 100, 60],
    ]);
  });

  it('taking a profile away takes it off every side', () => {
    const bare = removeProfile(pair(), 'lane');
    expect(
      tilesOf(bare)
        .flatMap(({ sides }) => Object.values(sides))
        .filter(Boolean),
    ).toEqual([]);
  });

  it('a storey must leave room for what stands below it', () => {
    const tower = changeTile(pair(), 'tile-2', { place: { column: 0, row: 0, turn: 0, riseMm: 40 } });
    const { set, findings, fit } = plan(tower).report;
    // 40 mm of rise less 6 mm of board; the hill below is 40 mm high.
    expect(set.storeys).toMatchObject([{ belowId: 'tile-1', aboveId: 'tile-2', roomMm: 34 }]);
    expect(set.storeys[0].tallestMm).toBeCloseTo(40, 0);
    expect(findings.map(({ code }) => code)).toContain('storey-too-low');
    expect(fit.breaches[0]).toMatchObject({ side: 'storey' });
  });

  it('another storey that is too tall for the box is told from every tile', () => {
    const tower = changeTile(pair(), 'tile-1', { place: { column: 1, row: 0, turn: 0, riseMm: 50 } });
    const boxed: Project = {
      ...openTile(tower, 'tile-2'),
      envelope: {
        box: { widthMm: 210, depthMm: 110, heightMm: 90, backMm: null, underMm: 0, backdrop: false, walls: false },
        swingMm: null,
      },
    };
    // From the lower board up 84 mm of room; the storey at 50 carries a hill of 40.
    const { breaches } = plan(boxed).report.fit;
    expect(breaches).toMatchObject([{ id: null, name: 'Tile 1', side: 'top' }]);
    expect(breaches[0].byMm).toBeCloseTo(6, 0);
  });

  it('the box holds the whole set, and a storey stands higher in it', () => {
    const boxed: Project = {
      ...pair(),
      envelope: {
        box: { widthMm: 210, depthMm: 110, heightMm: 100, backMm: null, underMm: 0, backdrop: false, walls: false },
        swingMm: null,
      },
    };
    expect(plan(boxed).report.fit.room).toMatchObject({ x0: -5, x1: 205, y0: -5, y1: 105, topMm: 94 });
    const tower = changeTile(boxed, 'tile-1', { place: { column: 0, row: 0, turn: 0, riseMm: 30 } });
    expect(plan(tower).report.fit.room).toMatchObject({ topMm: 64 });
  });
});
