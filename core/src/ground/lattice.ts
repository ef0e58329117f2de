import type { Grid, Point } from '../geometry/index.ts';
import { type Mark, markPoints } from '../project/index.ts';

/** Where the lines and spots pin the lattice: each pin says that a weighted mean of up to four nodes has a height. */
export interface Pins {
  /** Four node numbers a pin. */
  nodes: Int32Array;
  /** Four weights a pin, adding up to 1; 0 where fewer nodes take part. */
  weights: Float64Array;
  heights: Float64Array;
  /** Which mark (by its place in the list) set the pin. */
  marks: Int32Array;
  /** Per node: 1 when a line crosses the edge to the right, 2 when it crosses the edge away from the viewer. */
  blocked: Uint8Array;
}

/**
 * Pins a lattice to the marks: one pin wherever a line crosses a lattice edge (linear between its two nodes), one for a spot or the
 * free end of a line (bilinear in its cell). What lies off the lattice is left out.
 */
export function pinsOf(grid: Grid, marks: readonly Mark[]): Pins {
  const { columns, rows, cellMm, originMm } = grid;
  const nodes: number[] = [];
  const weights: number[] = [];
  const heights: number[] = [];
  const owners: number[] = [];
  const blocked = new Uint8Array(columns * rows);
  const toCells = ([x, y]: Point): Point => [(x - originMm[0]) / cellMm, (y - originMm[1]) / cellMm];

  const pinEdge = (n: number, stride: number, t: number, height: number, owner: number) => {
    // A line through a node crosses the edges on both sides of it.
    const before = stride === 1 ? n % columns > 0 : n >= columns;
    if (t === 0 && before) pinEdge(n - stride, stride, 1, height, owner);
    const other = n + stride;
    nodes.push(n, other, n, n);
    weights.push(1 - t, t, 0, 0);
    heights.push(height);
    owners.push(owner);
    blocked[n] |= stride === 1 ? 1 : 2;
  };
  const pinPoint = (point: Point, height: number, owner: number) => {
    const [u, v] = toCells(point);
    if (u < 0 || v < 0 || u > columns - 1 || v > rows - 1) return;
    const i = Math.min(Math.floor(u), columns - 2);
    const j = Math.min(Math.floor(v), rows - 2);
    const a = u - i;
    const b = v - j;
    const n = j * columns + i;
    nodes.push(n, n + 1, n + columns, n + columns + 1);
    weights.push((1 - a) * (1 - b), a * (1 - b), (1 - a) * b, a * b);
    heights.push(height);
    owners.push(owner);
  };
  const pinStretch = (from: Point, to: Point, height: number, owner: number) => {
    const [u0, v0] = toCells(from);
    const [u1, v1] = toCells(to);
    if (u0 !== u1)
      for (let i = Math.max(0, Math.ceil(Math.min(u0, u1))); i <= Math.min(columns - 1, Math.max(u0, u1)); i++) {
        const v = v0 + ((i - u0) * (v1 - v0)) / (u1 - u0);
        const j = Math.min(Math.floor(v), rows - 2);
        if (v >= 0 && v <= rows - 1) pinEdge(j * columns + i, columns, v - j, height, owner);
      }
    if (v0 !== v1)
      for (let j = Math.max(0, Math.ceil(Math.min(v0, v1))); j <= Math.min(rows - 1, Math.max(v0, v1)); j++) {
        const u = u0 + ((j - v0) * (u1 - u0)) / (v1 - v0);
        const i = Math.min(Math.floor(u), columns - 2);
        if (u >= 0 && u <= columns - 1) pinEdge(j * columns + i, 1, u - i, height, owner);
      }
  };

  marks.forEach((mark, owner) => {
    const points = markPoints(mark);
    if (mark.kind === 'spot' || !mark.closed) {
      pinPoint(points[0], mark.heightMm, owner);
      if (points.length > 1) pinPoint(points[points.length - 1], mark.heightMm, owner);
    }
    for (let k = 1; k < points.length; k++) pinStretch(points[k - 1], points[k], mark.heightMm, owner);
    if (mark.kind === 'contour' && mark.closed) pinStretch(points[points.length - 1], points[0], mark.heightMm, owner);
  });
  return {
    nodes: Int32Array.from(nodes),
    weights: Float64Array.from(weights),
    heights: Float64Array.from(heights),
    marks: Int32Array.from(owners),
    blocked,
  };
}

/**
 * The same pins for a coarse lattice with folds: where a line crosses an edge between a flat and free ground, the height it gives is that
 * of the free ground carried on straight to the line. Without this a flat would reach on to the next node, which matters when cells are wide.
 */
export function foldedPins(pins: Pins, flat: Uint8Array, columns: number): Pins {
  const nodes = pins.nodes.slice();
  const weights = pins.weights.slice();
  for (let p = 0; p < nodes.length; p += 4) {
    if (weights[p + 2] !== 0 || weights[p + 3] !== 0) continue;
    const [a, b] = [nodes[p], nodes[p + 1]];
    if (flat[a] === flat[b]) continue;
    const [near, back] = flat[a] ? [b, weights[p]] : [a, weights[p + 1]];
    const far = 2 * near - (flat[a] ? a : b);
    const sameRow = Math.abs(b - a) !== 1 || Math.floor(far / columns) === Math.floor(near / columns);
    if (far < 0 || far >= flat.length || !sameRow || flat[far]) continue;
    nodes[p] = near;
    weights[p] = 1 + back;
    nodes[p + 1] = far;
    weights[p + 1] = -back;
  }
  return { ...pins, nodes, weights };
}
