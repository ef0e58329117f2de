import createHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { areaAbove, type Hypsometry, hypsometryOf, LEVEL_STEP_MM, volumeAbove } from '../geometry/index.ts';
import { groundFrom } from '../testing/solids.ts';
import { modelOf, numbers, pool } from '../testing/stackModel.ts';
import {
  areaAboveMoved,
  cheapest,
  costOf,
  endAt,
  farEnough,
  type GivenLevel,
  graphOf,
  layOn,
  type StackModel,
  type Step,
  type StockClass,
  TOO_LOW_PER_MM,
  totalsOf,
  volumeAboveMoved,
  type Weights,
} from './index.ts';

/** Benches one over the other with slopes between; two islands of benches; a hill without any. Each with the heights of its flats. */
const benched = (heights: readonly number[], treadMm: number, runMm: number) => (at: number) => {
  let height = heights[0];
  for (let k = 1, from = treadMm; k < heights.length; k++, from += treadMm + runMm)
    height += Math.min(1, Math.max(0, (at - from) / runMm)) * (heights[k] - heights[k - 1]);
  return height;
};
const grounds: readonly { flats: readonly number[]; height: (x: number, y: number) => number }[] = [
  { flats: [11.3, 23.3, 31.5, 44.2], height: (x) => benched([11.3, 23.3, 31.5, 44.2], 30, 20)(x) },
  {
    flats: [9, 18.4, 26.8],
    height: (x, y) => (y < 70 ? benched([0, 9, 18.4], 25, 40)(x) : benched([9, 26.8], 80, 15)(x)),
  },
  { flats: [14, 22], height: (x, y) => 20 + 18 * Math.sin(x / 19) + 0.12 * y },
];
const curves: Hypsometry[] = grounds.map(({ height }) => {
  const { grid, coverage } = groundFrom(180, 140, height, 2);
  return hypsometryOf(grid, coverage);
});

const grid = (mm: number) => Math.round(mm / LEVEL_STEP_MM) * LEVEL_STEP_MM;

interface Case {
  model: StackModel;
  weights: Weights;
}

function randomCase(seed: number, mostLevels: number, groups: boolean): Case {
  const next = numbers(seed * 7919 + 13);
  for (let k = 0; k < 5; k++) next();
  const curve = curves[seed % curves.length];
  const thick = [6, 8, 10, 12, 15, 20];
  const stock = Array.from(
    { length: 1 + Math.floor(next() * 2.5) },
    (_, k): StockClass =>
      pool(thick[Math.floor(next() * 6)], next() < 0.7 ? 1e9 : 15000 + next() * 60000, { sheetIds: [`k${k}`] }),
  );
  const { flats } = grounds[seed % curves.length];
  const levels = [...flats, ...(next() < 0.3 ? [flats[flats.length - 1] + 4] : [])]
    .filter((mm) => mm < curve.highestMm + 1)
    .slice(0, mostLevels)
    .map((mm): GivenLevel => {
      const give = next() < 0.8 ? grid(1 + next() * 4) : 0;
      return { heightMm: grid(mm), downMm: give, upMm: next() < 0.7 ? give : 0, together: null };
    });
  if (groups && levels.length > 1) {
    const mates = next() < 0.5 ? [0, 1] : [0, levels.length - 1];
    for (const k of mates) levels[k].together = 1;
  }
  const model = modelOf(curve, [0, 0.5, 1][Math.floor(next() * 3)], stock, {
    flats: levels.map(({ heightMm }) => ({ heightMm, areaMm2: 500 + next() * 8000 })),
    levels,
    movePerLevelMin: next() * 2,
    movePerMmMin: next(),
    mostFillMm: 1e6,
    glueLineMm: next() < 0.5 ? 0 : 0.1,
  });
  const weights: Weights = {
    perLayer: 2 + next() * 20,
    perOutlineM: 0,
    perGluedDm2: 0,
    carvePerM: 0,
    carvePerL: 20 + next() * 300,
    fillPerL: 20 + next() * 400,
    offPerMm: 0,
    perFlatDm2: next() < 0.5 ? next() * 10 : 0,
    perKg: 0,
    perMoney: 0,
    perM2: 0,
  };
  return { model, weights };
}

/** The curve of a target whose levels were moved, written out height by height from the top down. */
function movedCurve(curve: Hypsometry, was: readonly number[], now: readonly number[]): Hypsometry {
  const before = (h: number) => {
    let k = 0;
    while (k + 1 < now.length && h >= now[k + 1]) k++;
    const stretch = k + 1 < now.length ? (now[k + 1] - now[k]) / (was[k + 1] - was[k]) : 1;
    return { at: was[k] + (h - now[k]) / stretch, stretch };
  };
  const highestMm = curve.highestMm + (now.at(-1) ?? 0) - (was.at(-1) ?? 0);
  const count = Math.ceil(highestMm / LEVEL_STEP_MM) + 3;
  const areaMm2 = new Float64Array(count);
  const volumeMm3 = new Float64Array(count);
  for (let k = count - 1; k >= 0; k--) {
    const { at, stretch } = before(k * LEVEL_STEP_MM);
    areaMm2[k] = areaAbove(curve, at);
    // All knots lie on steps, so that a step lies within one part.
    if (k + 1 < count)
      volumeMm3[k] =
        volumeMm3[k + 1] + stretch * (volumeAbove(curve, at) - volumeAbove(curve, at + LEVEL_STEP_MM / stretch));
  }
  return { areaMm2, volumeMm3, highestMm };
}

/** Heights that any row of options reaches. */
function jointsOf({ options, glueLineMm, highestMm, levels }: StackModel): Set<number> {
  const top = highestMm + Math.max(...levels.map(({ upMm }) => upMm), 0) + 25;
  const found = new Set<number>();
  const go = (fromMm: number) => {
    for (const { thicknessMm } of options) {
      const to = Math.round((fromMm + glueLineMm + thicknessMm) / LEVEL_STEP_MM);
      if (to * LEVEL_STEP_MM > top || found.has(to)) continue;
      found.add(to);
      go(to * LEVEL_STEP_MM);
    }
  };
  go(0);
  return found;
}

/** The least cost over every set of moves and every stack on the ground so moved. */
function leastByHand({ model, weights }: Case): number {
  const joints = jointsOf(model);
  const { levels } = model;
  const step = (mm: number) => Math.round(mm / LEVEL_STEP_MM);
  const allows = ({ downMm, upMm }: GivenLevel, by: number) => by >= -downMm - 1e-6 && by <= upMm + 1e-6;
  const bys = levels.map((level) => {
    const mates = levels.filter((one) => one === level || (one.together !== null && one.together === level.together));
    const all = mates.flatMap(({ heightMm }) => [...joints].map((joint) => grid(joint * LEVEL_STEP_MM - heightMm)));
    return [0, ...new Set(all.filter((by) => by !== 0 && mates.every((mate) => allows(mate, by))))];
  });
  let least = Number.POSITIVE_INFINITY;
  const tryMoves = (by: number[]) => {
    const was = [0, ...levels.map(({ heightMm }) => heightMm)];
    const now = [0, ...levels.map(({ heightMm }, k) => heightMm + by[k])];
    if (now.some((mm, k) => k > 0 && !farEnough(was[k] - was[k - 1], mm - now[k - 1]))) return;
    const groups = new Set(levels.map(({ together }, k) => together ?? `own ${k}`));
    let minutes = 0;
    for (const group of groups) {
      const k = levels.findIndex(({ together }, n) => (together ?? `own ${n}`) === group);
      if (by[k] !== 0) minutes += model.movePerLevelMin + model.movePerMmMin * Math.abs(by[k]);
    }
    const curve = movedCurve(model.areas[0].curve, was, now);
    const moved: StackModel = {
      ...model,
      flats: model.flats.map((flat, k) => ({ ...flat, heightMm: now[k + 1] })),
      areas: [{ ...model.areas[0], curve }],
      highestMm: curve.highestMm,
      levels: [],
    };
    const go = (steps: Step[]) => {
      const landed = new Set(steps.map(({ topMm }) => step(topMm)));
      const lands = levels.every(
        (level, k) =>
          by[k] === 0 ||
          levels.some(
            (mate, n) =>
              (n === k || (mate.together !== null && mate.together === level.together)) && landed.has(step(now[n + 1])),
          ),
      );
      const totals = totalsOf(moved, steps);
      const kept = totals.usedMm2.every((mm2, k) => mm2 <= model.stock[k].ownedMm2 + 1e-6);
      if (!kept) return;
      if (lands) least = Math.min(least, minutes + costOf(moved, steps, weights) + TOO_LOW_PER_MM * totals.tooLowMm);
      for (const option of model.options) {
        const laid = layOn(moved, option, steps.at(-1)?.topMm ?? 0);
        if (laid) go([...steps, laid]);
      }
    };
    go([]);
  };
  const each = (by: number[]) => {
    const k = by.length;
    if (k === levels.length) return tryMoves(by);
    const mate = levels.findIndex(({ together }, n) => n < k && together !== null && together === levels[k].together);
    for (const one of mate >= 0 ? [by[mate]] : bys[k]) each([...by, one]);
  };
  each([]);
  return least;
}

/** The stack and moves that cost least, as an integer program: places of levels are chosen, and layers that fit the places. */
function asProgram({ model, weights }: Case): string {
  const { levels } = model;
  const step = (mm: number) => Math.round(mm / LEVEL_STEP_MM);
  const joints = [0, ...[...jointsOf(model)].sort((a, b) => a - b).map((joint) => joint * LEVEL_STEP_MM)];
  const places = levels.map((level) => [
    level.heightMm,
    ...joints.filter(
      (joint) =>
        joint > 0 &&
        step(joint) !== step(level.heightMm) &&
        joint - level.heightMm >= -level.downMm - 1e-6 &&
        joint - level.heightMm <= level.upMm + 1e-6,
    ),
  ]);
  const was = [0, ...levels.map(({ heightMm }) => heightMm)];
  type Arc = { from: number; to: number | null; cost: number; level: number; at: number[]; step: Step | null };
  const arcs: Arc[] = [];
  /** Every row of places of levels `first` and on (0 is the board) of which only the first is at or below `fromMm`, up to `needMm`. */
  const rows = (first: number, fromMm: number, needMm: number): number[][] => {
    const found: number[][] = [];
    const go = (row: number[]) => {
      const k = first + row.length;
      const last = row[row.length - 1];
      if (k > levels.length || last >= needMm) return void found.push(row);
      for (const mm of places[k - 1])
        if (step(mm) > step(fromMm) && farEnough(was[k] - was[k - 1], mm - last)) go([...row, mm]);
    };
    for (const mm of first ? places[first - 1] : [0]) if (step(mm) <= step(fromMm)) go([mm]);
    return found;
  };
  const carriedOf = (first: number, at: number[]) => ({ was: at.map((_, k) => was[first + k]), now: at });
  const minutes = ({ carveMl, fillMl, flatMm2 }: Pick<Step, 'carveMl' | 'fillMl' | 'flatMm2'>) =>
    (weights.carvePerL * carveMl + weights.fillPerL * fillMl) / 1000 + (weights.perFlatDm2 * flatMm2) / 1e4;
  joints.forEach((fromMm, from) => {
    for (let first = 0; first <= levels.length; first++) {
      for (const option of model.options) {
        const bottomMm = fromMm + model.glueLineMm;
        for (const at of rows(first, fromMm, Math.max(bottomMm + option.thicknessMm, bottomMm + model.leastStepMm))) {
          const laid = layOn(model, option, fromMm, carriedOf(first, at));
          const to = laid && joints.findIndex((joint) => step(joint) === step(laid.topMm));
          if (laid && to !== null && to >= 0)
            arcs.push({ from, to, cost: weights.perLayer + minutes(laid), level: first, at, step: laid });
        }
      }
      for (const at of rows(first, fromMm, Number.POSITIVE_INFINITY))
        arcs.push({
          from,
          to: null,
          cost: minutes({ ...endAt(model, fromMm, carriedOf(first, at)), carveMl: 0 }),
          level: first,
          at,
          step: null,
        });
    }
  });
  const x = (k: number, mm: number) => `x${k}_${step(mm)}`;
  const moveCost = (k: number, mm: number) =>
    step(mm) === step(levels[k].heightMm)
      ? 0
      : model.movePerLevelMin + model.movePerMmMin * Math.abs(mm - levels[k].heightMm);
  const lines: string[] = [];
  joints.forEach((_, n) => {
    const terms = arcs.flatMap(({ from, to }, a) => [
      ...(from === n ? [`+ y${a}`] : []),
      ...(to === n ? [`- y${a}`] : []),
    ]);
    if (terms.length) lines.push(`${terms.join(' ')} = ${n === 0 ? 1 : 0}`);
  });
  levels.forEach((_, k) => {
    lines.push(`${places[k].map((mm) => `+ ${x(k, mm)}`).join(' ')} = 1`);
    for (const mm of places[k].slice(1)) {
      const into = arcs.flatMap(({ to }, a) => (to !== null && step(joints[to]) === step(mm) ? [`- y${a}`] : []));
      lines.push(`${x(k, mm)} ${into.join(' ')} <= 0`);
    }
  });
  // A layer that reckons with places of levels is laid only where they lie there.
  arcs.forEach(({ level, at }, a) => {
    at.forEach((mm, n) => {
      if (level + n > 0) lines.push(`y${a} - ${x(level + n - 1, mm)} <= 0`);
    });
  });
  model.stock.forEach(({ ownedMm2 }, k) => {
    const used = arcs.flatMap((arc, a) => (arc.step?.option.pools[0] === k ? [`+ ${arc.step.areaMm2} y${a}`] : []));
    if (used.length && ownedMm2 < 1e8) lines.push(`${used.join(' ')} <= ${ownedMm2}`);
  });
  const chosen = levels.flatMap((_, k) => places[k].map((mm) => ({ name: x(k, mm), cost: moveCost(k, mm) })));
  const costs = [...arcs.map(({ cost }, a) => `${cost} y${a}`), ...chosen.map(({ name, cost }) => `${cost} ${name}`)];
  return `Minimize\n obj: ${costs.join(' + ')}\nSubject To\n ${lines.map((line, k) => `c${k}: ${line}`).join('\n ')}\nBinary\n ${[...arcs.map((_, a) => `y${a}`), ...chosen.map(({ name }) => name)].join(' ')}\nEnd`;
}

const costFound = ({ model, weights }: Case) => {
  const { steps, exact } = cheapest(graphOf(model), weights);
  expect(exact).toBe(true);
  return { steps, cost: costOf(model, steps, weights) + TOO_LOW_PER_MM * totalsOf(model, steps).tooLowMm };
};

describe('a target whose levels were moved', () => {
  it('keeps its curve between levels stretched evenly: area, and volume as the integral of area', () => {
    const carried = { was: [0, 17.3, 29.3], now: [0, 20, 28] };
    const [curve] = curves;
    expect(areaAboveMoved(carried, curve, 10)).toBeCloseTo(areaAbove(curve, 8.65), 6);
    expect(areaAboveMoved(carried, curve, 24)).toBeCloseTo(areaAbove(curve, 23.3), 6);
    expect(areaAboveMoved(carried, curve, 33)).toBeCloseTo(areaAbove(curve, 34.3), 6);
    let sum = 0;
    for (let h = 5; h < 60; h += 0.001) sum += 0.001 * areaAboveMoved(carried, curve, h + 0.0005);
    expect(volumeAboveMoved(carried, curve, 5) / sum).toBeCloseTo(1, 2);
  });
});

describe('stack and moves chosen together', () => {
  it('cost the least there is: every set of moves with every stack, 70 random cases, some with levels that move together', () => {
    let [moved, together] = [0, 0];
    for (let seed = 1; seed <= 70; seed++) {
      const one = randomCase(seed, 3, seed % 3 === 0);
      const { steps, cost } = costFound(one);
      const least = leastByHand(one);
      expect(Math.abs(cost - least), `case ${seed}: ${cost} for ${least}`).toBeLessThan(1e-3);
      const moves = steps.flatMap((each) => each.moves);
      if (moves.length) moved++;
      if (moves.some(({ level }) => one.model.levels[level].together !== null)) together++;
    }
    expect(moved).toBeGreaterThan(20);
    expect(together).toBeGreaterThan(0);
  });

  it('cost the same as by an integer program over places and layers: 30 larger cases solved by highs', async () => {
    const highs = await createHighs();
    let moved = 0;
    for (let seed = 201; seed <= 230; seed++) {
      const one = randomCase(seed, 6, false);
      const { steps, cost } = costFound(one);
      const solved = highs.solve(asProgram(one), { mip_rel_gap: 0 });
      expect(solved.Status, `case ${seed}`).toBe('Optimal');
      expect(Math.abs(solved.ObjectiveValue - cost), `case ${seed}: ${cost} for ${solved.ObjectiveValue}`).toBeLessThan(
        1e-4,
      );
      if (steps.some(({ moves }) => moves.length)) moved++;
    }
    expect(moved).toBeGreaterThan(5);
  });

  it('without give are what they were: the same layers, to the last digit', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const { model, weights } = randomCase(seed, 4, false);
      const still = { ...model, levels: model.levels.map((level) => ({ ...level, downMm: 0, upMm: 0 })) };
      expect(cheapest(graphOf(still), weights)).toEqual(cheapest(graphOf({ ...model, levels: [] }), weights));
    }
  });

  it('never cross: levels keep their order and half of what parts them, and none goes further than its give', () => {
    let moved = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const { model, weights } = randomCase(seed, 5, false);
      const { levels } = model;
      const wide = { ...model, levels: levels.map((level) => ({ ...level, downMm: 9, upMm: 9 })) };
      const moves = cheapest(graphOf(wide), { ...weights, carvePerL: 900 }).steps.flatMap((each) => each.moves);
      const now = levels.map(({ heightMm }, k) => heightMm + (moves.find(({ level }) => level === k)?.byMm ?? 0));
      moved += moves.length;
      for (const { byMm } of moves) expect(Math.abs(byMm)).toBeLessThanOrEqual(9 + 1e-6);
      for (let k = 0; k < levels.length; k++)
        expect(now[k] - (now[k - 1] ?? 0)).toBeGreaterThanOrEqual(
          (levels[k].heightMm - (levels[k - 1]?.heightMm ?? 0)) / 2 - 1e-6,
        );
    }
    expect(moved).toBeGreaterThan(20);
  });
});
