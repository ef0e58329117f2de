import type { Point } from './grid.ts';
import { insideRing, type Ring } from './inside.ts';

/** One connected piece: its outer outline and the holes in it. */
export interface Polygon {
  outer: Ring;
  holes: Ring[];
}

/** Signed area, mm2: positive when the ring runs counter-clockwise (shoelace formula). */
export function ringArea(ring: Ring): number {
  let twice = 0;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++)
    twice += ring[j][0] * ring[i][1] - ring[i][0] * ring[j][1];
  return twice / 2;
}

/** Length of a line through points, mm; `closed` adds the way back to the first. */
export function lineLength(points: Ring, closed = true): number {
  let length = 0;
  for (let i = closed ? 0 : 1; i < points.length; i++) {
    const from = points[i === 0 ? points.length - 1 : i - 1];
    length += Math.hypot(points[i][0] - from[0], points[i][1] - from[1]);
  }
  return length;
}

/** Where a ring crosses a line of constant y, from left to right. */
export function crossingsAt(ring: Ring, y: number): number[] {
  const found: number[] = [];
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [xi, yi] = ring[i];
    const [xj, yj] = ring[j];
    if (yi > y !== yj > y) found.push(((xj - xi) * (y - yi)) / (yj - yi) + xi);
  }
  return found.sort((a, b) => a - b);
}

export const polygonArea = (polygon: Polygon): number =>
  polygon.holes.reduce((area, hole) => area + ringArea(hole), ringArea(polygon.outer));

/** Middle of the area of a ring, mm (first moments by the shoelace sum over the area); its first corner where it has no area. */
export function centroidOf(ring: Ring): Point {
  let twice = 0;
  let [mx, my] = [0, 0];
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const cross = ring[j][0] * ring[i][1] - ring[i][0] * ring[j][1];
    twice += cross;
    mx += (ring[j][0] + ring[i][0]) * cross;
    my += (ring[j][1] + ring[i][1]) * cross;
  }
  return Math.abs(twice) < 1e-12 ? ring[0] : [mx / (3 * twice), my / (3 * twice)];
}

export const polygonOutline = (polygon: Polygon): number =>
  polygon.holes.reduce((length, hole) => length + lineLength(hole), lineLength(polygon.outer));

/** Sorts loose rings (outer counter-clockwise, holes clockwise) into pieces; each hole goes to the smallest outer ring round it. */
export function nestRings(rings: readonly Ring[]): Polygon[] {
  const sized = rings.map((ring) => ({ ring, area: ringArea(ring) })).filter(({ area }) => area !== 0);
  const pieces = sized
    .filter(({ area }) => area > 0)
    .sort((a, b) => a.area - b.area)
    .map(({ ring }) => ({ outer: ring, holes: [] as Ring[] }));
  const boxes = pieces.map(({ outer }) => boundsOf(outer));
  for (const { ring, area } of sized) {
    if (area > 0) continue;
    const [x, y] = ring[0];
    const home = pieces.findIndex(
      ({ outer }, k) =>
        x >= boxes[k][0] && x <= boxes[k][2] && y >= boxes[k][1] && y <= boxes[k][3] && insideRing(outer, x, y),
    );
    pieces[home]?.holes.push(ring);
  }
  return pieces.sort((a, b) => ringArea(b.outer) - ringArea(a.outer));
}

/** Least and greatest x and y: [x0, y0, x1, y1]. */
export function boundsOf(points: Ring): [number, number, number, number] {
  const box: [number, number, number, number] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of points) {
    if (x < box[0]) box[0] = x;
    if (y < box[1]) box[1] = y;
    if (x > box[2]) box[2] = x;
    if (y > box[3]) box[3] = y;
  }
  return box;
}

/** Width and depth of the box round points, mm. */
export function ringSize(points: Ring): { widthMm: number; depthMm: number } {
  const [x0, y0, x1, y1] = boundsOf(points);
  return { widthMm: x1 - x0, depthMm: y1 - y0 };
}

/** Convex hull, counter-clockwise (monotone chain). */
export function convexHull(points: Ring): Ring {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (list: readonly Point[]) => {
    const chain: Point[] = [];
    for (const p of list) {
      for (;;) {
        const b = chain.at(-1);
        const a = chain.at(-2);
        if (!a || !b || (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 0) break;
        chain.pop();
      }
      chain.push(p);
    }
    chain.pop();
    return chain;
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

/**
 * Whether a piece can be laid whole on a widthMm x depthMm sheet, turned as one likes.
 * Tries each turn in which an edge of its hull lies along the sheet, and every 5 degrees between.
 */
export function fitsSheet(outline: Ring, widthMm: number, depthMm: number): boolean {
  const hull = convexHull(outline);
  const turns = hull.map(([x, y], i) => {
    const [nx, ny] = hull[(i + 1) % hull.length];
    return Math.atan2(ny - y, nx - x);
  });
  for (let degrees = 0; degrees < 90; degrees += 5) turns.push((degrees * Math.PI) / 180);
  return turns.some((turn) => {
    const c = Math.cos(turn);
    const s = Math.sin(turn);
    const [x0, y0, x1, y1] = boundsOf(hull.map(([x, y]) => [x * c + y * s, y * c - x * s] as const));
    const w = x1 - x0 - 1e-6;
    const d = y1 - y0 - 1e-6;
    return (w <= widthMm && d <= depthMm) || (w <= depthMm && d <= widthMm);
  });
}

/** The part of any ring inside a convex window (Sutherland-Hodgman; its area is right even where a concave ring leaves doubled edges). */
export function clipToConvex(ring: Ring, window: Ring): Ring {
  let kept: Point[] = [...ring];
  for (let k = 0; k < window.length && kept.length; k++) {
    const [ax, ay] = window[k];
    const [bx, by] = window[(k + 1) % window.length];
    const side = (p: Point) => (bx - ax) * (p[1] - ay) - (by - ay) * (p[0] - ax);
    const next: Point[] = [];
    for (let i = 0; i < kept.length; i++) {
      const p = kept[i];
      const q = kept[(i + 1) % kept.length];
      const sp = side(p);
      const sq = side(q);
      if (sp >= 0) next.push(p);
      if (sp * sq < 0) {
        const t = sp / (sp - sq);
        next.push([p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])]);
      }
    }
    kept = next;
  }
  return kept;
}
