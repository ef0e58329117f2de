import polygonClipping from 'polygon-clipping';
import type { Point, Polygon, Ring } from '../geometry/index.ts';
import { laidOut, type NestProblem, type Placed } from '../nest/index.ts';

type Shape = [number, number][][];
const shapeOf = ({ outer, holes }: Polygon, radians = 0): Shape => {
  const [cos, sin] = [Math.cos(radians), Math.sin(radians)];
  return [outer, ...holes].map((ring) => ring.map(([x, y]) => [x * cos - y * sin, x * sin + y * cos]));
};

/**
 * An area by the library, of shapes that are turned alike: where outlines all but touch, it sometimes finds no way round ("unable to complete
 * output ring"), and does when they are turned, which changes no area.
 */
function turnedUntilFound(area: (radians: number) => number): number {
  for (const radians of [0, 0.1, 0.73]) {
    try {
      return area(radians);
    } catch (error) {
      if (!/output ring|SweepEvent/.test(String(error))) throw error;
    }
  }
  return area(1.9);
}

const areaOf = (shapes: [number, number][][][]): number =>
  shapes.reduce((sum, [outer, ...holes]) => sum + ringAreaOf(outer) - holes.reduce((s, h) => s + ringAreaOf(h), 0), 0);

const ringAreaOf = (ring: readonly (readonly [number, number])[]): number =>
  Math.abs(
    ring.reduce((sum, [x, y], k) => {
      const [u, v] = ring[(k + 1) % ring.length];
      return sum + (x * v - u * y) / 2;
    }, 0),
  );

/** Area that two shapes have in common, mm2, by a library that the product does not use (polygon-clipping). */
export const commonArea = (a: Polygon, b: Polygon): number =>
  turnedUntilFound((radians) =>
    areaOf(polygonClipping.intersection(shapeOf(a, radians), shapeOf(b, radians)) as [number, number][][][]),
  );

/** Area of a shape that lies outside of a ring, mm2. */
export const areaOutside = (a: Polygon, ring: Ring): number =>
  turnedUntilFound((radians) =>
    areaOf(
      polygonClipping.difference(shapeOf(a, radians), shapeOf({ outer: ring, holes: [] }, radians)) as [
        number,
        number,
      ][][][],
    ),
  );

function stretches(ring: Ring): [Point, Point][] {
  return ring.map((a, k) => [a, ring[(k + 1) % ring.length]]);
}

function toStretch([x, y]: Point, [[ax, ay], [bx, by]]: [Point, Point]): number {
  const long = (bx - ax) ** 2 + (by - ay) ** 2;
  const t = long ? Math.min(1, Math.max(0, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / long)) : 0;
  return Math.hypot(x - ax - t * (bx - ax), y - ay - t * (by - ay));
}

/** Least distance between the outlines of two shapes that do not meet, mm: every corner of each against every stretch of the other. */
export function distanceBetween(a: Polygon, b: Polygon): number {
  const [p, q] = [a, b].map(({ outer, holes }): Ring[] => [outer, ...holes]);
  let least = Number.POSITIVE_INFINITY;
  const ways: [Ring[], Ring[]][] = [
    [p, q],
    [q, p],
  ];
  for (const [corners, lines] of ways)
    for (const ring of corners)
      for (const corner of ring)
        for (const line of lines) for (const each of stretches(line)) least = Math.min(least, toStretch(corner, each));
  return least;
}

/** What is wrong with a layout, by libraries and sums that the search does not use: nothing, when it is sound. */
export function faultsOf(problem: NestProblem, placed: readonly Placed[], edgeMm = 0.1): string[] {
  const faults: string[] = [];
  const lying = placed.map((place) => ({ ...place, shape: laidOut(problem.pieces[place.piece], place) }));
  lying.forEach((a, k) => {
    for (const b of lying.slice(0, k)) {
      if (a.bed !== b.bed) continue;
      const common = commonArea(a.shape, b.shape);
      if (common > 0.01) faults.push(`${a.piece} and ${b.piece} overlap by ${common}`);
      else if (problem.gapMm > 0 && distanceBetween(a.shape, b.shape) < problem.gapMm - 0.05)
        faults.push(`${a.piece} and ${b.piece} are ${distanceBetween(a.shape, b.shape)} apart`);
    }
    const out = areaOutside(a.shape, problem.beds[a.bed].outline);
    const around = a.shape.outer.length * edgeMm * 50;
    if (out > around) faults.push(`${a.piece} stands over the edge by ${out}`);
    const nearest = problem.marginMm
      ? Math.min(
          ...stretches(problem.beds[a.bed].outline).map((line) =>
            Math.min(...a.shape.outer.map((p) => toStretch(p, line))),
          ),
        )
      : 0;
    if (problem.marginMm && nearest < problem.marginMm - edgeMm) faults.push(`${a.piece} is ${nearest} from the edge`);
  });
  return faults;
}
