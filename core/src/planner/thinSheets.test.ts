import { describe, expect, it } from 'vitest';
import { drawItem, type Project, startProject, withThinSheets } from '../project/index.ts';
import { plan } from './plan.ts';

/** A small piece: a knoll of two steps on a square base. */
function knoll(sideMm: number): Project {
  const start = startProject('Knoll', '2027-03-01');
  const base = { ...start.base, shape: { kind: 'rectangle' as const, widthMm: sideMm, depthMm: sideMm } };
  let project: Project = { ...start, base };
  for (const [half, heightMm] of [
    [40, 5],
    [22, 12],
  ]) {
    const [a, b] = [sideMm / 2 - half, sideMm / 2 + half];
    const ring: Parameters<typeof drawItem>[2] = [
      [a, a],
      [b, a],
      [b, b],
      [a, b],
    ];
    project = drawItem(project, 'pad', ring, heightMm, { bankDegrees: 60 }).project;
  }
  return project;
}
const noted = (project: Project) => plan(project).report.findings.find(({ code }) => code === 'thick-for-its-size');

describe('a small base', () => {
  it('of 100 mm is planned in card: as many sheets as its height needs, the lower flat on a joint, nothing left of thick foam', () => {
    expect(noted(knoll(100))?.message).toBe(
      'A base of 100 mm by 100 mm is usually built of thin sheets; the shed has none.',
    );
    const project = withThinSheets(knoll(100));
    const { report } = plan(project);
    expect(report.findings.find(({ code }) => code === 'thick-for-its-size')).toBeUndefined();
    const { layers, topMm } = report.stack;
    expect(layers.length).toBeGreaterThanOrEqual(2);
    for (const { thicknessMm } of layers) expect(thicknessMm).toBeLessThanOrEqual(5);
    // No more than three steps of 1 mm are left to paste under 12 mm.
    expect(topMm).toBeGreaterThanOrEqual(9);
    expect(layers[0].topMm).toBeCloseTo(5, 6);
    const thick = plan(knoll(100)).report.stack;
    expect(report.stack.carveMl).toBeLessThan(0.3 * thick.carveMl);
  });

  it('is not told where it is larger, where thin sheets are there, or where nothing is drawn', () => {
    expect(noted(knoll(150))).toBeUndefined();
    const card = { ...knoll(100).sheets[0], nominalMm: 5 };
    expect(noted({ ...knoll(100), sheets: [card] })).toBeUndefined();
    expect(noted({ ...knoll(100), landforms: [] })).toBeUndefined();
  });
});
