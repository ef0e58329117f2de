import { uniformFrom } from '../units/index.ts';
import { layInOrder, type Order } from './bottomLeft.ts';
import { anywhere, disturb, pushed } from './moves.ts';
import { type NestProblem, type Placed, type Prepared, prepare } from './problem.ts';
import { compareScores, type Score, scoreOf, scorePlaced, weightOf } from './score.ts';
import { settle } from './settle.ts';
import { createMaps, type Maps, type Spot } from './spots.ts';
import { tangleOf, untangle } from './untangle.ts';

/** A layout: where pieces lie, and which found no place. */
export interface Layout {
  placed: Placed[];
  leftOver: number[];
  score: Score;
}

/** A search for a layout that gets better step by step; the same problem and seed give the same layouts. */
export interface Search {
  /** One step: a packing, or a pass over pieces that overlap. */
  step: () => void;
  best: () => Layout;
  /** Steps done. */
  tries: () => number;
}

/** Packings in the first orders, by size; then as many by chance before overlaps are untangled. */
const PACKINGS_EACH = 4;
const MOST_PACKINGS = 100;

export function createSearch(problem: NestProblem, seed: number, cellMm?: number): Search {
  const prepared = prepare(problem, cellMm);
  const maps = createMaps(prepared);
  const chance = uniformFrom(seed);
  let tries = 0;
  const first = firstOrders(prepared);
  let bestSpots = layInOrder(maps, first[0]);
  let bestScore = scoreOf(prepared, bestSpots);
  let layout: Layout | null = null;
  let fresh = true;
  const offer = (spots: readonly (Spot | null)[]): Score => {
    const score = scoreOf(prepared, spots);
    if (compareScores(score, bestScore) < 0) {
      bestSpots = [...spots];
      bestScore = score;
      fresh = true;
    }
    return score;
  };
  const run = (function* () {
    yield* anneal(maps, first, chance, offer);
    for (;;) yield* squeeze(maps, () => bestSpots, chance, offer);
  })();
  return {
    step: () => {
      tries++;
      run.next();
    },
    best: () => {
      if (fresh) {
        // Pushed together a layout that was better on the lattice may be a hair worse than the one before.
        const next = settled(prepared, bestSpots);
        if (!layout || compareScores(next.score, layout.score) < 0) layout = next;
        fresh = false;
      }
      return layout as Layout;
    },
    tries: () => tries,
  };
}

/** Orders that usually pack well: by area, by the longer side of the box, by height; each piece at the turn that is least wide. */
function firstOrders({ variants, areas }: Prepared): Order[] {
  const pieces = variants.flatMap((list, piece) => (list.length ? [piece] : []));
  const by = (size: (piece: number) => number) => [...pieces].sort((a, b) => size(b) - size(a) || a - b);
  const turnOf = (pick: (variant: Prepared['variants'][number][number]) => number) =>
    variants.map((list) => list.reduce((best, variant, k) => (pick(variant) < pick(list[best]) - 1e-6 ? k : best), 0));
  const narrow = turnOf((variant) => variant.widthMm);
  const low = turnOf((variant) => variant.depthMm);
  const small = turnOf((variant) => variant.widthMm * variant.depthMm);
  const side = (piece: number) => Math.max(variants[piece][0].widthMm, variants[piece][0].depthMm);
  const orders = [by((piece) => areas[piece]), by(side)];
  return [narrow, low, small].flatMap((turns) => orders.map((order) => ({ pieces: order, turns })));
}

/** Changes the order and the turns a little at a time; a worse packing is taken up now and then, less and less. */
function* anneal(
  maps: Maps,
  first: readonly Order[],
  chance: () => number,
  offer: (spots: (Spot | null)[]) => Score,
): Generator<undefined> {
  let order = first[0];
  let weight = Number.POSITIVE_INFINITY;
  for (const each of first) {
    const score = weightOf(offer(layInOrder(maps, each)));
    if (score < weight) [order, weight] = [each, score];
    yield;
  }
  const { variants } = maps.prepared;
  const n = order.pieces.length;
  if (!n) return;
  const packings = Math.min(MOST_PACKINGS, n * PACKINGS_EACH);
  for (let k = 0; k < packings; k++) {
    const pieces = [...order.pieces];
    const turns = [...order.turns];
    const what = chance();
    const a = Math.floor(chance() * n);
    const b = Math.floor(chance() * n);
    if (what < 0.4) turns[pieces[a]] = Math.floor(chance() * variants[pieces[a]].length);
    else if (what < 0.7) [pieces[a], pieces[b]] = [pieces[b], pieces[a]];
    else pieces.splice(b, 0, ...pieces.splice(a, 1));
    const next = { pieces, turns };
    const score = weightOf(offer(layInOrder(maps, next)));
    const heat = 30 * (1 - k / packings) ** 2 + 0.01;
    if (score <= weight || chance() < Math.exp((weight - score) / heat)) [order, weight] = [next, score];
    yield;
  }
}

/** Passes that an attempt gets before it is given up. */
const PASSES = 60;
const MOST_PASSES = 240;

/**
 * Takes a little of the last sheet away (or the whole of it, when the rest could hold all) and untangles what no longer fits; what comes out clean is pushed
 * together and offered.
 */
function* squeeze(
  maps: Maps,
  best: () => readonly (Spot | null)[],
  chance: () => number,
  offer: (spots: (Spot | null)[]) => Score,
): Generator<undefined> {
  const { prepared } = maps;
  const { grounds, variants, cellMm } = prepared;
  if (!variants.some((list) => list.length)) return yield;
  let share = 0.06;
  let failed = 0;
  let closed = -1;
  for (;;) {
    const from = best();
    const spots = from.map((spot, piece) => spot ?? anywhere(maps, piece, chance));
    const movable = spots.filter((spot): spot is Spot => spot !== null);
    if (!movable.length) return yield;
    const allPlaced = from.every((spot, piece) => spot || !variants[piece].length);
    const last = Math.max(...movable.map(({ bed }) => bed), ...prepared.pinned.map(({ bed }) => bed));
    const reached = Math.max(
      ...movable.filter(({ bed }) => bed === last).map(({ i, variant }) => i + variant.widthMm / cellMm),
    );
    // Once for each last bed it is tried to do without it.
    const closing = allPlaced && closed !== last && last > 0 && !prepared.pinned.some(({ bed }) => bed === last);
    if (closing) closed = last;
    const reach = grounds.map(({ widthMm }, bed) => {
      const full = widthMm / cellMm;
      if (!allPlaced || bed < last) return full;
      if (bed > last || closing) return -1;
      return Math.min(full, reached - Math.max(1, reached * share));
    });
    if (failed > 3) disturb(maps, spots, chance);
    // Pinned pieces have no spot: they are obstacles.
    const index = spots.flatMap((spot, piece) => (spot ? [piece] : []));
    const tangle = tangleOf(spots.length, spots, reach);
    for (const piece of index) {
      const spot = spots[piece] as Spot;
      const room = reach[spot.bed] - spot.variant.widthMm / cellMm;
      if (room < spot.i - 1e-6) tangle.spots[piece] = { ...spot, i: Math.max(0, Math.floor(room + 1e-6)) };
    }
    const passes = Math.min(MOST_PASSES, PASSES + failed * 12);
    const clean = yield* untangle(maps, tangle, passes, chance);
    if (clean) {
      offer(pushed(maps, tangle.spots));
      failed = 0;
      share = Math.min(0.08, share * 1.1);
    } else if (!closing) {
      failed++;
      share = Math.max(0.004, share * 0.7);
    }
    yield;
  }
}

/** A layout pushed together off the lattice, and what it comes to then. */
function settled(prepared: Prepared, spots: readonly (Spot | null)[]): Layout {
  const { placed, leftOver } = writtenDown(prepared, spots);
  const pressed = settle(prepared, placed);
  return { placed: pressed, leftOver, score: scorePlaced(prepared.problem, pressed) };
}

/** Spots as places in millimetres. */
function writtenDown(prepared: Prepared, spots: readonly (Spot | null)[]): Pick<Layout, 'placed' | 'leftOver'> {
  const { cellMm, grounds, pinned, variants } = prepared;
  const placed: Placed[] = [...pinned];
  const leftOver: number[] = [];
  spots.forEach((spot, piece) => {
    if (spot) {
      const { variant, bed, i, j } = spot;
      placed.push({
        piece,
        bed,
        turn: variant.turn,
        xMm: grounds[bed].x0 + i * cellMm + variant.middle[0],
        yMm: grounds[bed].y0 + j * cellMm + variant.middle[1],
      });
    } else if (variants[piece].length) leftOver.push(piece);
  });
  return { placed, leftOver };
}
