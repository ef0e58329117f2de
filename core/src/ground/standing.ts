/**
 * How a base stands on the ground, round or of any outline: the tilt of the least-squares plane under it, degrees, and the farthest that the
 * ground strays from it, mm.
 */
import { boundsOf, type Grid, heightAt, insideRing, type Point, type Ring } from '../geometry/index.ts';
import { toEnd } from '../kernel/index.ts';
import { thinnedTo } from './flood.ts';

/** How a base stands at a place. */
export interface Stand {
  /** Tilt of the plane that fits the ground under it best (least squares), degrees. */
  tiltDegrees: number;
  /** The farthest that the ground lies over or under that plane, mm. */
  unevenMm: number;
}

/** Places under a base of diameter 2, evenly spread over the disc and the same on all four sides. */
const SPREAD: readonly (readonly [number, number])[] = Array.from({ length: 49 }, (_, k): [number, number] => [
  ((k % 7) - 3) / 3,
  (Math.floor(k / 7) - 3) / 3,
]).filter(([x, y]) => x * x + y * y <= 1 + 1e-9);
const SQUARES = SPREAD.reduce((sum, [x]) => sum + x * x, 0);

/**
 * How a round base of some diameter stands at a place; null where it would reach over the edge. The plane z = c + ax + by through places that lie
 * evenly round the middle has a = sum(xz) / sum(x2), and b likewise.
 */
export function standAt(grid: Grid, outline: Ring, x: number, y: number, diameterMm: number): Stand | null {
  const r = diameterMm / 2;
  const heights = new Array<number>(SPREAD.length);
  let [mean, a, b] = [0, 0, 0];
  for (let k = 0; k < SPREAD.length; k++) {
    const [u, v] = SPREAD[k];
    // Only the rim can lie off the base.
    if (u * u + v * v > 0.8 && !insideRing(outline, x + r * u, y + r * v)) return null;
    const z = heightAt(grid, x + r * u, y + r * v);
    heights[k] = z;
    mean += z / SPREAD.length;
    a += (u * z) / SQUARES;
    b += (v * z) / SQUARES;
  }
  let unevenMm = 0;
  for (let k = 0; k < SPREAD.length; k++)
    unevenMm = Math.max(unevenMm, Math.abs(heights[k] - mean - a * SPREAD[k][0] - b * SPREAD[k][1]));
  return { tiltDegrees: (Math.atan(Math.hypot(a, b) / r) * 180) / Math.PI, unevenMm };
}

/** So many places along the longer side of the box round an outline, under which the ground is read. */
const PLACES = 12;

/**
 * How a base of any outline stands; null where it would reach over the edge. The plane is that of least squares through the ground under its
 * corners and under places evenly spread within it (normal equations about their middle).
 */
export function standUnder(grid: Grid, outline: Ring, ring: Ring): Stand | null {
  if (!ring.every(([x, y]) => insideRing(outline, x, y))) return null;
  const [x0, y0, x1, y1] = boundsOf(ring);
  const step = Math.max(x1 - x0, y1 - y0) / PLACES;
  const at: Point[] = [...ring];
  for (let y = y0 + step / 2; y < y1; y += step)
    for (let x = x0 + step / 2; x < x1; x += step) if (insideRing(ring, x, y)) at.push([x, y]);
  const heights = at.map(([x, y]) => heightAt(grid, x, y));
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const [mx, my, mz] = [mean(at.map(([x]) => x)), mean(at.map(([, y]) => y)), mean(heights)];
  let [xx, xy, yy, xz, yz] = [0, 0, 0, 0, 0];
  at.forEach(([x, y], k) => {
    const [u, v, w] = [x - mx, y - my, heights[k] - mz];
    xx += u * u;
    xy += u * v;
    yy += v * v;
    xz += u * w;
    yz += v * w;
  });
  const determinant = xx * yy - xy * xy;
  if (!(determinant > 0)) return null;
  const a = (xz * yy - yz * xy) / determinant;
  const b = (yz * xx - xz * xy) / determinant;
  const unevenMm = at.reduce(
    (most, [x, y], k) => Math.max(most, Math.abs(heights[k] - mz - a * (x - mx) - b * (y - my))),
    0,
  );
  return { tiltDegrees: (Math.atan(Math.hypot(a, b)) * 180) / Math.PI, unevenMm };
}

/** What a figure does at a place. */
export const STANDS = 0;
const ROCKS = 1;
const SLIDES = 2;
const OVER_THE_EDGE = 3;

export interface StandLimits {
  tiltDegrees: number;
  unevenMm: number;
}

/** Whether a base of some diameter stands, rocks, slides or reaches over the edge at each node of a lattice of no more than `most` nodes. */
export const standingOf = (ground: Grid, outline: Ring, diameterMm: number, limits: StandLimits, most = 12_000): Grid =>
  toEnd(standingIn(ground, outline, diameterMm, limits, most));

/** So many places are tried between two yields. */
const PLACES_EACH = 2000;

/** The same, yielding between pieces of work. */
export function* standingIn(
  ground: Grid,
  outline: Ring,
  diameterMm: number,
  limits: StandLimits,
  most: number,
): Generator<undefined, Grid> {
  const grid = thinnedTo(most, ground);
  const { columns, rows, cellMm, originMm } = grid;
  const values = new Float64Array(columns * rows);
  for (let j = 0, n = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, n++) {
      if (n % PLACES_EACH === PLACES_EACH - 1) yield;
      const stand = standAt(ground, outline, originMm[0] + i * cellMm, originMm[1] + j * cellMm, diameterMm);
      values[n] = verdict(stand, limits);
    }
  return { ...grid, values };
}

export function verdict(stand: Stand | null, { tiltDegrees, unevenMm }: StandLimits): number {
  if (!stand) return OVER_THE_EDGE;
  if (stand.tiltDegrees > tiltDegrees) return SLIDES;
  return stand.unevenMm > unevenMm ? ROCKS : STANDS;
}

/** Share of the base, in percent, on which a figure with a base of some diameter can stand by its middle. */
export function standingShare(standing: Grid, outline: Ring): number {
  const { columns, cellMm, originMm, values } = standing;
  let [all, stands] = [0, 0];
  for (let n = 0; n < values.length; n++) {
    if (!insideRing(outline, originMm[0] + (n % columns) * cellMm, originMm[1] + Math.floor(n / columns) * cellMm))
      continue;
    all++;
    if (values[n] === STANDS) stands++;
  }
  return all ? (100 * stands) / all : 0;
}
