import { contours } from 'd3-contour';
import { footprints, gridOver, hypsometryOf, sampleFormula, withValues } from '../../core/src/geometry/index.ts';
import { cheapest, frontOf, graphOf, layOn, type StackModel } from '../../core/src/stack/index.ts';
import { modelOf, numbers, pool, usualWeights } from '../../core/src/testing/stackModel.ts';
import { ratio, timed } from './timed.ts';

const tenth = (ms: number) => Number(ms.toFixed(1));

/** One choice and the whole front with six thicknesses to 400 mm, against plain tables of every height there is. */
export function choices() {
  const ground = sampleFormula(gridOver(400, 300, 1), (x, y) => 200 + 200 * Math.sin(x / 70) * Math.cos(y / 60));
  const curve = hypsometryOf(ground, null);
  const pools = [10, 19.6, 20, 25.4, 30, 50.8].map((mm) => pool(mm));
  const scarce = pools.map((kind, k) => (k === 4 ? { ...kind, ownedMm2: 150_000 } : kind));
  const choose = (alpha: number, stock = pools) => graphOf(modelOf(curve, alpha, stock));
  const chosen = timed(() => cheapest(choose(0.5), usualWeights), 9);
  const counted = timed(() => cheapest(choose(0.5, scarce), usualWeights), 3);
  const front = timed(() => frontOf([0, 0.5, 1].map((alpha) => ({ label: alpha, graph: choose(alpha) }))), 3);
  const given = timed(() => cheapest(graphOf(benches()), usualWeights), 5);
  const givenFront = timed(
    () => frontOf([0, 0.5, 1].map((alpha) => ({ label: alpha, graph: graphOf(benches(alpha)) }))),
    3,
  );
  const plain = timed(() => plainTable(modelOf(curve, 0.5, pools)), 3);
  return [
    { what: 'one choice', ms: tenth(chosen.ms), 'of plain': ratio(chosen.ms, plain.ms), allowed: '50 ms' },
    { what: 'one sheet scarce', ms: tenth(counted.ms), 'of plain': ratio(counted.ms, plain.ms), allowed: '' },
    { what: '15 levels with give', ms: tenth(given.ms), 'of plain': ratio(given.ms, plain.ms), allowed: '200 ms' },
    {
      what: '15 levels with give, front',
      ms: tenth(givenFront.ms),
      'of plain': ratio(givenFront.ms, plain.ms),
      allowed: '1000 ms',
    },
    { what: 'front, three schools', ms: tenth(front.ms), 'of plain': ratio(front.ms, plain.ms), allowed: '1000 ms' },
    { what: 'plain table of every height', ms: tenth(plain.ms), 'of plain': 1, allowed: '' },
  ];
}

const HIGH_MM = 143;

/** Fifteen benches one over the other, each with 3 mm of give, and three kinds of sheet with a glue line. */
function benches(alpha = 0.5): StackModel {
  const flats = Array.from({ length: 15 }, (_, k) => 7.3 + ((HIGH_MM - 7.3) / 14) * k);
  const stairs = (x: number) => {
    const k = Math.min(14, Math.floor((x / 400) * 15));
    const run = Math.min(1, 2 * ((x / 400) * 15 - k));
    const from = k ? flats[k - 1] : 0;
    return from + run * (flats[k] - from);
  };
  const curve = hypsometryOf(sampleFormula(gridOver(400, 300, 1), stairs), null);
  return modelOf(curve, alpha, [pool(10), pool(19.6), pool(30)], {
    levels: flats.map((mm) => ({ heightMm: Math.round(mm * 20) / 20, downMm: 3, upMm: 3, together: null })),
    flats: flats.map((heightMm) => ({ heightMm, areaMm2: 4000 })),
    movePerLevelMin: 2,
    movePerMmMin: 1,
  });
}

/** The plain way: the least cost of reaching the top from every height in steps of 0.05 mm, reached or not. */
function plainTable(model: StackModel): number {
  const steps = Math.ceil(model.highestMm / 0.05);
  const least = new Float64Array(steps + 2000);
  for (let n = steps; n >= 0; n--) {
    let best = (240 * (model.highestMm - n * 0.05)) / 10;
    for (const option of model.options) {
      const step = layOn(model, option, n * 0.05);
      if (!step) continue;
      const cost = 15 + (30 * step.carveMl + 240 * step.fillMl) / 1000;
      best = Math.min(best, cost + least[Math.min(least.length - 1, Math.round(step.topMm / 0.05))]);
    }
    least[n] = best;
  }
  return least[0];
}

/** Footprints on noise: the library sorts every hole through every outline. */
export function noisyFootprints() {
  const next = numbers(7);
  const smooth = sampleFormula(gridOver(1199, 599, 1), (x, y) => 30 + 20 * Math.sin(x / 90) * Math.cos(y / 70));
  const noisy = withValues(
    smooth,
    Float64Array.from(smooth.values, (z) => z + 30 * (next() - 0.5)),
  );
  const { columns, rows } = noisy;
  const values = [...noisy.values];
  const ours = timed(() => footprints(noisy, [30])[0], 1);
  const from = performance.now();
  const theirs = contours().size([columns, rows]).contour(values, 30).coordinates.length;
  const ms = performance.now() - from;
  return [
    {
      'footprints, ms': tenth(ours.ms),
      pieces: ours.value.length,
      'd3-contour, ms': tenth(ms),
      'pieces there': theirs,
      'd3-contour / footprints': ratio(ms, ours.ms),
    },
  ];
}
