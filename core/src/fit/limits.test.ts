import { describe, expect, it } from 'vitest';
import { plan } from '../planner/index.ts';
import { drawItem, type Limits, type Project, startProject } from '../project/index.ts';
import { limitIn } from './index.ts';

function moor(limits: Partial<Limits>): Project {
  const start = startProject('limits', '2027-03-01', 'ground');
  const shore = [
    [60, 60],
    [140, 60],
    [140, 120],
  ] as const;
  const pond = drawItem(drawItem(start, 'spot', [[100, 100]], 25).project, 'basin', shore, 20).project;
  return { ...pond, limits: { ...start.limits, ...limits } };
}
const kept = (limits: Partial<Limits>, change: (p: Project) => Project = (p) => p) =>
  plan(change(moor(limits))).report.limits.map(({ id, kept: is }) => [id, is]);
const rule = (check: Limits['rules'][number]['check']): Partial<Limits> => ({
  rules: [{ id: 'r', text: 'a rule', check }],
});

describe('limits', () => {
  it('a date is judged by how sure of it one wants to be: kept on the day that is met 80 times in 100, broken before', () => {
    const { finish } = plan(moor({})).report;
    const day = finish?.sure.slice(0, 10) as string;
    expect(day >= (finish?.likely.slice(0, 10) ?? '')).toBe(true);
    expect(kept({ dueDate: day })).toEqual([['due', true]]);
    expect(kept({ dueDate: '2027-03-01' })).toEqual([['due', false]]);
    const { findings } = plan(moor({ dueDate: '2027-03-01' })).report;
    expect(findings.find(({ code }) => code === 'limit-due')?.message).toContain(day);
  });

  it('weight is board, foam, paste, what covers it, and laid-in things', () => {
    const { mass } = plan(moor({})).report;
    // Fibreboard 297 x 210 x 6 mm at 750 kg/m3.
    expect(mass.boardG.likely).toBeCloseTo((297 * 210 * 6 * 750) / 1e6, 6);
    const parts = [mass.boardG, mass.foamG, mass.glueG, mass.pasteG, mass.coverG, mass.laidG, mass.thingsG];
    expect(mass.totalG.likely).toBeCloseTo(
      parts.reduce((sum, part) => sum + part.likely, 0),
      9,
    );
    // Independent: the spreads add as root-sum-square, so that not everything is light at once.
    const spread = Math.hypot(...parts.map((part) => part.likely - part.low));
    expect(mass.totalG.likely - mass.totalG.low).toBeCloseTo(spread, 9);
    expect(mass.coverG.likely).toBeGreaterThan(5);
    expect(kept({ weightG: mass.totalG.likely + 1 })).toEqual([['weight', true]]);
    expect(kept({ weightG: mass.totalG.likely - 1 })).toEqual([['weight', false]]);
  });

  it('are said in the builder’s units: grams and millimetres, or ounces and inches', () => {
    const height = rule({ kind: 'height', mostMm: 200 });
    const { limits } = plan(moor({ weightG: 1500, ...height })).report;
    const [weight, tall] = limits;
    expect(weight.text).toBe('No heavier than 1.5 kg');
    expect(weight.why).toMatch(/^about \d+ g \(\d+ g to \d+ g\) when it is dry$/);
    expect(tall.why).toMatch(/^[\d.]+ mm tall with the board$/);
    const said = [weight, tall].map((limit) => limitIn(limit, 'imperial'));
    // 1500 g over 453.592 g a pound.
    expect(said[0].text).toMatch(/^No heavier than 3\.3\d* lb$/);
    for (const { text, why } of said) expect(`${text}; ${why}`).not.toMatch(/\d (g|mm)\b/);
    expect(said[1].why).toMatch(/ in tall with the board$/);
  });

  it('cost waits for prices', () => {
    expect(kept({ cost: 10 })).toEqual([['cost', null]]);
    const priced = (price: number) => (p: Project) => ({
      ...p,
      sheets: p.sheets.map((sheet) => ({ ...sheet, price })),
    });
    expect(kept({ cost: 10 }, priced(1))).toEqual([['cost', true]]);
    expect(kept({ cost: 10 }, priced(11))).toEqual([['cost', false]]);
  });

  it('bench hours', () => {
    expect(kept({ benchHours: 500 })).toEqual([['hours', true]]);
    expect(kept({ benchHours: 0.5 })).toEqual([['hours', false]]);
  });
});

describe('rules', () => {
  it('a footprint may lie either way round, and the frame counts', () => {
    const fits = rule({ kind: 'footprint', widthMm: 215, depthMm: 300 });
    expect(kept(fits)).toEqual([['r', true]]);
    const frame = { widthMm: 10, heightMm: 10, lapMm: 5 };
    expect(kept(fits, (p) => ({ ...p, base: { ...p.base, frame } }))).toEqual([['r', false]]);
  });

  it('height counts from under the board to the highest thing', () => {
    const tree = (p: Project) => drawItem(p, 'tree', [[20, 20]], 25, { heightMm: 60 }).project;
    const most = plan(tree(moor({}))).report.fit.tallestMm;
    expect(kept(rule({ kind: 'height', mostMm: most }), tree)).toEqual([['r', true]]);
    expect(kept(rule({ kind: 'height', mostMm: most - 1 }), tree)).toEqual([['r', false]]);
  });

  it('what must be there is counted', () => {
    expect(kept(rule({ kind: 'present', what: 'water', least: 1 }))).toEqual([['r', true]]);
    expect(kept(rule({ kind: 'present', what: 'tree', least: 1 }))).toEqual([['r', false]]);
  });

  it('rows count: houses along a street are buildings, fences and tracks are there', () => {
    const rows = (p: Project): Project => {
      const line: Parameters<typeof drawItem>[2] = [
        [10, 20],
        [250, 20],
      ];
      const street = drawItem(p, 'street', line, 20, { frontageMm: 70, gapMm: 10, sides: 'one side' }).project;
      return drawItem(drawItem(street, 'fence', line, 20).project, 'track', line, 20).project;
    };
    // 240 mm of street hold three houses of 70 mm with gaps of 10.
    expect(kept(rule({ kind: 'present', what: 'building', least: 3 }), rows)).toEqual([['r', true]]);
    expect(kept(rule({ kind: 'present', what: 'building', least: 4 }), rows)).toEqual([['r', false]]);
    expect(kept(rule({ kind: 'present', what: 'building', least: 1 }))).toEqual([['r', false]]);
    expect(kept(rule({ kind: 'present', what: 'fence', least: 1 }), rows)).toEqual([['r', true]]);
    expect(kept(rule({ kind: 'present', what: 'railway', least: 1 }), rows)).toEqual([['r', true]]);
  });

  it('what must be laid is read off the coats, not off what a zone is called', () => {
    const bare = (p: Project): Project => ({
      ...p,
      recipes: p.recipes.map((one) => ({ ...one, coats: one.coats.filter(({ operation }) => operation !== 'grass') })),
    });
    expect(moor({}).zones.rest).toBe('grass');
    expect(kept(rule({ kind: 'worn', operation: 'grass', leastPercent: 90 }))).toEqual([['r', true]]);
    expect(kept(rule({ kind: 'worn', operation: 'grass', leastPercent: 0 }), bare)).toEqual([['r', false]]);
  });

  it('what only people can judge stays open until it is ticked', () => {
    expect(kept(rule({ kind: 'by hand', done: false }))).toEqual([['r', null]]);
    expect(kept(rule({ kind: 'by hand', done: true }))).toEqual([['r', true]]);
  });
});
