import type { Grid, Point } from './grid.ts';
import type { Ring } from './inside.ts';
import type { Polygon } from './rings.ts';

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
  const tracer = createTracer(grid);
  return levels.map((level) => tracer(level).map(({ ring }) => ring));
}

/**
 * The same outlines sorted into pieces with their holes, the largest piece first. Whose hole a hole is, is read off the lattice: the next outline to its
 * left is that of its piece, or of another hole of the same piece.
 */
export function footprints(grid: Grid, levels: readonly number[]): Polygon[][] {
  const tracer = createTracer(grid);
  return levels.map((level) => {
    const traced = tracer(level);
    const homes = new Map(traced.map((one) => [one.id, one]));
    const pieces = new Map<number, { area: number; piece: Polygon }>();
    for (const { id, ring, area } of traced) if (area > 0) pieces.set(id, { area, piece: { outer: ring, holes: [] } });
    for (const one of traced) {
      if (one.area > 0) continue;
      let home = one;
      while (home.area < 0) home = homes.get(home.leftOf()) ?? NOWHERE;
      pieces.get(home.id)?.piece.holes.push(one.ring);
    }
    return [...pieces.values()].sort((a, b) => b.area - a.area).map(({ piece }) => piece);
  });
}

interface Traced {
  id: number;
  ring: Ring;
  area: number;
  /** The ring that lies next to the left of this one's leftmost place. */
  leftOf: () => number;
}
const NOWHERE: Traced = { id: -1, ring: [], area: 0, leftOf: () => -1 };

/** Traces one level after another over the same lattice. */
function createTracer(grid: Grid): (level: number) => Traced[] {
  const columns = grid.columns + 2;
  const rows = grid.rows + 2;
  const count = columns * rows;
  // A rim of nothing all round closes every ring along the border.
  const z = new Float64Array(count).fill(Number.NEGATIVE_INFINITY);
  for (let j = 0; j < grid.rows; j++)
    z.set(grid.values.subarray(j * grid.columns, (j + 1) * grid.columns), (j + 1) * columns + 1);
  // Edge 2n runs from node n to the right, edge 2n+1 from node n away from the viewer.
  const next = new Int32Array(2 * count).fill(-1);
  /** The ring that crosses an edge; numbers go on from level to level, so that older ones are known as such. */
  const owner = new Int32Array(2 * count).fill(-1);
  const stretches = stretchesOf(z, columns, rows);
  const { cellMm } = grid;
  const [x0, y0] = grid.originMm;
  let ids = 0;

  return (level) => {
    const first = ids;
    const starts = linkLevel(z, columns, rows, stretches, next, level);
    const traced: Traced[] = [];
    const points = new Set<number>();
    for (const start of starts) {
      if (next[start] < 0) continue;
      const id = ids++;
      const ring: Point[] = [];
      let [lastX, lastY, twice, leftmost, leftmostColumn] = [Number.NaN, Number.NaN, 0, -1, columns];
      for (let edge = start; next[edge] >= 0; ) {
        const n = edge >> 1;
        const across = edge & 1;
        const a = z[n];
        const b = z[across ? n + columns : n + 1];
        // Against the rim of nothing the outline stands on the border node itself.
        const t = a === Number.NEGATIVE_INFINITY ? 1 : b === Number.NEGATIVE_INFINITY ? 0 : (level - a) / (b - a);
        const row = (n / columns) | 0;
        const column = n - row * columns;
        const x = x0 + (column - 1 + (across ? 0 : t)) * cellMm;
        const y = y0 + (row - 1 + (across ? t : 0)) * cellMm;
        if (!across && column < leftmostColumn) {
          leftmostColumn = column;
          leftmost = n;
        }
        if (x !== lastX || y !== lastY) {
          if (ring.length) twice += lastX * y - lastY * x;
          ring.push([x, y]);
        }
        lastX = x;
        lastY = y;
        owner[edge] = id;
        const following = next[edge];
        next[edge] = -1;
        edge = following;
      }
      twice += lastX * ring[0][1] - lastY * ring[0][0];
      if (ring.length > 1 && ring[0][0] === lastX && ring[0][1] === lastY) ring.pop();
      if (ring.length < 3 || twice === 0) {
        // A place that only touches the level bounds nothing.
        points.add(id);
        continue;
      }
      const leftOf = () => {
        for (let n = leftmost - 1; n >= leftmost - leftmostColumn; n--)
          if (owner[2 * n] >= first && !points.has(owner[2 * n])) return owner[2 * n];
        return -1;
      };
      traced.push({ id, ring, area: twice / 2, leftOf });
    }
    return traced;
  };
}

/** Cells of a row are looked at in stretches of so many: one that no level runs through is passed over whole. */
const STRETCH = 16;

/** Lowest and highest node of every stretch of cells, row by row. */
function stretchesOf(z: Float64Array, columns: number, rows: number): { low: Float64Array; high: Float64Array } {
  const across = Math.ceil((columns - 1) / STRETCH);
  const low = new Float64Array(across * (rows - 1));
  const high = new Float64Array(across * (rows - 1));
  for (let j = 0, s = 0; j < rows - 1; j++)
    for (let k = 0; k < across; k++, s++) {
      const from = j * columns + k * STRETCH;
      const to = Math.min(from + STRETCH, (j + 1) * columns - 1);
      let least = z[from];
      let most = least;
      for (let n = from; n <= to; n++) {
        const near = z[n];
        const far = z[n + columns];
        if (near < least) least = near;
        if (near > most) most = near;
        if (far < least) least = far;
        if (far > most) most = far;
      }
      low[s] = least;
      high[s] = most;
    }
  return { low, high };
}

/** Links every crossed edge to the one its outline goes on to; gives the edges that were linked. */
function linkLevel(
  z: Float64Array,
  columns: number,
  rows: number,
  { low, high }: ReturnType<typeof stretchesOf>,
  next: Int32Array,
  level: number,
): number[] {
  const starts: number[] = [];
  const across = Math.ceil((columns - 1) / STRETCH);
  for (let j = 0, s = 0; j < rows - 1; j++)
    for (let k = 0; k < across; k++, s++) {
      if (high[s] < level || low[s] >= level) continue;
      const from = j * columns + k * STRETCH;
      const to = Math.min(from + STRETCH, (j + 1) * columns - 1);
      let left = (z[from] >= level ? 1 : 0) | (z[from + columns] >= level ? 8 : 0);
      for (let n = from; n < to; n++) {
        const right = (z[n + 1] >= level ? 2 : 0) | (z[n + 1 + columns] >= level ? 4 : 0);
        const corners = left | right;
        left = (right & 2 ? 1 : 0) | (right & 4 ? 8 : 0);
        if (corners === 0 || corners === 15) continue;
        let cut = segments[corners];
        if ((corners === 5 || corners === 10) && z[n] + z[n + 1] + z[n + columns] + z[n + columns + 1] >= 4 * level)
          cut = joinedSaddles[corners];
        for (let c = 0; c < cut.length; c += 2) {
          const edge = edgeOf(n, columns, cut[c]);
          next[edge] = edgeOf(n, columns, cut[c + 1]);
          starts.push(edge);
        }
      }
    }
  return starts;
}

function edgeOf(n: number, columns: number, side: number): number {
  if (side === BOTTOM) return 2 * n;
  if (side === LEFT) return 2 * n + 1;
  return side === TOP ? 2 * (n + columns) : 2 * (n + 1) + 1;
}
