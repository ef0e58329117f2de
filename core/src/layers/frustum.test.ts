import { describe, expect, it } from 'vitest';
import { frustumGround, frustumProject } from '../testing/frustum.ts';
import { stacked, taken } from '../testing/stacked.ts';
import { evenSkin, foamTopAt, targetOf } from './index.ts';

/**
 * The square frustum worked out by closed forms (base 240 mm square, faces rising over 80 mm to a flat of 80 x 80 mm at 64 mm, skin 3 mm,
 * three sheets of 20.0 mm, no glue line): outline areas within 0.3 %, volumes within 0.5 %, on 1 mm cells.
 */
const ground = frustumGround();
const target = targetOf(ground, evenSkin(3));
const start = frustumProject();
const project = { ...start, stacking: { ...start.stacking, glueLineMm: 0 } };

const within = (value: number, expected: number, share: number) =>
  expect(Math.abs(value - expected)).toBeLessThanOrEqual(expected * share + 0.05);

describe('the frustum itself', () => {
  it('ground, true surface, foam target and skin', () => {
    within(ground.volumeMl, 1774.9, 0.001);
    within(ground.surface.trueMm2 / 100, 719.7, 0.001);
    within(target.volumeMl, 1567.6, 0.001);
    within(ground.volumeMl - target.volumeMl, 207.3, 0.001);
    expect(target.curve.highestMm).toBeCloseTo(61, 6);
  });
});

describe.each([
  {
    school: 'carve back',
    sides: [230.4, 180.4, 130.4],
    areas: [530.8, 325.4, 170.0],
    outlines: [921.6, 721.6, 521.6],
    cut: 2052.5,
    carve: 491.2,
    fill: 6.3,
    most95: 4.0,
    deepest: 4.0,
  },
  {
    school: 'halfway',
    sides: [205.4, 155.4, 105.4],
    areas: [421.9, 241.5, 111.1],
    outlines: [821.6, 621.6, 421.6],
    cut: 1548.9,
    carve: 110.3,
    fill: 129.1,
    most95: 9.8,
    deepest: 10.8,
  },
  {
    school: 'build up',
    sides: [180.4, 130.4, 80.4],
    areas: [325.4, 170.0, 64.6],
    outlines: [721.6, 521.6, 321.6],
    cut: 1120.2,
    carve: 0,
    fill: 447.5,
    most95: 17.6,
    deepest: 18.6,
  },
] as const)('$school', ({ school, sides, areas, outlines, cut, carve, fill, most95, deepest }) => {
  const { plan, land } = stacked(project, ground, school);
  const { whole } = taken(project, plan, land).paste;

  it('three layers with their areas and outlines', () => {
    expect(plan.layers.map((layer) => [layer.bottomMm, layer.topMm].map((mm) => Number(mm.toFixed(6))))).toEqual([
      [0, 20],
      [20, 40],
      [40, 60],
    ]);
    plan.layers.forEach((layer, k) => {
      within(layer.areaMm2 / 100, areas[k], 0.003);
      within(Math.sqrt(layer.areaMm2), sides[k], 0.0015);
      // Each of the four corners is cut by up to a cell.
      within(layer.outlineMm, outlines[k], 0.004);
      expect(layer.fitsWhole).toBe(true);
    });
  });

  it('foam cut, carve, fill', () => {
    within(plan.foamCutMl, cut, 0.005);
    within(plan.carveMl, carve, 0.005);
    within(plan.fillMl, fill, 0.005);
  });

  it('foam cut - carve = foam left; + fill = target; + skin = ground', () => {
    expect(plan.foamLeftMl).toBeCloseTo(plan.foamCutMl - plan.carveMl, 9);
    expect(plan.foamLeftMl + plan.fillMl).toBeCloseTo(target.volumeMl, 6);
    expect(plan.foamLeftMl + plan.fillMl + (ground.volumeMl - target.volumeMl)).toBeCloseTo(ground.volumeMl, 6);
  });

  it('how deep the paste lies', () => {
    // The 95 % depth is read from quarters of 1 mm cells: observed 0.18 mm deep on the steps, half of that on 0.5 mm cells.
    expect(Math.abs(whole.most95Mm - most95)).toBeLessThan(0.2);
    expect(Math.abs(whole.deepestMm - deepest)).toBeLessThan(0.06);
  });
});

describe('what to do at a level, halfway', () => {
  const path = (id: string, heightMm: number) => ({
    kind: 'contour' as const,
    id,
    name: id,
    heightMm,
    closed: false,
    level: false,
    smooth: false,
    hidden: false,
    locked: false,
    points: [
      [heightMm / 0.8, 100],
      [heightMm / 0.8, 140],
    ] as [number, number][],
  });
  const { plan } = stacked({ ...project, marks: [path('at 30', 30), path('at 36', 36)] }, ground, 'halfway');
  const level = (id: string) => plan.levels.find((row) => row.itemId === id);

  it('a path at 30 has its foam at 26.2, where only layer 1 reaches: fill 6.2', () => {
    expect(level('at 30')?.targetMm).toBeCloseTo(26.158, 1);
    expect(level('at 30')?.instruction).toBe('fill 6.2 mm over joint 1');
  });

  it('a path at 36 has its foam at 32.2, under layer 2: carve 7.8', () => {
    expect(level('at 36')?.targetMm).toBeCloseTo(32.158, 1);
    expect(level('at 36')?.instruction).toBe('carve 7.8 mm from layer 2');
  });

  it('carries the tolerance of the sheets below as a height error', () => {
    // Two sheets of plus or minus 2 mm: 2.83 if they err apart, 4 if they err alike.
    expect(level('at 36')?.errorMixed.plusMm).toBeCloseTo(Math.SQRT2 * 2, 6);
    expect(level('at 36')?.errorWorst).toEqual({ minusMm: 4, plusMm: 4 });
  });
});

it('a glue line lifts every joint and is part of the height', () => {
  const { plan: glued } = stacked(
    { ...project, stacking: { ...project.stacking, glueLineMm: 0.3 } },
    ground,
    'halfway',
  );
  expect(glued.layers.map((layer) => Number(layer.bottomMm.toFixed(6)))).toEqual([0.3, 20.6, 40.9]);
  expect(glued.foamLeftMl + glued.glueLineMl + glued.fillMl).toBeCloseTo(target.volumeMl, 6);
  const steps = glued.layers.map(({ outlineAtMm, topMm }) => ({ outlineAtMm, topMm }));
  expect(foamTopAt(steps, 31)).toEqual({ topMm: steps[1].topMm, layer: 2 });
});

it('measured thickness wins over nominal', () => {
  const { plan: measured } = stacked(
    { ...project, sheets: [{ ...project.sheets[0], measuredMm: 19.4 }] },
    ground,
    'halfway',
  );
  expect(measured.layers[0].topMm).toBeCloseTo(19.4, 9);
});
