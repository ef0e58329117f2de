/**
 * A handful of measures by which an outline is carried onto a sheet with a rule: places on it, each by its distance from two edges of the
 * base, so chosen that straight lines from place to place stray as little as they may (Ramer, Douglas and Peucker's farthest point, again and
 * again). Lengths in mm.
 */
import { distanceToStretch, type Point, type Polygon, type Ring } from '../geometry/index.ts';

/** A place on an outline, and its letter. */
export interface SetOutPlace {
  letter: string;
  fromLeftMm: number;
  fromFrontMm: number;
}

/** The measures of one outline; `strayMm` is how far it strays from straight lines between them. */
export interface SetOut {
  hole: boolean;
  places: SetOutPlace[];
  strayMm: number;
}

/** Nobody transfers more than this by hand; fewer do where straight lines follow the outline this well, mm. */
const MOST_PLACES = 12;
const GOOD_MM = 1.5;

const letterOf = (k: number): string =>
  k < 26 ? String.fromCharCode(65 + k) : `${letterOf(Math.floor(k / 26) - 1)}${letterOf(k % 26)}`;

/** The measures of all outlines of a layer, lettered through; outer edges before their holes. */
export function settingOut(pieces: readonly Polygon[]): SetOut[] {
  let count = 0;
  return pieces
    .flatMap(({ outer, holes }) => [{ ring: outer, hole: false }, ...holes.map((ring) => ({ ring, hole: true }))])
    .map(({ ring, hole }) => {
      const { chosen, strayMm } = chosenOn(ring);
      const places = chosen.map((k) => ({
        letter: letterOf(count++),
        fromLeftMm: ring[k][0],
        fromFrontMm: ring[k][1],
      }));
      return { hole, places, strayMm };
    });
}

/** Places on a ring, in its order. */
function chosenOn(ring: Ring): { chosen: number[]; strayMm: number } {
  const by = (score: (point: Point) => number) =>
    ring.reduce((best, point, k) => (score(point) > score(ring[best]) ? k : best), 0);
  const left = by(([x, y]) => -x - y);
  const chosen = [...new Set([left, by(([x, y]) => Math.hypot(x - ring[left][0], y - ring[left][1]))])].sort(
    (a, b) => a - b,
  );
  for (;;) {
    const { strayMm, at } = farthest(ring, chosen);
    if (strayMm <= GOOD_MM || chosen.length >= Math.min(MOST_PLACES, ring.length)) return { chosen, strayMm };
    chosen.push(at);
    chosen.sort((a, b) => a - b);
  }
}

/** The place on a ring that straight lines between the chosen ones miss by most. */
function farthest(ring: Ring, chosen: readonly number[]): { strayMm: number; at: number } {
  let [strayMm, at] = [0, chosen[0]];
  chosen.forEach((from, k) => {
    const to = chosen[(k + 1) % chosen.length];
    for (let n = (from + 1) % ring.length; n !== to; n = (n + 1) % ring.length) {
      const off = distanceToStretch(ring[n], ring[from], ring[to]);
      if (off > strayMm) [strayMm, at] = [off, n];
    }
  });
  return { strayMm, at };
}
