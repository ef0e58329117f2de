import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { plan } from '../planner/index.ts';
import { parseProject, readProject } from '../project/index.ts';
import { testPieceOf } from './testPiece.ts';

const read = readProject(readFileSync(new URL('../../../samples/harl-quarry.hosket.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(read.fault.message);
const quarry = read.value;
const { report } = plan({ ...quarry, zones: { rules: [], rest: 'heather' } });
const piece = testPieceOf(quarry, report);

describe('a test piece', () => {
  it('is a sound project of 100 x 100 mm with the work of the real one', () => {
    expect(parseProject(piece)).toMatchObject({ ok: true });
    expect(piece.base.shape).toEqual({ kind: 'rectangle', widthMm: 100, depthMm: 100 });
    expect(piece.surface).toEqual(quarry.surface);
    expect(piece.sheets).toEqual(quarry.sheets);
  });

  it('has a strip of every cover that the real one wears, side by side over the whole width', () => {
    const covers = new Set(report.zones.filter(({ percent }) => percent >= 0.5).map(({ cover }) => cover));
    const zones = plan(piece).report.zones.filter(({ by }) => by === 'outline');
    expect(new Set(zones.map(({ cover }) => cover))).toEqual(covers);
    expect(zones.reduce((sum, { percent }) => sum + percent, 0)).toBeCloseTo(100, 6);
  });

  it('has a joint in its slope, and the slope is as steep as the real ground in the mean', () => {
    const small = plan(piece).report;
    const stack = small.schools.find(({ school }) => school === small.chosen);
    const [joint] = stack?.layers ?? [];
    expect(stack?.layers.length).toBeGreaterThan(1);
    expect(joint.topMm).toBeGreaterThan(small.ground.lowestMm);
    expect(joint.topMm).toBeLessThan(small.ground.highestMm);
    const ys = piece.marks.map(({ points: [[, y]] }) => y);
    const rise = small.ground.highestMm - small.ground.lowestMm;
    const degrees = (Math.atan(rise / (ys[2] - ys[1])) * 180) / Math.PI;
    expect(degrees).toBeGreaterThanOrEqual(report.ground.meanSlopeDegrees - 1);
  });
});
