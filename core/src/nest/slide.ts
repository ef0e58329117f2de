/**
 * Slides pieces of a layout together, left, aslant and down, each until it touches: sweeps over corners in the order of their heights. Lengths
 * in mm.
 */
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
  pinned: boolean;
}

/** Straight left, then left along the slope of what is in the way, and down: each by its degrees. */
const WAYS: readonly Point[] = [180, 150, 210, 120, 240, 270].map((degrees): Point => {
  const angle = (degrees * Math.PI) / 180;
  return [Math.cos(angle), Math.sin(angle)];
});

/**
 * Pushes the pieces of a layout together, left (also aslant, along what they lie against) and down in turn, each until it touches another or the edge of its bed:
 * what the lattice left between them is taken back. Places are moved only in steps that stay free of overlap. Yields after each push.
 */
export function* slideTogether(
  { problem, grounds }: Prepared,
  placed: readonly Placed[],
): Generator<undefined, Placed[]> {
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
      let moved = 0;
      for (const towards of WAYS) {
        moved = Math.max(moved, push(here, rim, towards));
        yield;
      }
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
    pinned: problem.pinned.some(({ piece }) => piece === place.piece),
  };
}

/** Rings turned so that what lies in a direction lies to the left. */
const facing = (rings: readonly Ring[], [dx, dy]: Point): Ring[] =>
  rings.map((ring) => ring.map(([x, y]): Point => [-x * dx - y * dy, x * dy - y * dx]));

/** Pushes every piece in a direction, the foremost first; gives the longest way that one went, mm. */
function push(pieces: readonly Lying[], rim: Ring, towards: Point): number {
  let longest = 0;
  const walls = facing([rim], towards);
  const seen = pieces.map((piece) => {
    const rings = facing(piece.rings, towards);
    return { piece, rings, box: boundsOf(rings[0]) };
  });
  seen.sort((a, b) => a.box[0] - b.box[0]);
  for (const one of seen) {
    const { piece, rings, box } = one;
    if (piece.pinned) continue;
    let way = wayTo(rings, walls);
    for (const other of seen)
      if (other !== one && other.box[1] < box[3] && other.box[3] > box[1] && other.box[0] < box[2])
        way = Math.min(way, wayTo(rings, other.rings));
    way -= HAIR_MM;
    if (!(way > HAIR_MM) || !Number.isFinite(way)) continue;
    const shift = ([x, y]: Point, dx: number, dy: number): Point => [x + dx, y + dy];
    const [dx, dy] = [towards[0] * way, towards[1] * way];
    piece.rings = piece.rings.map((ring) => ring.map((point) => shift(point, dx, dy)));
    piece.place = { ...piece.place, xMm: piece.place.xMm + dx, yMm: piece.place.yMm + dy };
    one.rings = rings.map((ring) => ring.map((point) => shift(point, -way, 0)));
    one.box = boundsOf(one.rings[0]);
    longest = Math.max(longest, way);
  }
  return longest;
}

/** How far rings can go to the left before they touch others, mm: corners of either against the edges of the other. */
export function wayTo(moving: readonly Ring[], still: readonly Ring[]): number {
  return Math.min(ways(moving, still, 1), ways(still, moving, -1));
}

/** Shapes that overlap by no more than this do so by rounding: they touch, mm. */
const ROUNDING_MM = 0.3;

/** Corners in the order of their heights, so that an edge meets only those beside it: a sorted sweep, near-linear where nothing is tall. */
interface InOrder {
  xs: Float64Array;
  ys: Float64Array;
}

/** Outlines are met by many others before they move. */
const known = new WeakMap<readonly Ring[], InOrder>();

function inOrder(rings: readonly Ring[]): InOrder {
  const before = known.get(rings);
  if (before) return before;
  const corners = rings.flat().sort((a, b) => a[1] - b[1]);
  const order = { xs: Float64Array.from(corners, ([x]) => x), ys: Float64Array.from(corners, ([, y]) => y) };
  known.set(rings, order);
  return order;
}

/** The place of the first that is not less than `value`, in ascending numbers. */
function firstFrom(ascending: Float64Array, value: number): number {
  let [low, high] = [0, ascending.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (ascending[middle] < value) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The least way from corners to edges that lie to the left of them (sign 1) or to the right (-1); only edges that face the corners count. */
function ways(corners: readonly Ring[], edges: readonly Ring[], sign: 1 | -1): number {
  let least = Number.POSITIVE_INFINITY;
  const { xs, ys } = inOrder(corners);
  for (const ring of edges)
    for (let k = 0, l = ring.length - 1; k < ring.length; l = k++) {
      const [from, to] = [ring[l], ring[k]];
      // The outward normal of an outline that runs counter-clockwise (a hole the other way), to the right.
      const right = to[1] - from[1];
      if (sign * right <= 0) continue;
      const [a, b] = from[1] <= to[1] ? [from, to] : [to, from];
      const slope = (b[0] - a[0]) / (b[1] - a[1]);
      for (let c = firstFrom(ys, a[1]); c < ys.length && ys[c] <= b[1]; c++) {
        const way = sign * (xs[c] - a[0] - (ys[c] - a[1]) * slope);
        if (way > -ROUNDING_MM && way < least) least = way;
      }
    }
  return Math.max(0, least);
}
