import { gridOver, isolines, type Point, type Ring, sampleFormula } from '../geometry/index.ts';
import type { Mark } from '../project/index.ts';
import { line } from './solids.ts';

/** The runs of a ring inside a base of this size, cut where it follows the edge; the whole ring where it does not. */
export function cutAtEdge(ring: Ring, widthMm: number, depthMm: number): { points: Ring; closed: boolean }[] {
  const onEdge = ([x, y]: Point) => x < 1e-6 || y < 1e-6 || x > widthMm - 1e-6 || y > depthMm - 1e-6;
  const first = ring.findIndex(onEdge);
  if (first < 0) return [{ points: ring, closed: true }];
  const runs: Point[][] = [];
  let run: Point[] = [];
  for (let k = 0; k <= ring.length; k++) {
    const point = ring[(first + k) % ring.length];
    run.push(point);
    if (!onEdge(point)) continue;
    if (run.length > 2) runs.push(run);
    run = [point];
  }
  return runs.map((points) => ({ points, closed: false }));
}

/** Contours of a formula every `step` mm up to 100, cut where they follow the edge of the base. */
export function contoursOf(
  z: (x: number, y: number) => number,
  widthMm: number,
  depthMm: number,
  step: number,
): Mark[] {
  const heights = Array.from({ length: Math.floor(100 / step) }, (_, k) => (k + 1) * step);
  const rings = isolines(sampleFormula(gridOver(widthMm, depthMm, 0.5), z), heights);
  return rings.flatMap((list, k) =>
    list
      .flatMap((ring) => cutAtEdge(ring, widthMm, depthMm))
      .map(
        ({ points, closed }, n): Mark => ({
          ...line(heights[k], points as [number, number][]),
          id: `c-${heights[k]}-${n}`,
          closed,
        }),
      ),
  );
}
