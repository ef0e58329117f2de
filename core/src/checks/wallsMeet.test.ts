import { describe, expect, it } from 'vitest';
import { heightAt } from '../geometry/index.ts';
import { drawItem, type Point, type Project, plan, startProject } from '../index.ts';

const start = startProject('pits', '2027-03-01', 'ground');
const flat: Project = {
  ...start,
  base: { ...start.base, shape: { kind: 'rectangle', widthMm: 120, depthMm: 100 } },
  sections: [{ id: 'A', name: 'A', from: [0, 50], to: [120, 50] }],
};
const box = (x0: number, y0: number, x1: number, y1: number): Point[] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];
const land = drawItem(flat, 'contour', box(-5, -5, 125, 105), 40, {
  heightMm: 40,
  closed: true,
  level: true,
  smooth: false,
}).project;
const dug = (wideMm: number, change: object, kind: 'pit' | 'basin' = 'pit') =>
  plan(drawItem(land, kind, box(60 - wideMm / 2, 30, 60 + wideMm / 2, 70), 40, { smooth: false, ...change }).project);
const told = ({ report }: ReturnType<typeof plan>) => report.findings.find(({ code }) => code === 'walls-meet');

describe('a pit too narrow for its depth', () => {
  it('20 mm wide with walls of 45 degrees: they meet 10 mm down, and that is told', () => {
    const pit = dug(20, { floorMm: 5, wallDegrees: 45, waterMm: null });
    expect(heightAt(pit.ground.grid, 60, 50)).toBeCloseTo(30, 6);
    expect(told(pit)?.message).toContain('meet at 30 mm, 25 mm above the floor');
  });

  it.each([
    ['wide enough', 80, { floorMm: 10, wallDegrees: 60, waterMm: null }],
    ['steep enough', 20, { floorMm: 10, wallDegrees: 80, waterMm: null }],
    ['shallow enough', 20, { floorMm: 31, wallDegrees: 45, waterMm: null }],
  ])('%s: nothing is said', (_, wideMm, change) => expect(told(dug(wideMm, change))).toBeUndefined());

  it('a pond whose round bed cannot reach its depth is told as well', () => {
    const change = { waterMm: 39, depthMm: 30, bed: 'shelving', bedDegrees: 20, bankDegrees: 60 };
    expect(told(dug(20, change, 'basin'))?.message).toContain('above the floor');
    expect(told(dug(20, { ...change, depthMm: 2, bedDegrees: 45 }, 'basin'))).toBeUndefined();
  });

  it('one into which something else was built later is not', () => {
    const { project } = drawItem(land, 'pit', box(50, 30, 70, 70), 40, {
      smooth: false,
      floorMm: 5,
      wallDegrees: 45,
      waterMm: null,
    });
    const filled = drawItem(project, 'pad', box(52, 34, 68, 66), 36, { smooth: false, heightMm: 36 }).project;
    expect(told(plan(filled))).toBeUndefined();
  });
});

describe('a finished height thinner than its skin, among heights of bare foam', () => {
  const pad = (heightMm: number, heightIs: 'foam' | 'ground', heights: Project['heights'] = 'foam') => {
    const { project } = drawItem({ ...flat, heights }, 'pad', box(30, 30, 70, 70), 20, {
      smooth: false,
      heightMm,
      heightIs,
    });
    return plan(project).report.findings.find(({ code }) => code === 'under-the-skin');
  };
  it('is told; one that is higher, of bare foam, or in finished ground is not', () => {
    expect(pad(2, 'ground')?.message).toContain('finished at 2 mm, and its skin alone is 3 mm thick');
    expect(pad(20, 'ground')).toBeUndefined();
    expect(pad(2, 'foam')).toBeUndefined();
    expect(pad(2, 'ground', 'ground')).toBeUndefined();
  });
});
