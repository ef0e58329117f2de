import { readFileSync } from 'node:fs';
import type { Grid } from '../geometry/index.ts';

const read: { width: number; height: number; values: number[] } = JSON.parse(
  readFileSync(new URL('../../../node_modules/vega-datasets/data/volcano.json', import.meta.url), 'utf8'),
);

/**
 * The volcano elevation grid of the `vega-datasets` package (87 x 61, about 10 m apart): a test reference only. Row 0 is taken as the near
 * edge, heights count from 90, and a cell is as wide as is asked.
 */
export const volcano = (cellMm: number): Grid => ({
  columns: read.width,
  rows: read.height,
  cellMm,
  originMm: [0, 0],
  values: Float64Array.from(read.values, (z) => z - 90),
});
