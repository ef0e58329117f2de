import type { Grid } from '../geometry/index.ts';
import type { Bounds } from './bounds.ts';
import { foldedPins, type Pins, pinsOf } from './lattice.ts';
import type { Level } from './multigrid.ts';
import type { ShapeLine } from './shapeLines.ts';
import { stiffnessOf } from './stiffness.ts';

/** Tension against bending, 1/mm2: beyond about 1/sqrt of it (50 mm) the ground is drawn straight rather than bent. */
const TENSION_PER_MM2 = 0.0004;

/** Lattices are halved until one side has fewer nodes than this. */
const SMALLEST = 10;

/** A lattice of the stack, with the bounds of its nodes. */
export interface Storey {
  lattice: Grid;
  bounds: Bounds;
  level: Level;
  /** Which nodes were held when it had come to rest; null before. */
  pressed: Uint8Array | null;
  /** The mean height of its pins. */
  meanMm: number;
}

/** The stack of lattices, finest first, within bounds given on the finest. */
export function* storeysOf(
  grid: Grid,
  lines: readonly ShapeLine[],
  finePins: Pins,
  fineBounds: Bounds,
): Generator<undefined, Storey[]> {
  const storeys: Storey[] = [];
  for (let lattice = grid; ; lattice = halved(lattice)) {
    const finest = lattice === grid;
    const bounds = finest ? fineBounds : thinned(fineBounds, grid, lattice, lattice.cellMm / grid.cellMm);
    // On the finest lattice a flat that was drawn keeps its whole outline; one that only follows from the lines (the baseboard round the
    // foot of a hill) gives way, or every hill would lose a little all round.
    const pins = foldedPins(
      finest ? finePins : pinsOf(lattice, lines),
      bounds.flat,
      lattice.columns,
      (line) => !finest || !lines[line].level,
    );
    storeys.push(storeyOf(lattice, bounds, pins));
    yield;
    if (Math.min(lattice.columns, lattice.rows) < 2 * SMALLEST) return storeys;
  }
}

/** The lattice of twice the cell, reaching at least as far. */
function halved({ columns, rows, cellMm, originMm }: Grid): Grid {
  const [wide, deep] = [Math.ceil((columns - 1) / 2) + 1, Math.ceil((rows - 1) / 2) + 1];
  return { columns: wide, rows: deep, cellMm: 2 * cellMm, originMm, values: new Float64Array(wide * deep) };
}

function storeyOf(lattice: Grid, bounds: Bounds, pins: Pins): Storey {
  const { columns, rows, cellMm } = lattice;
  const empty = () => new Float64Array(columns * rows);
  const creased = { columns, rows, flat: bounds.flat, folded: pins.folded, cut: pins.cut };
  return {
    lattice,
    bounds,
    pressed: null,
    meanMm: pins.heights.reduce((sum, height) => sum + height, 0) / Math.max(1, pins.heights.length),
    level: {
      stiffness: stiffnessOf(creased, TENSION_PER_MM2 * cellMm ** 2, pins),
      held: new Uint8Array(columns * rows),
      stretches: new Int32Array(0),
      wanted: empty(),
      change: empty(),
      rest: empty(),
    },
  };
}

/** The bounds at every `stride`-th node. */
function thinned(bounds: Bounds, fine: Grid, lattice: Grid, stride: number): Bounds {
  const count = lattice.columns * lattice.rows;
  const lower = new Float64Array(count);
  const upper = new Float64Array(count);
  const flat = new Uint8Array(count);
  for (let j = 0, n = 0; j < lattice.rows; j++)
    for (let i = 0; i < lattice.columns; i++, n++) {
      const from = Math.min(j * stride, fine.rows - 1) * fine.columns + Math.min(i * stride, fine.columns - 1);
      lower[n] = bounds.lower[from];
      upper[n] = bounds.upper[from];
      flat[n] = bounds.flat[from];
    }
  return { lower, upper, flat };
}

/** Heights of a coarse lattice carried to one of half the cell: curved between its nodes by the lesser of the bends on either side, straight where they disagree. */
export function refined(z: Float64Array, coarse: Grid, fine: Grid): Float64Array {
  const across = new Float64Array(fine.columns * coarse.rows);
  for (let j = 0; j < coarse.rows; j++)
    halfway(z, j * coarse.columns, 1, coarse.columns, across, j * fine.columns, 1, fine.columns);
  const out = new Float64Array(fine.columns * fine.rows);
  for (let i = 0; i < fine.columns; i++) halfway(across, i, fine.columns, coarse.rows, out, i, fine.columns, fine.rows);
  return out;
}

/** One row or column: its values at every second place, and between them. */
function halfway(
  from: Float64Array,
  first: number,
  stride: number,
  count: number,
  to: Float64Array,
  start: number,
  step: number,
  length: number,
): void {
  for (let k = 0; k < length; k++) {
    const at = first + (k >> 1) * stride;
    let value = from[at];
    if (k & 1) {
      value = (value + from[at + stride]) / 2;
      if (k > 1 && k >> 1 < count - 2) {
        const before = from[at - stride] - 2 * from[at] + from[at + stride];
        const after = from[at] - 2 * from[at + stride] + from[at + 2 * stride];
        // A cliff beside it bends one side only.
        if (before * after > 0) value -= (Math.abs(before) < Math.abs(after) ? before : after) / 8;
      }
    }
    to[start + k * step] = value;
  }
}

export function clamp(z: Float64Array, { lower, upper }: Bounds): void {
  for (let n = 0; n < z.length; n++) z[n] = z[n] < lower[n] ? lower[n] : z[n] > upper[n] ? upper[n] : z[n];
}
