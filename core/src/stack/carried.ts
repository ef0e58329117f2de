/**
 * A target whose levels were moved: heights between two moved levels are stretched evenly, those above the highest go along with it. The
 * hypsometric curve of the moved target follows from that of the drawn one. Heights in mm, areas in mm2, volumes in mm3.
 */
import { areaAbove, type Hypsometry, volumeAbove } from '../geometry/index.ts';

/** Heights where they were drawn and where they lie now, both rising; what is below the first moves with it, what is above the last too. */
export interface Carried {
  was: readonly number[];
  now: readonly number[];
}

/** The part between two knots that a height lies in, by its lower knot; -1 below the first. */
function partOf(knots: readonly number[], heightMm: number): number {
  let part = knots.length - 1;
  while (part >= 0 && heightMm < knots[part]) part--;
  return part;
}

const along = (from: readonly number[], to: readonly number[], heightMm: number): number => {
  const part = partOf(from, heightMm);
  if (part < 0) return heightMm + to[0] - from[0];
  const above = part + 1;
  if (above === from.length) return heightMm + to[part] - from[part];
  return to[part] + ((heightMm - from[part]) * (to[above] - to[part])) / (from[above] - from[part]);
};

/** Where a height of the drawn target lies now. */
export const heightNow = ({ was, now }: Carried, heightMm: number): number => along(was, now, heightMm);

/** Where a height of the moved target was drawn. */
export const heightBefore = ({ was, now }: Carried, heightMm: number): number => along(now, was, heightMm);

/** Plan area at or above a height of the moved target. */
export const areaAboveMoved = (carried: Carried | null, curve: Hypsometry, heightMm: number): number =>
  carried ? areaAbove(curve, heightBefore(carried, heightMm)) : areaAbove(curve, heightMm);

/** Volume of the moved target above a height. */
export const volumeAboveMoved = (carried: Carried | null, curve: Hypsometry, heightMm: number): number =>
  // A choice lays tens of thousands of layers, most of them over levels that stay.
  carried ? volumeStretched(carried, curve, heightMm) : volumeAbove(curve, heightMm);

function volumeStretched(carried: Carried, curve: Hypsometry, heightMm: number): number {
  const { was, now } = carried;
  const last = was.length - 1;
  let part = partOf(now, heightMm);
  const before = heightBefore(carried, heightMm);
  if (part === last) return volumeAbove(curve, before);
  // From here to the next knot, then knot by knot, each part's volume as often as it was stretched.
  let [sum, from] = [0, volumeAbove(curve, before)];
  for (; part < last; part++) {
    const stretch = part < 0 ? 1 : (now[part + 1] - now[part]) / (was[part + 1] - was[part]);
    const to = volumeAbove(curve, was[part + 1]);
    sum += stretch * (from - to);
    from = to;
  }
  return sum + from;
}
