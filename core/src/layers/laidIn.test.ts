import { describe, expect, it } from 'vitest';
import { drawItem, type ItemKind, type Laid, startProject } from '../project/index.ts';
import { groundFrom } from '../testing/solids.ts';
import { evenSkin, layIn, targetOf } from './index.ts';

const box: [number, number][] = [
  [30, 20],
  [70, 20],
  [70, 50],
  [30, 50],
];
const thing = (kind: ItemKind, change: object): Laid =>
  drawItem(startProject('laid', '2027-03-01', 'ground'), kind, box, 0, { smooth: false, ...change }).project.laid[0];

describe('a thing laid in the ground', () => {
  const flat = groundFrom(100, 80, () => 30);
  const target = targetOf(flat, evenSkin(3));

  it('a block of 40 x 30 bedded 8 in flat ground at 30: 3 mm of skin and 5 mm of foam make room', () => {
    const [read] = layIn({ laid: [thing('building', { heightMm: 50, beddedMm: 8 })], landforms: [] }, flat, target);
    expect(read).toMatchObject({ groundMm: 30, undersideMm: 22, topMm: 72, unevenMm: 0 });
    expect(read.foamMl).toBeCloseTo((40 * 30 * 5) / 1000, 6);
    expect(read.skinMl).toBeCloseTo((40 * 30 * 3) / 1000, 6);
  });

  it('a flat stone that does not come out of the ground takes no more room than it has', () => {
    const [read] = layIn({ laid: [thing('slate', { heightMm: 4, beddedMm: 10 })], landforms: [] }, flat, target);
    // From 20 up to 24, all in foam.
    expect(read.topMm).toBe(24);
    expect(read.foamMl).toBeCloseTo((40 * 30 * 4) / 1000, 6);
    expect(read.skinMl).toBe(0);
  });

  it('bedded deeper than the ground is high it stands on the board', () => {
    const [read] = layIn({ laid: [thing('cast', { heightMm: 40, beddedMm: 90 })], landforms: [] }, flat, target);
    expect(read.undersideMm).toBe(0);
    expect(read.foamMl).toBeCloseTo((40 * 30 * 27) / 1000, 6);
  });

  it('weighs its own density where one is given, the usual solid share of its kind otherwise', () => {
    const [own] = layIn(
      { laid: [thing('rock', { heightMm: 20, beddedMm: 5, densityKgL: 2.5 })], landforms: [] },
      flat,
      target,
    );
    expect(own.massG).toEqual({ low: 60, likely: 60, high: 60 });
    const [usual] = layIn(
      { laid: [thing('rock', { heightMm: 20, beddedMm: 5, densityKgL: null })], landforms: [] },
      flat,
      target,
    );
    // 24 ml of box, 0.6 of it stone at 2.65.
    expect(usual.massG.likely).toBeCloseTo(24 * 0.6 * 2.65, 6);
    expect(usual.massG.low).toBeLessThan(usual.massG.likely);
    expect(usual.massG.high).toBeGreaterThan(usual.massG.likely);
  });

  it('on a slope it stands at the middle height, and tells how uneven that is', () => {
    const slope = groundFrom(100, 80, (x) => x / 4);
    const [read] = layIn(
      { laid: [thing('building', { heightMm: 50, beddedMm: 0 })], landforms: [] },
      slope,
      targetOf(slope, evenSkin(3)),
    );
    expect(read.groundMm).toBeCloseTo(12.5, 0);
    expect(read.unevenMm).toBeCloseTo(10 - 0.25, 6);
  });

  it('off the base it is left out; half on it, only that half makes room', () => {
    const move = (by: number) => ({ points: box.map(([x, y]): [number, number] => [x + by, y]) });
    expect(layIn({ laid: [{ ...thing('rock', {}), ...move(200) }], landforms: [] }, flat, target)).toEqual([]);
    const [half] = layIn(
      { laid: [{ ...thing('building', { heightMm: 50, beddedMm: 8 }), ...move(50) }], landforms: [] },
      flat,
      target,
    );
    expect(half.foamMl).toBeCloseTo((20 * 30 * 5) / 1000, 6);
  });
});
