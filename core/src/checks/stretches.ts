import type { Point } from '../geometry/index.ts';
import { type Item, isClosed, runOf } from '../project/index.ts';

/** The straight bits of an item's run. */
export function stretchesOf(item: Item): [Point, Point][] {
  const run = runOf(item);
  return run.slice(0, isClosed(item) ? undefined : -1).map((point, k) => [point, run[(k + 1) % run.length]]);
}

export interface Stretch<T> {
  owner: T;
  ends: readonly [Point, Point];
}

const side = (a: Point, b: Point, p: Point) => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);

const apart = (a: number, b: number, c: number, d: number): boolean =>
  Math.max(a, b) < Math.min(c, d) - 1e-9 || Math.max(c, d) < Math.min(a, b) - 1e-9;

/** Whether two stretches touch or cross. On one straight line they do so only where they lie over one another. */
export const meet = (a: Point, b: Point, c: Point, d: Point): boolean =>
  !apart(a[0], b[0], c[0], d[0]) &&
  !apart(a[1], b[1], c[1], d[1]) &&
  side(a, b, c) * side(a, b, d) <= 0 &&
  side(c, d, a) * side(c, d, b) <= 0;

/** Where two stretches that meet do so; the middle of what they share where they lie over one another. */
function meetingOf(a: Point, b: Point, c: Point, d: Point): Point {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const cross = dx * (d[1] - c[1]) - dy * (d[0] - c[0]);
  if (Math.abs(cross) > 1e-9) {
    const t = ((c[0] - a[0]) * (d[1] - c[1]) - (c[1] - a[1]) * (d[0] - c[0])) / cross;
    return [a[0] + t * dx, a[1] + t * dy];
  }
  const along = (p: Point) => (p[0] - a[0]) * dx + (p[1] - a[1]) * dy;
  const [, second, third] = [a, b, c, d].sort((p, q) => along(p) - along(q));
  return [(second[0] + third[0]) / 2, (second[1] + third[1]) / 2];
}

/** The least distance between two stretches that do not meet, and where. */
function gapOf(a: Point, b: Point, c: Point, d: Point): { mm: number; at: Point } {
  const options: [Point, Point, Point][] = [
    [a, c, d],
    [b, c, d],
    [c, a, b],
    [d, a, b],
  ];
  let best = { mm: Number.POSITIVE_INFINITY, at: a };
  for (const [p, q, r] of options) {
    const [dx, dy] = [r[0] - q[0], r[1] - q[1]];
    const square = dx * dx + dy * dy;
    const t = square ? Math.min(1, Math.max(0, ((p[0] - q[0]) * dx + (p[1] - q[1]) * dy) / square)) : 0;
    const mm = Math.hypot(p[0] - q[0] - t * dx, p[1] - q[1] - t * dy);
    if (mm < best.mm) best = { mm, at: p };
  }
  return best;
}

/** Stretches are sorted into squares of this size so that only neighbours are compared, mm. */
const SQUARE_MM = 15;

/** Two owners whose stretches meet, or come within the gap that was asked for. */
export interface Crossing<T> {
  first: T;
  second: T;
  at: Point;
  /** 0 where they meet. */
  gapMm: number;
}

/**
 * The first crossing of each pair of owners that count, at most `most` in all; with `withinMm`, also where they come nearer than that.
 * Stretches of no length cross nothing.
 */
export function firstCrossings<T>(
  stretches: readonly Stretch<T>[],
  counts: (a: T, b: T) => boolean,
  most = Number.POSITIVE_INFINITY,
  withinMm = 0,
): Crossing<T>[] {
  const squares = new Map<string, Stretch<T>[]>();
  const known = new Map<T, Set<T>>();
  const found: Crossing<T>[] = [];
  for (const stretch of stretches) {
    const [a, b] = stretch.ends;
    if (a[0] === b[0] && a[1] === b[1]) continue;
    const from = (p: number, q: number) => Math.floor((Math.min(p, q) - withinMm) / SQUARE_MM);
    const to = (p: number, q: number) => Math.floor((Math.max(p, q) + withinMm) / SQUARE_MM);
    for (let x = from(a[0], b[0]); x <= to(a[0], b[0]); x++)
      for (let y = from(a[1], b[1]); y <= to(a[1], b[1]); y++) {
        const key = `${x},${y}`;
        const there = squares.get(key) ?? [];
        for (const other of there) {
          if (!counts(other.owner, stretch.owner) || known.get(other.owner)?.has(stretch.owner)) continue;
          const [c, d] = other.ends;
          const meets = meet(a, b, c, d);
          const gap = meets || withinMm === 0 ? null : gapOf(a, b, c, d);
          if (!meets && !(gap && gap.mm < withinMm)) continue;
          const pairs = known.get(other.owner) ?? new Set<T>();
          known.set(other.owner, pairs.add(stretch.owner));
          found.push({
            first: other.owner,
            second: stretch.owner,
            at: gap ? gap.at : meetingOf(a, b, c, d),
            gapMm: gap ? gap.mm : 0,
          });
          if (found.length >= most) return found;
        }
        there.push(stretch);
        squares.set(key, there);
      }
  }
  return found;
}
