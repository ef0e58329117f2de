import type { Raster } from './raster.ts';

/**
 * Where one raster may not lie beside another: the places of the moving one's corner, counted from the fixed one's, at which they have a cell in common. The map
 * begins at (x0, y0) and is stored column by column. Room inside a hole, or in a bay, is free like any other.
 */
export interface NoFit {
  x0: number;
  y0: number;
  columns: number;
  rows: number;
  /** 0 where it is free; once `deep`, how far the moving one has to go to be free, in thirds of a cell (steps of 3, aslant of 4). */
  depth: Uint8Array;
  deep: boolean;
}

/** The same as bits, each column padded to whole words. */
export interface BitMap {
  x0: number;
  y0: number;
  columns: number;
  words: number;
  bits: Uint32Array;
}

let counts = new Int16Array(0);
let cells = new Uint8Array(0);

/** Room for so many counts, all 0; the same room every time, for it is wanted thousands of times. */
function zeroed(size: number): Int16Array {
  if (counts.length < size) counts = new Int16Array(size * 2);
  return counts.fill(0, 0, size);
}

/** The same for cells. */
function rimmed(size: number): Uint8Array {
  if (cells.length < size) cells = new Uint8Array(size * 2);
  return cells.fill(0, 0, size);
}

/** Every place at which `moving` meets `fixed`: the sum of the sets, run by run. */
export function noFitOf(fixed: Raster, moving: Raster): NoFit {
  const columns = fixed.columns + moving.columns - 1;
  const rows = fixed.rows + moving.rows - 1;
  const x0 = 1 - moving.columns;
  const y0 = 1 - moving.rows;
  // In each column a run adds one where it begins and takes it away where it ends; the running sum counts the meetings.
  const stride = rows + 1;
  const change = zeroed(columns * stride);
  const { starts, runs } = fixed;
  const { starts: movingStarts, runs: movingRuns } = moving;
  for (let i = 0; i < fixed.columns; i++)
    for (let j = 0; j < moving.columns; j++) {
      const base = (i - j - x0) * stride - y0;
      const lastB = movingStarts[j + 1];
      for (let a = starts[i], lastA = starts[i + 1]; a < lastA; a += 2) {
        const from = base + runs[a] + 1;
        const to = base + runs[a + 1];
        for (let b = movingStarts[j]; b < lastB; b += 2) {
          change[from - movingRuns[b + 1]]++;
          change[to - movingRuns[b]]--;
        }
      }
    }
  const depth = new Uint8Array(columns * rows);
  for (let i = 0, k = 0, c = 0; i < columns; i++, c++) {
    let meetings = 0;
    for (let j = 0; j < rows; j++, k++, c++) {
      meetings += change[c];
      if (meetings > 0) depth[k] = 255;
    }
  }
  return { x0, y0, columns, rows, depth, deep: false };
}

/** Works out how deep a map is, when that is first wanted. */
export function deepened(map: NoFit): NoFit {
  if (!map.deep) deepen(map.depth, map.columns, map.rows);
  map.deep = true;
  return map;
}

/** A map as bits; turned round it is the map with fixed and moving exchanged. */
export function bitsOf({ x0, y0, columns, rows, depth }: NoFit, turned: boolean): BitMap {
  const words = (rows + 31) >>> 5;
  const bits = new Uint32Array(columns * words);
  for (let i = 0; i < columns; i++)
    for (let j = 0; j < rows; j++) {
      const here = turned ? depth[(columns - 1 - i) * rows + rows - 1 - j] : depth[i * rows + j];
      if (here) bits[i * words + (j >>> 5)] |= 1 << (j & 31);
    }
  return turned ? { x0: 1 - columns - x0, y0: 1 - rows - y0, columns, words, bits } : { x0, y0, columns, words, bits };
}

/** Distance to the nearest free cell by two passes (steps of 3, and 4 aslant); beyond the map all is free. */
function deepen(depth: Uint8Array, columns: number, rows: number): void {
  // A free rim all round saves asking at every cell whether its neighbours are on the map.
  const stride = rows + 2;
  const wide = rimmed((columns + 2) * stride);
  for (let i = 0; i < columns; i++) wide.set(depth.subarray(i * rows, (i + 1) * rows), (i + 1) * stride + 1);
  const first = stride + 1;
  const last = (columns + 1) * stride - 2;
  // Each pass goes by columns, and carries what it found for the cell before.
  for (let k = first, before = 0; k <= last; k++) {
    const here = wide[k];
    before = here && least(here, before, wide[k - stride], wide[k - stride - 1], wide[k - stride + 1]);
    wide[k] = before;
  }
  for (let k = last, before = 0; k >= first; k--) {
    const here = wide[k];
    before = here && least(here, before, wide[k + stride], wide[k + stride - 1], wide[k + stride + 1]);
    wide[k] = before;
  }
  for (let i = 0; i < columns; i++)
    depth.set(wide.subarray((i + 1) * stride + 1, (i + 1) * stride + 1 + rows), i * rows);
}

/** The depth of a cell by those it has beside it and aslant. */
function least(here: number, before: number, beside: number, low: number, high: number): number {
  const straight = (before < beside ? before : beside) + 3;
  const aslant = (low < high ? low : high) + 4;
  const next = straight < aslant ? straight : aslant;
  return next < here ? next : here;
}
