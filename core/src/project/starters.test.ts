import { describe, expect, it } from 'vitest';
import { plan } from '../planner/index.ts';
import { baseSize } from './base.ts';
import { itemsOf } from './items.ts';
import { parseProject } from './reading/read.ts';
import type { BaseShape } from './schemas/baseSchema.ts';
import { startWith } from './start.ts';
import { beginWith, starters } from './starters.ts';

const begun = (shape: BaseShape, sheetsMm = [30, 20, 10]) =>
  startWith({ name: 'n', startDate: '2027-03-01', shape, sheetsMm, buyable: true, tool: 'knife' });
const shapes: readonly BaseShape[] = [
  { kind: 'rectangle', widthMm: 297, depthMm: 210 },
  { kind: 'rectangle', widthMm: 600, depthMm: 600 },
  { kind: 'round', diameterMm: 200 },
  { kind: 'rectangle', widthMm: 100, depthMm: 400 },
];

describe('a project that is begun by its size and its shed', () => {
  it('has the base, the sheets from the thickest down, the tool, and a section from side to side', () => {
    const { base, sheets, cutting, sections } = begun({ kind: 'round', diameterMm: 240 }, [10, 40]);
    expect(baseSize(base)).toEqual({ widthMm: 240, depthMm: 240 });
    expect(sheets.map(({ nominalMm, buyable }) => [nominalMm, buyable])).toEqual([
      [40, true],
      [10, true],
    ]);
    expect(cutting.tool).toBe('knife');
    expect(sections[0]).toMatchObject({ from: [0, 120], to: [240, 120] });
  });
});

describe('grounds to begin from', () => {
  it('are eight, each with a name and words of its own', () => {
    expect(new Set(starters.map(({ title }) => title)).size).toBe(8);
    expect(new Set(starters.map(({ about }) => about)).size).toBe(8);
  });

  it.each(starters.map((one) => [one.id, one] as const))(
    '%s can be kept on any base, and stays in proportion',
    (_, starter) => {
      for (const shape of shapes) {
        const made = beginWith(begun(shape), starter);
        expect(parseProject(JSON.parse(JSON.stringify(made))).ok).toBe(true);
        expect(itemsOf(made).map(({ name }) => name)).toEqual(starter.draws.map(({ name }) => name));
        const { widthMm, depthMm } = baseSize(made.base);
        for (const item of itemsOf(made))
          for (const [x, y] of item.points) {
            // What is cut by the edge reaches past it a little.
            expect(x).toBeGreaterThanOrEqual(-0.06 * widthMm);
            expect(x).toBeLessThanOrEqual(1.06 * widthMm);
            expect(y).toBeGreaterThanOrEqual(-0.06 * depthMm);
            expect(y).toBeLessThanOrEqual(1.06 * depthMm);
          }
      }
    },
  );

  it.each(starters.map((one) => [one.id, one] as const))('%s has a plan that nothing stops', (_, starter) => {
    const { report } = plan(beginWith(begun(shapes[0]), starter));
    expect(report.stack.layers.length).toBeGreaterThan(0);
    expect(report.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
    // No hill stands higher than half the base is deep.
    expect(report.ground.highestMm).toBeGreaterThan(20);
    expect(report.ground.highestMm).toBeLessThan(105);
  });
});
