import { describe, expect, it } from 'vitest';
import { insideRing, type Point, polygonArea } from '../geometry/index.ts';
import { groundOf } from '../ground/index.ts';
import { toEnd } from '../kernel/index.ts';
import { type BuildArea, drawItem, type Project, startProject } from '../project/index.ts';
import { frustumGround, frustumProject } from '../testing/frustum.ts';
import { groundFrom } from '../testing/solids.ts';
import { stacked } from '../testing/stacked.ts';
import { sayRoomWork, sectionAlong } from './index.ts';

const ground = frustumGround();
const start = frustumProject();
const [sheet] = start.sheets;
const withStacking = (change: Partial<Project['stacking']>, project = start): Project => ({
  ...project,
  stacking: { ...project.stacking, glueLineMm: 0, ...change },
});
const areaOf = (pieces: readonly Parameters<typeof polygonArea>[0][]) =>
  pieces.reduce((sum, piece) => sum + polygonArea(piece), 0);

describe('the worked frustum with other sheets, by its closed forms', () => {
  // Its foam target at height h is a square of side 230.395 - 2.5 h; volume between a and b: (s(a)^3 - s(b)^3) / 7.5.
  const side = (h: number) => 230.395 - 2.5 * h;
  const between = (a: number, b: number) => (side(a) ** 3 - side(b) ** 3) / 7.5;
  it.each([
    ['carve back', 0],
    ['halfway', 0.5],
    ['build up', 1],
  ] as const)('30 + 12.7 + 10, %s', (school, alpha) => {
    const sheets = [30, 12.7, 10].map((nominalMm) => ({ ...sheet, id: `s${nominalMm}`, nominalMm }));
    const written = ['s30', 's12.7', 's10'].map((id) => ({ sheetIds: [id], sliceMm: null }));
    const project = withStacking({}, { ...start, sheets, stack: { ...start.stack, byHand: written } });
    // Laid by pins, so that the choice takes just these.
    const pinned = written.map((layer, k) => ({ ...layer, fromMm: [0, 30, 42.7][k] }));
    const { plan } = stacked({ ...project, stack: { ...project.stack, pinned } }, ground, school);
    let [from, cut, carve] = [0, 0, 0];
    plan.layers.slice(0, 3).forEach((layer, k) => {
      const t = [30, 12.7, 10][k];
      const c = from + alpha * t;
      expect(layer.areaMm2 / side(c) ** 2).toBeCloseTo(1, 2);
      cut += side(c) ** 2 * t;
      carve += side(c) ** 2 * (from + t - c) - between(c, from + t);
      from += t;
    });
    const three = plan.layers.slice(0, 3);
    const sum = (pick: (layer: (typeof three)[number]) => number) =>
      three.reduce((total, layer) => total + pick(layer), 0);
    expect(sum(({ cutMl }) => cutMl) / (cut / 1000)).toBeCloseTo(1, 2);
    expect(Math.abs(sum(({ carveMl }) => carveMl) - carve / 1000)).toBeLessThan(0.005 * (carve / 1000) + 0.1);
  });
});

describe('areas built in ways of their own', () => {
  const left: BuildArea = {
    id: 'left',
    name: 'Left half',
    of: { kind: 'zone', id: 'patch-1' },
    school: 'carve back',
  };
  const drawn = drawItem(
    start,
    'patch',
    [
      [0, 0],
      [120, 0],
      [120, 240],
      [0, 240],
    ],
    0,
    { smooth: false, cover: 'rock' },
  ).project;
  const project = withStacking(
    { areas: [{ ...left, of: { kind: 'zone', id: drawn.patches[0].id } }], school: 'build up' },
    drawn,
  );

  it('half carved back and half built up: each half has the layers, carving and fill of its own school', () => {
    const { plan } = stacked(project, ground);
    const back = stacked(withStacking({ school: 'carve back' }), ground).plan;
    const up = stacked(withStacking({ school: 'build up' }), ground).plan;
    plan.layers.forEach((layer, k) => {
      const half = (back.layers[k].areaMm2 + up.layers[k].areaMm2) / 2;
      // The border is smoothed, and each layer steps there from one outline to the other.
      expect(layer.areaMm2 / half).toBeCloseTo(1, 1.7);
      expect(areaOf(layer.pieces) / layer.areaMm2).toBeCloseTo(1, 1.7);
    });
    expect(plan.carveMl / (back.carveMl / 2)).toBeCloseTo(1, 1.5);
    expect(plan.foamLeftMl + plan.fillMl).toBeCloseTo(stacked(project, ground).land.target.volumeMl, 3);
  });

  it('the section shows either school on its side', () => {
    const { plan, land } = stacked(project, ground);
    const samples = sectionAlong(
      ground.grid,
      land.target.grid,
      plan.layers,
      land.map.node,
      ground.outline,
      [0, 60],
      [240, 60],
      1,
    );
    const most = (pick: (s: (typeof samples)[number]) => number, from: number, to: number) =>
      Math.max(...samples.filter(({ alongMm }) => alongMm > from && alongMm < to).map(pick));
    const carve = (s: (typeof samples)[number]) => s.foamMm - s.targetMm;
    expect(most(carve, 5, 110)).toBeGreaterThan(8);
    expect(most(carve, 130, 235)).toBeLessThan(1e-6);
    expect(most((s) => -carve(s), 130, 235)).toBeGreaterThan(8);
  });

  it('a steep area takes the face and no flat', () => {
    const steep = withStacking({ areas: [{ ...left, of: { kind: 'steeper', degrees: 30 } }] });
    const { land } = stacked(steep, ground);
    const area = (k: number) => Array.from(land.map.coverage[k] ?? []).reduce((sum, share) => sum + share, 0);
    // Faces of 38.7 degrees lie round the flat of 80 x 80, of which 4 mm all round are taken too.
    expect(area(1) / 72 ** 2).toBeCloseTo(1, 1);
    expect(area(0) + area(1)).toBeCloseTo(240 * 240, 0);
  });

  it('dense foam for the cliffs, bead foam elsewhere: one layer of two kinds, side by side', () => {
    const sheets = [
      { ...sheet, id: 'dense', limit: { kind: 'area' as const, areaId: 'left', within: true } },
      {
        ...sheet,
        id: 'bead',
        material: 'eps' as const,
        limit: { kind: 'area' as const, areaId: 'left', within: false },
      },
    ];
    const { plan } = stacked({ ...project, sheets }, ground);
    expect(plan.layers.length).toBeGreaterThan(1);
    for (const { parts, pieces } of plan.layers) {
      expect(parts.map(({ sheetIds }) => sheetIds[0]).sort()).toEqual(['bead', 'dense']);
      expect(parts.reduce((sum, { areaMm2 }) => sum + areaMm2, 0) / areaOf(pieces)).toBeCloseTo(1, 2);
      const dense = parts.find(({ sheetIds }) => sheetIds[0] === 'dense');
      for (const { outer } of dense?.pieces ?? []) expect(Math.max(...outer.map(([x]) => x))).toBeLessThan(124);
    }
  });

  it('bead foam only deep inside: dense foam lies all round it', () => {
    const sheets = [
      { ...sheet, id: 'bead', material: 'eps' as const, limit: { kind: 'inside' as const, coverMm: 10 } },
      { ...sheet, id: 'dense', count: 9 },
    ];
    const project = withStacking({ costs: { ...start.stacking.costs, minPerKg: 1000 } }, { ...start, sheets });
    const { plan } = stacked(project, ground);
    const [first] = plan.layers;
    expect(first.parts.map(({ sheetIds }) => sheetIds[0])).toEqual(['bead', 'dense']);
    const [{ outer }] = first.parts[0].pieces;
    // Under 10 mm of cover the target at the layer's top (20) begins at 8.9 mm in from its outline there (cos 38.7 upright): 10 / cos = 12.8 mm up, 16 mm in.
    expect(Math.min(...outer.map(([x]) => x))).toBeGreaterThan(40);
    expect(first.parts[0].areaMm2).toBeGreaterThan(10000);
  });
});

it('the sides of the base are faces too: nothing lies deep inside nearer to them than the cover', () => {
  const block = groundFrom(120, 90, () => 63);
  const sheets = [
    { ...sheet, id: 'bead', material: 'eps' as const, count: 9, limit: { kind: 'inside' as const, coverMm: 10 } },
    { ...sheet, id: 'dense', count: 9 },
  ];
  const project = withStacking({ costs: { ...start.stacking.costs, minPerKg: 1000 } }, { ...start, sheets });
  const [first] = stacked(project, block).plan.layers;
  expect(first.parts.map(({ sheetIds }) => sheetIds[0])).toEqual(['bead', 'dense']);
  expect(first.parts[0].areaMm2 / (100 * 70)).toBeCloseTo(1, 1);
});

describe('rings and a hollow core', () => {
  it('rings: each layer is cut out to the overlap under the one above, the top one stays whole', () => {
    const solid = stacked(withStacking({}), ground).plan;
    const { plan } = stacked(withStacking({ hollow: { kind: 'rings', wallMm: 20, ribs: null } }), ground);
    // Halfway: outlines of side 205.4, 155.4 and 105.4; under them squares smaller by 20 mm all round.
    expect(plan.layers.map(({ cutOuts }) => Math.round(Math.sqrt(areaOf(cutOuts))))).toEqual([115, 65, 0]);
    expect(plan.cutOutMl).toBeCloseTo(((115.4 ** 2 + 65.4 ** 2) * 20) / 1000, -1);
    expect(plan.foamLeftMl + plan.cutOutMl).toBeCloseTo(solid.foamLeftMl, 6);
    expect(plan.savedG).toBeCloseTo((plan.cutOutMl * 32) / 1000, 6);
    expect([plan.carveMl, plan.fillMl]).toEqual([solid.carveMl, solid.fillMl]);
    // Glue goes only where foam touches foam.
    expect(plan.layers[2].contactMm2 / (105.4 ** 2 - 65.4 ** 2)).toBeCloseTo(1, 1.5);
  });

  it('ribs stay in the way', () => {
    const open = stacked(withStacking({ hollow: { kind: 'rings', wallMm: 20, ribs: null } }), ground).plan;
    const ribs = { everyMm: 500, widthMm: 20 };
    const ribbed = stacked(withStacking({ hollow: { kind: 'rings', wallMm: 20, ribs } }), ground).plan;
    const [a, b] = [open.layers[0], ribbed.layers[0]].map(({ cutOuts }) => areaOf(cutOuts));
    // One rib each way through the middle of a square of 115.4.
    expect(a - b).toBeCloseTo(2 * 115.4 * 20 - 400, -2);
    expect(ribbed.layers[0].cutOuts).toHaveLength(4);
  });

  it('a core keeps its wall over it too', () => {
    const { plan } = stacked(withStacking({ hollow: { kind: 'core', wallMm: 15, ribs: null } }), ground);
    const [first, second, third] = plan.layers;
    expect(areaOf(first.cutOuts)).toBeGreaterThan(0);
    // 61 mm of foam less a wall of 15 is open up to 46: the second layer ends at 40, the third at 60.
    expect(areaOf(second.cutOuts)).toBeGreaterThan(0);
    expect(third.cutOuts).toEqual([]);
  });
});

describe('rooms in layers', () => {
  const flat = groundFrom(200, 160, () => 63);
  const on = (project: Project) => stacked(withStacking({ school: 'halfway' }, project), flat).plan;
  const base = { ...startProject('rooms', '2027-03-01', 'ground'), sheets: [{ ...sheet, count: 9 }] };
  const square: Point[] = [
    [60, 50],
    [110, 50],
    [110, 90],
    [60, 90],
  ];

  it('a cave from 10 to 50: its floor in layer 1, right through layer 2, its roof in layer 3', () => {
    const project = drawItem(base, 'cave', square, 0, {
      smooth: false,
      floorMm: 10,
      headMm: 40,
      roof: 'flat',
    }).project;
    const plan = on(project);
    expect(plan.layers.map(({ works }) => works.map(({ how, deepMm }) => [how, Math.round(deepMm)]))).toEqual([
      [['from above', 10]],
      [['through', 20]],
      [['from below', 10]],
    ]);
    expect(areaOf(plan.layers[1].pieces)).toBeCloseTo(200 * 160 - 50 * 40, -1);
    expect(sayRoomWork({ ...plan.layers[2].works[0], name: 'Cistern' })).toBe(
      'carve the roof of Cistern into the underside before gluing, 10 mm high',
    );
    const gone = plan.rooms.leftMl.reduce((sum, ml) => sum + ml, 0);
    expect(gone / ((50 * 40 * 40) / 1000)).toBeCloseTo(1, 1);
    expect(plan.hollowMl / ((50 * 40 * 20) / 1000)).toBeCloseTo(1, 1);
  });

  it('a lead level in layer 2 is a groove in its top; one that climbs through it is bored', () => {
    const lead = (fromMm: number, toMm: number) =>
      on(
        drawItem(
          base,
          'cable',
          [
            [40, 80],
            [160, 80],
          ],
          0,
          { smooth: false, boreMm: 6, fromMm, toMm },
        ).project,
      );
    const [work] = lead(34, 34).layers[1].works;
    expect(work).toMatchObject({ how: 'within' });
    // A bore ends round, half its width beyond the end of its line.
    expect(work.lengthMm).toBeGreaterThan(119);
    expect(work.lengthMm).toBeLessThan(132);
    expect(work.deepMm).toBeCloseTo(9, 0);
    expect(sayRoomWork({ ...work, name: 'Lead' })).toContain('groove');
    const climbing = lead(10, 50).layers[1].works;
    expect(climbing.map(({ how }) => how)).toEqual(['through']);
    expect(sayRoomWork({ ...climbing[0], name: 'Lead' })).toContain('bore');
    const onJoint = lead(20, 20).layers.map(({ works }) => works.map(({ how }) => how));
    expect(onJoint.slice(0, 2)).toEqual([['from above'], ['from below']]);
  });

  it('a laid-in thing takes its place from foam, paste and skin', () => {
    const project = drawItem(base, 'building', square, 0, { smooth: false, heightMm: 60, beddedMm: 30 }).project;
    const plan = on(project);
    const [bare, sunk] = [on(base), plan];
    // From 33 to the ground at 63: 27 mm of foam and 3 mm of skin under 50 x 40.
    expect(bare.foamLeftMl - sunk.foamLeftMl).toBeCloseTo((2000 * 27) / 1000, -0.5);
    expect(sunk.rooms.skinMl).toBeCloseTo((2000 * 3) / 1000, 0);
    expect(plan.layers[2].works.map(({ how }) => how)).toEqual(['through']);
    expect(plan.layers[1].works.map(({ how }) => how)).toEqual(['from above']);
  });

  it('rings keep a wall round a room', () => {
    const project = drawItem(base, 'bay', square, 0, { smooth: false, floorMm: 0, headMm: 15 }).project;
    const plan = stacked(withStacking({ hollow: { kind: 'rings', wallMm: 15, ribs: null } }, project), flat).plan;
    for (const { outer, holes } of plan.layers[0].cutOuts)
      for (const ring of [outer, ...holes])
        for (const [x, y] of ring) {
          const out = Math.max(60 - x, x - 110, 50 - y, y - 90);
          expect(out).toBeGreaterThan(10);
        }
  });
});

describe('dowels', () => {
  const { plan } = stacked(withStacking({ dowel: { diameterMm: 4, marginMm: 8 } }), ground);
  it('two for each layer but the first, inside both by the margin, far apart', () => {
    expect(plan.layers[0].dowels).toEqual([]);
    for (const layer of plan.layers.slice(1)) {
      expect(layer.dowels).toHaveLength(2);
      const [a, b] = layer.dowels;
      expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeGreaterThan(Math.sqrt(layer.areaMm2));
      for (const [x, y] of layer.dowels)
        for (const under of [layer, plan.layers[layer.index - 2]])
          for (const [dx, dy] of [
            [9.7, 0],
            [-9.7, 0],
            [0, 9.7],
            [0, -9.7],
          ])
            expect(under.pieces.some(({ outer }) => insideRing(outer, x + dx, y + dy))).toBe(true);
    }
  });

  it('none where there is no room for one', () => {
    const wide = stacked(withStacking({ dowel: { diameterMm: 30, marginMm: 90 } }), ground).plan;
    expect(wide.layers.flatMap(({ dowels }) => dowels)).toEqual([]);
  });
});

describe('levels', () => {
  // Worked by hand. Two boards of EN 13164 T1 (60 mm: -2/+3) and one of T3 (40 mm: +/-1) below a level:
  // root-sum-square down sqrt(4 + 4 + 1) = 3, up sqrt(9 + 9 + 1) = 4.36; worst -5 / +7.
  it('tolerance classes add up as in the worked example', () => {
    const high = groundFrom(120, 120, () => 168);
    const sheets = [
      { ...sheet, id: 'sixty', nominalMm: 60, count: 9, tolerance: 'EN 13164 T1' as const },
      { ...sheet, id: 'forty', nominalMm: 40, count: 9, tolerance: 'EN 13164 T3' as const },
    ];
    const marked = drawItem({ ...start, sheets }, 'spot', [[60, 60]], 168, { heightMm: 168 }).project;
    const pinned = [
      { sheetIds: ['sixty'], sliceMm: null, fromMm: 0 },
      { sheetIds: ['sixty'], sliceMm: null, fromMm: 60 },
      { sheetIds: ['forty'], sliceMm: null, fromMm: 120 },
    ];
    const { plan } = stacked(withStacking({}, { ...marked, stack: { ...marked.stack, pinned } }), high);
    const [level] = plan.levels;
    expect(level).toMatchObject({ wantedMm: 168, skinMm: 3, foamThereMm: 160, layer: 3 });
    expect(level.errorMixed.minusMm).toBeCloseTo(3, 9);
    expect(level.errorMixed.plusMm).toBeCloseTo(Math.sqrt(19), 9);
    expect(level.errorWorst).toEqual({ minusMm: 5, plusMm: 7 });
  });

  it('every tread of terraces, both ends of a stream and of a way have a row', () => {
    const line: Point[] = [
      [20, 120],
      [200, 120],
    ];
    let project = drawItem(start, 'terraces', line, 10, { smooth: false, count: 3, treadMm: 15 }).project;
    const away = line.map(([x]): Point => [x, 30]);
    project = drawItem(project, 'way', away, 0, { smooth: false, fromMm: 20, toMm: 30 }).project;
    const { plan } = stacked(withStacking({}, project), toEnd(groundOf(project)));
    expect(plan.levels.map(({ part }) => part).sort()).toEqual(['end', 'start', 'tread 1', 'tread 2', 'tread 3']);
  });
});
