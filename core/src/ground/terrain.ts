/**
 * A grid of heights laid over the base (bilinear), and bent to lines and spots by screened springs (successive over-relaxation). Heights in
 * mm.
 */
import { type Grid, insideRing, smoothed, withValues } from '../geometry/index.ts';
import { readHeights, type Terrain } from '../project/index.ts';
import { type Constraints, constraintsOf } from './constraints.ts';
import type { ShapeLine } from './shapeLines.ts';

/**
 * A terrain laid over the base: the part of its grid that is used, turned, stretched to the box of the base and to the heights wanted, smoothed.
 * Heights between its numbers are bilinear.
 */
export function terrainOver(lattice: Grid, terrain: Terrain, widthMm: number, depthMm: number): Grid {
  const { columns, rows, crop } = terrain;
  const source = readHeights(terrain.data, columns * rows);
  const values = new Float64Array(lattice.values.length);
  const turn = (terrain.turnDegrees * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  // A turned grid is laid so that the box of the base still lies inside it.
  const grow = Math.abs(c) + Math.abs(s);
  for (let j = 0, n = 0; j < lattice.rows; j++)
    for (let i = 0; i < lattice.columns; i++, n++) {
      const u = Math.min(1, (i * lattice.cellMm) / widthMm) - 0.5;
      const v = Math.min(1, (j * lattice.cellMm) / depthMm) - 0.5;
      const a = (u * c + v * s) / grow + 0.5;
      const b = (v * c - u * s) / grow + 0.5;
      values[n] = sampled(
        source,
        columns,
        rows,
        (crop.left + a * (crop.right - crop.left)) * (columns - 1),
        (crop.near + b * (crop.far - crop.near)) * (rows - 1),
      );
    }
  const [low, high] = rangeOf(values);
  const stretch = high > low ? (terrain.highMm - terrain.lowMm) / (high - low) : 0;
  for (let n = 0; n < values.length; n++) values[n] = terrain.lowMm + (values[n] - low) * stretch;
  return smoothed(withValues(lattice, values), terrain.smoothMm);
}

function sampled(source: ArrayLike<number>, columns: number, rows: number, x: number, y: number): number {
  const i = Math.min(columns - 2, Math.max(0, Math.floor(x)));
  const j = Math.min(rows - 2, Math.max(0, Math.floor(y)));
  const [a, b] = [Math.min(1, Math.max(0, x - i)), Math.min(1, Math.max(0, y - j))];
  const n = j * columns + i;
  return (
    (1 - b) * ((1 - a) * source[n] + a * source[n + 1]) +
    b * ((1 - a) * source[n + columns] + a * source[n + columns + 1])
  );
}

function rangeOf(values: ArrayLike<number>): [number, number] {
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (let n = 0; n < values.length; n++) {
    low = Math.min(low, values[n]);
    high = Math.max(high, values[n]);
  }
  return [low, high];
}

/** Sweeps of a bend, and how far each goes beyond its aim (successive over-relaxation). */
const SWEEPS = 90;
const OVER = 1.6;
/** Between two yields. */
const SWEEPS_EACH = 10;
/** A bend has died away at its reach: it falls by e over a quarter of it. */
const FALLS_OVER = 4;

/**
 * Bends a terrain to the lines and spots: what they ask for beyond the terrain is met on them and dies away within the reach. A skin held back by springs
 * (u = L2 laplace u) meets a line with a crease; twice the skin of L less that of L / 2 leaves it level (2 exp(-x / L) - exp(-2 x / L) across a straight line). Yields between sweeps.
 */
export function* bentToLines(terrain: Grid, lines: readonly ShapeLine[], reachMm: number): Generator<undefined, Grid> {
  const { values } = terrain;
  const pins = constraintsOf(terrain, lines);
  const flats = flatsOf(terrain, lines);
  yield;
  const wide = yield* bend(terrain, pins, flats, reachMm / FALLS_OVER);
  const narrow = yield* bend(terrain, pins, flats, reachMm / FALLS_OVER / 2);
  const bent = new Float64Array(values.length);
  for (let n = 0; n < bent.length; n++) bent[n] = Math.max(0, values[n] + 2 * wide[n] - narrow[n]);
  return withValues(terrain, bent);
}

/** How far each node that lies in a flat must be lifted to it; NaN elsewhere. */
function flatsOf({ columns, rows, cellMm, values }: Grid, lines: readonly ShapeLine[]): Float64Array {
  const lift = new Float64Array(values.length).fill(Number.NaN);
  for (const { points, closed, level, heights } of lines) {
    if (!closed || !level || !heights) continue;
    for (let j = 0, n = 0; j < rows; j++)
      for (let i = 0; i < columns; i++, n++)
        if (insideRing(points, i * cellMm, j * cellMm)) lift[n] = heights[0] - values[n];
  }
  return lift;
}

/** A skin that meets the pins and flats and falls by e over `overMm`, mm to be added at each node. */
function* bend(
  { columns, rows, cellMm, values }: Grid,
  pins: Constraints,
  flats: Float64Array,
  overMm: number,
): Generator<undefined, Float64Array> {
  const u = flats.map((lift) => (Number.isNaN(lift) ? 0 : lift));
  const held = Uint8Array.from(flats, (lift) => (Number.isNaN(lift) ? 0 : 1));
  for (let round = 0; round < PIN_ROUNDS; round++)
    for (let p = 0; p < pins.heights.length; p++) {
      let [sum, weight] = [0, 0];
      for (let q = 4 * p; q < 4 * p + 4; q++) {
        sum += pins.weights[q] * (values[pins.nodes[q]] + u[pins.nodes[q]]);
        weight += pins.weights[q] ** 2;
      }
      const miss = (pins.heights[p] - sum) / weight;
      for (let q = 4 * p; q < 4 * p + 4; q++)
        if (Number.isNaN(flats[pins.nodes[q]])) u[pins.nodes[q]] += pins.weights[q] * miss;
    }
  for (let q = 0; q < pins.nodes.length; q++) if (pins.weights[q] > 0) held[pins.nodes[q]] = 1;
  const spring = (cellMm / overMm) ** 2;
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    if (sweep % SWEEPS_EACH === SWEEPS_EACH - 1) yield;
    for (let j = 0, n = 0; j < rows; j++)
      for (let i = 0; i < columns; i++, n++) {
        if (held[n]) continue;
        // Across a break nothing is carried over.
        const left = i > 0 && !(pins.cut[n - 1] & 1);
        const right = i < columns - 1 && !(pins.cut[n] & 1);
        const near = j > 0 && !(pins.cut[n - columns] & 2);
        const far = j < rows - 1 && !(pins.cut[n] & 2);
        const sum =
          (left ? u[n - 1] : 0) + (right ? u[n + 1] : 0) + (near ? u[n - columns] : 0) + (far ? u[n + columns] : 0);
        const links = Number(left) + Number(right) + Number(near) + Number(far);
        u[n] += OVER * (sum / (links + spring) - u[n]);
      }
  }
  return u;
}

/** Pins that share nodes are brought together in so many rounds. */
const PIN_ROUNDS = 8;
