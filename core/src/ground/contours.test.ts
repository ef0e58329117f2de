import Delaunator from 'delaunator';
import { describe, expect, it } from 'vitest';
import { type Grid, heightAt, isolines } from '../geometry/index.ts';
import { toEnd } from '../kernel/index.ts';
import { type Mark, startProject } from '../project/index.ts';
import { cutAtEdge } from '../testing/contours.ts';
import { circle, groundFrom, line, spot } from '../testing/solids.ts';
import { volcano } from '../testing/volcano.ts';
import { groundOf } from './index.ts';

/**
 * Contours cut from known ground give the ground back. Largest and mean error are those observed, each bound a little above it; what a
 * spotless summit or the land beyond the last line may do is the rule of `boundsOfLines`, not of the known ground.
 */
const drawn = (widthMm: number, depthMm: number, marks: readonly Mark[]) => {
  const { base } = startProject('contours', '2027-03-01', 'ground');
  return toEnd(groundOf({ base: { ...base, shape: { kind: 'rectangle', widthMm, depthMm } }, marks, landforms: [] }));
};

/** Largest and mean difference from a formula over a box of whole millimetres. */
function errors(grid: Grid, [x0, y0, x1, y1]: readonly number[], z: (x: number, y: number) => number) {
  let largest = 0;
  let sum = 0;
  for (let y = y0; y <= y1; y++)
    for (let x = x0; x <= x1; x++) {
      const error = Math.abs(heightAt(grid, x, y) - z(x, y));
      largest = Math.max(largest, error);
      sum += error;
    }
  return { largest, mean: sum / ((x1 - x0 + 1) * (y1 - y0 + 1)) };
}

describe('contours cut from known ground give it back', () => {
  it('hemisphere on a flat: every 10 mm, its foot and its summit', () => {
    const R = 80;
    const dome = (x: number, y: number) => Math.sqrt(Math.max(0, R * R - (x - 110) ** 2 - (y - 100) ** 2));
    const rings = [0, 10, 20, 30, 40, 50, 60, 70].map((h) => circle(110, 100, Math.sqrt(R * R - h * h), h));
    const ground = drawn(220, 200, [...rings, spot(R, 110, 100)]);
    // Observed largest 5.3 mm, in the wall that stands upright at the foot; mean 0.21 mm; volume +0.02 %.
    const { largest, mean } = errors(ground.grid, [0, 0, 220, 200], dome);
    expect(largest).toBeLessThan(6.5);
    expect(mean).toBeLessThan(0.3);
    expect(Math.abs((ground.volumeMl * 1000) / ((2 / 3) * Math.PI * R ** 3) - 1)).toBeLessThan(0.005);
  });

  it('cone that runs off the base: every 10 mm and its summit', () => {
    const cone = (x: number, y: number) => 60 * (1 - Math.hypot(x - 90, y - 90) / 140);
    const rings = [10, 20, 30, 40, 50].map((h) => circle(90, 90, 140 * (1 - h / 60), h));
    const ground = drawn(180, 180, [...rings, spot(60, 90, 90)]);
    // Observed largest 1.1 mm near the tip, mean 0.06 mm, volume +0.06 %.
    const { largest, mean } = errors(ground.grid, [0, 0, 180, 180], cone);
    expect(largest).toBeLessThan(1.4);
    expect(mean).toBeLessThan(0.1);
    const volume = groundFrom(180, 180, cone, 0.5).volumeMl;
    expect(Math.abs(ground.volumeMl / volume - 1)).toBeLessThan(0.005);
  });

  it('plane: five straight lines', () => {
    const plane = (x: number, y: number) => 4 + 0.2 * x + 0.1 * y;
    const marks = [10, 15, 20, 25, 30].map((h) =>
      line(h, [
        [(h - 4 + 1) / 0.2, -10],
        [(h - 4 - 11) / 0.2, 110],
      ]),
    );
    const ground = drawn(120, 100, marks);
    // Between the first and the last line. Observed largest 0.09 mm, at the edge.
    let largest = 0;
    for (let y = 0; y <= 100; y++)
      for (let x = 0; x <= 120; x++)
        if (plane(x, y) >= 10 && plane(x, y) <= 30)
          largest = Math.max(largest, Math.abs(heightAt(ground.grid, x, y) - plane(x, y)));
    expect(largest).toBeLessThan(0.15);
  });

  it('saddle: open lines every 3 mm, out to the corners', () => {
    const saddle = (x: number, y: number) => 30 + ((x - 80) ** 2 - (y - 60) ** 2) / 200;
    // The rows of the known ground are read off level by level: exact lines of the formula.
    const marks: Mark[] = [-18, -15, -12, -9, -6, -3, 3, 6, 9, 12, 15, 18, 21, 24, 27, 30].flatMap((step) =>
      [-1, 1].map((way) => {
        const points = Array.from({ length: 61 }, (_, k): [number, number] => {
          const along = -90 + 3 * k;
          const off = way * Math.sqrt(Math.abs(200 * step) + along * along);
          return step > 0 ? [80 + off, 60 + along] : [80 + along, 60 + off];
        });
        return { ...line(30 + step, points), id: `saddle-${step}-${way}` };
      }),
    );
    const ground = drawn(160, 120, marks);
    // Observed largest 0.12 mm, mean 0.007 mm.
    const { largest, mean } = errors(ground.grid, [0, 0, 160, 120], saddle);
    expect(largest).toBeLessThan(0.2);
    expect(mean).toBeLessThan(0.02);
    expect(Math.abs(ground.volumeMl / groundFrom(160, 120, saddle, 0.5).volumeMl - 1)).toBeLessThan(0.005);
  });
});

/** The volcano with its nodes 4 mm apart and 1 mm of height a unit. */
const SPACING_MM = 4;
const full = volcano(SPACING_MM);
const [across, away] = [(full.columns - 1) * SPACING_MM, (full.rows - 1) * SPACING_MM];

/** Heights of a plain triangulation of scattered heights at the nodes of a grid; NaN outside it. */
function triangulated(points: readonly (readonly [number, number, number])[], grid: Grid): Float64Array {
  const { triangles } = Delaunator.from(points.map(([x, y]) => [x, y]));
  const out = new Float64Array(grid.values.length).fill(Number.NaN);
  for (let t = 0; t < triangles.length; t += 3) {
    const [a, b, c] = [points[triangles[t]], points[triangles[t + 1]], points[triangles[t + 2]]];
    const twice = (b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]);
    if (Math.abs(twice) < 1e-12) continue;
    const nodes = (values: number[], most: number): [number, number] => [
      Math.max(0, Math.ceil(Math.min(...values) / grid.cellMm)),
      Math.min(most - 1, Math.floor(Math.max(...values) / grid.cellMm)),
    ];
    const [i0, i1] = nodes([a[0], b[0], c[0]], grid.columns);
    const [j0, j1] = nodes([a[1], b[1], c[1]], grid.rows);
    for (let j = j0; j <= j1; j++)
      for (let i = i0; i <= i1; i++) {
        const [x, y] = [i * grid.cellMm, j * grid.cellMm];
        const u = ((x - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (y - a[1])) / twice;
        const v = ((b[0] - a[0]) * (y - a[1]) - (x - a[0]) * (b[1] - a[1])) / twice;
        if (u < -1e-9 || v < -1e-9 || u + v > 1 + 1e-9) continue;
        out[j * grid.columns + i] = a[2] + u * (b[2] - a[2]) + v * (c[2] - a[2]);
      }
  }
  return out;
}

describe('real ground: the volcano thinned to its 5-unit contours', () => {
  const levels = Array.from({ length: 20 }, (_, k) => 5 + 5 * k);
  const lines = isolines(full, levels).flatMap((rings, k) =>
    rings.flatMap((ring) => cutAtEdge(ring, across, away)).map((cut) => ({ ...cut, heightMm: levels[k] })),
  );
  const marks: Mark[] = lines.map(({ points, closed, heightMm }, k) => ({
    ...line(
      heightMm,
      points.map(([x, y]) => [x, y]),
    ),
    id: `contour-${k}`,
    closed,
  }));

  it('comes back nearer to the full grid than a plain triangulation of the same contours (delaunator)', () => {
    const ground = drawn(across, away, marks);
    const plain = triangulated(
      lines.flatMap(({ points, heightMm }) => points.map(([x, y]) => [x, y, heightMm] as const)),
      full,
    );
    let [ours, theirs, worst, compared] = [0, 0, 0, 0];
    for (let j = 0, n = 0; j < full.rows; j++)
      for (let i = 0; i < full.columns; i++, n++) {
        if (Number.isNaN(plain[n])) continue;
        const error = Math.abs(heightAt(ground.grid, i * SPACING_MM, j * SPACING_MM) - full.values[n]);
        worst = Math.max(worst, error);
        ours += error ** 2;
        theirs += (plain[n] - full.values[n]) ** 2;
        compared++;
      }
    const [rms, plainRms] = [Math.sqrt(ours / compared), Math.sqrt(theirs / compared)];
    expect(compared).toBeGreaterThan(0.95 * full.values.length);
    // Observed: 0.62 against 0.76 (rms, in the grid's units), worst 3.8.
    expect(rms).toBeLessThan(0.7);
    expect(rms).toBeLessThan(plainRms);
    // No more than one interval anywhere: what no contour tells cannot be known better.
    expect(worst).toBeLessThan(5);
  });
});
