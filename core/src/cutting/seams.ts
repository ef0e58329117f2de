/** Where a piece too large for a sheet is split. */
import {
  boundsOf,
  cutRings,
  distanceToStretch,
  fitsSheet,
  lineLength,
  meetRings,
  nestRings,
  type Point,
  type Polygon,
  polygonArea,
  type Ring,
  ringSize,
  ringsOf,
} from '../geometry/index.ts';
import type { Project } from '../project/index.ts';
import type { Seam } from './piece.ts';

/** The largest that a piece may be: what a sheet holds. */
export interface SheetArea {
  widthMm: number;
  depthMm: number;
  /** Whether a piece may be turned as one likes, or lies as it is. */
  turns: boolean;
}

/** Whether a piece lies whole in a room, turned as it may be. */
export function fitsRoom(outer: Ring, { widthMm, depthMm, turns }: SheetArea): boolean {
  if (turns) return fitsSheet(outer, widthMm, depthMm);
  const box = ringSize(outer);
  return box.widthMm <= widthMm + 1e-6 && box.depthMm <= depthMm + 1e-6;
}

/** Lines across a piece are tried at so many turns, and so many places for each. */
const TURNS = 12;
const PLACES = 31;
/** Nearer to an edge, shorter across a neck, or at a sharper angle to the outline than this a seam is weak. */
const EDGE_MM = 15;
const NECK_MM = 30;
/** What a second cut on the same line counts. */
const EXTRA_CUT_MM = 250;
/** A key: how far it reaches into the other piece, half its width at the foot and at the head, mm, and how far apart keys are. */
const KEY = { deepMm: 8, footMm: 7, headMm: 10, everyMm: 110 };
/** More pieces than this are not made of one. */
const MOST_SPLITS = 40;

type Chord = [Point, Point];

/** A straight line across a piece: where it cuts, and what that costs. */
interface Blade {
  /** Along the line, and its left-hand side. */
  along: Point;
  off: number;
  chords: Chord[];
  cost: number;
}

/**
 * Splits a piece that is larger than a sheet, again and again until every part fits one. Of all straight lines that are tried it takes the one that needs the
 * fewest parts, and among those the shortest that keeps away from necks, edges and the seams of the layer below (all weighed in millimetres of seam).
 */
export function splitToFit(
  piece: Polygon,
  layer: number,
  room: SheetArea,
  below: readonly Seam[],
  { kind, apartMm }: Project['cutting']['seam'],
): { parts: Polygon[]; seams: Seam[] } {
  // A key of one part reaches into the room of the other.
  const least: SheetArea =
    kind === 'keyed' ? { ...room, widthMm: room.widthMm - KEY.deepMm, depthMm: room.depthMm - KEY.deepMm } : room;
  const seams: Seam[] = [];
  const parts: Polygon[] = [];
  // What would fall into far too many parts anyway stays whole and is told to fit nowhere: a heap of splinters helps nobody.
  if (polygonArea(piece) > (MOST_SPLITS + 1) * room.widthMm * room.depthMm) return { parts: [piece], seams };
  const waiting = [piece];
  while (waiting.length) {
    const next = waiting.pop() as Polygon;
    const blade =
      seams.length < MOST_SPLITS && !fitsRoom(next.outer, room) ? bestBlade(next, least, below, apartMm) : null;
    if (!blade) {
      parts.push(next);
      continue;
    }
    const { line, cuts } = drawn(blade, kind === 'keyed');
    const side = leftOf(line, blade, next);
    const halves = [...nestRings(meetRings(ringsOf([next]), [side])), ...nestRings(cutRings(ringsOf([next]), [side]))];
    waiting.push(...halves.filter((half) => polygonArea(half) > 1));
    for (const cut of cuts)
      seams.push({
        layer,
        points: cut.points,
        lengthMm: lineLength(cut.points, false),
        apartMm: below.length ? leastApart([cut.chord], below) : null,
        keys: cut.keys,
      });
  }
  return { parts, seams };
}

function bestBlade(piece: Polygon, room: SheetArea, below: readonly Seam[], apartMm: number): Blade | null {
  const rings = ringsOf([piece]);
  let best: Blade | null = null;
  for (let turn = 0; turn < TURNS; turn++) {
    const angle = (turn * Math.PI) / TURNS;
    const along: Point = [Math.cos(angle), Math.sin(angle)];
    const side = ([x, y]: Point) => x * -along[1] + y * along[0];
    const offs = piece.outer.map(side);
    const [low, high] = [Math.min(...offs), Math.max(...offs)];
    const places = Array.from({ length: PLACES }, (_, k) => low + ((high - low) * (k + 1)) / (PLACES + 1));
    // A part as large as a sheet is often the best that can be done.
    for (const reach of [room.widthMm, room.depthMm]) places.push(low + reach, high - reach);
    for (const off of places) {
      if (off <= low + 1 || off >= high - 1) continue;
      const chords = chordsOf(rings, along, off);
      if (!chords.length) continue;
      const cost = costOf(piece, side, off, chords, room, below, apartMm);
      if (!best || cost < best.cost - 1e-6) best = { along, off, chords, cost };
    }
  }
  return best;
}

/** Where a line runs inside a piece. */
function chordsOf(rings: readonly Ring[], along: Point, off: number): Chord[] {
  const at: number[] = [];
  for (const ring of rings)
    ring.forEach((a, k) => {
      const b = ring[(k + 1) % ring.length];
      const u = a[0] * -along[1] + a[1] * along[0] - off;
      const v = b[0] * -along[1] + b[1] * along[0] - off;
      if (u > 0 === v > 0) return;
      const t = u / (u - v);
      at.push((a[0] + t * (b[0] - a[0])) * along[0] + (a[1] + t * (b[1] - a[1])) * along[1]);
    });
  at.sort((p, q) => p - q);
  const chords: Chord[] = [];
  const point = (s: number): Point => [s * along[0] - off * along[1], s * along[1] + off * along[0]];
  for (let k = 0; k + 1 < at.length; k += 2) if (at[k + 1] - at[k] > 0.1) chords.push([point(at[k]), point(at[k + 1])]);
  return chords;
}

/** What a line costs: parts that it leads to before all else, then millimetres of seam and of what makes a seam weak. */
function costOf(
  { outer }: Polygon,
  side: (point: Point) => number,
  off: number,
  chords: readonly Chord[],
  room: SheetArea,
  below: readonly Seam[],
  apartMm: number,
): number {
  const ends = chords.flat();
  const left = [...outer.filter((point) => side(point) >= off), ...ends];
  const right = [...outer.filter((point) => side(point) < off), ...ends];
  let cost = (partsFor(left, room) + partsFor(right, room)) * 1e4;
  // Every further cut on the line makes one more part.
  cost += EXTRA_CUT_MM * (chords.length - 1);
  for (const [a, b] of chords) {
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
    cost += long;
    // Short across a neck a seam holds little.
    if (long < NECK_MM) cost += 300;
    cost += 8 * nearEdge(a, b, long, outer);
  }
  if (below.length) {
    const apart = leastApart(chords, below);
    if (apart < apartMm) cost += 1500 + 20 * (apartMm - apart);
  }
  return cost;
}

/** How many millimetres of a seam run close along the outline, its ends left aside. */
function nearEdge(a: Point, b: Point, long: number, outer: Ring): number {
  let near = 0;
  const step = 10;
  for (let s = EDGE_MM * 1.5; s < long - EDGE_MM * 1.5; s += step) {
    const x = a[0] + ((b[0] - a[0]) * s) / long;
    const y = a[1] + ((b[1] - a[1]) * s) / long;
    if (outer.some(([u, v]) => Math.abs(u - x) < EDGE_MM && Math.abs(v - y) < EDGE_MM)) near += step;
  }
  return near;
}

/** Into how many parts what is on one side will have to be cut, by its box. */
function partsFor(points: Ring, room: SheetArea): number {
  const { widthMm, depthMm } = room;
  if (fitsRoom(points, room)) return 1;
  const [x0, y0, x1, y1] = boundsOf(points);
  const [w, d] = [x1 - x0, y1 - y0];
  const parts = (a: number, b: number) => Math.ceil(w / a - 1e-6) * Math.ceil(d / b - 1e-6);
  const turned = room.turns ? parts(depthMm, widthMm) : Number.POSITIVE_INFINITY;
  return Math.max(2, Math.min(parts(widthMm, depthMm), turned));
}

/** Least distance of chords from seams of another layer; 0 where they cross. */
export function leastApart(chords: readonly Chord[], seams: readonly Seam[]): number {
  let least = Number.POSITIVE_INFINITY;
  for (const chord of chords)
    for (const { points } of seams)
      for (let k = 1; k < points.length; k++) least = Math.min(least, between(chord, [points[k - 1], points[k]]));
  return least;
}

/** Distance of two stretches. */
function between(a: Chord, b: Chord): number {
  const turn = (p: Point, q: Point, r: Point) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  if (turn(...a, b[0]) > 0 !== turn(...a, b[1]) > 0 && turn(...b, a[0]) > 0 !== turn(...b, a[1]) > 0) return 0;
  return Math.min(
    distanceToStretch(a[0], ...b),
    distanceToStretch(a[1], ...b),
    distanceToStretch(b[0], ...a),
    distanceToStretch(b[1], ...a),
  );
}

/** A blade as it is cut: one line through all its chords, with keys where they are asked for and there is room. */
function drawn(
  { along, chords }: Blade,
  keyed: boolean,
): { line: Point[]; cuts: { chord: Chord; points: Point[]; keys: number }[] } {
  const cuts = chords.map((chord) => {
    const long = Math.hypot(chord[1][0] - chord[0][0], chord[1][1] - chord[0][1]);
    const keys = keyed && long > 4 * KEY.headMm ? Math.max(1, Math.floor(long / KEY.everyMm)) : 0;
    const at = (s: number, deep: number): Point => [
      chord[0][0] + s * along[0] - deep * along[1],
      chord[0][1] + s * along[1] + deep * along[0],
    ];
    const points: Point[] = [chord[0]];
    for (let k = 0; k < keys; k++) {
      const middle = (long * (k + 0.5)) / keys;
      // Keys point now to one side, now to the other, so that neither part holds them all.
      const deep = k % 2 ? -KEY.deepMm : KEY.deepMm;
      points.push(
        at(middle - KEY.footMm, 0),
        at(middle - KEY.headMm, deep),
        at(middle + KEY.headMm, deep),
        at(middle + KEY.footMm, 0),
      );
    }
    points.push(chord[1]);
    return { chord, points, keys };
  });
  return { line: cuts.flatMap(({ points }) => points), cuts };
}

/** Everything left of a blade, as far as the piece reaches. */
function leftOf(line: readonly Point[], { along, off }: Blade, { outer }: Polygon): Ring {
  const [x0, y0, x1, y1] = boundsOf(outer);
  const far = Math.hypot(x1 - x0, y1 - y0) + Math.abs(x0) + Math.abs(y0) + Math.abs(off) + 100;
  const at = (s: number, side: number): Point => [s * along[0] - side * along[1], s * along[1] + side * along[0]];
  return [at(-far, off), ...line, at(far, off), at(far, off + far), at(-far, off + far)];
}
