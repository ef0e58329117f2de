/** Bottom-left placement on the lattice of a bed: the leftmost, then lowest position that no-fit maps leave free. */
import type { BitMap } from './noFit.ts';
import type { Maps, Position } from './positions.ts';
import type { Variant } from './problem.ts';

/** In which order pieces are taken, and which of its turns each one has. */
export interface Order {
  pieces: number[];
  turns: number[];
}

let scratch = new Uint32Array(0);

/** Leftmost, then lowest place of a variant on a bed among what lies there; null where it fits nowhere. `most` is the last column for its corner. */
export function firstFree(
  maps: Maps,
  variant: Variant,
  bed: number,
  spots: readonly (Position | null)[],
  most = Number.POSITIVE_INFINITY,
): { i: number; j: number } | null {
  const lastI = Math.min(most, maps.lastI(variant, bed));
  const lastJ = maps.lastJ(variant, bed);
  if (lastI < 0 || lastJ < 0) return null;
  const words = (lastJ + 32) >>> 5;
  const size = (lastI + 1) * words;
  if (scratch.length < size) scratch = new Uint32Array(size * 2);
  scratch.fill(0, 0, size);
  maps.prepared.grounds[bed].obstacles.forEach(({ i0, j0 }, k) => {
    block(maps.bitsOfObstacle(bed, k, variant), i0, j0, lastI, words);
  });
  for (const spot of spots)
    if (spot && spot.bed === bed && spot.variant.piece !== variant.piece)
      block(maps.bitsBetween(spot.variant, variant), spot.i, spot.j, lastI, words);
  // Bits past the last row are no places.
  const tail = (lastJ & 31) === 31 ? 0 : -1 << ((lastJ & 31) + 1);
  for (let i = 0; i <= lastI; i++)
    for (let w = 0; w < words; w++) {
      const taken = scratch[i * words + w] | (w === words - 1 ? tail : 0);
      if (taken !== -1) return { i, j: w * 32 + (31 - Math.clz32(~taken & -~taken)) };
    }
  return null;
}

function block(map: BitMap, i: number, j: number, lastI: number, words: number): void {
  const from = Math.max(0, -(i + map.x0));
  const to = Math.min(map.columns - 1, lastI - i - map.x0);
  const low = j + map.y0;
  const word = Math.floor(low / 32);
  const shift = low - word * 32;
  for (let c = from; c <= to; c++) {
    const column = (i + map.x0 + c) * words;
    const source = c * map.words;
    for (let w = 0; w < map.words; w++) {
      const bits = map.bits[source + w];
      if (!bits) continue;
      const at = word + w;
      if (at >= 0 && at < words) scratch[column + at] |= bits << shift;
      if (shift && at + 1 >= 0 && at + 1 < words) scratch[column + at + 1] |= bits >>> (32 - shift);
    }
  }
}

/** Takes pieces in their order and lays each on the first bed that has room, as far left and low as it goes; null for a piece that finds none. */
export function layInOrder(maps: Maps, { pieces, turns }: Order): (Position | null)[] {
  const { variants, grounds } = maps.prepared;
  const spots: (Position | null)[] = variants.map(() => null);
  for (const piece of pieces) {
    const choice = variants[piece];
    if (!choice.length) continue;
    // The turn that was asked for, then the first few others: an earlier bed is worth a turn.
    const asked = choice[turns[piece] % choice.length];
    const order = [asked, ...choice.slice(0, OTHER_TURNS).filter((variant) => variant !== asked)];
    for (let bed = 0; bed < grounds.length && !spots[piece]; bed++)
      for (const variant of order) {
        const free = firstFree(maps, variant, bed, spots);
        if (!free) continue;
        spots[piece] = { variant, bed, ...free };
        break;
      }
    if (spots[piece]) continue;
    // What fits nowhere yet may fit at one of the rest.
    for (const variant of choice.slice(OTHER_TURNS))
      for (let bed = 0; bed < grounds.length && !spots[piece]; bed++) {
        const free = firstFree(maps, variant, bed, spots);
        if (free) spots[piece] = { variant, bed, ...free };
      }
  }
  return spots;
}

/** So many turns of a piece, the first of its list, are tried on every bed. */
const OTHER_TURNS = 4;
