/**
 * The linear constraints that lines and spots put on a lattice (pins: a weighted mean of up to four nodes has a height, mm), and where lines
 * cross its edges. Linear between the two nodes of a crossed edge, bilinear inside a cell.
 */
import { type Grid, lineLength, type Point } from '../geometry/index.ts';
import type { ShapeLine } from './shapeLines.ts';

/** Where the lines and spots pin the lattice: each pin says that a weighted mean of up to four nodes has a height. */
export interface Constraints {
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
export function constraintsOf(grid: Grid, lines: readonly ShapeLine[]): Constraints {
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

  /** The edges that a straight bit crosses are blocked, without a pin. */
  const blockStretch = (from: Point, to: Point) => {
    const [u0, v0] = toCells(from);
    const [u1, v1] = toCells(to);
    if (u0 !== u1)
      for (let i = Math.max(0, Math.ceil(Math.min(u0, u1))); i <= Math.min(columns - 1, Math.max(u0, u1)); i++) {
        const v = v0 + ((i - u0) / (u1 - u0)) * (v1 - v0);
        if (v >= 0 && v <= rows - 1) blocked[Math.min(Math.floor(v), rows - 2) * columns + i] |= 2;
      }
    if (v0 !== v1)
      for (let j = Math.max(0, Math.ceil(Math.min(v0, v1))); j <= Math.min(rows - 1, Math.max(v0, v1)); j++) {
        const u = u0 + ((j - v0) / (v1 - v0)) * (u1 - u0);
        if (u >= 0 && u <= columns - 1) blocked[j * columns + Math.min(Math.floor(u), columns - 2)] |= 1;
      }
  };

  lines.forEach(({ points, closed, heights: ends, beyond }, owner) => {
    for (const [from, to] of beyond) blockStretch(from, to);
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
    ...packed(nodes, weights, heights, owners),
    blocked,
    folded,
    cut,
  };
}

/**
 * The same pins where flats meet free ground: where a line crosses an edge between a flat and a free node, the height it gives is that of the
 * free ground carried on straight to the line. Without this the flat would reach on to the next node. `foldAt` tells for each line how far
 * outside it the ground is to fold, in cells; null where it does not.
 */
export function foldedConstraints(
  pins: Constraints,
  flat: Uint8Array,
  columns: number,
  foldAt: (line: number) => number | null,
): Constraints {
  const nodes = pins.nodes.slice();
  const weights = pins.weights.slice();
  for (let p = 0; p < nodes.length; p += 4) {
    const outside = foldAt(pins.marks[p / 4]);
    if (weights[p + 2] !== 0 || weights[p + 3] !== 0 || outside === null) continue;
    // Dropped, or carried on already.
    if (weights[p] + weights[p + 1] === 0 || weights[p] < 0 || weights[p + 1] < 0) continue;
    const [a, b] = [nodes[p], nodes[p + 1]];
    if (flat[a] === flat[b]) continue;
    const [near, away] = flat[a] ? [b, weights[p]] : [a, weights[p + 1]];
    const back = away - outside;
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

/** Pins out of lists: four nodes with their weights, a height and the line of each. */
const packed = (
  nodes: readonly number[],
  weights: readonly number[],
  heights: readonly number[],
  marks: readonly number[],
): Pick<Constraints, 'nodes' | 'weights' | 'heights' | 'marks'> => ({
  nodes: Int32Array.from(nodes),
  weights: Float64Array.from(weights),
  heights: Float64Array.from(heights),
  marks: Int32Array.from(marks),
});

/**
 * The same pins where the ground may fold along a line (`folds`): the ground on either side is carried on straight to the line by a pin of its
 * own, or one side could rise as the other sinks. Where another line is too near for that, one pin ties both.
 */
export function hingedConstraints(pins: Constraints, columns: number, folds: (line: number) => boolean): Constraints {
  const [nodes, weights, heights, marks] = [[...pins.nodes], [...pins.weights], [...pins.heights], [...pins.marks]];
  const count = pins.blocked.length;
  /** The node behind `near`, seen from `other`; null where the lattice ends or a line lies between. */
  const behind = (near: number, other: number): number | null => {
    const far = 2 * near - other;
    const [from, across] = [Math.min(near, far), Math.abs(near - other) === 1];
    if (far < 0 || far >= count || (across && Math.floor(far / columns) !== Math.floor(near / columns))) return null;
    return pins.blocked[from] & (across ? 1 : 2) ? null : far;
  };
  for (let k = 0; k < pins.heights.length; k++) {
    if (!folds(pins.marks[k])) continue;
    const [a, b] = [pins.nodes[4 * k], pins.nodes[4 * k + 1]];
    const [atA, atB] = [pins.weights[4 * k], pins.weights[4 * k + 1]];
    if (a === b || atA < 0 || atB < 0 || atA + atB === 0 || pins.weights[4 * k + 2] || pins.weights[4 * k + 3])
      continue;
    const [behindA, behindB] = [atB ? behind(a, b) : a, atA ? behind(b, a) : b];
    if (behindA === null || behindB === null) continue;
    [a, behindA, a, a].forEach((node, s) => {
      nodes[4 * k + s] = node;
    });
    [1 + atB, -atB, 0, 0].forEach((weight, s) => {
      weights[4 * k + s] = weight;
    });
    nodes.push(b, behindB, b, b);
    weights.push(1 + atA, -atA, 0, 0);
    heights.push(pins.heights[k]);
    marks.push(pins.marks[k]);
  }
  return { ...pins, ...packed(nodes, weights, heights, marks) };
}

const edgeKey = (a: number, b: number) => 2 * a + (b === a + 1 ? 0 : 1);

/** Where lines cross each lattice edge: the pin nearest to the node it begins at and the one nearest to the node it ends at. */
export function edgeEnds(pins: Constraints): (a: number, b: number) => { first: number; last: number } | undefined {
  const ends = new Map<number, { first: number; last: number }>();
  for (let k = 0; k < pins.heights.length; k++) {
    const loose = pins.weights[4 * k + 2] !== 0 || pins.weights[4 * k + 3] !== 0;
    if (loose || pins.nodes[4 * k] === pins.nodes[4 * k + 1]) continue;
    const key = edgeKey(pins.nodes[4 * k], pins.nodes[4 * k + 1]);
    const end = ends.get(key);
    const t = pins.weights[4 * k + 1];
    if (!end) ends.set(key, { first: k, last: k });
    else {
      if (t < pins.weights[4 * end.first + 1]) end.first = k;
      if (t > pins.weights[4 * end.last + 1]) end.last = k;
    }
  }
  return (a, b) => ends.get(edgeKey(a, b));
}

/**
 * The same pins where lines lie nearer to one another than cells, which no straight edge can follow. A node between two lines of different
 * heights that cross opposite edges of it lies evenly between them. Where several lines cross one edge, or its other node is such a one, a
 * line says only how the ground at a node is carried on straight to it. Exact on a plane.
 */
export function* crowdedConstraints(pins: Constraints, columns: number): Generator<undefined, Constraints> {
  const endsOf = edgeEnds(pins);
  const count = pins.blocked.length;
  const onEdge = (a: number, b: number) =>
    a >= 0 && b < count && (b !== a + 1 || b % columns !== 0) ? endsOf(a, b) : undefined;
  /** The nearest line on the way from a node to its neighbour: how far away, in edges, and its height. */
  const towards = (n: number, step: number): [number, number] | null => {
    const ends = step > 0 ? onEdge(n, n + step) : onEdge(n + step, n);
    if (!ends) return null;
    const k = step > 0 ? ends.first : ends.last;
    return [pins.weights[4 * k + (step > 0 ? 1 : 0)], pins.heights[k]];
  };
  const between = (n: number, step: number): number | null => {
    const [back, on] = [towards(n, -step), towards(n, step)];
    if (!back || !on || back[1] === on[1]) return null;
    const whole = back[0] + on[0];
    return whole > 0 ? back[1] + (back[0] / whole) * (on[1] - back[1]) : (back[1] + on[1]) / 2;
  };
  yield;
  const squeezed = new Map<number, number>();
  for (const n of new Set(pins.nodes)) {
    const [across, away] = [between(n, 1), between(n, columns)];
    if (across !== null || away !== null)
      squeezed.set(n, across === null ? (away ?? 0) : away === null ? across : (across + away) / 2);
  }
  yield;
  const nodes = [...pins.nodes];
  const weights = [...pins.weights];
  const heights = [...pins.heights];
  const marks = [...pins.marks];
  /** The pin made to speak for one node of its edge only, `by` of an edge away from it. */
  const sided = (k: number, near: number, other: number, by: number) => {
    const far = 2 * near - other;
    const free = far >= 0 && far < count && (Math.abs(far - near) !== 1 || Math.max(far, near) % columns !== 0);
    const carried = free && !towards(near, near - other);
    const four = carried ? [near, far, near, near] : [near, near, near, near];
    const shares = carried ? [1 + by, -by, 0, 0] : [1, 0, 0, 0];
    for (let s = 0; s < 4; s++) [nodes[4 * k + s], weights[4 * k + s]] = [four[s], shares[s]];
  };
  for (let k = 0; k < pins.heights.length; k++) {
    const [a, b] = [pins.nodes[4 * k], pins.nodes[4 * k + 1]];
    if (a === b || pins.weights[4 * k + 2] !== 0 || pins.weights[4 * k + 3] !== 0) continue;
    const ends = endsOf(a, b);
    if (!ends) continue;
    const apart = pins.heights[ends.first] !== pins.heights[ends.last];
    if (k === ends.first && !squeezed.has(a) && (apart || squeezed.has(b))) sided(k, a, b, pins.weights[4 * k + 1]);
    else if (k === ends.last && !squeezed.has(b) && (apart || squeezed.has(a))) sided(k, b, a, pins.weights[4 * k]);
    else if (apart || squeezed.has(a) || squeezed.has(b)) weights.fill(0, 4 * k, 4 * k + 4);
  }
  yield;
  for (const [n, height] of squeezed) {
    nodes.push(n, n, n, n);
    weights.push(1, 0, 0, 0);
    heights.push(height);
    marks.push(-1);
  }
  return { ...pins, ...packed(nodes, weights, heights, marks) };
}
