/**
 * Pieces as polygons that shift and turn by small steps, and the contacts between them (nearest corner and edge), for compaction. Lengths in
 * mm, angles in radians.
 */
import { boundsOf, type Point, type Ring } from '../geometry/index.ts';
import { grown, laidOut, type NestProblem, type Placed } from './problem.ts';

/** A piece as it lies while it is pressed: grown by half the gap, at a place and a turn that change a little at a time. */
export interface Body {
  place: Placed;
  /** Its outlines about the point that is placed, as it lay at first, and as they lie now. */
  first: Ring[];
  rings: Ring[];
  box: readonly [number, number, number, number];
  x: number;
  y: number;
  /** Turned since the first, radians. */
  angle: number;
  /** How readily it moves and turns: 0 is not at all. */
  moves: number;
  turns: number;
}

/** A corner that lies near an edge or another corner, or near a wall, and how both give way. */
export interface Contact {
  a: Body;
  /** Null: a wall. */
  b: Body | null;
  /** Away from what the corner lies near. */
  normal: Point;
  /** How far apart they were when the contact was read, mm; less than nothing where they overlap. */
  apartMm: number;
  /** Levers of both about the points that are placed, mm. */
  leverA: number;
  leverB: number;
  /** How readily both give way together. */
  gives: number;
  /** Where both were when it was read. */
  was: readonly [number, number, number, number, number, number];
}

/** Contacts are read up to this far apart, or into one another, mm. */
export const NEAR_MM = 1.5;

/** A piece made ready to be pressed. */
export function bodyOf(problem: NestProblem, place: Placed, still: boolean): Body {
  const piece = problem.pieces[place.piece];
  const shape = grown(laidOut(piece, { ...place, xMm: 0, yMm: 0 }), problem.gapMm / 2);
  const [x0, y0, x1, y1] = boundsOf(shape.outer);
  const body: Body = {
    place,
    first: [shape.outer, ...shape.holes],
    rings: [],
    box: [0, 0, 0, 0],
    x: place.xMm,
    y: place.yMm,
    angle: 0,
    moves: still ? 0 : 1,
    // As a full rectangle of its size would turn.
    turns: still || !piece.anyTurn ? 0 : 12 / ((x1 - x0) ** 2 + (y1 - y0) ** 2),
  };
  lie(body);
  return body;
}

/** Puts the outlines of a body where it is now. */
export function lie(body: Body): void {
  const c = Math.cos(body.angle);
  const s = Math.sin(body.angle);
  body.rings = body.first.map((ring) => ring.map(([x, y]): Point => [body.x + x * c - y * s, body.y + x * s + y * c]));
  body.box = boundsOf(body.rings[0]);
}

/** The place that a body has come to. */
export function placeOf({ place, x, y, angle }: Body): Placed {
  const turn = place.turn + (angle * 180) / Math.PI;
  return { ...place, xMm: x, yMm: y, turn: angle === 0 ? place.turn : ((turn % 360) + 360) % 360 };
}

/** Adds the contact of a corner of `a` at `corner` with what lies at `touched`. */
function meet(all: Contact[], a: Body, b: Body | null, corner: Point, touched: Point, normal: Point, apartMm: number) {
  const lever = (body: Body, [x, y]: Point) => (x - body.x) * normal[1] - (y - body.y) * normal[0];
  const leverA = lever(a, corner);
  const leverB = b ? lever(b, touched) : 0;
  const gives = a.moves + a.turns * leverA ** 2 + (b ? b.moves + b.turns * leverB ** 2 : 0);
  if (gives === 0) return;
  all.push({
    a,
    b,
    normal,
    apartMm,
    leverA,
    leverB,
    gives,
    was: [a.x, a.y, a.angle, b?.x ?? 0, b?.y ?? 0, b?.angle ?? 0],
  });
}

/** Contacts of the corners of `a` with the edges and outer corners of `b`, where their boxes come near. */
function cornersOn(all: Contact[], a: Body, b: Body): void {
  const low: Point = [Math.max(a.box[0], b.box[0]) - NEAR_MM, Math.max(a.box[1], b.box[1]) - NEAR_MM];
  const high: Point = [Math.min(a.box[2], b.box[2]) + NEAR_MM, Math.min(a.box[3], b.box[3]) + NEAR_MM];
  const corners = a.rings.flatMap((ring) =>
    ring.filter(([x, y]) => x >= low[0] && x <= high[0] && y >= low[1] && y <= high[1]),
  );
  if (!corners.length) return;
  for (const ring of b.rings)
    for (let k = 0; k < ring.length; k++) {
      const from = ring[k];
      const to = ring[(k + 1) % ring.length];
      if (Math.max(from[0], to[0]) < low[0] || Math.min(from[0], to[0]) > high[0]) continue;
      if (Math.max(from[1], to[1]) < low[1] || Math.min(from[1], to[1]) > high[1]) continue;
      const [ex, ey] = [to[0] - from[0], to[1] - from[1]];
      const long = Math.hypot(ex, ey);
      if (long < 1e-9) continue;
      // Outlines run counter-clockwise, holes the other way: what is solid lies to the left.
      const normal: Point = [ey / long, -ex / long];
      for (const corner of corners) {
        const apart = normal[0] * (corner[0] - from[0]) + normal[1] * (corner[1] - from[1]);
        if (Math.abs(apart) > NEAR_MM) continue;
        const along = (ex * (corner[0] - from[0]) + ey * (corner[1] - from[1])) / long;
        if (along >= 0 && along <= long) {
          const touched: Point = [corner[0] - normal[0] * apart, corner[1] - normal[1] * apart];
          meet(all, a, b, corner, touched, normal, apart);
        } else if (apart > 0 && along > long) onCorner(all, a, b, corner, from, to, ring[(k + 2) % ring.length]);
      }
    }
}

/** A corner beyond the end of an edge lies nearest to the end itself, where the outline turns outward there. */
function onCorner(all: Contact[], a: Body, b: Body, corner: Point, from: Point, end: Point, next: Point): void {
  const outward = (end[0] - from[0]) * (next[1] - end[1]) - (end[1] - from[1]) * (next[0] - end[0]) > 0;
  const [dx, dy] = [corner[0] - end[0], corner[1] - end[1]];
  const apart = Math.hypot(dx, dy);
  if (!outward || apart > NEAR_MM || apart < 1e-6) return;
  // Beside the next edge that edge counts.
  if ((next[0] - end[0]) * dx + (next[1] - end[1]) * dy >= 0) return;
  meet(all, a, b, corner, end, [dx / apart, dy / apart], apart);
}

/** Walls that pieces stay within: left, near, right, far, mm. */
export type Walls = readonly [number, number, number, number];

/** All contacts of some bodies with each other and with their walls. */
export function contactsOf(bodies: readonly Body[], [left, near, right, far]: Walls): Contact[] {
  const all: Contact[] = [];
  bodies.forEach((a, k) => {
    for (const b of bodies.slice(0, k)) {
      if (a.box[0] > b.box[2] + NEAR_MM || b.box[0] > a.box[2] + NEAR_MM) continue;
      if (a.box[1] > b.box[3] + NEAR_MM || b.box[1] > a.box[3] + NEAR_MM) continue;
      cornersOn(all, a, b);
      cornersOn(all, b, a);
    }
    for (const corner of a.rings[0]) {
      const [x, y] = corner;
      if (x < left + NEAR_MM) meet(all, a, null, corner, corner, [1, 0], x - left);
      if (y < near + NEAR_MM) meet(all, a, null, corner, corner, [0, 1], y - near);
      if (x > right - NEAR_MM) meet(all, a, null, corner, corner, [-1, 0], right - x);
      if (y > far - NEAR_MM) meet(all, a, null, corner, corner, [0, -1], far - y);
    }
  });
  return all;
}
