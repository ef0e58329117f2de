import { describe, expect, it } from 'vitest';
import { type Hypsometry, hypsometryOf } from '../geometry/index.ts';
import { frustumGround } from '../testing/frustum.ts';
import { groundFrom } from '../testing/solids.ts';
import { modelOf, numbers, pool } from '../testing/stackModel.ts';
import {
  beats,
  criteria,
  farApart,
  frontOf,
  graphOf,
  layOn,
  type StackModel,
  type Step,
  type Totals,
  totalsOf,
} from './index.ts';

const curves: Hypsometry[] = [
  frustumGround(2),
  groundFrom(150, 150, (x, y) => Math.max(0, 55 - 0.8 * Math.hypot(x - 60, y - 80)), 2),
].map(({ grid, coverage }) => hypsometryOf(grid, coverage));

function everyStack(model: StackModel): Totals[] {
  const found: Totals[] = [];
  const go = (steps: Step[]) => {
    const totals = totalsOf(model, steps);
    if (totals.usedMm2.some((mm2, k) => !model.stock[k].buyable && mm2 > model.stock[k].ownedMm2)) return;
    found.push(totals);
    for (const option of model.options) {
      const step = layOn(model, option, steps.at(-1)?.topMm ?? 0);
      if (step) go([...steps, step]);
    }
  };
  go([]);
  return found;
}

const written = (totals: Totals) => criteria.map((key) => totals[key].toFixed(4)).join(' ');

/** No worse in anything by more than so much of its unit. */
const asGood = (a: Totals, b: Totals, within: number): boolean =>
  criteria.every((key) => a[key] <= b[key] + (key === 'layers' || key === 'bought' ? 0.005 : within));

describe('the trade-off front', () => {
  it('lists no stack that another beats, and leaves none out: 24 cases against every stack there is', () => {
    for (let seed = 1; seed <= 24; seed++) {
      const next = numbers(seed);
      const curve = curves[seed % curves.length];
      const pools = [8, 12.7, 19.6, 25.4, 30]
        .filter(() => next() < 0.5)
        .slice(-3)
        .map((mm, k) =>
          pool(mm, next() < 0.5 ? 1e9 : 40000 + next() * 60000, {
            sheetIds: [`k${k}`],
            ...(next() < 0.4 && { buyable: true, pricePerMm2: 1e-5 }),
          }),
        );
      const graphs = [0, 0.5, 1].map((alpha) => {
        const model = modelOf(curve, alpha, pools, { pins: [{ heightMm: 22, area: 0 }] });
        return { label: alpha, graph: graphOf(model) };
      });
      const front = frontOf(graphs);
      const all = graphs.flatMap(({ graph }) => everyStack(graph.model));
      const leastLow = Math.min(...all.map(({ tooLowMm }) => tooLowMm));
      const reachable = all.filter(({ tooLowMm }) => tooLowMm <= leastLow + 1e-6);
      const listed = front.candidates.filter(({ beaten }) => !beaten).map(({ totals }) => totals);
      expect(front.complete, `case ${seed}`).toBe(true);
      const known = new Set(reachable.map(written));
      for (const one of listed) {
        expect(known.has(written(one)), `case ${seed}`).toBe(true);
        // At what a builder can see no listed stack is as good as another in everything.
        for (const other of listed) if (other !== one) expect(asGood(other, one, 0.1), `case ${seed}`).toBe(false);
      }
      for (const one of reachable)
        expect(
          listed.some((other) => asGood(other, one, 0.2)),
          `case ${seed}`,
        ).toBe(true);
    }
  });

  it('of many stacks about a dozen are shown, each far from every other, those asked for first', () => {
    const high = hypsometryOf(groundFrom(300, 200, (x) => Math.min(120, x), 2).grid, null);
    const graphs = [0, 0.5, 1].map((alpha) => ({
      label: alpha,
      graph: graphOf(
        modelOf(
          high,
          alpha,
          [10, 19.6, 30].map((mm) => pool(mm)),
        ),
      ),
    }));
    const totals = frontOf(graphs)
      .candidates.filter(({ beaten }) => !beaten)
      .map((one) => one.totals);
    expect(totals.length).toBeGreaterThan(12);
    const shown = farApart(totals, [3, 5], 12);
    expect(shown.slice(0, 2)).toEqual([3, 5]);
    expect(shown.length).toBeLessThanOrEqual(12);
    expect(new Set(shown).size).toBe(shown.length);
    const spans = criteria.map(
      (key) => Math.max(...totals.map((one) => one[key])) - Math.min(...totals.map((one) => one[key])),
    );
    for (const a of shown.slice(2))
      for (const b of shown)
        if (a !== b)
          expect(
            Math.max(
              ...criteria.map((key, k) => (spans[k] ? Math.abs(totals[a][key] - totals[b][key]) / spans[k] : 0)),
            ),
          ).toBeGreaterThan(0.04);
  });

  it('many kinds to a great height: not every stack is weighed, which it says; and none listed as unbeaten beats another', () => {
    const high = hypsometryOf(groundFrom(300, 200, (x) => Math.min(300, 2 * x), 2).grid, null);
    const pools = [10, 19.6, 20, 25.4, 30, 50.8].map((mm) => pool(mm));
    const front = frontOf([{ label: 0, graph: graphOf(modelOf(high, 0.5, pools)) }]);
    expect(front.complete).toBe(false);
    const unbeaten = front.candidates.filter(({ beaten }) => !beaten);
    expect(unbeaten.length).toBeGreaterThan(20);
    for (const a of unbeaten) expect(unbeaten.some((b) => beats(b.totals, a.totals))).toBe(false);
  });
});
