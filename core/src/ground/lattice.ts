import { type Grid, lineLength, type Point } from '../geometry/index.ts';
import type { ShapeLine } from './shapeLines.ts';

/** Where the lines and spots pin the lattice: each pin says that a weighted mean of up to four nodes has a height. */
export interface Pins {
  /** Four node numbers a pin. */
  nodes: Int32Array;
  /** Four weights a pin, adding up to 1; 0 where fewer nodes take part. */
  weights: Float64Array;
  heights: Float64Array;
  /** Which line (by its place in the list) set the pin. */
  marks: Int32Array;
  /** Per node: 1 when a line crosses the edge to the right, 2 when it crosses the edge away from the viewer. */
  blocked: Uint8Array;
  /** The same for edges across which the ground may fold, and for those across which it may jump. */
  folded: Uint8Array;
  cut: Uint8Array;
}

/**
 * Pins a lattice to the lines: one pin wherever a line crosses a lattice edge (linear between its two nodes), one for a spot or the
 * free end of a line (bilinear in its cell). A break pins the node on either side to that side's height instead. What lies off the lattice is left out.
 */
export function pinsOf(grid: Grid, lines: readonly ShapeLine[]): Pins {
  const { columns, rows, cellMm, originMm } = grid;
  const nodes: number[] = [];
  const weights: number[] = [];
  const heights: number[] = [];
  const owners: number[] = [];
  const blocked = new Uint8Array(columns * rows);
  const folded = new Uint8Array(columns * rows);
  const cut = new Uint8Array(columns * rows);
  const toCells = ([x, y]: Point): Point => [(x - originMm[0]) / cellMm, (y - originMm[1]) / cellMm];
  const pin = (four: readonly number[], shares: readonly number[], height: number, owner: number) => {
    nodes.push(four[0], four[1], four[2], four[3]);
    weights.push(shares[0], shares[1], shares[2], shares[3]);
    heights.push(height);
    owners.push(owner);
  };

  /** `leftFirst`: the node the edge begins at lies at the left of the line. */
  const pinEdge = (n: number, stride: number, t: number, height: number, owner: number, leftFirst: boolean) => {
    const line = lines[owner];
    // A line through a node crosses the edges on both sides of it.
    const before = stride === 1 ? n % columns > 0 : n >= columns;
    if (t === 0 && before && !line.sides) pinEdge(n - stride, stride, 1, height, owner, leftFirst);
    const other = n + stride;
    const bit = stride === 1 ? 1 : 2;
    blocked[n] |= bit;
    if (line.fold) folded[n] |= bit;
    if (!line.sides) return pin([n, other, n, n], [1 - t, t, 0, 0], height, owner);
    cut[n] |= bit;
    const { left, right } = line.sides;
    const [here, there] = leftFirst ? [left, right] : [right, left];
    if (here !== null) pin([n, n, n, n], [1, 0, 0, 0], here, owner);
    if (there !== null) pin([other, other, other, other], [1, 0, 0, 0], there, owner);
  };
  const pinPoint = (point: Point, height: number, owner: number) => {
    const [u, v] = toCells(point);
    if (u < 0 || v < 0 || u > columns - 1 || v > rows - 1) return;
    const i = Math.min(Math.floor(u), columns - 2);
    const j = Math.min(Math.floor(v), rows - 2);
    const a = u - i;
    const b = v - j;
    const n = j * columns + i;
    pin([n, n + 1, n + columns, n + columns + 1], [(1 - a) * (1 - b), a * (1 - b), (1 - a) * b, a * b], height, owner);
  };
  /** A straight bit of a line whose height runs from h0 to h1. */
  const pinStretch = (from: Point, to: Point, h0: number, h1: number, owner: number) => {
    const [u0, v0] = toCells(from);
    const [u1, v1] = toCells(to);
    if (u0 !== u1)
      for (let i = Math.max(0, Math.ceil(Math.min(u0, u1))); i <= Math.min(columns - 1, Math.max(u0, u1)); i++) {
        const share = (i - u0) / (u1 - u0);
        const v = v0 + share * (v1 - v0);
        const j = Math.min(Math.floor(v), rows - 2);
        // Walking to the right, what lies nearer to the viewer is at the right.
        if (v >= 0 && v <= rows - 1) pinEdge(j * columns + i, columns, v - j, h0 + share * (h1 - h0), owner, u1 < u0);
      }
    if (v0 !== v1)
      for (let j = Math.max(0, Math.ceil(Math.min(v0, v1))); j <= Math.min(rows - 1, Math.max(v0, v1)); j++) {
        const share = (j - v0) / (v1 - v0);
        const u = u0 + share * (u1 - u0);
        const i = Math.min(Math.floor(u), columns - 2);
        if (u >= 0 && u <= columns - 1) pinEdge(j * columns + i, 1, u - i, h0 + share * (h1 - h0), owner, v1 > v0);
      }
  };

  lines.forEach(({ points, closed, heights: ends }, owner) => {
    const [from, to] = ends ?? [0, 0];
    const last = points.length - 1;
    if (ends && !closed) {
      pinPoint(points[0], from, owner);
      if (last > 0) pinPoint(points[last], to, owner);
    }
    const length = lineLength(points, false) || 1;
    let along = 0;
    for (let k = 1; k <= last; k++) {
      const step = Math.hypot(points[k][0] - points[k - 1][0], points[k][1] - points[k - 1][1]);
      const height = (at: number) => from + ((to - from) * at) / length;
      pinStretch(points[k - 1], points[k], height(along), height(along + step), owner);
      along += step;
    }
    if (closed) pinStretch(points[last], points[0], from, from, owner);
  });
  return {
    nodes: Int32Array.from(nodes),
    weights: Float64Array.from(weights),
    heights: Float64Array.from(heights),
    marks: Int32Array.from(owners),
    blocked,
    folded,
    cut,
  };
}

/**
 * The same pins where flats meet free ground: where a line crosses an edge between a flat and a free node, the height it gives is that of the
 * free ground carried on straight to the line. Without this the flat would reach on to the next node. `folds` tells for which lines.
 */
export function foldedPins(pins: Pins, flat: Uint8Array, columns: number, folds: (line: number) => boolean): Pins {
  const nodes = pins.nodes.slice();
  const weights = pins.weights.slice();
  for (let p = 0; p < nodes.length; p += 4) {
    if (weights[p + 2] !== 0 || weights[p + 3] !== 0 || !folds(pins.marks[p / 4])) continue;
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
