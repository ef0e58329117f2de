import type { Pins } from './lattice.ts';

/** How hard a pin holds, against bending at weight 1: a crease of 1 mm a cell gives way by about a hundredth of a millimetre. */
const PIN_WEIGHT = 200;

/**
 * The energy that the ground makes least: bending (sum of squared second differences) plus tension (squared first differences),
 * plus the pins. Differences exist only inside the lattice, which is the natural condition at a free edge.
 */
export interface Energy {
  columns: number;
  rows: number;
  tension: number;
  pins: Pins;
  border: BorderRows;
}

export const energyOf = (columns: number, rows: number, tension: number, pins: Pins): Energy => ({
  columns,
  rows,
  tension,
  pins,
  border: borderRows(columns, rows, tension),
});

/** out = gradient of the quadratic part at z (half the energy's derivative without the pins' heights). */
export function applyEnergy(energy: Energy, z: Float64Array, out: Float64Array): void {
  const { columns, rows, tension, pins, border } = energy;
  const centre = 20 + 4 * tension;
  const side = 8 + tension;
  const two = 2 * columns;
  for (let j = 2; j < rows - 2; j++) {
    const row = j * columns;
    // Away from the edge every node has the same thirteen-point stencil.
    for (let n = row + 2; n < row + columns - 2; n++)
      out[n] =
        centre * z[n] -
        side * (z[n - 1] + z[n + 1] + z[n - columns] + z[n + columns]) +
        2 * (z[n - columns - 1] + z[n - columns + 1] + z[n + columns - 1] + z[n + columns + 1]) +
        (z[n - 2] + z[n + 2] + z[n - two] + z[n + two]);
  }
  for (let r = 0; r < border.nodes.length; r++) {
    let sum = 0;
    for (let s = border.starts[r]; s < border.starts[r + 1]; s++) sum += border.weights[s] * z[border.columns[s]];
    out[border.nodes[r]] = sum;
  }
  const { nodes, weights, heights } = pins;
  for (let k = 0; k < heights.length; k++) {
    const p = 4 * k;
    const held =
      PIN_WEIGHT *
      (weights[p] * z[nodes[p]] +
        weights[p + 1] * z[nodes[p + 1]] +
        weights[p + 2] * z[nodes[p + 2]] +
        weights[p + 3] * z[nodes[p + 3]]);
    for (let s = p; s < p + 4; s++) out[nodes[s]] += held * weights[s];
  }
}

/** The stencils of the nodes near the edge, where only the differences that exist take part: rows of a sparse matrix. */
interface BorderRows {
  nodes: Int32Array;
  starts: Int32Array;
  columns: Int32Array;
  weights: Float64Array;
}

function borderRows(columns: number, rows: number, tension: number): BorderRows {
  const nodes: number[] = [];
  const starts: number[] = [0];
  const places: number[] = [];
  const weights: number[] = [];
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      if (j >= 2 && j < rows - 2 && i >= 2 && i < columns - 2) {
        i = columns - 3;
        continue;
      }
      const n = j * columns + i;
      const row = new Map<number, number>();
      addLine(row, n, 1, i, columns, tension);
      addLine(row, n, columns, j, rows, tension);
      for (const dj of [-1, 1])
        for (const di of [-1, 1]) {
          if (i + di < 0 || i + di >= columns || j + dj < 0 || j + dj >= rows) continue;
          add(row, n, 2);
          add(row, n + di, -2);
          add(row, n + dj * columns, -2);
          add(row, n + di + dj * columns, 2);
        }
      nodes.push(n);
      for (const [place, weight] of row) {
        places.push(place);
        weights.push(weight);
      }
      starts.push(places.length);
    }
  return {
    nodes: Int32Array.from(nodes),
    starts: Int32Array.from(starts),
    columns: Int32Array.from(places),
    weights: Float64Array.from(weights),
  };
}

const add = (row: Map<number, number>, place: number, weight: number) => row.set(place, (row.get(place) ?? 0) + weight);

/** Bending and tension along one line of `count` nodes, at its node k (number n, neighbours `stride` apart). */
function addLine(row: Map<number, number>, n: number, stride: number, k: number, count: number, tension: number): void {
  const bend = (m: number, weight: number) => {
    add(row, m - stride, weight);
    add(row, m, -2 * weight);
    add(row, m + stride, weight);
  };
  if (k >= 2) bend(n - stride, 1);
  if (k >= 1 && k <= count - 2) bend(n, -2);
  if (k <= count - 3) bend(n + stride, 1);
  for (const other of [k >= 1 ? n - stride : n, k <= count - 2 ? n + stride : n]) {
    add(row, n, tension);
    add(row, other, -tension);
  }
}

/** The right-hand side: what the pins' heights pull with. */
export function pinForces({ columns, rows, pins }: Energy): Float64Array {
  const force = new Float64Array(columns * rows);
  for (let k = 0; k < pins.heights.length; k++)
    for (let s = 4 * k; s < 4 * k + 4; s++) force[pins.nodes[s]] += PIN_WEIGHT * pins.weights[s] * pins.heights[k];
  return force;
}

/** The diagonal of the energy, by which the search is scaled. */
export function energyDiagonal({ columns, rows, tension, pins, border }: Energy): Float64Array {
  const diagonal = new Float64Array(columns * rows).fill(20 + 4 * tension);
  for (let r = 0; r < border.nodes.length; r++)
    for (let s = border.starts[r]; s < border.starts[r + 1]; s++)
      if (border.columns[s] === border.nodes[r]) diagonal[border.nodes[r]] = border.weights[s];
  for (let k = 0; k < pins.heights.length; k++)
    for (let s = 4 * k; s < 4 * k + 4; s++) diagonal[pins.nodes[s]] += PIN_WEIGHT * pins.weights[s] ** 2;
  return diagonal;
}
