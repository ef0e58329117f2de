import type { Grid, Point } from './grid.ts';
import type { Ring } from './rings.ts';

/** Which edge each segment leaves and enters, by the four corners that stand at or above the level (1 near left, 2 near right, 4 far right, 8 far left). */
const [BOTTOM, RIGHT, TOP, LEFT] = [0, 1, 2, 3];
const segments: readonly (readonly number[])[] = [
  [],
  [BOTTOM, LEFT],
  [RIGHT, BOTTOM],
  [RIGHT, LEFT],
  [TOP, RIGHT],
  [BOTTOM, LEFT, TOP, RIGHT],
  [TOP, BOTTOM],
  [TOP, LEFT],
  [LEFT, TOP],
  [BOTTOM, TOP],
  [RIGHT, BOTTOM, LEFT, TOP],
  [RIGHT, TOP],
  [LEFT, RIGHT],
  [BOTTOM, RIGHT],
  [LEFT, BOTTOM],
  [],
];
/** The two saddles when the middle of the cell stands above the level: the high corners join. */
const joinedSaddles: Record<number, readonly number[]> = {
  5: [BOTTOM, RIGHT, TOP, LEFT],
  10: [LEFT, BOTTOM, RIGHT, TOP],
};

/**
 * Outlines of the parts of a grid at or above each level (marching squares, linear along cell edges, saddles by the cell's mean).
 * Rings close along the border of the grid; outer rings run counter-clockwise, holes clockwise; points in mm.
 */
export function isolines(grid: Grid, levels: readonly number[]): Ring[][] {
  const columns = grid.columns + 2;
  const rows = grid.rows + 2;
  const count = columns * rows;
  // A rim of nothing all round closes every ring along the border.
  const padded = new Float64Array(count).fill(Number.NEGATIVE_INFINITY);
  for (let j = 0; j < grid.rows; j++)
    padded.set(grid.values.subarray(j * grid.columns, (j + 1) * grid.columns), (j + 1) * columns + 1);
  // Edge 2n runs from node n to the right, edge 2n+1 from node n away from the viewer.
  const next = new Int32Array(2 * count).fill(-1);
  return levels.map((level) => traceLevel(grid, padded, columns, rows, next, level));
}

function traceLevel(
  grid: Grid,
  z: Float64Array,
  columns: number,
  rows: number,
  next: Int32Array,
  level: number,
): Ring[] {
  const starts: number[] = [];
  for (let j = 0; j < rows - 1; j++) {
    const row = j * columns;
    let left = (z[row] >= level ? 1 : 0) | (z[row + columns] >= level ? 8 : 0);
    for (let i = 0; i < columns - 1; i++) {
      const n = row + i;
      const right = (z[n + 1] >= level ? 2 : 0) | (z[n + 1 + columns] >= level ? 4 : 0);
      const corners = left | right;
      left = (right & 2 ? 1 : 0) | (right & 4 ? 8 : 0);
      if (corners === 0 || corners === 15) continue;
      let cut = segments[corners];
      if ((corners === 5 || corners === 10) && z[n] + z[n + 1] + z[n + columns] + z[n + columns + 1] >= 4 * level)
        cut = joinedSaddles[corners];
      for (let s = 0; s < cut.length; s += 2) {
        const from = edgeOf(n, columns, cut[s]);
        next[from] = edgeOf(n, columns, cut[s + 1]);
        starts.push(from);
      }
    }
  }
  const rings: Ring[] = [];
  for (const start of starts) {
    if (next[start] < 0) continue;
    const ring: Point[] = [];
    let lastX = Number.NaN;
    let lastY = Number.NaN;
    for (let edge = start; next[edge] >= 0; ) {
      const n = edge >> 1;
      const a = z[n];
      const b = z[edge & 1 ? n + columns : n + 1];
      // Against the rim of nothing the outline stands on the border node itself.
      const t = a === Number.NEGATIVE_INFINITY ? 1 : b === Number.NEGATIVE_INFINITY ? 0 : (level - a) / (b - a);
      const x = grid.originMm[0] + ((n % columns) - 1 + (edge & 1 ? 0 : t)) * grid.cellMm;
      const y = grid.originMm[1] + (Math.floor(n / columns) - 1 + (edge & 1 ? t : 0)) * grid.cellMm;
      if (x !== lastX || y !== lastY) ring.push([x, y]);
      lastX = x;
      lastY = y;
      const following = next[edge];
      next[edge] = -1;
      edge = following;
    }
    if (ring.length > 1 && ring[0][0] === lastX && ring[0][1] === lastY) ring.pop();
    if (ring.length > 2) rings.push(ring);
  }
  return rings;
}

function edgeOf(n: number, columns: number, side: number): number {
  if (side === BOTTOM) return 2 * n;
  if (side === LEFT) return 2 * n + 1;
  return side === TOP ? 2 * (n + columns) : 2 * (n + 1) + 1;
}
