import type { Point } from './grid.ts';

/** A closed outline whose first point is not repeated; outer rings run counter-clockwise, holes clockwise. */
export type Ring = readonly Point[];

/** Which edges of a ring reach over which heights, so that a place is compared with few of them: those of band b are `edges` from starts[b] to starts[b + 1]. */
interface Bands {
  y0: number;
  y1: number;
  perMm: number;
  starts: Int32Array;
  edges: Int32Array;
}

/** Rings of few points are looked through; others get their bands when they have been asked often. */
const FEW_POINTS = 24;
const OFTEN = 12;

/** What is known of a ring, as long as it is the same: its ends tell when it was turned round or made longer. */
const known = new WeakMap<Ring, { first: Point; last: Point; points: number; asked: number; bands: Bands | null }>();

/** Whether an edge that ends at point k crosses the level of a place to the right of it. */
function crosses(ring: Ring, k: number, x: number, y: number): boolean {
  const [xi, yi] = ring[k];
  const [xj, yj] = ring[k ? k - 1 : ring.length - 1];
  return yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi;
}

/** Whether a point lies inside a ring (even-odd rule). */
export function insideRing(ring: Ring, x: number, y: number): boolean {
  let inside = false;
  const bands = ring.length > FEW_POINTS ? bandsOf(ring) : null;
  if (!bands) {
    for (let k = 0; k < ring.length; k++) if (crosses(ring, k, x, y)) inside = !inside;
    return inside;
  }
  const { y0, y1, perMm, starts, edges } = bands;
  if (!(y >= y0 && y <= y1)) return false;
  const band = bandAt(y - y0, perMm, starts.length - 1);
  for (let e = starts[band]; e < starts[band + 1]; e++) if (crosses(ring, edges[e], x, y)) inside = !inside;
  return inside;
}

const bandAt = (mm: number, perMm: number, count: number): number => Math.min(count - 1, Math.floor(mm * perMm));

function bandsOf(ring: Ring): Bands | null {
  const [first, last] = [ring[0], ring[ring.length - 1]];
  let entry = known.get(ring);
  if (!entry || entry.first !== first || entry.last !== last || entry.points !== ring.length) {
    entry = { first, last, points: ring.length, asked: 0, bands: null };
    known.set(ring, entry);
  }
  if (!entry.bands && ++entry.asked > OFTEN) entry.bands = madeBands(ring);
  return entry.bands;
}

function madeBands(ring: Ring): Bands {
  let y0 = Number.POSITIVE_INFINITY;
  let y1 = Number.NEGATIVE_INFINITY;
  for (const [, y] of ring) {
    y0 = Math.min(y0, y);
    y1 = Math.max(y1, y);
  }
  const count = ring.length;
  const perMm = y1 > y0 ? count / (y1 - y0) : 0;
  const reach = (k: number): [number, number] => {
    const [a, b] = [ring[k][1] - y0, ring[k ? k - 1 : count - 1][1] - y0];
    return [bandAt(Math.min(a, b), perMm, count), bandAt(Math.max(a, b), perMm, count)];
  };
  const starts = new Int32Array(count + 1);
  for (let k = 0; k < count; k++) {
    const [from, to] = reach(k);
    for (let band = from; band <= to; band++) starts[band + 1]++;
  }
  for (let band = 0; band < count; band++) starts[band + 1] += starts[band];
  const edges = new Int32Array(starts[count]);
  const next = starts.slice(0, count);
  for (let k = 0; k < count; k++) {
    const [from, to] = reach(k);
    for (let band = from; band <= to; band++) edges[next[band]++] = k;
  }
  return { y0, y1, perMm, starts, edges };
}
