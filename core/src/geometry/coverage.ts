/**
 * The share of each lattice cell that lies inside an outline: exact, by the signed areas between each edge and the far side of its row
 * (scan conversion with exact area coverage), linear in edges and cells.
 */
import type { Grid } from './grid.ts';
import type { Ring } from './inside.ts';
import { boundsOf, ringArea } from './rings.ts';

/** A share this near to none or all is that: sums of many edges leave crumbs. */
const CRUMB = 1e-9;

/**
 * The share (0..1) of each lattice cell that lies on the base, row-major, (columns-1) x (rows-1); null when every cell lies on it whole. The
 * outline may touch itself, as a keyhole does, but must not cross itself.
 */
export function coverageOf(grid: Grid, outline: Ring): Float32Array | null {
  const { columns, rows, cellMm, originMm } = grid;
  const across = columns - 1;
  const deep = rows - 1;
  const area = ringArea(outline);
  const [x0, y0, x1, y1] = boundsOf(outline);
  const box = (x1 - x0) * (y1 - y0);
  const spansAll =
    Math.abs(x1 - x0 - across * cellMm) < 1e-6 &&
    Math.abs(y1 - y0 - deep * cellMm) < 1e-6 &&
    Math.abs(area - box) < 1e-6;
  if (spansAll) return null;
  // What each cell adds to its own share, and what it hands on to all cells right of it, one more a row than there are cells.
  const own = new Float64Array(across * deep);
  const onward = new Float64Array((across + 1) * deep);
  const inCells = (k: number): [number, number] => [
    Math.min(across, Math.max(0, (outline[k][0] - originMm[0]) / cellMm)),
    (outline[k][1] - originMm[1]) / cellMm,
  ];
  let from = inCells(outline.length - 1);
  for (let k = 0; k < outline.length; k++) {
    const to = inCells(k);
    addEdge(from, to, across, deep, own, onward);
    from = to;
  }
  const share = new Float32Array(across * deep);
  const sign = area > 0 ? -1 : 1;
  for (let j = 0; j < deep; j++)
    for (let i = 0, passed = 0; i < across; i++) {
      passed += onward[j * (across + 1) + i];
      const part = sign * (own[j * across + i] + passed);
      share[j * across + i] = part < CRUMB ? 0 : part > 1 - CRUMB ? 1 : part;
    }
  return share;
}

/** Adds the signed areas right of one edge, in cells, row by row and cell by cell. */
function addEdge(
  [ax, ay]: readonly [number, number],
  [bx, by]: readonly [number, number],
  across: number,
  deep: number,
  own: Float64Array,
  onward: Float64Array,
): void {
  if (ay === by) return;
  const slant = (bx - ax) / (by - ay);
  const [low, high] = [Math.max(0, Math.min(ay, by)), Math.min(deep, Math.max(ay, by))];
  const up = by > ay ? 1 : -1;
  const lastRow = Math.min(deep - 1, Math.ceil(high) - 1);
  for (let j = Math.floor(low); j <= lastRow; j++) {
    const [v0, v1] = [Math.max(low, j), Math.min(high, j + 1)];
    if (v1 <= v0) continue;
    const [u0, u1] = [within(ax + (v0 - ay) * slant, across), within(ax + (v1 - ay) * slant, across)];
    addSlice(Math.min(u0, u1), Math.max(u0, u1), up * (v1 - v0), j, across, own, onward);
  }
}

const within = (u: number, across: number): number => Math.min(across, Math.max(0, u));

/** Adds the part of an edge within one row: it runs from column place u0 to u1 while it rises by `rise`. */
function addSlice(
  u0: number,
  u1: number,
  rise: number,
  row: number,
  across: number,
  own: Float64Array,
  onward: Float64Array,
): void {
  const steepness = u1 > u0 ? rise / (u1 - u0) : 0;
  const lastColumn = Math.min(across - 1, Math.max(Math.floor(u0), Math.ceil(u1) - 1));
  for (let i = Math.floor(u0); i <= lastColumn; i++) {
    const [a, b] = [Math.max(u0, i), Math.min(u1, i + 1)];
    const part = u1 > u0 ? steepness * (b - a) : rise;
    own[row * across + i] += part * (i + 1 - (a + b) / 2);
    onward[row * (across + 1) + i + 1] += part;
  }
}
