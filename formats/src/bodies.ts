import {
  baseOutline,
  distanceToEdge,
  type Grid,
  insideRing,
  outlineEdges,
  type PlanReport,
  type Project,
  type Ring,
} from '@hosket/core';
import { extruded, groundSolid, type Solid } from './solids.ts';

/** Every piece of the stack as a body of its own, as cut: outlines upright, with their cut-outs and holes, at its height. */
export const stackBodies = ({ cutting, stack }: PlanReport): Solid[] =>
  cutting.pieces.flatMap(({ id, layer, outline }) => {
    const at = stack.layers.find(({ index }) => index === layer);
    return at ? [extruded(`Piece ${id}`, outline, at.bottomMm, at.topMm)] : [];
  });

/** The finished ground on its baseboard, one body down to the underside of the board. */
export function groundBody(project: Project, ground: Grid, outline: Ring = baseOutline(project.base)): Solid {
  return groundSolid(project.name, ground, insideOf(ground, outline), -project.base.board.thicknessMm);
}

/** How far inside the base's edge each node lies, mm: exact near the edge, where it counts; nodes on the edge itself are inside. */
function insideOf({ columns, rows, cellMm, originMm }: Grid, outline: Ring): Float64Array {
  const at = (n: number) =>
    [originMm[0] + (n % columns) * cellMm, originMm[1] + Math.floor(n / columns) * cellMm] as const;
  const far = 2 * cellMm;
  const inside = new Float64Array(columns * rows);
  for (let n = 0; n < inside.length; n++) inside[n] = insideRing(outline, ...at(n)) ? far : -far;
  const near = new Uint8Array(inside.length);
  for (const [a, b] of outlineEdges(outline)) {
    const steps = Math.max(1, Math.ceil(Math.hypot(b[0] - a[0], b[1] - a[1]) / (cellMm / 2)));
    for (let s = 0; s <= steps; s++) {
      const i = Math.round((a[0] + ((b[0] - a[0]) * s) / steps - originMm[0]) / cellMm);
      const j = Math.round((a[1] + ((b[1] - a[1]) * s) / steps - originMm[1]) / cellMm);
      for (let v = Math.max(0, j - 2); v <= Math.min(rows - 1, j + 2); v++)
        for (let u = Math.max(0, i - 2); u <= Math.min(columns - 1, i + 2); u++) near[v * columns + u] = 1;
    }
  }
  for (let n = 0; n < inside.length; n++) {
    if (!near[n]) continue;
    const off = Math.min(far, distanceToEdge(outline, ...at(n)));
    inside[n] = off < 1e-6 ? 0 : Math.sign(inside[n]) * off;
  }
  return inside;
}
