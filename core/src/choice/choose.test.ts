import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { type Plan, type Project, plan, readProject, wishes } from '../index.ts';

const sample = (name: string): Project => {
  const read = readProject(readFileSync(new URL(`../../../samples/${name}.hosket.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.fault.message);
  return read.value;
};
const quarry = sample('harl-quarry');
const planned: Record<string, Plan> = {};
const planOf = (name: string): Plan => {
  planned[name] ??= plan(sample(name));
  return planned[name];
};

describe.each(['harl-quarry', 'vessa-terraces', 'tarrow-moor'])('%s: what else could be built', (name) => {
  const { report, weigh } = planOf(name);
  const { proposals } = report.front;
  const best = (wish: (typeof wishes)[number]) => proposals.find(({ names }) => names.includes(wish));

  it('there is a best for every wish, and nothing listed is better in what was wished for', () => {
    const least = (pick: (p: (typeof proposals)[number]) => number) => Math.min(...proposals.map(pick));
    expect(best('fewest layers')?.totals.layers).toBe(least(({ totals }) => totals.layers));
    expect(best('least carving')?.totals.carveMl).toBeCloseTo(
      least(({ totals }) => totals.carveMl),
      1,
    );
    expect(best('least paste')?.totals.fillMl).toBeLessThan(least(({ totals }) => totals.fillMl) + 0.01);
    expect(best('lightest')?.totals.massG).toBeLessThan(least(({ totals }) => totals.massG) + 0.01);
    expect(best('soonest dry')?.dryHours).toBeLessThan(least(({ dryHours }) => dryHours) + 0.06);
    expect(best('least bought')?.totals.bought).toBe(0);
    const own = proposals.filter(({ school }) => school === report.chosen);
    expect(best('least cost')?.costMin).toBeCloseTo(Math.min(...own.map(({ costMin }) => costMin)), 6);
  });

  it('weighed to its days, what is soonest dry is dry no later than any other best', () => {
    const of = (wish: (typeof wishes)[number]) => {
      const offer = best(wish);
      return offer && weigh(offer.school, offer.layers);
    };
    const soonest = of('soonest dry');
    for (const wish of wishes)
      expect((soonest?.finish?.likely ?? 'never') <= (of(wish)?.finish?.likely ?? '')).toBe(true);
  });

  it('the estimate of drying lies near what the lattice says', () => {
    for (const wish of wishes) {
      const offer = best(wish);
      const weighed = offer && weigh(offer.school, offer.layers);
      if (!offer || !weighed) throw new Error(wish);
      // A night until the joints hold first; read from half millimetres of height and mean slopes.
      const shown = weighed.pasteDryHours.likely + 12;
      expect(offer.dryHours / shown).toBeGreaterThan(0.6);
      expect(offer.dryHours / shown).toBeLessThan(1.4);
      for (const key of ['carveMl', 'fillMl', 'massG', 'deepMm', 'bought'] as const)
        expect(weighed.totals[key]).toBeCloseTo(offer.totals[key], 6);
    }
  });
});

describe('the stack that is built', () => {
  it('follows a wish over all schools', () => {
    const { report } = plan({ ...quarry, stacking: { ...quarry.stacking, wish: 'least paste' } });
    const wished = report.front.proposals.find(({ names }) => names.includes('least paste'));
    expect(report.stack.written).toEqual(wished?.layers);
    expect(report.chosen).toBe(wished?.school);
    expect(report.stack.costMin).toBeCloseTo(wished?.costMin ?? 0, 6);
  });

  it('settled by hand it is what was written, and costs more than the best', () => {
    const { stack } = planOf('harl-quarry').report;
    const byHand = [...stack.written].reverse();
    const { report } = plan({ ...quarry, stack: { ...quarry.stack, byHand } });
    expect(report.stack.written).toEqual(byHand);
    expect(report.stack.byHand).toBe(true);
    expect(report.stack.best.costMin).toBeCloseTo(stack.costMin, 6);
    expect(report.stack.costMin).toBeGreaterThanOrEqual(stack.costMin - 1e-6);
  });

  it('a pinned layer stays while the rest is chosen again', () => {
    const { stack } = planOf('harl-quarry').report;
    const pin = { ...stack.written[2], fromMm: stack.layers[2].fromMm };
    const dear = { ...quarry.stacking, costs: { ...quarry.stacking.costs, perLayerMin: 90 } };
    const pinned = plan({ ...quarry, stacking: dear, stack: { ...quarry.stack, pinned: [pin] } }).report.stack;
    const at = pinned.pinned.indexOf(true);
    expect(pinned.layers[at].fromMm).toBeCloseTo(pin.fromMm, 6);
    expect(pinned.written[at]).toEqual(stack.written[2]);
    expect(pinned.costMin).toBeGreaterThan(pinned.best.costMin);
  });

  it('offcuts and sheets of one thickness serve together, offcuts first', () => {
    const offcut = {
      id: 'rest',
      name: 'Rest',
      sheetId: 'dense-20',
      outline: { kind: 'rectangle' as const, widthMm: 430, depthMm: 300 },
      place: '',
    };
    const plain = planOf('harl-quarry').report.stack.sheetsUsed;
    const used = plan({ ...quarry, offcuts: [offcut] }).report.stack.sheetsUsed;
    const of = (list: typeof used) => list.find(({ sheetId }) => sheetId === 'dense-20');
    expect(of(used)?.areaMm2).toBeCloseTo(of(plain)?.areaMm2 ?? 0, 3);
    // The largest piece lies on it.
    expect(of(used)?.sheets).toBe((of(plain)?.sheets ?? 0) - 1);
  });
});
