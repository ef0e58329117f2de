import { describe, expect, it } from 'vitest';
import { plan } from '../planner/index.ts';
import { type Base, drawItem, type Project, startProject } from '../project/index.ts';

/** A block 200 x 160 mm and 60 high of two sheets of 30 mm. */
function block(change: Partial<Base> = {}, boardChange: Partial<Base['board']> = {}): Project {
  const start = startProject('Block', '2027-03-01');
  const base: Base = {
    ...start.base,
    shape: { kind: 'rectangle', widthMm: 200, depthMm: 160 },
    ...change,
    board: { ...start.base.board, ...boardChange },
  };
  const thirty = { ...start.sheets[0], id: 's30', nominalMm: 30, measuredMm: null, count: 6 };
  return drawItem({ ...start, base, sheets: [thirty] }, 'spot', [[100, 80]], 0, { heightMm: 60 }).project;
}
const codes = (project: Project) => plan(project).report.findings.map(({ code }) => code);

describe('what a piece stands on', () => {
  it('without a board weighs none, glues one joint less and stands on its foam; it is told that it bows', () => {
    const [on, off] = [block(), block({}, { material: 'none', thicknessMm: 0 })].map((project) => plan(project).report);
    expect(on.joints).toHaveLength(2);
    expect(off.joints.map(({ joint }) => joint)).toEqual([1]);
    expect(off.mass.boardG.likely).toBe(0);
    expect(off.stack.layers[0].contactMm2).toBe(0);
    expect(off.stack.layers[1].contactMm2).toBeCloseTo(32_000, -1);
    expect(off.fit.tallestMm).toBeCloseTo(on.fit.tallestMm - 6, 6);
    expect(off.findings.map(({ code }) => code)).toContain('bows-without-a-board');
    const glue = (report: typeof on) =>
      report.takeoff.find(({ stage }) => stage === 'glue')?.materials[0].amount.likely ?? 0;
    expect(glue(off) / glue(on)).toBeCloseTo(0.5, 2);
  });

  it('one sheet without a board has nothing to glue, and the work goes on from its cutting', () => {
    const start = block({}, { material: 'none', thicknessMm: 0 });
    const { report } = plan({ ...start, marks: start.marks.map((mark) => ({ ...mark, heightMm: 30 }) as typeof mark) });
    expect(report.stack.layers).toHaveLength(1);
    expect(report.takeoff.some(({ stage }) => stage === 'glue')).toBe(false);
    expect(report.joints).toEqual([]);
    expect(report.finish).not.toBeNull();
  });

  it('a slab that hangs over touches less of its board, tips sooner, and is told when it hangs far', () => {
    const [flush, over] = [block(), block({}, { beyondMm: -40 })].map((project) => plan(project).report);
    expect(over.stack.layers[0].contactMm2).toBeCloseTo(120 * 80, -1);
    expect(over.mass.boardG.likely / flush.mass.boardG.likely).toBeCloseTo((120 * 80) / 32_000, 6);
    expect(over.balance?.tip?.degrees ?? 0).toBeLessThan(flush.balance?.tip?.degrees ?? 0);
    expect(codes(block({}, { beyondMm: -40 }))).not.toContain('slab-hangs-far-over');
    expect(codes(block({}, { beyondMm: -65 }))).toContain('slab-hangs-far-over');
    expect(codes(block({}, { beyondMm: 5, wave: { deepMm: 8, longMm: 40 } }))).toContain('wave-under-the-ground');
  });

  it('feet and a bottom panel lift it, weigh, and carry it', () => {
    const feet = { count: 4, heightMm: 20, acrossMm: 30 };
    const [flat, lifted] = [block(), block({ feet, frame: { widthMm: 20, heightMm: 20, lapMm: 0, bottomMm: 3 } })].map(
      (project) => plan(project).report,
    );
    expect(lifted.fit.tallestMm - flat.fit.tallestMm).toBeCloseTo(23, 6);
    // Hardboard 200 x 160 x 3 mm at 0.9, four feet of 14.1 ml at 1.
    const feetG = 4 * (Math.PI / 4) * 900 * 20 * 1e-3;
    expect(lifted.mass.boardG.likely - flat.mass.boardG.likely).toBeCloseTo(0.9 * 96 + feetG, 6);
    expect(lifted.balance?.tip?.degrees ?? 0).toBeLessThan(flat.balance?.tip?.degrees ?? 0);
  });

  it("a board of the builder's own stuff weighs what it was said to", () => {
    const { report } = plan(block({}, { material: 'other', thicknessMm: 10, densityKgL: 2.7 }));
    expect(report.mass.boardG).toMatchObject({ low: 864, likely: 864, high: 864 });
  });

  it('a hole from below is bored through every layer that it reaches, weighs nothing, and is told where it comes out', () => {
    const hole = { id: 'h', at: [100, 80] as [number, number], acrossMm: 12, upMm: 40 };
    const { report } = plan(block({}, { holes: [hole] }));
    const works = report.stack.layers.map(({ works: done }) => done.map(({ name, how }) => `${name} ${how}`));
    expect(works).toEqual([['Hole 1 through'], ['Hole 1 from below']]);
    expect(report.stack.hollowMl).toBeCloseTo((Math.PI * 36 * 40) / 1000, 0);
    expect(codes(block({}, { holes: [{ ...hole, upMm: 70 }] }))).toContain('hole-comes-out');
    expect(codes(block({}, { holes: [{ ...hole, at: [300, 80] }] }))).toContain('hole-misses-the-board');
    expect(report.findings.map(({ code }) => code)).not.toContain('hole-comes-out');
  });

  it('sloped sides: a frustum of its own volume, on a rectangle and on a round base', () => {
    const degrees = 70;
    const run = 60 / Math.tan((degrees * Math.PI) / 180);
    const frustum = (a: number, b: number) => (60 / 3) * (a + b + Math.sqrt(a * b));
    // Finished heights: a skin would round them over.
    const sloped = (change: Partial<Base>) =>
      plan({ ...block({ bevelDegrees: degrees, ...change }), heights: 'ground' }).report;
    const box = sloped({});
    // Of a rectangle: the mean section by Simpson, exact for sides that lean evenly.
    const section = (at: number) => (200 - 2 * at) * (160 - 2 * at);
    const exact = (60 * (section(0) + 4 * section(run / 2) + section(run))) / 6 / 1000;
    expect(box.ground.volumeMl / exact).toBeCloseTo(1, 2);
    const round = sloped({ shape: { kind: 'round', diameterMm: 180 } });
    const cone = frustum(Math.PI * 90 ** 2, Math.PI * (90 - run) ** 2) / 1000;
    expect(round.ground.volumeMl / cone).toBeCloseTo(1, 2);
    // The upper sheet is cut smaller than the lower.
    expect(box.stack.layers[1].areaMm2).toBeLessThan(box.stack.layers[0].areaMm2 - 2000);
  });
});
