import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gridOver, sampleFormula } from '../geometry/index.ts';
import { groundOf, measureGround } from '../ground/index.ts';
import { toEnd } from '../kernel/index.ts';
import {
  askables,
  baseOutline,
  type Cover,
  drawItem,
  type Project,
  startProject,
  type ZoneRule,
} from '../project/index.ts';
import { shadePercent } from './fields.ts';
import { suggestedZones } from './suggest.ts';
import { namedZones, zonesOf } from './zones.ts';

const start: Project = {
  ...startProject('p', '2027-03-01', 'ground'),
  base: { ...startProject('p', '2027-03-01', 'ground').base, shape: { kind: 'rectangle', widthMm: 100, depthMm: 80 } },
};
const rule = (id: string, cover: Cover, when: Partial<ZoneRule['when']>): ZoneRule => ({
  id,
  name: id,
  cover,
  recipe: null,
  when: Object.fromEntries(askables.map((what) => [what, when[what] ?? null])) as ZoneRule['when'],
});
/** Ground that lies 10 mm high where nothing else is asked of it. */
const levelAt10 = (project: Project): Project =>
  drawItem(
    project,
    'contour',
    [
      [0, 0],
      [100, 0],
      [100, 80],
      [0, 80],
    ],
    0,
    { heightMm: 10, level: false },
  ).project;
/** A slope that rises from left to right, half a millimetre a millimetre. */
const slope = measureGround(
  baseOutline(start.base),
  sampleFormula(gridOver(100, 80, 1), (x) => x / 2),
);
const percents = (project: Project, ground = slope) =>
  zonesOf(project, ground).zones.map(({ cover, percent }) => [cover, Math.round(percent * 100) / 100]);

describe('zones', () => {
  it('by height: each takes the strip between its limits, the first rule before the second', () => {
    const zones = {
      rules: [
        rule('low', 'sand', { height: { from: null, to: 10 } }),
        rule('middle', 'grass', { height: { from: null, to: 25 } }),
      ],
      rest: 'rock' as const,
    };
    // Heights run 0 to 50 evenly: 20 % below 10, then 30 % up to 25, and half for the rest.
    expect(percents({ ...start, zones })).toEqual([
      ['sand', 20],
      ['grass', 30],
      ['rock', 50],
    ]);
  });

  it('a patch goes before every rule, and a later patch before an earlier one', () => {
    const ring = (x0: number, x1: number): [number, number][] => [
      [x0, 0],
      [x1, 0],
      [x1, 80],
      [x0, 80],
    ];
    const one = drawItem(start, 'patch', ring(0, 40), 0, { cover: 'snow', smooth: false }).project;
    const two = drawItem(one, 'patch', ring(30, 50), 0, { cover: 'mud', smooth: false }).project;
    const zones = { rules: [rule('all', 'sand', {})], rest: 'rock' as const };
    expect(percents({ ...two, zones })).toEqual([
      ['snow', 30],
      ['mud', 20],
      ['sand', 50],
      ['rock', 0],
    ]);
  });

  it('along the slope a zone is larger by 1 / cos of it', () => {
    const [all] = zonesOf({ ...start, zones: { rules: [], rest: 'grass' } }, slope).zones;
    expect(all.planMm2).toBeCloseTo(8000, 6);
    expect(all.trueMm2 / all.planMm2).toBeCloseTo(Math.sqrt(1.25), 9);
  });

  it('cover the base exactly once, whatever the rules, and on any shape of base', () => {
    const limit = fc.option(
      fc
        .tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 1, max: 40 }))
        .map(([from, by]) => ({ from, to: from + by })),
      { nil: null },
    );
    const anyRule = fc
      .record({ slope: limit, height: limit, shade: limit, rock: limit, wetness: limit })
      .map((when) => rule('r', 'grass', when));
    const anyPatch = fc.array(fc.tuple(fc.integer({ min: -20, max: 120 }), fc.integer({ min: -20, max: 100 })), {
      minLength: 3,
      maxLength: 7,
    });
    fc.assert(
      fc.property(
        fc.array(anyRule, { maxLength: 4 }),
        fc.array(anyPatch, { maxLength: 3 }),
        fc.constantFrom('rectangle' as const, 'oval' as const),
        (rules, rings, kind) => {
          const base = { ...start.base, shape: { kind, widthMm: 100, depthMm: 80 } };
          const ground = measureGround(
            baseOutline(base),
            sampleFormula(gridOver(100, 80, 2), (x, y) => 10 + x / 3 + 6 * Math.sin(y / 9)),
          );
          let project: Project = {
            ...start,
            base,
            zones: { rules: rules.map((r, k) => ({ ...r, id: `r${k}` })), rest: 'mud' },
          };
          for (const ring of rings) project = drawItem(project, 'patch', ring, 0).project;
          const { zones, map } = zonesOf(project, ground);
          expect(zones.reduce((sum, { planMm2 }) => sum + planMm2, 0)).toBeCloseTo(ground.surface.planMm2, 5);
          expect(zones.reduce((sum, { trueMm2 }) => sum + trueMm2, 0)).toBeCloseTo(ground.surface.trueMm2, 5);
          map.zone.forEach((k, cell) => {
            expect(k === 255).toBe((ground.coverage?.[cell] ?? 1) === 0);
          });
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('what rules ask', () => {
  it('shade by the angle to a light half way up in front: 29 % on the flat, none square to it, all facing away', () => {
    expect(shadePercent(0, 0)).toBeCloseTo(100 * (1 - Math.SQRT1_2), 9);
    // Rising 45 degrees away from the viewer faces the light square.
    expect(shadePercent(0, 1)).toBeCloseTo(0, 9);
    expect(shadePercent(0, -1)).toBeCloseTo(100, 9);
  });

  it('distance to water is counted from the water line', () => {
    const pond = drawItem(
      start,
      'basin',
      [
        [40, 30],
        [60, 30],
        [60, 50],
        [40, 50],
      ],
      10,
      {
        waterMm: 10,
        depthMm: 5,
        bedDegrees: 60,
        smooth: false,
      },
    ).project;
    const flat = levelAt10(pond);
    const ground = toEnd(groundOf(flat));
    const zones = {
      rules: [
        rule('bed', 'water bed', { water: { from: null, to: 0.5 } }),
        rule('shore', 'mud', { water: { from: null, to: 10 } }),
      ],
      rest: 'grass' as const,
    };
    const [bed, shore] = zonesOf({ ...flat, zones }, ground).zones;
    // 20 x 20 mm of water; with it a strip of 10 mm all round, quarter circles at the corners.
    expect(Math.abs(bed.planMm2 - 400)).toBeLessThan(45);
    const both = 400 + 4 * 20 * 10 + Math.PI * 100;
    expect(Math.abs(bed.planMm2 + shore.planMm2 - both) / both).toBeLessThan(0.05);
  });
});

describe('the suggestion', () => {
  it('names what lies there and nothing else: water bed, road, rock; and is taken as it was shown', () => {
    const pond = drawItem(
      start,
      'basin',
      [
        [60, 10],
        [90, 10],
        [90, 35],
        [60, 35],
      ],
      10,
      { waterMm: 10, smooth: false },
    ).project;
    const road = drawItem(
      pond,
      'way',
      [
        [0, 60],
        [100, 60],
      ],
      10,
      { fromMm: 10, toMm: 10, widthMm: 12 },
    ).project;
    const flat = levelAt10(road);
    const ground = toEnd(groundOf(flat));
    const { zones, reads } = suggestedZones(flat, ground);
    const covers = zones.rules.map(({ cover }) => cover);
    expect(covers).toContain('water bed');
    expect(covers).toContain('road');
    expect(covers).not.toContain('rock');
    expect(reads.find(({ cover }) => cover === 'road')?.percent).toBeCloseTo(15, -1);
    expect(namedZones({ ...flat, zones }, zonesOf({ ...flat, zones }, ground).zones)).toEqual(reads);
  });
});
