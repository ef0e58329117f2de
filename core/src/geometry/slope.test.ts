import { expect, it } from 'vitest';
import { groundFrom } from '../testing/solids.ts';
import { volcano } from '../testing/volcano.ts';
import { forEachCell, type Grid, trueSurfaceOf } from './index.ts';

const DEGREE = Math.PI / 180;

/**
 * The usual third-order finite difference for the slope of a grid, weighted over the eight neighbours: B. K. P. Horn, "Hill shading and the
 * reflectance map", Proceedings of the IEEE 69 (1981). Degrees, for each inner node.
 */
function hornSlopes({ columns, rows, cellMm, values: z }: Grid): number[] {
  const slopes: number[] = [];
  for (let j = 1; j < rows - 1; j++)
    for (let i = 1; i < columns - 1; i++) {
      const n = j * columns + i;
      const column = (m: number) => z[m - columns] + 2 * z[m] + z[m + columns];
      const row = (m: number) => z[m - 1] + 2 * z[m] + z[m + 1];
      const p = (column(n + 1) - column(n - 1)) / (8 * cellMm);
      const q = (row(n + columns) - row(n - columns)) / (8 * cellMm);
      slopes.push(Math.atan(Math.hypot(p, q)) / DEGREE);
    }
  return slopes;
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

it('slopes agree with the third-order formula on rolling ground, cell by cell', () => {
  const { grid } = groundFrom(160, 120, (x, y) => 40 + 9 * Math.sin(x / 15) * Math.cos(y / 19));
  const horn = hornSlopes(grid);
  const wide = grid.columns - 2;
  let worst = 0;
  forEachCell(grid, null, (cell, _area, _height, sx, sy) => {
    const [i, j] = [cell % (grid.columns - 1), Math.floor(cell / (grid.columns - 1))];
    if (i < 1 || j < 1 || i >= grid.columns - 2 || j >= grid.rows - 2) return;
    // A cell lies between four nodes: the mean of their slopes.
    const at = (j - 1) * wide + i - 1;
    const round = (horn[at] + horn[at + 1] + horn[at + wide] + horn[at + wide + 1]) / 4;
    worst = Math.max(worst, Math.abs(Math.atan(Math.hypot(sx, sy)) / DEGREE - round));
  });
  // Observed 1.1 degrees, on the very tops, where the four nodes slope away from each other; the means differ by 0.02.
  expect(worst).toBeLessThan(1.3);
  expect(Math.abs(trueSurfaceOf(grid, null).meanSlopeDegrees - mean(horn))).toBeLessThan(0.1);
});

it('the mean slope of the volcano is that of the third-order formula', () => {
  // The formula leaves out the edge and looks over two cells, which smooths rough ground a little. Observed 0.6 % apart.
  const grid = volcano(4);
  expect(Math.abs(trueSurfaceOf(grid, null).meanSlopeDegrees / mean(hornSlopes(grid)) - 1)).toBeLessThan(0.01);
});
