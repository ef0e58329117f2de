import { describe, expect, it } from 'vitest';
import { gridOver, type Ring } from '../geometry/index.ts';
import { smallPlan, smallSection } from './drawings.ts';
import type { BenchSheet } from './sheet.ts';

/** A base of 100 x 60 mm, its right half a plateau of 20 mm in a zone of its own, on one layer of 10 mm. */
const outline: Ring = [
  [0, 0],
  [100, 0],
  [100, 60],
  [0, 60],
];
const ground = gridOver(100, 60, 2);
for (let n = 0; n < ground.values.length; n++) ground.values[n] = (n % ground.columns) * 2 >= 50 ? 20 : 10;
const columns = ground.columns - 1;
const rows = ground.rows - 1;
const zone = Uint8Array.from({ length: columns * rows }, (_, cell) => (cell % columns >= columns / 2 ? 1 : 0));
const sheet = {
  outline,
  ground,
  zones: { columns, rows, cellMm: 2, zone },
  layers: [{ bottomMm: 0, topMm: 10, pieces: [{ outer: outline, holes: [] }] }],
  section: { name: 'A', from: [0, 30], to: [100, 30] },
} as unknown as BenchSheet;

describe('where a stage is, in small', () => {
  it('the plan keeps its proportions and fits its room', () => {
    const plan = smallPlan(sheet, new Set([1]), 50, 40);
    expect(plan.widthMm / plan.heightMm).toBeCloseTo(100 / 60, 9);
    expect(plan.widthMm).toBeLessThanOrEqual(50 + 1e-9);
    expect(plan.heightMm).toBeLessThanOrEqual(40);
  });

  it('hatches its zones and nothing else', () => {
    const plan = smallPlan(sheet, new Set([1]), 50, 40);
    const hatch = plan.strokes.filter(({ pen }) => pen === 'below');
    expect(hatch.length).toBeGreaterThan(10);
    for (const { points } of hatch) for (const [x] of points) expect(x).toBeGreaterThanOrEqual(plan.widthMm / 2 - 1e-9);
    expect(smallPlan(sheet, new Set(), 50, 40).strokes.filter(({ pen }) => pen === 'below')).toEqual([]);
  });

  it('without zones the layers are drawn', () =>
    expect(smallPlan(sheet, new Set(), 50, 40).strokes.filter(({ pen }) => pen === 'outline')).toHaveLength(1));

  it('the section has the layer, the ground, and a mark along the zones of the stage', () => {
    const section = smallSection(sheet, new Set([1]), 100, 45);
    const scale = section.widthMm / 100;
    const [layer] = section.strokes.filter(({ pen }) => pen === 'joint');
    expect(Math.max(...layer.points.map(([, y]) => y))).toBeCloseTo(10 * scale, 6);
    const [line] = section.strokes.filter(({ pen }) => pen === 'ground');
    expect(line.points[0][1]).toBeCloseTo(10 * scale, 6);
    expect(line.points.at(-1)?.[1]).toBeCloseTo(20 * scale, 6);
    const [mark] = section.strokes.filter(({ pen }) => pen === 'seam');
    expect(mark.points[0][0]).toBeGreaterThan(section.widthMm * 0.48);
    expect(smallSection(sheet, new Set(), 100, 45).strokes.filter(({ pen }) => pen === 'seam')).toEqual([]);
  });
});
