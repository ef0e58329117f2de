import type { Grid } from './grid.ts';
import { boundsOf, clipToConvex, insideRing, type Ring, ringArea } from './rings.ts';

/**
 * The share (0..1) of each lattice cell that lies on the base, row-major, (columns-1) x (rows-1); null when every cell lies on it whole.
 * Cells that the outline crosses are clipped exactly.
 */
export function coverageOf(grid: Grid, outline: Ring): Float32Array | null {
  const { columns, rows, cellMm, originMm } = grid;
  const across = columns - 1;
  const [x0, y0, x1, y1] = boundsOf(outline);
  const box = (x1 - x0) * (y1 - y0);
  const spansAll =
    Math.abs(x1 - x0 - across * cellMm) < 1e-6 &&
    Math.abs(y1 - y0 - (rows - 1) * cellMm) < 1e-6 &&
    Math.abs(ringArea(outline) - box) < 1e-6;
  if (spansAll) return null;
  const share = new Float32Array(across * (rows - 1)).fill(-1);
  // Cells that a piece of the outline passes are clipped; the rest are wholly in or out.
  for (let k = 0; k < outline.length; k++) {
    const [ax, ay] = outline[k];
    const [bx, by] = outline[(k + 1) % outline.length];
    const steps = Math.max(1, Math.ceil((Math.hypot(bx - ax, by - ay) / cellMm) * 4));
    for (let s = 0; s <= steps; s++) {
      const i0 = Math.floor((ax + ((bx - ax) * s) / steps - originMm[0]) / cellMm);
      const j0 = Math.floor((ay + ((by - ay) * s) / steps - originMm[1]) / cellMm);
      for (let j = Math.max(0, j0 - 1); j <= Math.min(rows - 2, j0 + 1); j++)
        for (let i = Math.max(0, i0 - 1); i <= Math.min(across - 1, i0 + 1); i++) {
          const n = j * across + i;
          if (share[n] >= 0) continue;
          const x = originMm[0] + i * cellMm;
          const y = originMm[1] + j * cellMm;
          const cell: Ring = [
            [x, y],
            [x + cellMm, y],
            [x + cellMm, y + cellMm],
            [x, y + cellMm],
          ];
          share[n] = Math.abs(ringArea(clipToConvex(outline, cell))) / cellMm ** 2;
        }
    }
  }
  for (let j = 0; j < rows - 1; j++)
    for (let i = 0; i < across; i++) {
      const n = j * across + i;
      if (share[n] < 0)
        share[n] = insideRing(outline, originMm[0] + (i + 0.5) * cellMm, originMm[1] + (j + 0.5) * cellMm) ? 1 : 0;
    }
  return share;
}
