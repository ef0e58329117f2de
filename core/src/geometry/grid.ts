/** A place on the base: x to the right, y away from the viewer, mm. */
export type Point = readonly [number, number];

/** A field of heights (mm) on a lattice of nodes, row-major from the near left corner; node (i, j) is at origin + (i, j) x cellMm. */
export interface Grid {
  columns: number;
  rows: number;
  cellMm: number;
  originMm: Point;
  values: Float64Array | Float32Array;
}

/** The lattice that covers width x depth: its last nodes lie on the far edges, or just beyond where the cell does not divide the size. */
export function gridOver(widthMm: number, depthMm: number, cellMm: number): Grid {
  const columns = Math.ceil(widthMm / cellMm - 1e-9) + 1;
  const rows = Math.ceil(depthMm / cellMm - 1e-9) + 1;
  return { columns, rows, cellMm, originMm: [0, 0], values: new Float64Array(columns * rows) };
}

/** A grid of the same lattice with other values. */
export const withValues = (grid: Grid, values: Float64Array | Float32Array): Grid => ({ ...grid, values });

/** Fills a lattice from a formula z(x, y). */
export function sampleFormula(grid: Grid, z: (x: number, y: number) => number): Grid {
  const values = new Float64Array(grid.columns * grid.rows);
  for (let j = 0, n = 0; j < grid.rows; j++)
    for (let i = 0; i < grid.columns; i++, n++)
      values[n] = z(grid.originMm[0] + i * grid.cellMm, grid.originMm[1] + j * grid.cellMm);
  return withValues(grid, values);
}

/** The value of the node nearest to a point given from the lattice's origin, mm. */
export function nearestValue({ columns, rows, cellMm, values }: Grid, x: number, y: number): number {
  const i = Math.min(columns - 1, Math.max(0, Math.round(x / cellMm)));
  const j = Math.min(rows - 1, Math.max(0, Math.round(y / cellMm)));
  return values[j * columns + i];
}

/** Height at a point, bilinear between the four nodes round it; outside the lattice the nearest edge counts. */
export function heightAt(grid: Grid, x: number, y: number): number {
  const { columns, rows, cellMm, originMm, values } = grid;
  const u = Math.min(Math.max((x - originMm[0]) / cellMm, 0), columns - 1);
  const v = Math.min(Math.max((y - originMm[1]) / cellMm, 0), rows - 1);
  const i = Math.min(Math.floor(u), columns - 2);
  const j = Math.min(Math.floor(v), rows - 2);
  const a = u - i;
  const b = v - j;
  const n = j * columns + i;
  return (
    (1 - b) * ((1 - a) * values[n] + a * values[n + 1]) +
    b * ((1 - a) * values[n + columns] + a * values[n + columns + 1])
  );
}
