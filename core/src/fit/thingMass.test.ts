import { describe, expect, it } from 'vitest';
import { changeItem, drawItem, plan, startProject, type Thing } from '../index.ts';
import { massOfThing } from './thingMass.ts';

const thing = (change: Partial<Thing>): Thing => ({
  kind: 'figure',
  id: 't',
  name: '',
  hidden: false,
  locked: false,
  points: [[50, 50]],
  footMm: 25,
  heightMm: 32,
  marginMm: 0,
  crownMm: null,
  raisedMm: 0,
  ...change,
});

describe('what things weigh, by volume and density worked out by hand', () => {
  it('a figure of 32 mm on a base of 25 mm: a person of 29 mm in resin, and the base in plastic', () => {
    const body = 70_000 * (29 / 1750) ** 3;
    const base = (Math.PI / 4) * 25 ** 2 * 3;
    expect(massOfThing(thing({})).likely).toBeCloseTo(1.2 * body + (1.05 * base) / 1000, 9);
    // Not 40 g: about two.
    expect(massOfThing(thing({})).likely).toBeLessThan(2.2);
  });

  it('grows with the cube of its size; a small one is nearly nothing', () => {
    const small = massOfThing(thing({ heightMm: 10, footMm: 4 })).likely;
    const large = massOfThing(thing({ heightMm: 20, footMm: 8 })).likely;
    expect(large / small).toBeCloseTo(8, 6);
    expect(small).toBeLessThan(0.05);
  });

  it.each([
    // Crown pi/6 x 60^2 x 66.7 mm at 0.02 g/ml, trunk 0.05 x 100^2 / 100.
    ['tree', { kind: 'tree', footMm: 8, heightMm: 100, crownMm: 60 }, (Math.PI / 6) * 3.6 * (200 / 3) * 0.02 + 5],
    ['held-up model', { kind: 'held', footMm: 60, heightMm: 30 }, (Math.PI / 4) * 3.6 * 30 * 0.12],
    // A lorry of 90 x 28 x 40 mm; an aeroplane of two bars 12 mm wide, 100 and 120 mm long, 144 mm2 of them shared.
    [
      'vehicle',
      { kind: 'vehicle', footMm: 28, heightMm: 40, footprint: { kind: 'oblong', longMm: 90, turnDegrees: 33 } },
      9 * 2.8 * 4 * 0.35,
    ],
    [
      'model with wings',
      {
        kind: 'held',
        footMm: 120,
        heightMm: 20,
        footprint: { kind: 'cross', longMm: 100, armMm: 12, turnDegrees: 10 },
      },
      (12 * 100 + 12 * 120 - 144) * 0.02 * 0.12,
    ],
    ['other thing', { kind: 'stood', footMm: 20, heightMm: 40 }, (Math.PI / 4) * 0.4 * 40 * 0.3],
  ] as const)('a %s', (_, change, grams) => {
    const { low, likely, high } = massOfThing(thing(change));
    expect(likely).toBeCloseTo(grams, 9);
    expect(low).toBeLessThan(likely);
    expect(high).toBeGreaterThan(likely);
  });

  it('what the builder weighed counts as it is', () => {
    expect(massOfThing(thing({ massG: 31 }))).toEqual({ low: 31, likely: 31, high: 31 });
  });

  it('counts in the weight, its parts, and where it all balances', () => {
    const start = startProject('w', '2027-03-01', 'ground');
    const base = { ...start.base, shape: { kind: 'rectangle' as const, widthMm: 100, depthMm: 100 } };
    const slab = drawItem({ ...start, base }, 'spot', [[50, 50]], 20).project;
    const { project } = drawItem(slab, 'stood', [[90, 50]], 20);
    const heavy = changeItem(project, project.things[0].id, { massG: 500, heightMm: 40 });
    const [without, along] = [plan(slab).report, plan(heavy).report];
    expect(along.mass.totalG.likely - without.mass.totalG.likely).toBeCloseTo(500, 6);
    expect(along.breakdown.find(({ part }) => part === 'standing on it')?.massG.likely).toBe(500);
    const moment = (report: typeof along) => (report.balance?.massG ?? 0) * (report.balance?.at[0] ?? 0);
    expect(moment(along) - moment(without)).toBeCloseTo(500 * 90, 0);
  });
});
