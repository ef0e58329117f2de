import { describe, expect, it } from 'vitest';
import {
  type Grid,
  gridOver,
  heightAt,
  hypsometryOf,
  type Point,
  pointAlong,
  sampleFormula,
  volumeAbove,
} from '../../geometry/index.ts';
import { toEnd } from '../../kernel/index.ts';
import {
  drawItem,
  type ItemKind,
  type Landform,
  mirrorItems,
  type Project,
  startProject,
} from '../../project/index.ts';
import { buildLandforms, groundOf, readSpans } from '../index.ts';

const outline: Point[] = [
  [0, 0],
  [200, 0],
  [200, 160],
  [0, 160],
];
const flat = (heightMm: number, cellMm = 1): Grid => sampleFormula(gridOver(200, 160, cellMm), () => heightMm);
const circle = (x: number, y: number, r: number): Point[] =>
  Array.from({ length: 120 }, (_, k) => [x + r * Math.cos((Math.PI * k) / 60), y + r * Math.sin((Math.PI * k) / 60)]);
const box = (x0: number, y0: number, x1: number, y1: number): Point[] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];
const empty: Project = {
  ...startProject('forms', '2027-03-01', 'ground'),
  base: { ...startProject('f', '2027-03-01', 'ground').base, shape: { kind: 'rectangle', widthMm: 200, depthMm: 160 } },
};

function form(kind: ItemKind, points: readonly Point[], change: object = {}): Landform {
  const { project } = drawItem(empty, kind, points, 20, { smooth: false, ...change });
  return project.landforms[0];
}
function build(grid: Grid, ...forms: Landform[]) {
  const named = forms.map((one, k) => ({ ...one, id: `form-${k}` }));
  const built = toEnd(buildLandforms(grid, named, outline));
  return {
    built,
    named,
    z: (x: number, y: number) => heightAt(grid, x, y),
    volumeMl: volumeAbove(hypsometryOf(grid, null), 0) / 1000,
  };
}

describe('volumes against hand calculation', () => {
  it('a heap on a round foot is a cone at its angle of repose: pi r3 tan(35) / 3', () => {
    const { built, z } = build(flat(10), form('heap', circle(100, 80, 40), { reposeDegrees: 35 }));
    const cone = (Math.PI * 40 ** 3 * Math.tan((35 * Math.PI) / 180)) / 3 / 1000;
    expect(built[0].fillMl / cone).toBeCloseTo(1, 2);
    expect(z(100, 80)).toBeCloseTo(10 + 40 * Math.tan((35 * Math.PI) / 180), 0);
    expect(built[0].cutMl).toBe(0);
  });

  it('a capped heap is the frustum of that cone', () => {
    const { built } = build(flat(0), form('heap', circle(100, 80, 40), { reposeDegrees: 45, mostMm: 15 }));
    expect(built[0].fillMl / ((Math.PI * 15 * (40 ** 2 + 40 * 25 + 25 ** 2)) / 3 / 1000)).toBeCloseTo(1, 2);
  });

  it('a level road on a bank: trapezoid of top 20, sides 1 to 1.5, height 12, times its length', () => {
    const road = form(
      'way',
      [
        [-80, 80],
        [280, 80],
      ],
      {
        widthMm: 20,
        fromMm: 22,
        toMm: 22,
        bankDegrees: (Math.atan(1 / 1.5) * 180) / Math.PI,
      },
    );
    const { built } = build(flat(10), road);
    expect(built[0].fillMl / ((12 * (20 + 18) * 200) / 1000)).toBeCloseTo(1, 2);
  });

  it('a level road in a cutting: trapezoid of bottom 20, sides 1 to 1, depth 15', () => {
    const road = form(
      'way',
      [
        [-80, 80],
        [280, 80],
      ],
      { widthMm: 20, fromMm: 25, toMm: 25, cutDegrees: 45 },
    );
    const { built } = build(flat(40), road);
    expect(built[0].cutMl / ((15 * (20 + 15) * 200) / 1000)).toBeCloseTo(1, 2);
  });

  it('a pond with an even bed is an inverted frustum', () => {
    const { built } = build(flat(30), form('basin', circle(100, 80, 40), { waterMm: 30, depthMm: 10, bedDegrees: 45 }));
    expect(built[0].cutMl / ((Math.PI * 10 * (40 ** 2 + 40 * 30 + 30 ** 2)) / 3 / 1000)).toBeCloseTo(1, 2);
    expect(built[0].fillMl).toBeLessThan(0.01);
  });

  it('a pit with upright walls is a box', () => {
    const { built, z } = build(flat(30), form('pit', box(50.5, 40.5, 120.5, 100.5), { floorMm: 12, wallDegrees: 90 }));
    expect(built[0].cutMl / ((70 * 60 * 18) / 1000)).toBeCloseTo(1, 1);
    expect(z(80, 70)).toBe(12);
  });
});

describe('gradients', () => {
  it('a road climbs evenly: 10 mm over 200 is 5 %, everywhere along it, and tilts by its crossfall', () => {
    const road = form(
      'way',
      [
        [0, 80],
        [200, 80],
      ],
      { widthMm: 30, fromMm: 20, toMm: 30, crossfallPercent: 4 },
    );
    const { built, z } = build(flat(5), road);
    for (let x = 1; x < 199; x += 7) {
      expect(z(x, 80)).toBeCloseTo(20 + x / 20, 6);
      // Walking to the right, left is away from the viewer.
      expect(z(x, 90) - z(x, 80)).toBeCloseTo(0.4, 6);
    }
    expect(built[0].ends).toMatchObject({ fromMm: 20, toMm: 30, lengthMm: 200 });
  });

  it('ends left to the land take its height; banks meet the land without a step', () => {
    const grid = sampleFormula(gridOver(200, 160, 1), (x, y) => 10 + x / 10 + y / 20);
    const { built, z } = build(
      grid,
      form(
        'way',
        [
          [20, 40],
          [100, 90],
          [180, 60],
        ],
        { widthMm: 20, smooth: true, bankDegrees: 40, cutDegrees: 40 },
      ),
    );
    expect(built[0].ends?.fromMm).toBeCloseTo(14, 6);
    expect(built[0].ends?.toMm).toBeCloseTo(31, 6);
    for (let y = 1; y < 158; y++) expect(Math.abs(z(100, y + 1) - z(100, y))).toBeLessThan(0.95);
  });

  it('steps rise by equal amounts to the height of the end', () => {
    const { z } = build(
      flat(5),
      form(
        'steps',
        [
          [40, 80],
          [140, 80],
        ],
        { widthMm: 20, fromMm: 10, toMm: 30, count: 5 },
      ),
    );
    expect([45, 65, 85, 105, 135].map((x) => Math.round(z(x, 80)))).toEqual([14, 18, 22, 26, 30]);
  });

  it('a stream lies its depth below banks that fall evenly, and a ford stands up in it', () => {
    const stream = form(
      'channel',
      [
        [0, 80],
        [200, 80],
      ],
      {
        widthMm: 16,
        fromMm: 30,
        toMm: 20,
        depthMm: 8,
        waterMm: 4,
        ford: { share: 0.5, lengthMm: 20, waterMm: 1 },
      },
    );
    const { z } = build(flat(30), stream);
    expect(z(20, 80)).toBeCloseTo(21, 6);
    expect(z(180, 80)).toBeCloseTo(13, 6);
    // Water line at the ford 21; 1 mm over it.
    expect(z(100, 80)).toBeCloseTo(20, 6);
  });

  it('a beach is one plane through the water’s edge', () => {
    const { z } = build(
      flat(10),
      form(
        'beach',
        [
          [0, 80],
          [200, 80],
        ],
        { waterMm: 10, widthMm: 30, slopeDegrees: 10 },
      ),
    );
    const tilt = Math.tan((10 * Math.PI) / 180);
    for (const off of [-25, -10, 0, 10, 25]) expect(z(100, 80 + off)).toBeCloseTo(10 + tilt * off, 6);
  });
});

describe('shapes', () => {
  it('terraces stand behind their front line, on its left, each a rise higher', () => {
    const { z } = build(
      flat(0),
      form(
        'terraces',
        [
          [20, 20],
          [180, 20],
        ],
        { firstMm: 10, count: 3, treadMm: 30, riseMm: 8, wallDegrees: 89 },
      ),
    );
    expect([30, 60, 90].map((y) => z(100, y))).toEqual([10, 18, 26]);
    expect(z(100, 12)).toBe(0);
  });

  it('a mound keeps its rise over sloping land, a crater has its rim and its depth, an island comes out of its water', () => {
    const slope = sampleFormula(gridOver(200, 160, 1), (x) => 20 + x / 10);
    const mound = build(slope, form('mound', circle(100, 80, 40), { riseMm: 12 }));
    expect(mound.z(100, 80)).toBeCloseTo(42, 0);
    const crater = build(flat(30), form('crater', circle(100, 80, 40), { depthMm: 10, rimMm: 4, apronMm: 15 }));
    expect(crater.z(100, 80)).toBeCloseTo(20, 0);
    expect(crater.z(140, 80)).toBeCloseTo(34, 0);
    expect(crater.z(160, 80)).toBe(30);
    const island = build(flat(0), form('island', circle(100, 80, 30), { waterMm: 10, riseMm: 12, shoreDegrees: 45 }));
    expect(island.z(100, 80)).toBeCloseTo(22, 0);
    expect(island.z(135, 80)).toBeCloseTo(5, 0);
  });

  it('a cliff: top and foot at their heights, its face between, ground on either side', () => {
    for (const [faceDegrees, reach] of [
      [90, 0],
      [60, 17.3],
    ] as const) {
      const cliff = {
        ...form(
          'cliff',
          [
            [100, 170],
            [100, -10],
          ],
          { topMm: 50, footMm: 20, faceDegrees },
        ),
        id: 'cliff',
      };
      // Walking towards the viewer, left is to the right of the picture.
      const ground = toEnd(groundOf({ base: empty.base, marks: [], landforms: [cliff] }, 1));
      const z = (x: number) => heightAt(ground.grid, x, 80);
      expect(z(102)).toBeCloseTo(50, 0);
      expect(z(98 - reach)).toBeCloseTo(20, 0);
      if (reach) expect(z(100 - reach / 2)).toBeCloseTo(35, 0);
      expect(z(150)).toBeGreaterThan(45);
      expect(z(40)).toBeLessThan(25);
    }
  });
});

describe('order', () => {
  const pad = form('pad', box(30, 30, 90, 90), { heightMm: 40 });
  const road = form(
    'way',
    [
      [0, 60],
      [200, 60],
    ],
    { widthMm: 20, fromMm: 25, toMm: 25 },
  );
  it('where two meet, the later one has its way', () => {
    expect(build(flat(20), pad, road).z(60, 60)).toBe(25);
    expect(build(flat(20), road, pad).z(60, 60)).toBe(40);
  });

  it('of two that do not touch it does not matter', () => {
    const far = form('heap', circle(160, 120, 20));
    const one = flat(20);
    const two = flat(20);
    build(one, pad, far);
    build(two, far, pad);
    expect(one.values).toEqual(two.values);
  });
});

describe('spans', () => {
  it('clearance over a road in a cutting: deck 40 less 4 thick less road 22', () => {
    const grid = flat(40);
    const road = form(
      'way',
      [
        [100, 0],
        [100, 160],
      ],
      { widthMm: 30, fromMm: 22, toMm: 22, cutDegrees: 60 },
    );
    const bridge = form(
      'span',
      [
        [60, 80],
        [140, 80],
      ],
      { widthMm: 20, thicknessMm: 4, clearanceMm: 12 },
    );
    const { built, named } = build(grid, road, bridge);
    const [read] = readSpans(grid, named, built);
    expect(read.leastMm).toBeCloseTo(14, 3);
    expect(read.rooms[0].overId).toBe('form-0');
  });

  it('over water the water counts, not the bed; over a bare gap the deepest of it', () => {
    const grid = flat(40);
    const stream = form(
      'channel',
      [
        [100, 0],
        [100, 160],
      ],
      { widthMm: 20, fromMm: 40, toMm: 40, depthMm: 12, waterMm: 7, bankDegrees: 89 },
    );
    const bridge = form(
      'span',
      [
        [60, 80],
        [140, 80],
      ],
      { widthMm: 10, thicknessMm: 2, fromMm: 44, toMm: 44 },
    );
    const wet = build(grid, stream, bridge);
    expect(readSpans(grid, wet.named, wet.built)[0].leastMm).toBeCloseTo(44 - 2 - 35, 3);
    const gap = sampleFormula(gridOver(200, 160, 1), (x) => 20 + Math.abs(x - 100) / 2);
    const dry = build(
      gap,
      form(
        'span',
        [
          [60, 80],
          [140, 80],
        ],
        { widthMm: 10, thicknessMm: 2 },
      ),
    );
    expect(readSpans(gap, dry.named, dry.built)[0].leastMm).toBeCloseTo(18, 1);
  });
});

it('mirrored landforms give the mirrored ground', () => {
  let project = empty;
  for (const [kind, points, change] of [
    [
      'way',
      [
        [20, 20],
        [90, 70],
        [150, 130],
      ],
      { fromMm: 10, toMm: 30, crossfallPercent: 5 },
    ],
    [
      'terraces',
      [
        [30, 100],
        [80, 120],
      ],
      { firstMm: 15 },
    ],
    ['basin', circle(150, 50, 25), {}],
  ] as [ItemKind, Point[], object][])
    project = drawItem(project, kind, points, 20, change).project;
  const mirrored = mirrorItems(
    project,
    project.landforms.map(({ id }) => id),
    100,
  );
  const one = toEnd(groundOf(project, 1)).grid;
  const two = toEnd(groundOf(mirrored, 1)).grid;
  let worst = 0;
  for (let y = 0; y <= 160; y++)
    for (let x = 0; x <= 200; x++) worst = Math.max(worst, Math.abs(heightAt(one, x, y) - heightAt(two, 200 - x, y)));
  expect(worst).toBeLessThan(0.05);
});

it('a curve passes through its points', () => {
  expect(
    pointAlong(
      [
        [0, 0],
        [10, 0],
        [10, 10],
      ],
      15,
    ).at,
  ).toEqual([10, 5]);
});

describe('what the edge of the base cuts is open there', () => {
  it('a pond drawn to the edge, or beyond it, has no shore and no rim there', () => {
    for (const over of [0, 0.4, 5]) {
      const pond = box(-over, 40, 80, 120);
      const { z } = build(flat(30), form('basin', pond, { waterMm: 30, depthMm: 10, bedDegrees: 30, bed: 'even' }));
      for (const x of [0, 1, 2, 20]) expect(z(x, 80)).toBeCloseTo(20, 6);
      // The shores that lie on the base stay: 10 mm deep over 10 / tan 30 = 17.3 mm.
      expect(z(40, 45)).toBeCloseTo(30 - 5 * Math.tan(Math.PI / 6), 6);
      expect(z(75, 80)).toBeCloseTo(30 - 5 * Math.tan(Math.PI / 6), 6);
    }
  });

  it('a heap against the edge is cut through, with its slope only where its foot lies on the base', () => {
    const { z, built } = build(flat(10), form('heap', box(0, 0, 60, 40), { reposeDegrees: 45, mostMm: null }));
    // From the two feet on the base: 45 degrees up to the corner of the base.
    expect(z(0, 0)).toBeCloseTo(10 + 40, 6);
    expect(z(59, 0)).toBeCloseTo(10 + 1, 6);
    expect(z(0, 39)).toBeCloseTo(10 + 1, 6);
    expect(built[0].steepestDegrees).toBeLessThan(46);
  });

  it('away from the edge nothing changes; a pond over the whole base is as deep as it goes', () => {
    const inner = build(
      flat(30),
      form('basin', box(20, 20, 120, 120), { waterMm: 30, depthMm: 8, bedDegrees: 45, bed: 'even' }),
    );
    expect(inner.z(22, 70)).toBeCloseTo(28, 6);
    const whole = build(
      flat(30),
      form('basin', box(-10, -10, 210, 170), { waterMm: 30, depthMm: 8, bedDegrees: 45, bed: 'even' }),
    );
    expect(whole.z(100, 80)).toBeCloseTo(22, 6);
  });
});
