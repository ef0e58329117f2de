/**
 * How long the outline of the ground is at every height: level sets of two flat triangles a cell, and the stretches of the base's edge that
 * stand higher. Lengths and heights in mm.
 */
import { toEnd } from '../kernel/index.ts';
import { type Grid, heightAt } from './grid.ts';
import type { Ring } from './inside.ts';
import { outlineEdges } from './keyhole.ts';

/** Spacing of the curve, mm: outlines change slowly with height. */
const STEP_MM = 1;
/** Lines are taken a hair above their heights, which flats and nodes have rarely: the outline of the board, or of a flat, is none. */
const HAIR_MM = 0.0071;

/** Length of the outline at every STEP_MM of height, the first a hair over the board. */
export type OutlineCurve = Float64Array;

/** `edge`: the outline of the base, run along at the cell's spacing; those of its places count for which `counts` says so. */
export const outlineCurve = (
  grid: Grid,
  coverage: Float32Array | null,
  edge: Ring,
  counts: (x: number, y: number) => boolean = () => true,
): OutlineCurve => toEnd(outlineCurveIn(grid, coverage, edge, counts));

/** So many rows are added between two yields. */
const ROWS_EACH = 48;

/** The same, yielding between pieces of work. */
export function* outlineCurveIn(
  grid: Grid,
  coverage: Float32Array | null,
  edge: Ring,
  counts: (x: number, y: number) => boolean,
): Generator<undefined, OutlineCurve> {
  const { columns, rows, cellMm, values: z } = grid;
  let highest = 0;
  for (let n = 0; n < z.length; n++) if (z[n] > highest) highest = z[n];
  const curve = new Float64Array(Math.ceil(highest / STEP_MM) + 2);
  for (let j = 0; j < rows - 1; j++) {
    if (j % ROWS_EACH === ROWS_EACH - 1) yield;
    for (let i = 0; i < columns - 1; i++) {
      const share = coverage ? coverage[j * (columns - 1) + i] : 1;
      if (share === 0) continue;
      const n = j * columns + i;
      const [a, b, c, d] = [z[n], z[n + 1], z[n + columns], z[n + columns + 1]];
      // Across an edge of the lattice, and over its diagonal.
      if ((i + j) & 1) {
        addTriangle(curve, a, b, c, share * cellMm);
        addTriangle(curve, d, c, b, share * cellMm);
      } else {
        addTriangle(curve, b, a, d, share * cellMm);
        addTriangle(curve, c, d, a, share * cellMm);
      }
    }
  }
  yield;
  addEdge(curve, grid, edge, counts);
  return curve;
}

/** The level lines of a triangle: `p` at its right angle, `q` and `r` at the ends of its legs; `legMm` is a leg, times its share on the base. */
function addTriangle(curve: OutlineCurve, p: number, q: number, r: number, legMm: number): void {
  const low = Math.min(p, q, r);
  const top = Math.max(p, q, r);
  if (top === low || top <= 0) return;
  const mid = p + q + r - low - top;
  // A triangle's area is the integral of its level lines over height by the slope (co-area), so the line at the middle height is this long.
  const most = (legMm * Math.hypot(q - p, r - p)) / (top - low);
  for (let k = Math.max(0, Math.floor(low / STEP_MM)); k * STEP_MM < top && k < curve.length; k++) {
    const h = k * STEP_MM + HAIR_MM;
    if (h <= low || h >= top) continue;
    curve[k] += h < mid ? (most * (h - low)) / (mid - low) : top > mid ? (most * (top - h)) / (top - mid) : most;
  }
}

function addEdge(curve: OutlineCurve, grid: Grid, edge: Ring, counts: (x: number, y: number) => boolean): void {
  const standing = new Float64Array(curve.length);
  for (const [[ax, ay], [bx, by]] of outlineEdges(edge)) {
    const length = Math.hypot(bx - ax, by - ay);
    const pieces = Math.max(1, Math.ceil(length / grid.cellMm));
    for (let s = 0; s < pieces; s++) {
      const [x, y] = [ax + ((bx - ax) * (s + 0.5)) / pieces, ay + ((by - ay) * (s + 0.5)) / pieces];
      const height = heightAt(grid, x, y);
      if (height > HAIR_MM && counts(x, y))
        standing[Math.min(curve.length - 1, Math.floor(height / STEP_MM))] += length / pieces;
    }
  }
  let sum = 0;
  for (let k = curve.length - 1; k >= 0; k--) {
    sum += standing[k];
    curve[k] += sum;
  }
}

/** Length of the outline at a height. */
export function outlineLength(curve: OutlineCurve, heightMm: number): number {
  const u = Math.max(0, heightMm / STEP_MM);
  const k = Math.floor(u);
  if (k >= curve.length) return 0;
  return curve[k] + (u - k) * ((curve[k + 1] ?? 0) - curve[k]);
}
