import { type EdgeRows, edgeRows } from './edgeRows.ts';
import type { Pins } from './lattice.ts';

/** How hard a pin holds, against bending at weight 1: a crease of 1 mm a cell gives way by about a hundredth of a millimetre. */
const PIN_WEIGHT = 200;

/**
 * The energy that the ground makes least: bending (sum of squared second differences) plus tension (squared first differences),
 * plus the pins. Differences exist only inside the lattice, which is the natural condition at a free edge; and no bending acts across the
 * rim of a flat, where the ground may fold: the crest and the toe of a bench are creases.
 */
export interface Energy {
  columns: number;
  rows: number;
  tension: number;
  pins: Pins;
  edges: EdgeRows;
}

export const energyOf = (columns: number, rows: number, flat: Uint8Array, tension: number, pins: Pins): Energy => ({
  columns,
  rows,
  tension,
  pins,
  edges: edgeRows({ columns, rows, flat }, tension),
});

/** out = gradient of the quadratic part at z (half the energy's derivative without the pins' heights). */
export function applyEnergy(energy: Energy, z: Float64Array, out: Float64Array): void {
  const { columns, rows, tension, pins, edges } = energy;
  const centre = 20 + 4 * tension;
  const side = 8 + tension;
  const two = 2 * columns;
  for (let j = 2; j < rows - 2; j++) {
    const row = j * columns;
    // Away from edges and flats every node has the same thirteen-point stencil.
    for (let n = row + 2; n < row + columns - 2; n++)
      out[n] =
        centre * z[n] -
        side * (z[n - 1] + z[n + 1] + z[n - columns] + z[n + columns]) +
        2 * (z[n - columns - 1] + z[n - columns + 1] + z[n + columns - 1] + z[n + columns + 1]) +
        (z[n - 2] + z[n + 2] + z[n - two] + z[n + two]);
  }
  for (let r = 0; r < edges.nodes.length; r++) {
    let sum = 0;
    for (let s = edges.starts[r]; s < edges.starts[r + 1]; s++) sum += edges.weights[s] * z[edges.columns[s]];
    out[edges.nodes[r]] = sum;
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

/** The right-hand side: what the pins' heights pull with. */
export function pinForces({ columns, rows, pins }: Energy): Float64Array {
  const force = new Float64Array(columns * rows);
  for (let k = 0; k < pins.heights.length; k++)
    for (let s = 4 * k; s < 4 * k + 4; s++) force[pins.nodes[s]] += PIN_WEIGHT * pins.weights[s] * pins.heights[k];
  return force;
}

/** The diagonal of the energy, by which the search is scaled. */
export function energyDiagonal({ columns, rows, tension, pins, edges }: Energy): Float64Array {
  const diagonal = new Float64Array(columns * rows).fill(20 + 4 * tension);
  for (let r = 0; r < edges.nodes.length; r++)
    for (let s = edges.starts[r]; s < edges.starts[r + 1]; s++)
      if (edges.columns[s] === edges.nodes[r]) diagonal[edges.nodes[r]] = edges.weights[s];
  for (let k = 0; k < pins.heights.length; k++)
    for (let s = 4 * k; s < 4 * k + 4; s++) diagonal[pins.nodes[s]] += PIN_WEIGHT * pins.weights[s] ** 2;
  return diagonal;
}
