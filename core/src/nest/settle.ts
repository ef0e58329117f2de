import { boundsOf, type Point, type Ring } from '../geometry/index.ts';
import { grown, laidOut, type NestProblem, type Placed, type Prepared } from './problem.ts';

/** Shapes are left this far apart where they were pushed together, so that rounding cannot make them overlap, mm. */
const HAIR_MM = 0.02;
const MOST_ROUNDS = 8;
/** A round that moves no piece by more than this is the last, mm. */
const STILL_MM = 0.3;

interface Lying {
  place: Placed;
  rings: Ring[];
  box: [number, number, number, number];
  pinned: boolean;
}

/**
 * Pushes the pieces of a layout together, left and down in turn, each until it touches another or the edge of its bed: what the lattice left between them is
 * taken back. Places are moved only in steps that stay free of overlap.
 */
export function settle({ problem, grounds }: Prepared, placed: readonly Placed[]): Placed[] {
  const next: Placed[] = [];
  for (const ground of grounds) {
    const here = placed.filter(({ bed }) => bed === ground.bed).map((place) => lyingOf(problem, place));
    const [x1, y1] = [ground.x0 + ground.widthMm, ground.y0 + ground.depthMm];
    // Seen from inside, as a hole: clockwise.
    const rim: Ring = ground.free
      ? [...ground.free.outer].reverse()
      : [
          [ground.x0, ground.y0],
          [ground.x0, y1],
          [x1, y1],
          [x1, ground.y0],
        ];
    for (let round = 0; round < MOST_ROUNDS; round++) {
      const moved = Math.max(push(here, rim, 0), push(here, rim, 1));
      if (moved < STILL_MM) break;
    }
    next.push(...here.map(({ place }) => place));
  }
  return next;
}

function lyingOf(problem: NestProblem, place: Placed): Lying {
  const shape = grown(laidOut(problem.pieces[place.piece], place), problem.gapMm / 2);
  const rings = [shape.outer, ...shape.holes];
  return {
    place,
    rings,
    box: boundsOf(shape.outer),
    pinned: problem.pinned.some(({ piece }) => piece === place.piece),
  };
}

/** Pushes every piece along one axis (0: left, 1: down), the nearest first; gives the longest way that one went, mm. */
function push(pieces: readonly Lying[], rim: Ring, axis: 0 | 1): number {
  let longest = 0;
  const order = [...pieces].sort((a, b) => a.box[axis] - b.box[axis]);
  const across = axis === 0 ? 1 : 0;
  for (const piece of order) {
    if (piece.pinned) continue;
    let way = wayTo(piece.rings, [rim], axis);
    for (const other of order)
      if (
        other !== piece &&
        other.box[across] < piece.box[across + 2] &&
        other.box[across + 2] > piece.box[across] &&
        other.box[axis] < piece.box[axis + 2]
      )
        way = Math.min(way, wayTo(piece.rings, other.rings, axis));
    way -= HAIR_MM;
    if (!(way > HAIR_MM) || !Number.isFinite(way)) continue;
    const by: Point = axis === 0 ? [-way, 0] : [0, -way];
    piece.rings = piece.rings.map((ring) => ring.map(([x, y]): Point => [x + by[0], y + by[1]]));
    piece.box = boundsOf(piece.rings[0]);
    piece.place = { ...piece.place, xMm: piece.place.xMm + by[0], yMm: piece.place.yMm + by[1] };
    longest = Math.max(longest, way);
  }
  return longest;
}

/** How far rings can go along an axis, towards less, before they touch others: corners of either against the edges of the other. */
export function wayTo(moving: readonly Ring[], still: readonly Ring[], axis: 0 | 1): number {
  return Math.min(ways(moving, still, axis, 1), ways(still, moving, axis, -1));
}

/** Shapes that overlap by no more than this do so by rounding: they touch, mm. */
const ROUNDING_MM = 0.3;

/** The least way from corners to edges that lie before them (sign 1) or behind them (-1) along an axis; only edges that face the corners count. */
function ways(corners: readonly Ring[], edges: readonly Ring[], axis: 0 | 1, sign: 1 | -1): number {
  const across = axis === 0 ? 1 : 0;
  let least = Number.POSITIVE_INFINITY;
  let low = Number.POSITIVE_INFINITY;
  let high = Number.NEGATIVE_INFINITY;
  for (const ring of corners)
    for (const point of ring) {
      low = Math.min(low, point[across]);
      high = Math.max(high, point[across]);
    }
  for (const ring of edges)
    for (let k = 0, l = ring.length - 1; k < ring.length; l = k++) {
      const [from, to] = [ring[l], ring[k]];
      // The outward normal of an outline that runs counter-clockwise (a hole the other way) along the axis.
      const facing = axis === 0 ? to[1] - from[1] : from[0] - to[0];
      if (sign * facing <= 0) continue;
      const [a, b] = from[across] <= to[across] ? [from, to] : [to, from];
      if (b[across] < low || a[across] > high) continue;
      const slope = (b[axis] - a[axis]) / (b[across] - a[across]);
      for (const corner of corners)
        for (const point of corner) {
          const at = point[across];
          if (at < a[across] || at > b[across]) continue;
          const way = sign * (point[axis] - a[axis] - (at - a[across]) * slope);
          if (way > -ROUNDING_MM && way < least) least = way;
        }
    }
  return Math.max(0, least);
}
