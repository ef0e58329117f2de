import { describe, expect, it } from 'vitest';
import { gridOver, type Point, sampleFormula } from '../geometry/index.ts';
import { measureGround } from '../ground/index.ts';
import { drawItem, type Project, startProject } from '../project/index.ts';
import { countStages } from './countStages.ts';
import { alongLength, lengthOnGround, postPlaces, postsAlong, readRow, stonesOf, tilesOf } from './counts.ts';

const square: Point[] = [
  [0, 0],
  [100, 0],
  [100, 100],
  [0, 100],
];
const slope = measureGround(
  [
    [0, 0],
    [200, 0],
    [200, 100],
    [0, 100],
  ],
  sampleFormula(gridOver(200, 100, 1), (x) => (3 / 4) * x),
);

describe('posts', () => {
  // Fence posts: n bays of a straight line want n + 1 posts.
  it('a straight line of 100 mm at 25 mm: four bays, five posts', () => {
    const line: Point[] = [
      [0, 0],
      [100, 0],
    ];
    expect(postsAlong(line, 25, false)).toMatchObject({ posts: 5, bays: 4, corners: 0, mostMm: 25 });
    expect(postPlaces(line, 25, false).map(([x]) => x)).toEqual([0, 25, 50, 75, 100]);
  });

  it('a pitch that does not go in is made shorter, never longer', () => {
    const line: Point[] = [
      [0, 0],
      [100, 0],
    ];
    const read = postsAlong(line, 30, false);
    expect(read).toMatchObject({ posts: 5, bays: 4 });
    expect(read.mostMm).toBe(25);
  });

  it('round a corner a post stands at the corner, and each side is parted by itself', () => {
    const bent: Point[] = [
      [0, 0],
      [90, 0],
      [90, 50],
    ];
    const read = postsAlong(bent, 20, false);
    // 90 mm in 5 bays of 18, 50 mm in 3 of 16.7: 8 bays, 9 posts, one of them on the corner.
    expect(read).toMatchObject({ posts: 9, bays: 8, corners: 1, mostMm: 18 });
    expect(read.leastMm).toBeCloseTo(50 / 3, 9);
    expect(postPlaces(bent, 20, false)).toHaveLength(9);
    expect(postPlaces(bent, 20, false)).toContainEqual([90, 0]);
  });

  it('a closed fence has as many posts as bays, whichever point it was drawn from', () => {
    for (let from = 0; from < 4; from++) {
      const turned = [...square.slice(from), ...square.slice(0, from)];
      expect(postsAlong(turned, 30, true)).toMatchObject({ posts: 16, bays: 16, corners: 4 });
      expect(postPlaces(turned, 30, true)).toHaveLength(16);
    }
    // Begun in the middle of a side, where no post need stand.
    const middle: Point[] = [[50, 0], ...square.slice(1), square[0]];
    expect(postsAlong(middle, 30, true)).toMatchObject({ posts: 16, corners: 4 });
  });

  it('a closed line without corners is parted evenly all round', () => {
    const circle: Point[] = Array.from({ length: 60 }, (_, k) => [
      50 * Math.cos((k * Math.PI) / 30),
      50 * Math.sin((k * Math.PI) / 30),
    ]);
    const read = postsAlong(circle, 20, true);
    expect(read).toMatchObject({ posts: 16, bays: 16, corners: 0 });
    expect(read.mostMm).toBeCloseTo(read.leastMm, 9);
  });
});

describe('rows on the ground', () => {
  const start = startProject('r', '2027-03-01', 'ground');
  const drawn = (kind: 'fence' | 'street' | 'track', change: object): Project =>
    drawItem(
      start,
      kind,
      [
        [0, 50],
        [160, 50],
      ],
      0,
      { smooth: false, ...change },
    ).project;

  it('a 3-4-5 slope: 160 mm on the plan are 200 mm along the ground, for rails and track', () => {
    const row = drawn('fence', { pitchMm: 20, rails: 3 }).rows[0];
    expect(lengthOnGround(row.points, false, slope)).toBeCloseTo(200, 1);
    const read = readRow(row, slope);
    expect(read.railMm).toBeCloseTo(600, 0);
    expect(read.pieces.map(({ name, count }) => [name, count])).toEqual([
      ['Posts', 9],
      ['Rails', 24],
    ]);
    expect(readRow(drawn('track', { pitchMm: 10 }).rows[0], slope).pieces[0].count).toBe(21);
  });

  it('houses by frontage: n widths and n - 1 gaps', () => {
    expect(alongLength(160, 30, 10)).toBe(4);
    expect(alongLength(149, 30, 10)).toBe(3);
    const street = drawn('street', { frontageMm: 30, gapMm: 10, sides: 'both sides' }).rows[0];
    expect(readRow(street, slope).pieces[0].count).toBe(8);
  });

  it('a house weighs by its walls and takes time by its length: of 60 mm as the catalogue says, of 4 mm next to nothing', () => {
    const street = (frontageMm: number) => countStages(drawn('street', { frontageMm, gapMm: 0 }), slope)[0];
    // Two of 60 mm: 40 g and 10 min each, and 5 min to set up.
    expect(street(60).dryG.likely).toBeCloseTo(80, 9);
    expect(street(60).handsOn.likely).toBeCloseTo(25, 9);
    // Forty of 4 mm, but for a cubic millimetre solid: (64 - 1) / (216000 - 57^3) of 40 g each.
    expect(street(4).dryG.likely).toBeCloseTo((40 * 40 * 63) / (60 ** 3 - 57 ** 3), 9);
    expect(street(4).dryG.likely).toBeLessThan(4);
    expect(street(4).handsOn.likely).toBeCloseTo(40 * 10 * (4 / 60) + 5, 9);
  });

  it('each adds its hours: nine posts at a minute, 24 rails at 0.7, and setting up', () => {
    const [stage] = countStages(drawn('fence', { pitchMm: 20, rails: 3 }), slope);
    expect(stage.handsOn.likely).toBeCloseTo(9 + 24 * 0.7 + 5, 9);
    expect(stage.handsOn.low).toBeLessThan(stage.handsOn.likely);
    expect(stage.materials.map(({ name }) => name)).toEqual(['Posts', 'Rails', 'Rail, all of it']);
  });
});

describe('stones round a ring', () => {
  const ring = { kind: 'ring' as const, id: 'r', name: 'r', insideMm: 40, deepMm: 6, wideMm: 6, jointMm: 0.5 };

  // Closed formula: n chords of 2 r sin(pi / n) close a circle of radius r.
  it('stones and joints close the circle inside and outside', () => {
    const { stones, innerMm, outerMm, wedgeDegrees, taperMm } = stonesOf({ ...ring, sweepDegrees: 360 });
    expect(stones).toBe(Math.round((Math.PI * 40) / 6.5));
    expect(stones * wedgeDegrees).toBeCloseTo(360, 9);
    expect(innerMm + 0.5).toBeCloseTo(2 * 20 * Math.sin(Math.PI / stones), 9);
    expect(outerMm + 0.5).toBeCloseTo(2 * 26 * Math.sin(Math.PI / stones), 9);
    expect(taperMm).toBeCloseTo(2 * 6 * Math.sin(Math.PI / stones), 9);
  });

  it('equal blocks would not close it: the wedge is wider outside by the depth times its angle', () => {
    const { taperMm, wedgeDegrees } = stonesOf({ ...ring, sweepDegrees: 180 });
    expect(taperMm).toBeCloseTo((6 * wedgeDegrees * Math.PI) / 180, 1);
    expect(taperMm).toBeGreaterThan(1);
  });
});

describe('tiles and fibre', () => {
  it('courses by what is seen of a tile, every other one shifted by half', () => {
    const face = { kind: 'tiling' as const, id: 't', name: 't', tileMm: 5, gaugeMm: 4, jointMm: 0, faces: 2 };
    expect(tilesOf({ ...face, widthMm: 50, heightMm: 40 })).toEqual({ courses: 10, tiles: 2 * (5 * 10 + 5 * 11) });
  });

  it('fibre for a cloud by its room', () => {
    const count = { kind: 'fill' as const, id: 'f', name: 'Smoke', volumeMl: 500 };
    const [stage] = countStages({ ...startProject('f', '2027-03-01', 'ground'), counts: [count] }, slope);
    expect(stage.materials[1].amount.likely).toBeCloseTo(4, 9);
    expect(stage.handsOn.likely).toBe(10);
  });
});
