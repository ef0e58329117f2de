import { type Grid, insideRing, type Ring } from '../../geometry/index.ts';
import { toEnd } from '../../kernel/index.ts';
import { type Landform, runOf } from '../../project/index.ts';
import {
  buildBasin,
  buildCrater,
  buildHeap,
  buildIsland,
  buildMound,
  buildPad,
  buildPit,
  buildTread,
  treadsOf,
} from './areas.ts';
import { buildBeach, buildChannel, buildSteps, buildWay, type Ends, endsOf, type Put } from './works.ts';

/** What a landform did to the ground when its turn came. */
export interface Built {
  id: string;
  /** Heights at its two ends and its length, for what runs along a line. */
  ends: Ends | null;
  /** Plan area of ground that it changed, mm2; what it took away and what it put on, ml. */
  areaMm2: number;
  cutMl: number;
  fillMl: number;
  /** Steepest gradient of the ground it made, degrees. */
  steepestDegrees: number;
}

/** Less than this is no change, mm. */
const CHANGED_MM = 0.01;

/**
 * Builds the landforms onto the ground one after another, in their order: where two meet, the later one has its way. Heights in `grid.values`
 * are changed in place. Cliffs shaped the ground before and spans leave it alone, so both only report.
 */
export function* buildLandforms(
  grid: Grid,
  landforms: readonly Landform[],
  outline: Ring,
): Generator<undefined, Built[]> {
  const built: Built[] = [];
  const before = grid.values.slice();
  for (const form of landforms) {
    const touched = { from: grid.values.length, to: 0 };
    const ends = yield* buildOntoIn(grid, form, outline, touched);
    yield;
    built.push({ id: form.id, ends, ...effectOf(grid, before, outline, touched) });
    if (touched.from < touched.to) before.set(grid.values.subarray(touched.from, touched.to), touched.from);
    yield;
  }
  return built;
}

/** The nodes that a landform changed, from the first up to the last and all between. */
interface Touched {
  from: number;
  to: number;
}

/** Builds one landform onto the ground as it is, without measuring what that did; `edge` is the base's outline. Gives the heights of its ends. */
export const buildOnto = (grid: Grid, form: Landform, edge: Ring): Ends | null =>
  toEnd(buildOntoIn(grid, form, edge, { from: 0, to: 0 }));

/** The same, yielding between pieces of work. */
function buildOntoIn(grid: Grid, form: Landform, edge: Ring, touched: Touched): Generator<undefined, Ends | null> {
  const z = grid.values;
  return build(grid, form, edge, (n, to) => {
    z[n] = Math.max(0, to);
    if (n < touched.from) touched.from = n;
    if (n >= touched.to) touched.to = n + 1;
  });
}

function* build(grid: Grid, form: Landform, edge: Ring, put: Put): Generator<undefined, Ends | null> {
  const run = runOf(form);
  switch (form.kind) {
    case 'pad':
      yield* buildPad(grid, run, form, put, edge);
      return null;
    case 'terraces':
      for (const [k, tread] of treadsOf(run, form).entries())
        yield* buildTread(grid, tread, form.firstMm + k * form.riseMm, form.wallDegrees, put, edge);
      return null;
    case 'way':
      return yield* buildWay(grid, run, form, put);
    case 'steps':
      return yield* buildSteps(grid, run, form, put);
    case 'channel':
      return yield* buildChannel(grid, run, form, put);
    case 'beach':
      return yield* buildBeach(grid, run, form, put);
    case 'basin':
      yield* buildBasin(grid, run, form, put, edge);
      return null;
    case 'mound':
      yield* buildMound(grid, run, form, put, edge);
      return null;
    case 'heap':
      yield* buildHeap(grid, run, form, put, edge);
      return null;
    case 'pit':
      yield* buildPit(grid, run, form, put, edge);
      return null;
    case 'crater':
      yield* buildCrater(grid, run, form, put, edge);
      return null;
    case 'island':
      yield* buildIsland(grid, run, form, put, edge);
      return null;
    case 'span':
      return endsOf(grid, run, form);
    case 'cliff':
      return null;
  }
}

function effectOf(grid: Grid, before: ArrayLike<number>, outline: Ring, touched: Touched): Omit<Built, 'id' | 'ends'> {
  const { columns, rows, cellMm, originMm, values: z } = grid;
  let areaMm2 = 0;
  let cut = 0;
  let fill = 0;
  let steepest = 0;
  for (let n = touched.from; n < touched.to; n++) {
    const by = z[n] - before[n];
    if (Math.abs(by) < CHANGED_MM) continue;
    const i = n % columns;
    const j = Math.floor(n / columns);
    if (outline.length > 4 && !insideRing(outline, originMm[0] + i * cellMm, originMm[1] + j * cellMm)) continue;
    const share = (i === 0 || i === columns - 1 ? 0.5 : 1) * (j === 0 || j === rows - 1 ? 0.5 : 1) * cellMm * cellMm;
    areaMm2 += share;
    if (by > 0) fill += by * share;
    else cut -= by * share;
    if (i === 0 || j === 0 || i === columns - 1 || j === rows - 1) continue;
    const [across, away] = [z[n + 1] - z[n - 1], z[n + columns] - z[n - columns]];
    // Squares do for finding the steepest, and take a fraction of the time.
    if (across * across + away * away > steepest) steepest = across * across + away * away;
  }
  return {
    areaMm2,
    cutMl: cut / 1000,
    fillMl: fill / 1000,
    steepestDegrees: (Math.atan(Math.sqrt(steepest) / (2 * cellMm)) * 180) / Math.PI,
  };
}
