import type { Point } from './grid.ts';
import type { Ring } from './inside.ts';

/** Chords of a curve are no longer than this, mm, and no more than so many between two points. */
const CHORD_MM = 2;
const MOST_CHORDS = 40;

/**
 * A curve through all points (centripetal Catmull-Rom spline, by the Barry-Goldman pyramid), as a line of short chords. It makes no loops between
 * points. Fewer than three points stay as they are.
 */
export function curveThrough(points: Ring, closed: boolean): Ring {
  const apart = points.filter(
    (point, k) => k === 0 || Math.hypot(point[0] - points[k - 1][0], point[1] - points[k - 1][1]) > 1e-6,
  );
  if (apart.length < 3) return apart;
  const count = apart.length;
  const at = (k: number): Point => {
    if (closed) return apart[((k % count) + count) % count];
    if (k < 0) return mirrored(apart[0], apart[1]);
    if (k >= count) return mirrored(apart[count - 1], apart[count - 2]);
    return apart[k];
  };
  const out: Point[] = [];
  for (let k = 0; k < (closed ? count : count - 1); k++) {
    const [a, b, c, d] = [at(k - 1), at(k), at(k + 1), at(k + 2)];
    const pieces = Math.min(MOST_CHORDS, Math.max(1, Math.ceil(Math.hypot(c[0] - b[0], c[1] - b[1]) / CHORD_MM)));
    for (let s = 0; s < pieces; s++) out.push(s === 0 ? b : onSpline(a, b, c, d, s / pieces));
  }
  if (!closed) out.push(apart[count - 1]);
  return out;
}

const mirrored = (end: Point, next: Point): Point => [2 * end[0] - next[0], 2 * end[1] - next[1]];

/** The point at share t between b and c. */
function onSpline(a: Point, b: Point, c: Point, d: Point, t: number): Point {
  const knot = (from: Point, to: Point) => Math.max(1e-3, Math.sqrt(Math.hypot(to[0] - from[0], to[1] - from[1])));
  const t1 = knot(a, b);
  const t2 = t1 + knot(b, c);
  const t3 = t2 + knot(c, d);
  const u = t1 + t * (t2 - t1);
  const mix = (p: Point, q: Point, from: number, to: number): Point => {
    const share = (u - from) / (to - from);
    return [p[0] + share * (q[0] - p[0]), p[1] + share * (q[1] - p[1])];
  };
  const ab = mix(a, b, 0, t1);
  const bc = mix(b, c, t1, t2);
  const cd = mix(c, d, t2, t3);
  return mix(mix(ab, bc, 0, t2), mix(bc, cd, t1, t3), t1, t2);
}

/** A line moved sideways by `distanceMm` (left of the way it runs is positive), mitred at its points; sharp turns are cut at twice the distance. */
export function offsetLine(points: Ring, distanceMm: number): Ring {
  return points.map((point, k) => {
    const before = k > 0 ? normal(points[k - 1], point) : null;
    const after = k < points.length - 1 ? normal(point, points[k + 1]) : null;
    const [ax, ay] = before ?? after ?? [0, 0];
    const [bx, by] = after ?? before ?? [0, 0];
    const stretch = distanceMm / Math.max(0.5, (1 + ax * bx + ay * by) / 1);
    return [point[0] + (ax + bx) * stretch, point[1] + (ay + by) * stretch];
  });
}

const normal = (from: Point, to: Point): Point => {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
  return [-(to[1] - from[1]) / length, (to[0] - from[0]) / length];
};

/** The point `alongMm` down a line, and the way it runs there (unit vector). */
export function pointAlong(points: Ring, alongMm: number): { at: Point; way: Point } {
  let left = alongMm;
  for (let k = 1; k < points.length; k++) {
    const [from, to] = [points[k - 1], points[k]];
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    if (left <= length || k === points.length - 1) {
      const share = length ? Math.min(1, left / length) : 0;
      return {
        at: [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])],
        way: length ? [(to[0] - from[0]) / length, (to[1] - from[1]) / length] : [1, 0],
      };
    }
    left -= length;
  }
  return { at: points[0], way: [1, 0] };
}
