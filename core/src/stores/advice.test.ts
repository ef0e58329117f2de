import { describe, expect, it } from 'vitest';
import { plan, startProject } from '../index.ts';
import { circle } from '../testing/solids.ts';
import { adviceOf } from './advice.ts';

const start = startProject('advice', '2027-03-01', 'ground');
const project = {
  ...start,
  base: { ...start.base, board: { ...start.base.board, material: 'hardboard' as const } },
  marks: [circle(150, 100, 80, 40), circle(150, 100, 95, 10)],
  stacking: { ...start.stacking, glue: 'white PVA' as const },
  sheets: start.sheets.map((sheet) => ({ ...sheet, price: 8 })),
};
const { report } = plan(project);
const weighed = {
  breakdown: report.breakdown,
  layers: report.stack.layers,
  surfaces: report.surfaces,
};
const advice = adviceOf(project, weighed);
const of = (kind: string) => advice.filter((one) => one.of === kind);

describe('what makes it heavy, dear, slow', () => {
  it('the heaviest parts first, with their share and what would save most', () => {
    const heavy = of('heavy');
    expect(heavy.map(({ value }) => value)).toEqual(heavy.map(({ value }) => value).sort((a, b) => b - a));
    expect(heavy.map(({ part }) => part)).toContain('board');
    const board = heavy.find(({ part }) => part === 'board');
    // Hardboard 950 against plywood 600 kg/m3.
    expect(board?.instead).toEqual({ what: 'plywood', saves: (board?.value ?? 0) * (1 - 600 / 950) });
    const skin = heavy.find(({ part }) => part === 'skin');
    expect(skin?.instead?.what).toMatch(/as the skin of Earth and grass$/);
    expect(skin?.instead?.saves).toBeGreaterThan(0.3 * (skin?.value ?? 0));
    expect(skin?.instead?.saves).toBeLessThan(skin?.value ?? 0);
  });

  it('the dearest, as far as it is priced', () => {
    expect(of('dear').map(({ part, sharePercent }) => [part, sharePercent])).toEqual([['foam', 100]]);
  });

  it('the slowest wait, and the glue that would be dry soonest and eats nothing', () => {
    const [first] = of('slow');
    expect(first.part).toBe('joints');
    expect(first.value).toBeGreaterThan(5 * 24);
    expect(['hot glue', 'contact spray', 'foam-safe super glue']).toContain(first.instead?.what);
    expect(first.instead?.saves).toBeLessThan(first.value);
  });

  it('a board that is the lightest already is left as it is', () => {
    const light = {
      ...project,
      base: { ...project.base, board: { ...project.base.board, material: 'plywood' as const } },
    };
    const board = adviceOf(light, weighed).find(({ of: kind, part }) => kind === 'heavy' && part === 'board');
    expect(board?.instead).toBeNull();
  });
});
