import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { heightAt } from '../geometry/index.ts';
import {
  changeItem,
  drawItem,
  heightIs,
  heightsMeantAs,
  type Project,
  readProject,
  skinMmOf,
  startProject,
} from '../project/index.ts';
import { circle } from '../testing/solids.ts';
import { plan } from './plan.ts';

const start = startProject('Slab', '2027-03-01');
const a4: Project = {
  ...start,
  base: { ...start.base, shape: { kind: 'rectangle', widthMm: 297, depthMm: 210 } },
  sheets: [{ ...start.sheets[0], nominalMm: 20, count: 1, widthMm: 600, depthMm: 300 }],
};
const skin = skinMmOf(a4);
const slab = (heights: Project['heights']): Project => ({
  ...a4,
  heights,
  marks: [
    {
      ...circle(150, 105, 1, 20, true),
      points: [
        [-5, -5],
        [302, -5],
        [302, 215],
        [-5, 215],
      ],
    },
  ],
});

describe('a slab of one 20 mm sheet drawn at 20', () => {
  it('as bare foam needs no carving and no filling, and its finished top reads 23', () => {
    expect(skin).toBe(3);
    const { report, ground, target } = plan(slab('foam'));
    expect(report.stack.layers).toHaveLength(1);
    expect(report.stack.carveMl).toBeCloseTo(0, 6);
    expect(report.stack.fillMl).toBeCloseTo(0, 6);
    expect(heightAt(ground.grid, 150, 105)).toBeCloseTo(23, 9);
    expect(heightAt(target.grid, 150, 105)).toBeCloseTo(20, 9);
    const [level] = report.stack.levels;
    expect(level).toMatchObject({ heightIs: 'foam', work: 'flush' });
    expect(level.wantedMm).toBeCloseTo(23, 9);
    expect(level.targetMm).toBeCloseTo(20, 9);
    // The skin is there all the same: base x 3 mm.
    expect(report.target.skinMl).toBeCloseTo((297 * 210 * 3) / 1000, 6);
  });

  it('as finished ground has 3 mm, and the glue line, carved off for its skin', () => {
    const { report, ground } = plan(slab('ground'));
    expect(heightAt(ground.grid, 150, 105)).toBeCloseTo(20, 9);
    expect(report.stack.carveMl).toBeCloseTo((297 * 210 * 3.3) / 1000, 1);
    expect(report.stack.levels[0]).toMatchObject({ heightIs: 'ground', work: 'carve' });
  });
});

describe('what is finished in a project of bare foam', () => {
  const kinds = ['basin', 'channel', 'span', 'island', 'beach'] as const;
  it('waters, decks and track are, pads and roads are not; either may say otherwise', () => {
    const points: [number, number][] = [
      [50, 50],
      [90, 50],
      [90, 90],
    ];
    const drawn = (kind: Parameters<typeof drawItem>[1]) => drawItem(a4, kind, points, 15).project.landforms[0];
    for (const kind of kinds) expect(heightIs('foam', drawn(kind))).toBe('ground');
    expect(heightIs('foam', drawn('pad'))).toBe('foam');
    const way = drawn('way');
    if (way.kind !== 'way') throw new Error('no way');
    expect(heightIs('foam', { ...way, use: 'road' })).toBe('foam');
    expect(heightIs('foam', { ...way, use: 'track' })).toBe('ground');
    expect(heightIs('foam', { ...way, use: 'track', heightIs: 'foam' })).toBe('foam');
    for (const kind of kinds) expect(heightIs('ground', drawn(kind))).toBe('ground');
  });

  it('a pad that says it is finished: its top is at its height, its foam a skin lower; water stands where it was drawn', () => {
    const pad = drawItem(
      slab('foam'),
      'pad',
      [
        [40, 40],
        [120, 40],
        [120, 120],
        [40, 120],
      ],
      32,
    ).project;
    const id = pad.landforms[0].id;
    for (const [is, top] of [
      ['foam', 35],
      ['ground', 32],
    ] as const) {
      const { ground, target, report } = plan(changeItem(pad, id, { heightIs: is, heightMm: 32 }));
      expect(heightAt(ground.grid, 80, 80)).toBeCloseTo(top, 9);
      expect(heightAt(target.grid, 80, 80)).toBeCloseTo(top - 3, 9);
      expect(report.stack.levels.find(({ itemId }) => itemId === id)?.wantedMm).toBeCloseTo(top, 9);
    }
  });

  it('a pond: its bed under the skin lies as deep under its water as it says', () => {
    const { project } = drawItem(
      slab('foam'),
      'basin',
      [
        [100, 60],
        [180, 60],
        [180, 140],
        [100, 140],
      ],
      21,
    );
    const pond = changeItem(project, project.landforms[0].id, { waterMm: 21, depthMm: 6, bed: 'round' });
    const { ground, target } = plan(pond);
    let lowest = Number.POSITIVE_INFINITY;
    for (let x = 100; x <= 180; x += 2)
      for (let y = 60; y <= 140; y += 2) lowest = Math.min(lowest, heightAt(ground.grid, x, y));
    expect(lowest).toBeCloseTo(15, 1);
    expect(heightAt(target.grid, 140, 100)).toBeCloseTo(12, 1);
  });

  it('one way of meaning a height is the other less or more the skin, and back again', () => {
    const level = circle(50, 50, 20, 30, true);
    const foam = heightsMeantAs('foam', 'ground', level, 3);
    expect(foam).toMatchObject({ heightMm: 27 });
    expect(heightsMeantAs('ground', 'foam', foam, 3)).toEqual(level);
    expect(heightsMeantAs('foam', 'foam', level, 3)).toBe(level);
  });
});

describe('a file from before heights could be bare foam', () => {
  it('keeps its heights finished', () => {
    const text = readFileSync(new URL('../../../samples/tarrow-moor.hosket.json', import.meta.url), 'utf8');
    const { heights: _, ...old } = JSON.parse(text);
    const read = readProject(JSON.stringify({ ...old, version: 9 }));
    expect(read.ok && read.value.heights).toBe('ground');
  });
});

describe('levels on joints, as who draws bare foam draws them', () => {
  it('a bench of 20 and one of 40 from sheets of 20: in each way two sheets, hardly carved, hardly filled', () => {
    const two: Project = {
      ...slab('foam'),
      sheets: [{ ...a4.sheets[0], nominalMm: 20, count: 3, widthMm: 600, depthMm: 300 }],
    };
    const upper = {
      ...circle(150, 105, 1, 40, true),
      points: [
        [100, 70],
        [200, 70],
        [200, 140],
        [100, 140],
      ] as [number, number][],
    };
    const { report } = plan({ ...two, marks: [...two.marks, upper] });
    for (const { school, layers, carveMl, fillMl } of report.schools) {
      expect(
        layers.map(({ thicknessMm }) => thicknessMm),
        school,
      ).toEqual([20, 20]);
      // The wall is half a cell to a cell thick: what lies in it is carved or filled.
      expect(carveMl + fillMl, school).toBeLessThan(0.34 * 20 * 2 + 1);
      // The upper sheet is as large as the bench, give or take that wall: not as the whole base.
      expect(Math.abs(layers[1].areaMm2 - 7000), school).toBeLessThan(400);
    }
    expect(report.stack.levels.map(({ work }) => work)).toEqual(['flush', 'flush']);
  });
});
