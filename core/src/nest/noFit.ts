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

/** Every place at which `moving` meets `fixed`: the sum of the sets, run by run. */
export function noFitOf(fixed: Raster, moving: Raster): NoFit {
  const columns = fixed.columns + moving.columns - 1;
  const rows = fixed.rows + moving.rows - 1;
  const x0 = 1 - moving.columns;
  const y0 = 1 - moving.rows;
  // In each column a run adds one where it begins and takes it away where it ends; the running sum counts the meetings.
  const stride = rows + 1;
  const change = new Int16Array(columns * stride);
  for (let i = 0; i < fixed.columns; i++)
    for (let j = 0; j < moving.columns; j++) {
      const base = (i - j - x0) * stride - y0;
      for (let a = fixed.starts[i]; a < fixed.starts[i + 1]; a += 2)
        for (let b = moving.starts[j]; b < moving.starts[j + 1]; b += 2) {
          change[base + fixed.runs[a] - moving.runs[b + 1] + 1]++;
          change[base + fixed.runs[a + 1] - moving.runs[b]]--;
        }
    }
  const depth = new Uint8Array(columns * rows);
  for (let i = 0; i < columns; i++) {
    let meetings = 0;
    for (let j = 0; j < rows; j++) {
      meetings += change[i * stride + j];
      if (meetings > 0) depth[i * rows + j] = 255;
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
  const at = (i: number, j: number) => (i < 0 || j < 0 || i >= columns || j >= rows ? 0 : depth[i * rows + j]);
  for (let i = 0; i < columns; i++)
    for (let j = 0; j < rows; j++) {
      const here = depth[i * rows + j];
      if (!here) continue;
      depth[i * rows + j] = Math.min(
        here,
        at(i - 1, j) + 3,
        at(i, j - 1) + 3,
        at(i - 1, j - 1) + 4,
        at(i - 1, j + 1) + 4,
      );
    }
  for (let i = columns - 1; i >= 0; i--)
    for (let j = rows - 1; j >= 0; j--) {
      const here = depth[i * rows + j];
      if (!here) continue;
      depth[i * rows + j] = Math.min(
        here,
        at(i + 1, j) + 3,
        at(i, j + 1) + 3,
        at(i + 1, j + 1) + 4,
        at(i + 1, j - 1) + 4,
      );
    }
}
