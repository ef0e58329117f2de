/**
 * The search for a layout: bottom-left packings, then a strip that is shrunk and separated again and again (guided local search over
 * overlaps), then compaction.
 */
import { toEnd } from '../kernel/index.ts';
import { uniformFrom } from '../units/index.ts';
import { layInOrder, type Order } from './bottomLeft.ts';
import { compact } from './compact.ts';
import { createMaps, type Maps, type Position } from './positions.ts';
import { type NestProblem, type Placed, type Prepared, prepare } from './problem.ts';
import { compareScores, type Score, scoreOf, scorePlaced, weightOf } from './score.ts';
import { shrinkStrip } from './shrinkStrip.ts';
import { slideTogether } from './slide.ts';

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
  /** The best layout so far, pushed together: takes a while itself, and yields meanwhile. */
  best: () => Generator<undefined, Layout>;
  /** Steps done. */
  tries: () => number;
}

/** Packings in the first orders, by size; then as many by chance before overlaps are untangled. */
const PACKINGS_EACH = 4;
const MOST_PACKINGS = 100;
/** When so many steps have led no further, the layout is pressed; if it reaches no more than this share farther than the best. */
const QUIET_STEPS = 400;
const WORTH_PRESSING = 1.03;

/** `fewTurns`: no more turns of each piece are tried than so many, where a first layout is wanted soon. */
export function createSearch(problem: NestProblem, seed: number, fewTurns?: number): Search {
  const prepared = prepare(problem, fewTurns);
  const maps = createMaps(prepared);
  const chance = uniformFrom(seed);
  let tries = 0;
  const first = firstOrders(prepared);
  let best: { spots: (Position | null)[]; score: Score } = { spots: [], score: NOTHING_YET };
  /** The best since the search began anew, and whether it is pressed already. */
  let local = { ...best, pressed: false };
  let quiet = 0;
  let layout: Layout | null = null;
  let fresh = true;
  const offer = (offered: readonly (Position | null)[]): Score => {
    const score = scoreOf(prepared, offered);
    if (compareScores(score, local.score) < 0) {
      local = { spots: [...offered], score, pressed: false };
      quiet = 0;
    }
    if (compareScores(score, best.score) < 0) {
      best = { spots: [...offered], score };
      fresh = true;
    }
    return score;
  };
  const take = (next: Layout): void => {
    if (!layout || compareScores(next.score, layout.score) < 0) layout = next;
  };
  function* bestLaid(): Generator<undefined, Layout> {
    // Pushed together a layout that was better on the lattice may be a hair worse than the one before.
    if (!tries) offer(layInOrder(maps, first[0]));
    if (fresh) take(yield* settled(prepared, best.spots));
    fresh = false;
    return layout as Layout;
  }
  function* pressing(): Generator<undefined> {
    if (local.pressed || !worthPressing(local.score, best.score)) return;
    local.pressed = true;
    // In one step: steps are counted, and the same number of them always gives the same layout.
    const { placed, leftOver } = toEnd(settled(prepared, local.spots));
    const pressed = yield* compact(prepared, placed);
    if (pressed) take({ placed: pressed, leftOver, score: scorePlaced(problem, pressed) });
  }
  const run = (function* () {
    yield* anneal(maps, first, chance, offer);
    // The best of these is squeezed until that leads no further; then others, begun by chance.
    for (let from = best.spots; ; from = layInOrder(maps, byChance(prepared, chance))) {
      for (const _ of shrinkStrip(maps, from, chance, offer)) {
        yield;
        if (++quiet === QUIET_STEPS) yield* pressing();
      }
      yield* pressing();
      local = { spots: [], score: NOTHING_YET, pressed: true };
      quiet = 0;
    }
  })();
  return {
    step: () => {
      tries++;
      run.next();
    },
    best: bestLaid,
    tries: () => tries,
  };
}

/** Worse than any layout. */
const NOTHING_YET: Score = { leftOverMm2: Number.POSITIVE_INFINITY, bought: 0, sheets: 0, reachMm: 0, offcuts: 0 };

/** Whether a layout may come out best once it is pressed: it takes the same sheets and reaches little farther. */
const worthPressing = (score: Score, best: Score): boolean =>
  score.leftOverMm2 === best.leftOverMm2 &&
  score.bought === best.bought &&
  score.sheets === best.sheets &&
  score.reachMm <= best.reachMm * WORTH_PRESSING;

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

/** Any order, any turns. */
function byChance({ variants }: Prepared, chance: () => number): Order {
  const pieces = variants.flatMap((list, piece) => (list.length ? [piece] : []));
  for (let k = pieces.length - 1; k > 0; k--) {
    const other = Math.floor(chance() * (k + 1));
    [pieces[k], pieces[other]] = [pieces[other], pieces[k]];
  }
  return { pieces, turns: variants.map(({ length }) => Math.floor(chance() * length)) };
}

/** Changes the order and the turns a little at a time; a worse packing is taken up now and then, less and less. */
function* anneal(
  maps: Maps,
  first: readonly Order[],
  chance: () => number,
  offer: (spots: (Position | null)[]) => Score,
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

/** A layout pushed together off the lattice, and what it comes to then. */
function* settled(prepared: Prepared, spots: readonly (Position | null)[]): Generator<undefined, Layout> {
  const { placed, leftOver } = writtenDown(prepared, spots);
  const pressed = yield* slideTogether(prepared, placed);
  return { placed: pressed, leftOver, score: scorePlaced(prepared.problem, pressed) };
}

/** Spots as places in millimetres. */
function writtenDown(prepared: Prepared, spots: readonly (Position | null)[]): Pick<Layout, 'placed' | 'leftOver'> {
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
