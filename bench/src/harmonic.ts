import { type Grid, heightAt, type Mark } from '@hosket/core';

/** Sweeps of Gauss-Seidel that are timed and watched before the rest is worked out from their fall. */
const WATCHED = 200;

/**
 * The plain baseline: Gauss-Seidel on the harmonic problem, nodes nearest to the lines held. Gives the time to come within 0.1 mm, from the
 * time of a sweep and the rate at which the largest change falls.
 */
export function harmonicBaseline(grid: Grid, marks: readonly Mark[]): { ms: number; sweeps: number } {
  const { columns, rows, cellMm } = grid;
  const z = new Float64Array(columns * rows);
  const held = new Uint8Array(columns * rows);
  for (const mark of marks) {
    if (mark.kind !== 'contour') continue;
    mark.points.forEach((from, k) => {
      const to = mark.points[(k + 1) % mark.points.length];
      const pieces = Math.ceil((2 * Math.hypot(to[0] - from[0], to[1] - from[1])) / cellMm);
      for (let s = 0; s < pieces; s++) {
        const i = Math.round((from[0] + ((to[0] - from[0]) * s) / pieces) / cellMm);
        const j = Math.round((from[1] + ((to[1] - from[1]) * s) / pieces) / cellMm);
        if (i < 0 || j < 0 || i >= columns || j >= rows) continue;
        held[j * columns + i] = 1;
        z[j * columns + i] = mark.heightMm;
      }
    });
  }
  const from = performance.now();
  let middle = 0;
  let last = 0;
  for (let k = 0; k < WATCHED; k++) {
    last = sweep(z, held, columns, rows);
    if (k === WATCHED / 2) middle = last;
  }
  const perSweep = (performance.now() - from) / WATCHED;
  const rate = Math.min(0.99999, (last / middle) ** (2 / WATCHED));
  // What is still missing is about the last change / (1 - rate); it falls by the rate with each sweep.
  const missing = Math.max(last / (1 - rate), Math.abs(heightAt({ ...grid, values: z }, 0, 0) - heightAt(grid, 0, 0)));
  const sweeps = WATCHED + Math.max(0, Math.log(0.1 / missing) / Math.log(rate));
  return { ms: sweeps * perSweep, sweeps };
}

/** One sweep over the free nodes; gives the largest change. */
function sweep(z: Float64Array, held: Uint8Array, columns: number, rows: number): number {
  let most = 0;
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const n = j * columns + i;
      if (held[n]) continue;
      const across = z[i > 0 ? n - 1 : n + 1] + z[i < columns - 1 ? n + 1 : n - 1];
      const away = z[j > 0 ? n - columns : n + columns] + z[j < rows - 1 ? n + columns : n - columns];
      const mean = (across + away) / 4;
      most = Math.max(most, Math.abs(mean - z[n]));
      z[n] = mean;
    }
  return most;
}
