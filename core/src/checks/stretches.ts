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

/** Whether two stretches touch or cross. */
export const meet = (a: Point, b: Point, c: Point, d: Point): boolean =>
  side(a, b, c) * side(a, b, d) <= 0 && side(c, d, a) * side(c, d, b) <= 0;

/** Stretches are sorted into squares of this size so that only neighbours are compared, mm. */
const SQUARE_MM = 15;

/**
 * The first crossing of each pair of owners that count, at most `most` in all. Stretches of no length cross nothing.
 */
export function firstCrossings<T>(
  stretches: readonly Stretch<T>[],
  counts: (a: T, b: T) => boolean,
  most = Number.POSITIVE_INFINITY,
): { first: T; second: T; at: Point }[] {
  const squares = new Map<string, Stretch<T>[]>();
  const known = new Map<T, Set<T>>();
  const found: { first: T; second: T; at: Point }[] = [];
  for (const stretch of stretches) {
    const [a, b] = stretch.ends;
    if (a[0] === b[0] && a[1] === b[1]) continue;
    const cell = (value: number) => Math.floor(value / SQUARE_MM);
    for (let x = cell(Math.min(a[0], b[0])); x <= cell(Math.max(a[0], b[0])); x++)
      for (let y = cell(Math.min(a[1], b[1])); y <= cell(Math.max(a[1], b[1])); y++) {
        const key = `${x},${y}`;
        const there = squares.get(key) ?? [];
        for (const other of there) {
          if (!counts(other.owner, stretch.owner) || known.get(other.owner)?.has(stretch.owner)) continue;
          if (!meet(a, b, other.ends[0], other.ends[1])) continue;
          const pairs = known.get(other.owner) ?? new Set<T>();
          known.set(other.owner, pairs.add(stretch.owner));
          found.push({ first: other.owner, second: stretch.owner, at: a });
          if (found.length >= most) return found;
        }
        there.push(stretch);
        squares.set(key, there);
      }
  }
  return found;
}
