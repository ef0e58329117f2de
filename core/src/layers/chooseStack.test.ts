import createHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { type Hypsometry, hypsometryOf, volumeAbove } from '../geometry/index.ts';
import { frustumGround } from '../testing/frustum.ts';
import { groundFrom } from '../testing/solids.ts';
import { chooseStack, endCost, layOn, type SheetKind, type Stack, type StackRule, stepCost } from './chooseStack.ts';

/** Repeatable numbers between 0 and 1 (Park and Miller's minimal standard). */
function numbers(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 16807) % 2147483647;
    return state / 2147483647;
  };
}

const rule = (alpha: number, costs = { perLayerMin: 15, carveMinPerL: 30, fillMinPerL: 240 }): StackRule => ({
  alpha,
  glueLineMm: 0.1,
  leastStepMm: 3,
  mostFillMm: 15,
  costs,
});
const curves: Hypsometry[] = [
  frustumGround(2),
  groundFrom(160, 120, (x, y) => 20 + 18 * Math.sin(x / 19) + 0.12 * y, 2),
  groundFrom(150, 150, (x, y) => Math.max(0, 55 - 0.8 * Math.hypot(x - 60, y - 80)), 2),
].map(({ grid, coverage }) => hypsometryOf(grid, coverage));

/** Every sequence of sheets that the rule and the stock allow, with the least cost found. */
function exhaustive(curve: Hypsometry, kinds: readonly SheetKind[], how: StackRule): number {
  let best = Number.POSITIVE_INFINITY;
  const go = (fromMm: number, cost: number, used: number[]) => {
    best = Math.min(best, cost + endCost(curve, fromMm, how));
    kinds.forEach((kind, k) => {
      const step = layOn(curve, kind, fromMm, how);
      if (!step || used[k] + step.areaMm2 > kind.availableMm2) return;
      go(step.topMm, cost + stepCost(step, how), used.with(k, used[k] + step.areaMm2));
    });
  };
  go(
    0,
    0,
    kinds.map(() => 0),
  );
  return best;
}

/** Layers and end together, as the search weighs them. */
const wholeCost = (curve: Hypsometry, { steps }: Stack, how: StackRule) =>
  steps.reduce((sum, step) => sum + stepCost(step, how), 0) + endCost(curve, steps.at(-1)?.topMm ?? 0, how);

function randomCase(seed: number) {
  const next = numbers(seed);
  const curve = curves[seed % curves.length];
  const kinds = Array.from(
    { length: 2 + Math.floor(next() * 2) },
    (_, k): SheetKind => ({
      id: `k${k}`,
      thicknessMm: [8, 10, 12.7, 19.6, 20, 25.4, 30][Math.floor(next() * 7)],
      availableMm2: next() < 0.5 ? 1e9 : 5000 + next() * 60000,
    }),
  );
  const how = rule([0, 0.5, 1][Math.floor(next() * 3)], {
    perLayerMin: 2 + next() * 30,
    carveMinPerL: next() * 120,
    fillMinPerL: 20 + next() * 400,
  });
  return { curve, kinds, how };
}

describe('the stack chosen costs least', () => {
  it('against every sequence of sheets, 60 random cases with scarce and plenty stocks', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const { curve, kinds, how } = randomCase(seed);
      const chosen = chooseStack(curve, kinds, how);
      expect(Math.abs(wholeCost(curve, chosen, how) - exhaustive(curve, kinds, how)), `case ${seed}`).toBeLessThan(
        1e-6,
      );
    }
  });

  it('against an integer program: cheapest path through the heights within the stock, solved by highs', async () => {
    const highs = await createHighs();
    for (let seed = 101; seed <= 112; seed++) {
      // Without the weight on deep paste, whose size would drown the minutes in the solver's tolerance.
      const { curve, kinds, how: all } = randomCase(seed);
      const how = { ...all, mostFillMm: 1e6 };
      // Heights as nodes, layers as arcs; an end arc pays the fill above. One unit flows from the board to the end.
      const nodes = [0];
      const arcs: { from: number; to: number; cost: number; kind: number; area: number }[] = [];
      for (let n = 0; n < nodes.length; n++)
        kinds.forEach((kind, k) => {
          const step = layOn(curve, kind, nodes[n], how);
          if (!step) return;
          let to = nodes.findIndex((height) => Math.abs(height - step.topMm) < 1e-6);
          if (to < 0) to = nodes.push(step.topMm) - 1;
          arcs.push({ from: n, to, cost: stepCost(step, how), kind: k, area: step.areaMm2 });
        });
      if (nodes.length > 120) continue;
      const ends = nodes.map((height) => endCost(curve, height, how));
      const terms = [...arcs.map((arc, a) => `${arc.cost} x${a}`), ...ends.map((cost, n) => `${cost} e${n}`)];
      const flow = nodes.map((_, n) => {
        const out = [...arcs.flatMap((arc, a) => (arc.from === n ? [`+ x${a}`] : [])), `+ e${n}`];
        const into = arcs.flatMap((arc, a) => (arc.to === n ? [`- x${a}`] : []));
        return `f${n}: ${[...out, ...into].join(' ')} = ${n === 0 ? 1 : 0}`;
      });
      const stock = kinds.flatMap((kind, k) => {
        const used = arcs.flatMap((arc, a) => (arc.kind === k ? [`+ ${arc.area} x${a}`] : []));
        return used.length ? [`s${k}: ${used.join(' ')} <= ${kind.availableMm2}`] : [];
      });
      const names = [...arcs.map((_, a) => `x${a}`), ...ends.map((_, n) => `e${n}`)];
      const model = `Minimize\n obj: ${terms.join(' + ')}\nSubject To\n ${[...flow, ...stock].join('\n ')}\nBinary\n ${names.join(' ')}\nEnd`;
      const solved = highs.solve(model);
      expect(solved.Status).toBe('Optimal');
      expect(Math.abs(solved.ObjectiveValue - chooseStack(curve, kinds, how).costMin), `case ${seed}`).toBeLessThan(
        1e-4,
      );
    }
  });
});

describe('limits of the stock', () => {
  const [curve] = curves;
  it('no sheets: everything is fill', () => {
    const none = chooseStack(curve, [], rule(0.5));
    expect(none.steps).toEqual([]);
    expect(none.capMl).toBeCloseTo(volumeAbove(curve, 0) / 1000, 6);
  });

  it('never takes more of a kind than there is', () => {
    const scarce: SheetKind = { id: 'scarce', thicknessMm: 20, availableMm2: 60000 };
    const plenty: SheetKind = { id: 'plenty', thicknessMm: 10, availableMm2: 1e9 };
    const { steps } = chooseStack(
      curve,
      [scarce, plenty],
      rule(0.5, { perLayerMin: 60, carveMinPerL: 1, fillMinPerL: 400 }),
    );
    const used = steps.filter((step) => step.kind.id === 'scarce').reduce((sum, step) => sum + step.areaMm2, 0);
    expect(used).toBeGreaterThan(0);
    expect(used).toBeLessThanOrEqual(60000);
  });

  it('lays another small layer rather than leaving a summit to deep paste, however dear layers are', () => {
    const dear = rule(0.5, { perLayerMin: 500, carveMinPerL: 1, fillMinPerL: 1 });
    const { steps } = chooseStack(curve, [{ id: 'a', thicknessMm: 20, availableMm2: 1e9 }], dear);
    expect(curve.highestMm - (steps.at(-1)?.topMm ?? 0)).toBeLessThanOrEqual(15);
  });

  it('leaves a rest thinner than the least step to paste', () => {
    const { steps } = chooseStack(curve, [{ id: 'a', thicknessMm: 20, availableMm2: 1e9 }], {
      ...rule(0),
      glueLineMm: 0,
      leastStepMm: 5,
    });
    expect(steps.at(-1)?.topMm).toBeCloseTo(60, 9);
  });
});
