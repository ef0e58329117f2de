/**
 * Separation: pieces that overlap move to positions of less weighted overlap until none is left (overlap minimisation with growing weights).
 */
import { fits } from './moves.ts';
import { look, type Overlaps, overlapAt, overlapOf, pairOf } from './overlaps.ts';
import type { Maps, Position } from './positions.ts';
import type { Variant } from './problem.ts';

/** Places tried by chance over the bed, and near where the piece lies; the best few are followed downhill. */
const FAR_TRIED = 48;
const NEAR_TRIED = 12;
const FOLLOWED = 3;

/** A place on a bed where a variant overlaps little, weighted: the best of many tried; null where none is better than `better`, or the bed is too small. */
function littleOverlap(
  maps: Maps,
  tangle: Overlaps,
  variant: Variant,
  bed: number,
  near: Position,
  chance: () => number,
  better: number,
): { i: number; j: number; cost: number } | null {
  const { cellMm } = maps.prepared;
  const reach = tangle.reach[bed] * cellMm;
  const lastI = Math.min(
    maps.lastI(variant, bed),
    reach < variant.widthMm - 1e-6 ? -1 : Math.floor((reach - variant.widthMm) / cellMm + 1e-6),
  );
  const lastJ = maps.lastJ(variant, bed);
  if (lastI < 0 || lastJ < 0) return null;
  look(maps, tangle, variant, bed);
  const found: { i: number; j: number; cost: number }[] = [];
  const tryAt = (i: number, j: number) => {
    const most = found.length < FOLLOWED ? Number.POSITIVE_INFINITY : found[FOLLOWED - 1].cost;
    const cost = overlapAt(i, j, most);
    if (cost >= most) return;
    let k = found.length < FOLLOWED ? found.length : FOLLOWED - 1;
    while (k > 0 && found[k - 1].cost > cost) {
      found[k] = found[k - 1];
      k--;
    }
    found[k] = { i, j, cost };
  };
  for (let k = 0; k < FAR_TRIED; k++) tryAt(Math.floor(chance() * (lastI + 1)), Math.floor(chance() * (lastJ + 1)));
  if (near.bed === bed) {
    const held = (place: number, last: number) => Math.min(last, Math.max(0, Math.round(place)));
    const wide = Math.max(4, near.variant.raster.columns / 2);
    for (let k = 0; k < NEAR_TRIED; k++)
      tryAt(held(near.i + (chance() - 0.5) * wide, lastI), held(near.j + (chance() - 0.5) * wide, lastJ));
    tryAt(held(near.i, lastI), held(near.j, lastJ));
  }
  let best: { i: number; j: number; cost: number } | null = null;
  for (const place of found) {
    let { i, j, cost } = place;
    for (let step = 8; step >= 1 && cost > 0; ) {
      let moved = false;
      for (const [di, dj] of AROUND) {
        const x = Math.min(lastI, Math.max(0, i + di * step));
        const y = Math.min(lastJ, Math.max(0, j + dj * step));
        const there = overlapAt(x, y, cost);
        if (there >= cost) continue;
        [i, j, cost, moved] = [x, y, there, true];
      }
      if (!moved) step >>= 1;
    }
    if (cost < (best?.cost ?? better)) best = { i, j, cost };
    if (best?.cost === 0) break;
  }
  return best;
}

const AROUND = [
  [-1, 0],
  [0, -1],
  [1, 0],
  [0, 1],
  [-1, -1],
  [1, -1],
  [-1, 1],
  [1, 1],
] as const;

/** Whether a piece overlaps another, or lies where none may. */
const wrongAt = (maps: Maps, tangle: Overlaps, piece: number): boolean => {
  const spot = tangle.positions[piece];
  return spot !== null && (!fits(maps, tangle.reach, spot) || overlapOf(maps, tangle, piece) > 0);
};

/** Fewer turns than this are all tried at every move. */
const TURNS_TRIED = 3;

/**
 * Moves pieces that overlap to where they overlap least, pair by pair counting more the longer it lasts (a guided local search, as for coverings and cuttings in
 * the literature), until nothing overlaps or `passes` are over. One pass a call of `next`; gives whether it came out clean.
 */
export function* separate(
  maps: Maps,
  tangle: Overlaps,
  passes: number,
  chance: () => number,
): Generator<undefined, boolean> {
  const { variants } = maps.prepared;
  const open = tangle.reach.flatMap((reach, bed) => (reach >= 0 ? [bed] : []));
  for (let pass = 0; pass < passes; pass++) {
    const tangled = tangle.positions.flatMap((_, piece) => (wrongAt(maps, tangle, piece) ? [piece] : []));
    if (!tangled.length) return true;
    for (let k = tangled.length - 1; k > 0; k--) {
      const other = Math.floor(chance() * (k + 1));
      [tangled[k], tangled[other]] = [tangled[other], tangled[k]];
    }
    for (const piece of tangled) {
      const mine = tangle.positions[piece];
      if (!mine || !wrongAt(maps, tangle, piece)) continue;
      // Where it may not lie at all anything is better.
      let cost = fits(maps, tangle.reach, mine) ? overlapOf(maps, tangle, piece) : Number.POSITIVE_INFINITY;
      const all = variants[piece];
      const few =
        all.length <= TURNS_TRIED + 1
          ? all
          : [mine.variant, ...Array.from({ length: TURNS_TRIED }, () => all[Math.floor(chance() * all.length)])];
      const beds = open.length <= 2 ? open : [...new Set([mine.bed, open[Math.floor(chance() * open.length)]])];
      for (const bed of beds)
        for (const variant of few) {
          const found = littleOverlap(maps, tangle, variant, bed, mine, chance, cost);
          if (!found) continue;
          cost = found.cost;
          tangle.positions[piece] = { variant, bed, i: found.i, j: found.j };
          if (cost === 0) break;
        }
    }
    grow(maps, tangle);
    yield;
  }
  return tangle.positions.every((_, piece) => !wrongAt(maps, tangle, piece));
}

/** What still overlaps counts more from now on, the deepest most. */
function grow(maps: Maps, tangle: Overlaps): void {
  let deepest = 0;
  const pairs = new Map<number, number>();
  tangle.positions.forEach((_, piece) => {
    overlapOf(maps, tangle, piece, (by, depth) => {
      pairs.set(pairOf(tangle, piece, by), depth);
      deepest = Math.max(deepest, depth);
    });
  });
  // What has come apart is forgotten little by little.
  const { weights } = tangle;
  for (let n = 0; n < weights.length; n++) if (weights[n] > 1) weights[n] = Math.max(1, weights[n] * 0.95);
  for (const [pair, depth] of pairs) weights[pair] = Math.min(1e7, weights[pair] * (1.1 + 0.4 * (depth / deepest)));
}
