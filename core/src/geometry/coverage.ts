import type { Grid } from './grid.ts';
import type { Ring } from './inside.ts';
import { boundsOf, clipToConvex, crossingsAt, ringArea } from './rings.ts';

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
    const steps = Math.max(1, Math.ceil((Math.hypot(bx - ax, by - ay) / cellMm) * STEPS_PER_CELL));
    for (let s = 0; s <= steps; s++) {
      const u = (ax + ((bx - ax) * s) / steps - originMm[0]) / cellMm;
      const v = (ay + ((by - ay) * s) / steps - originMm[1]) / cellMm;
      for (let j = Math.max(0, Math.floor(v - NEAR)); j <= Math.min(rows - 2, Math.floor(v + NEAR)); j++)
        for (let i = Math.max(0, Math.floor(u - NEAR)); i <= Math.min(across - 1, Math.floor(u + NEAR)); i++) {
          const n = j * across + i;
          if (share[n] < 0) share[n] = shareOfCell(outline, originMm[0] + i * cellMm, originMm[1] + j * cellMm, cellMm);
        }
    }
  }
  for (let j = 0; j < rows - 1; j++) {
    const crossings = crossingsAt(outline, originMm[1] + (j + 0.5) * cellMm);
    for (let i = 0, passed = 0; i < across; i++) {
      const x = originMm[0] + (i + 0.5) * cellMm;
      while (passed < crossings.length && crossings[passed] < x) passed++;
      const n = j * across + i;
      if (share[n] < 0) share[n] = passed % 2;
    }
  }
  return share;
}

/** How finely the outline is walked, and how near to a cell it must pass for the cell to be clipped, in cells. */
const STEPS_PER_CELL = 8;
const NEAR = 0.13;

function shareOfCell(outline: Ring, x: number, y: number, cellMm: number): number {
  const cell: Ring = [
    [x, y],
    [x + cellMm, y],
    [x + cellMm, y + cellMm],
    [x, y + cellMm],
  ];
  return Math.abs(ringArea(clipToConvex(outline, cell))) / cellMm ** 2;
}
