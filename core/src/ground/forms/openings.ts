import { boundsOf, insideRing, outlineEdges, type Point, type Ring } from '../../geometry/index.ts';

/** An outline this near to the base's edge was drawn to it, mm. */
export const AT_EDGE_MM = 0.75;
/** Outlines are looked at in pieces no longer than this, mm. */
const PIECE_MM = 3;

/** The lines that are left of an outline when the parts on the base's edge and beyond it are taken away; null where that is all of it, or nothing. */
export function withoutEdge(ring: Ring, edge: Ring): Ring[] | null {
  if (boxClearOf(ring, edge) || ring.every((point) => clearOf(point, edge))) return null;
  const runs: Point[][] = [];
  let run: Point[] = [];
  ring.forEach((from, k) => {
    const to = ring[(k + 1) % ring.length];
    const pieces = Math.max(1, Math.ceil(Math.hypot(to[0] - from[0], to[1] - from[1]) / PIECE_MM));
    const at = (s: number): Point => [
      from[0] + ((to[0] - from[0]) * s) / pieces,
      from[1] + ((to[1] - from[1]) * s) / pieces,
    ];
    for (let s = 0; s < pieces; s++) {
      if (clearOf(at(s + 0.5), edge)) {
        if (!run.length) run.push(at(s));
        run.push(at(s + 1));
      } else if (run.length) {
        runs.push(run);
        run = [];
      }
    }
  });
  if (run.length) runs.push(run);
  return runs.length ? runs : null;
}

/** Whether the box round some points lies on the base and away from the boxes of all its sides: most landforms do, and then nothing else is to be asked. */
function boxClearOf(points: Ring, edge: Ring): boolean {
  const [x0, y0, x1, y1] = boundsOf(points);
  for (const [[ax, ay], [bx, by]] of outlineEdges(edge)) {
    if (Math.min(ax, bx) > x1 + AT_EDGE_MM || Math.max(ax, bx) < x0 - AT_EDGE_MM) continue;
    if (Math.min(ay, by) > y1 + AT_EDGE_MM || Math.max(ay, by) < y0 - AT_EDGE_MM) continue;
    return false;
  }
  return insideRing(edge, x0, y0);
}

/** Whether a place lies on the base and away from its edge. */
function clearOf([x, y]: Point, edge: Ring): boolean {
  if (!insideRing(edge, x, y)) return false;
  for (const [[ax, ay], [bx, by]] of outlineEdges(edge)) {
    // Most of an edge is far away: its boxes tell at once.
    if (Math.min(ax, bx) - x > AT_EDGE_MM || x - Math.max(ax, bx) > AT_EDGE_MM) continue;
    if (Math.min(ay, by) - y > AT_EDGE_MM || y - Math.max(ay, by) > AT_EDGE_MM) continue;
    const [dx, dy] = [bx - ax, by - ay];
    const square = dx * dx + dy * dy;
    const t = square ? Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / square)) : 0;
    if (Math.hypot(x - ax - t * dx, y - ay - t * dy) < AT_EDGE_MM) return false;
  }
  return true;
}
