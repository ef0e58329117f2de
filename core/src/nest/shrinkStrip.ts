/** Shrinks the strip that a layout takes, or closes its last sheet, and separates what no longer fits. */
import { anywhere, disturb, pushed } from './moves.ts';
import { overlapsOf } from './overlaps.ts';
import type { Maps, Position } from './positions.ts';
import { separate } from './separate.ts';

/** Passes that an attempt gets before it is given up. */
const PASSES = 60;
const MOST_PASSES = 240;
/** So many attempts in a row that fail are enough. */
const GIVE_UP = 24;

/**
 * Takes a little of the last sheet away (or the whole of it, when the rest could hold all) and untangles what no longer fits; what comes out clean is pushed
 * together and offered.
 */
export function* shrinkStrip(
  maps: Maps,
  first: readonly (Position | null)[],
  chance: () => number,
  offer: (spots: readonly (Position | null)[]) => void,
): Generator<undefined> {
  const { prepared } = maps;
  const { grounds, variants, cellMm } = prepared;
  if (!variants.some((list) => list.length)) return yield;
  let share = 0.06;
  let failed = 0;
  let closed = -1;
  let from = first;
  while (failed <= GIVE_UP) {
    const spots = from.map((spot, piece) => spot ?? anywhere(maps, piece, chance));
    const movable = spots.filter((spot): spot is Position => spot !== null);
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
    const tangle = overlapsOf(maps, spots, reach);
    for (const piece of index) {
      const spot = spots[piece] as Position;
      const room = reach[spot.bed] - spot.variant.widthMm / cellMm;
      if (room < spot.i - 1e-6) tangle.positions[piece] = { ...spot, i: Math.max(0, Math.floor(room + 1e-6)) };
    }
    const passes = Math.min(MOST_PASSES, PASSES + failed * 12);
    const clean = yield* separate(maps, tangle, passes, chance);
    if (clean) {
      from = pushed(maps, tangle.positions);
      offer(from);
      failed = 0;
      share = Math.min(0.08, share * 1.1);
    } else if (!closing) {
      failed++;
      share = Math.max(0.004, share * 0.7);
    }
    yield;
  }
}
