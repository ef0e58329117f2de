/** Moves of the search: a position by chance, a disturbed layout, pieces pushed together on the lattice. */
import { firstFree } from './bottomLeft.ts';
import type { Maps, Position } from './positions.ts';

/** Whether a piece lies on its bed, within the reach that is left of it. */
export const fits = (maps: Maps, reach: readonly number[], { variant, bed, i }: Position): boolean =>
  i >= 0 &&
  i <= maps.lastI(variant, bed) &&
  i * maps.prepared.cellMm + variant.widthMm <= reach[bed] * maps.prepared.cellMm + 1e-6;

/** A place by chance for a piece that has none; null for one that is pinned or larger than every bed. */
export function anywhere(maps: Maps, piece: number, chance: () => number): Position | null {
  const places = maps.prepared.variants[piece].flatMap((variant) =>
    maps.prepared.grounds.flatMap((_, bed) => {
      const lastI = maps.lastI(variant, bed);
      const lastJ = maps.lastJ(variant, bed);
      return lastI < 0 || lastJ < 0 ? [] : [{ variant, bed, lastI, lastJ }];
    }),
  );
  if (!places.length) return null;
  const { variant, bed, lastI, lastJ } = places[Math.floor(chance() * places.length)];
  return { variant, bed, i: Math.floor(chance() * (lastI + 1)), j: Math.floor(chance() * (lastJ + 1)) };
}

/** Two pieces change places, or one goes anywhere: a way out of a layout that leads no further. */
export function disturb(maps: Maps, spots: (Position | null)[], chance: () => number): void {
  const movable = spots.flatMap((spot, piece) => (spot ? [piece] : []));
  const a = movable[Math.floor(chance() * movable.length)];
  const b = movable[Math.floor(chance() * movable.length)];
  const [one, two] = [spots[a] as Position, spots[b] as Position];
  if (a === b || chance() < 0.5) {
    spots[a] = anywhere(maps, a, chance) ?? one;
    return;
  }
  const held = (spot: Position): Position | null => {
    const lastI = maps.lastI(spot.variant, spot.bed);
    const lastJ = maps.lastJ(spot.variant, spot.bed);
    return lastI < 0 || lastJ < 0 ? null : { ...spot, i: Math.min(spot.i, lastI), j: Math.min(spot.j, lastJ) };
  };
  const first = held({ ...one, bed: two.bed, i: two.i, j: two.j });
  const second = held({ ...two, bed: one.bed, i: one.i, j: one.j });
  if (first && second) [spots[a], spots[b]] = [first, second];
}

/** Takes each piece, from the left, to the leftmost and lowest place that is free for it on its own bed or an earlier one. */
export function pushed(maps: Maps, spots: readonly (Position | null)[]): (Position | null)[] {
  const next = [...spots];
  const order = next.flatMap((spot, piece) => (spot ? [piece] : []));
  const at = (piece: number) => next[piece] as Position;
  order.sort((a, b) => at(a).bed - at(b).bed || at(a).i - at(b).i);
  for (const piece of order) {
    const { variant, bed, i } = at(piece);
    const free = firstFree(maps, variant, bed, next, i);
    if (free && (free.i < i || free.j < at(piece).j)) next[piece] = { variant, bed, ...free };
  }
  return next;
}
