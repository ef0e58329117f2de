import { describe, expect, it } from 'vitest';
import { plan, startProject } from '../index.ts';
import { sheetMm, slicesOf } from '../project/index.ts';
import { circle } from '../testing/solids.ts';
import { optionsOf, stockClassesOf } from './index.ts';

const wire = { kerfMm: 1, thinnestMm: 3 };
/** A low round hill over a shed of one sheet that was measured, with a wire. */
function hillOn(measuredMm: number) {
  const start = startProject('slices', '2027-03-01', 'ground');
  const { shape } = { shape: { kind: 'rectangle' as const, widthMm: 160, depthMm: 100 } };
  return {
    ...start,
    base: { ...start.base, shape },
    sections: [{ id: 'A', name: 'A', from: [0, 50] as [number, number], to: [160, 50] as [number, number] }],
    marks: [circle(80, 50, 40, 19)],
    sheets: [{ ...start.sheets[0], nominalMm: 20, measuredMm, widthMm: 200, depthMm: 150, count: 1 }],
    stacking: { ...start.stacking, wire },
  };
}

describe('a sheet counts as thick as it was measured', () => {
  it.each([
    [20, 2],
    [19.98, 1],
    [21.01, 2],
  ])('one of %s mm gives %s slices of 9.5 mm', (measuredMm, slices) => {
    expect(slicesOf(sheetMm({ nominalMm: 20, measuredMm }), 9.5, wire.kerfMm)).toBe(slices);
  });

  it.each([19.98, 20, 20.02])('the slices of %s mm that the choice counts come out of the sheet', (measuredMm) => {
    const pools = stockClassesOf(hillOn(measuredMm));
    const slices = optionsOf(pools, wire).filter(({ sliceMm }) => sliceMm !== null);
    expect(slices).toHaveLength(3);
    for (const { sliceMm, perSheet } of slices) {
      expect(perSheet * (sliceMm ?? 0) + (perSheet - 1) * wire.kerfMm).toBeLessThanOrEqual(measuredMm + 1e-9);
      expect(slicesOf(measuredMm, sliceMm ?? 0, wire.kerfMm)).toBe(perSheet);
    }
  });

  it('two stocks of one kind are as thin as the thinner', () => {
    const project = hillOn(19.98);
    const [sheet] = project.sheets;
    const [pool] = stockClassesOf({ ...project, sheets: [{ ...sheet, id: 'b', measuredMm: 20.01 }, sheet] });
    expect(pool.sheetIds).toEqual(['b', sheet.id]);
    expect(pool.thinnestMm).toBe(19.98);
  });

  it('what the choice finds in the shed the cutting need not buy', () => {
    for (const measuredMm of [19.98, 20]) {
      const { report } = plan(hillOn(measuredMm));
      const bought = report.stack.sheetsUsed.reduce((sum, { toBuy }) => sum + toBuy, 0);
      const beds = report.cutting.beds.filter(({ kind }) => kind === 'bought');
      expect(new Set(beds.map(({ id }) => id.split('.')[0])).size).toBe(bought);
    }
  });
});
