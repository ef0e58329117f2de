/**
 * Outlines with an opening, written as one ring: outer edge, a bridge without width to the opening, round that, and back. Areas, places inside
 * and shares of cells come out right of such a ring as of any other (even-odd and signed area); what goes along edges asks for its rings.
 */

import type { Point } from './grid.ts';
import type { Ring } from './inside.ts';
import { ringArea } from './rings.ts';
import { distanceToStretch } from './straight.ts';

const same = ([ax, ay]: Point, [bx, by]: Point): boolean => ax === bx && ay === by;

/** An outline round an opening that lies within it, as one ring. The bridge is the shortest way from a corner of the opening to the edge. */
export function keyholed(outline: Ring, opening: Ring): Ring {
  const outer = ringArea(outline) > 0 ? outline : [...outline].reverse();
  const inner = ringArea(opening) < 0 ? opening : [...opening].reverse();
  let [least, edge, corner] = [Number.POSITIVE_INFINITY, 0, 0];
  inner.forEach((point, h) => {
    outer.forEach((from, k) => {
      const away = distanceToStretch(point, from, outer[(k + 1) % outer.length]);
      if (away < least) [least, edge, corner] = [away, k, h];
    });
  });
  const from = footOn(inner[corner], outer[edge], outer[(edge + 1) % outer.length]);
  const rest = [...outer.slice(edge + 1), ...outer.slice(0, edge + 1)].filter((point) => !same(point, from));
  const hole = [...inner.slice(corner), ...inner.slice(0, corner)];
  return [from, ...rest, from, ...hole, hole[0]];
}

/** The place of a stretch that is nearest to a point. */
function footOn([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): Point {
  const [dx, dy] = [bx - ax, by - ay];
  const square = dx * dx + dy * dy;
  const t = square ? Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / square)) : 0;
  return t === 0 ? [ax, ay] : t === 1 ? [bx, by] : [ax + t * dx, ay + t * dy];
}

const known = new WeakMap<Ring, readonly Ring[]>();

/** The edges of an outline as rings: one, or the outer one and that of its opening, which runs the other way round. */
export function outlineRings(outline: Ring): readonly Ring[] {
  const before = known.get(outline);
  if (before) return before;
  const rings = partedRings(outline);
  known.set(outline, rings);
  return rings;
}

function partedRings(outline: Ring): Ring[] {
  const last = outline.length - 1;
  const bridge = outline.findIndex((point, k) => k > 2 && same(point, outline[0]));
  if (bridge < 0 || bridge + 3 > last || !same(outline[bridge + 1], outline[last])) return [outline];
  return [outline.slice(0, bridge), outline.slice(bridge + 1, last)];
}

const stretches = new WeakMap<Ring, readonly (readonly [Point, Point])[]>();

/** All stretches of an outline's edges, those of its opening too, without the bridge between them. */
export function outlineEdges(outline: Ring): readonly (readonly [Point, Point])[] {
  const before = stretches.get(outline);
  if (before) return before;
  const edges = outlineRings(outline).flatMap((ring) =>
    ring.map((from, k) => [from, ring[(k + 1) % ring.length]] as const),
  );
  stretches.set(outline, edges);
  return edges;
}

/** Distance of a place to the nearest edge of an outline, mm, on either side of it. */
export function distanceToEdge(outline: Ring, x: number, y: number): number {
  const at: Point = [x, y];
  let nearest = Number.POSITIVE_INFINITY;
  for (const [from, to] of outlineEdges(outline)) nearest = Math.min(nearest, distanceToStretch(at, from, to));
  return nearest;
}
