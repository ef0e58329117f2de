import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Grid } from '../geometry/index.ts';
import { flood } from './flood.ts';
import { flowAccumulation, wetnessOf } from './wetness.ts';

/** Rows from the far edge to the near one, as they are printed. */
const printed = (rows: readonly (readonly number[])[]): Grid => ({
  columns: rows[0].length,
  rows: rows.length,
  cellMm: 1,
  originMm: [0, 0],
  values: Float64Array.from([...rows].reverse().flat()),
});
const asPrinted = (values: Float64Array, columns: number) =>
  Array.from({ length: values.length / columns }, (_, j) => [
    ...values.slice(j * columns, (j + 1) * columns),
  ]).reverse();

/**
 * The worked 6 x 6 grid by which flow direction and flow accumulation are explained in GIS handbooks after Jenson and Domingue (1988),
 * Photogrammetric Engineering and Remote Sensing 54(11); heights and accumulations from memory.
 */
const heights = [
  [78, 72, 69, 71, 58, 49],
  [74, 67, 56, 49, 46, 50],
  [69, 53, 44, 37, 38, 48],
  [64, 58, 55, 22, 31, 24],
  [68, 61, 47, 21, 16, 19],
  [74, 53, 34, 12, 11, 12],
];
const accumulated = [
  [0, 0, 0, 0, 0, 0],
  [0, 1, 1, 2, 2, 0],
  [0, 3, 7, 5, 4, 0],
  [0, 0, 0, 20, 0, 1],
  [0, 0, 0, 1, 24, 0],
  [0, 2, 4, 7, 35, 1],
];

describe('flow accumulation', () => {
  it('the worked grid of the handbooks', () => {
    const grid = printed(heights);
    expect(asPrinted(flowAccumulation(grid, flood(grid, []), true), 6)).toEqual(accumulated);
  });

  it('all water of an even slope runs straight down: each row has one node more above it', () => {
    const plane = printed([3, 2, 1, 0].map((z) => [z, z, z]));
    expect(asPrinted(flowAccumulation(plane, flood(plane, []), true), 3)).toEqual([0, 1, 2, 3].map((k) => [k, k, k]));
  });

  it('no water is lost: what leaves at the nodes without a way on is all there was, parted or not', () => {
    const height = fc.integer({ min: 0, max: 30 });
    fc.assert(
      fc.property(fc.array(height, { minLength: 42, maxLength: 42 }), fc.boolean(), (zs, steepest) => {
        const grid: Grid = { columns: 7, rows: 6, cellMm: 1, originMm: [0, 0], values: Float64Array.from(zs) };
        const flooded = flood(grid, []);
        const flow = flowAccumulation(grid, flooded, steepest);
        const { spill, from } = flooded;
        let out = 0;
        for (let n = 0; n < zs.length; n++) {
          const [i, j] = [n % 7, Math.floor(n / 7)];
          const lower = [-1, 0, 1].some((dj) =>
            [-1, 0, 1].some(
              (di) =>
                i + di >= 0 && i + di < 7 && j + dj >= 0 && j + dj < 6 && spill[n + 7 * dj + di] < spill[n] - 1e-12,
            ),
          );
          if (!lower && from[n] < 0) out += flow[n] + 1;
        }
        expect(out).toBeCloseTo(42, 6);
      }),
    );
  });
});

describe('the wetness index', () => {
  it('of an even slope is ln(a / tan b): 5 rows above, 1 in 2', () => {
    const rows = Array.from({ length: 12 }, (_, k) => new Array<number>(30).fill((12 - k) / 2));
    const wet = wetnessOf(printed(rows), []);
    // In the middle of the sixth row: six nodes of 1 mm, tan b = 0.5.
    expect(wet.values[(12 - 6) * 30 + 15]).toBeCloseTo(Math.log(6 / 0.5), 1);
  });

  it('is highest in the valley', () => {
    const valley = Array.from({ length: 40 }, (_, j) =>
      Array.from({ length: 41 }, (_, i) => 0.5 * Math.abs(i - 20) + 0.2 * (40 - j)),
    );
    const wet = wetnessOf(printed(valley), []);
    const row = [...wet.values.slice(10 * 41, 11 * 41)];
    expect(row.indexOf(Math.max(...row))).toBe(20);
    expect(Math.max(...row)).toBeGreaterThan(row[5] + 2);
  });
});
