/** Places for dowels between two layers: the two corners farthest apart of what both share, shrunk by the margin. */
import {
  boundsOf,
  growRings,
  insideRing,
  meetRings,
  nestRings,
  type Point,
  type Polygon,
  type Ring,
  ringsOf,
  straightRing,
} from '../geometry/index.ts';
import type { Project } from '../project/index.ts';

/** Where a dowel may stand is read to this, mm: it is written to as much. */
const READ_MM = 0.1;
/** Two dowels nearer than this hold no better than one, mm. */
const APART_MM = 15;

/**
 * Where dowels keep a layer in place on the one below: inside both, away from the edges of either by the margin and half the dowel. Two for each piece of the upper
 * layer, as far apart as they can be; one where there is no room for two; none where there is none at all. Yields between pieces of work.
 */
export function* dowelsBetween(
  lower: readonly Polygon[],
  upper: readonly Polygon[],
  { diameterMm, marginMm }: Project['stacking']['dowel'],
): Generator<undefined, Point[]> {
  const coarse = (rings: readonly Ring[]) => rings.map((ring) => straightRing(ring, READ_MM));
  const shared = meetRings(coarse(ringsOf(lower)), coarse(ringsOf(upper)));
  yield;
  const free = growRings(shared, -(marginMm + diameterMm / 2), READ_MM);
  if (!free.length) return [];
  yield;
  const places = nestRings(free);
  return upper.flatMap((piece) => {
    const mine = places.filter(({ outer }) => holds(piece, outer[0]));
    return farthestApart(mine.flatMap(({ outer }) => [...outer]));
  });
}

const holds = ({ outer, holes }: Polygon, [x, y]: Point): boolean =>
  insideRing(outer, x, y) && !holes.some((hole) => insideRing(hole, x, y));

/** More corners than this are thinned before every two of them are compared. */
const MOST_CORNERS = 240;

function farthestApart(corners: readonly Point[]): Point[] {
  if (!corners.length) return [];
  const every = Math.max(1, Math.ceil(corners.length / MOST_CORNERS));
  const places = corners.filter((_, k) => k % every === 0);
  let best: [Point, Point] = [places[0], places[0]];
  let farthest = -1;
  for (const a of places)
    for (const b of places) {
      const apart = Math.hypot(a[0] - b[0], a[1] - b[1]);
      if (apart > farthest) [best, farthest] = [[a, b], apart];
    }
  if (farthest >= APART_MM) return best.map(rounded);
  const [x0, y0, x1, y1] = boundsOf(corners);
  const middle: Point = [(x0 + x1) / 2, (y0 + y1) / 2];
  return [rounded(insideRing(corners, ...middle) ? middle : best[0])];
}

const rounded = ([x, y]: Point): Point => [Math.round(x * 10) / 10, Math.round(y * 10) / 10];
