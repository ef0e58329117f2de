import { boundsOf, type Point, type Polygon } from '../geometry/index.ts';

/**
 * A shape on a lattice of square cells, column by column: cell (i, j) is set when the shape touches it at all, so shapes whose cells do not meet do not meet
 * either. Its near left corner is that of the shape's box.
 */
export interface Raster {
  columns: number;
  rows: number;
  /** Runs of set cells: those of column i are at runs[starts[i]] up to runs[starts[i + 1]], as pairs from, to (to not included). */
  starts: Int32Array;
  runs: Int16Array;
}

/** An edge that lies on a line of the lattice belongs to one side of it only; so much is taken for lying on it, in cells. */
const ON_LINE = 1e-6;

/** A polygon turned counter-clockwise about the origin. */
export function turnPolygon({ outer, holes }: Polygon, degrees: number): Polygon {
  // Quarter turns are exact.
  const c = degrees % 90 === 0 ? [1, 0, -1, 0][(((degrees / 90) % 4) + 4) % 4] : Math.cos((degrees * Math.PI) / 180);
  const s = degrees % 90 === 0 ? [0, 1, 0, -1][(((degrees / 90) % 4) + 4) % 4] : Math.sin((degrees * Math.PI) / 180);
  const turn = (ring: readonly Point[]) => ring.map(([x, y]): Point => [x * c - y * s, x * s + y * c]);
  return { outer: turn(outer), holes: holes.map(turn) };
}

export function movePolygon({ outer, holes }: Polygon, dx: number, dy: number): Polygon {
  const move = (ring: readonly Point[]) => ring.map(([x, y]): Point => [x + dx, y + dy]);
  return { outer: move(outer), holes: holes.map(move) };
}

/** Every cell that a polygon touches; cells are `cellMm` wide, the first begins at the corner of its box, or at `from`, which lies left of it and below. */
export function rasterOf(polygon: Polygon, cellMm: number, from?: Point): Raster {
  const box = boundsOf(polygon.outer);
  const [x0, y0] = from ?? box;
  const [, , x1, y1] = box;
  const columns = Math.max(1, Math.ceil((x1 - x0) / cellMm - ON_LINE));
  const rows = Math.max(1, Math.ceil((y1 - y0) / cellMm - ON_LINE));
  const set = new Uint8Array(columns * rows);
  const rings = [polygon.outer, ...polygon.holes].map((ring) =>
    ring.map(([x, y]): Point => [(x - x0) / cellMm, (y - y0) / cellMm]),
  );
  markEdges(rings, columns, rows, set);
  fillInside(rings, columns, rows, set);
  return runsOf(set, columns, rows);
}

/** The cells that the outline runs through. */
function markEdges(rings: readonly (readonly Point[])[], columns: number, rows: number, set: Uint8Array): void {
  const held = (cell: number, most: number) => Math.min(most - 1, Math.max(0, cell));
  for (const ring of rings)
    for (let k = 0, l = ring.length - 1; k < ring.length; l = k++) {
      const [a, b] = ring[l][0] <= ring[k][0] ? [ring[l], ring[k]] : [ring[k], ring[l]];
      const first = held(Math.floor(a[0] + ON_LINE), columns);
      const last = Math.max(first, held(Math.floor(b[0] - ON_LINE), columns));
      const slope = b[0] - a[0] > 1e-12 ? (b[1] - a[1]) / (b[0] - a[0]) : 0;
      for (let i = first; i <= last; i++) {
        const from = i > a[0] ? a[1] + (i - a[0]) * slope : a[1];
        const to = i + 1 < b[0] ? a[1] + (i + 1 - a[0]) * slope : b[1];
        const low = held(Math.floor(Math.min(from, to) + ON_LINE), rows);
        const high = Math.max(low, held(Math.floor(Math.max(from, to) - ON_LINE), rows));
        set.fill(1, i * rows + low, i * rows + high + 1);
      }
    }
}

/** The cells whose middle lies inside, by what the middle line of each column crosses. */
function fillInside(rings: readonly (readonly Point[])[], columns: number, rows: number, set: Uint8Array): void {
  const crossings: number[][] = Array.from({ length: columns }, () => []);
  for (const ring of rings)
    for (let k = 0, l = ring.length - 1; k < ring.length; l = k++) {
      const [a, b] = ring[l][0] <= ring[k][0] ? [ring[l], ring[k]] : [ring[k], ring[l]];
      // A middle line at x crosses where a.x <= x < b.x.
      const first = Math.max(0, Math.ceil(a[0] - 0.5));
      for (let i = first; i < columns && i + 0.5 < b[0]; i++)
        crossings[i].push(a[1] + ((i + 0.5 - a[0]) * (b[1] - a[1])) / (b[0] - a[0]));
    }
  crossings.forEach((ys, i) => {
    ys.sort((p, q) => p - q);
    for (let k = 0; k + 1 < ys.length; k += 2) {
      const low = Math.max(0, Math.ceil(ys[k] - 0.5));
      const high = Math.min(rows - 1, Math.floor(ys[k + 1] - 0.5));
      if (high >= low) set.fill(1, i * rows + low, i * rows + high + 1);
    }
  });
}

function runsOf(set: Uint8Array, columns: number, rows: number): Raster {
  const starts = new Int32Array(columns + 1);
  const runs: number[] = [];
  for (let i = 0; i < columns; i++) {
    starts[i] = runs.length;
    for (let j = 0; j < rows; j++) {
      if (!set[i * rows + j]) continue;
      const from = j;
      while (j < rows && set[i * rows + j]) j++;
      runs.push(from, j);
    }
  }
  starts[columns] = runs.length;
  return { columns, rows, starts, runs: Int16Array.from(runs) };
}
