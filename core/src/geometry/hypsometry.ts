import { toEnd } from '../kernel/index.ts';
import type { Grid } from './grid.ts';

/** Spacing of the curve, mm: half of a tenth, so that glue lines and inch sheets (19.05 mm) fall on it. */
export const LEVEL_STEP_MM = 0.05;

/** Ground this little under a level still counts as reaching it (a flat that is to land on a joint does), mm. */
const FLUSH_MM = 0.01;

/** The highest step of the curve at which a flat at a height still counts as reached. */
export const levelStep = (heightMm: number): number => Math.floor((heightMm + FLUSH_MM) / LEVEL_STEP_MM + 1e-6);

/** The height whose outline belongs to the area at a level (see `hypsometryOf`), mm. */
export const outlineHeight = (levelMm: number): number => Math.max(levelMm - FLUSH_MM, FLUSH_MM);

/** The hypsometric curve: for level k x LEVEL_STEP_MM, the plan area at or above it (mm2) and the volume above it (mm3). */
export interface Hypsometry {
  areaMm2: Float64Array;
  volumeMm3: Float64Array;
  highestMm: number;
}

/**
 * Area and volume above every level, exact for the surface of two flat triangles a cell (the diagonal alternates from cell to cell).
 * Closed forms per triangle: with h1 <= h2 <= h3, area above h is A(h3-h)^2/((h3-h1)(h3-h2)) for h >= h2 and A - A(h-h1)^2/((h2-h1)(h3-h1))
 * below; the volume is its integral. What lies below 0 counts for nothing, and ground within FLUSH_MM of the board is bare board.
 */
export const hypsometryOf = (grid: Grid, coverage: Float32Array | null): Hypsometry =>
  toEnd(hypsometryIn(grid, coverage));

/** So many rows are added between two yields. */
const ROWS_EACH = 64;

/** The same, yielding between pieces of work. */
export function* hypsometryIn(grid: Grid, coverage: Float32Array | null): Generator<undefined, Hypsometry> {
  const { columns, rows, cellMm, values: z } = grid;
  let highest = 0;
  for (let n = 0; n < z.length; n++) if (z[n] > highest) highest = z[n];
  const levels = Math.ceil(highest / LEVEL_STEP_MM) + 2;
  const part: Parts = {
    area: new Float64Array(levels),
    volume: new Float64Array(levels),
    wholeArea: new Float64Array(levels + 1),
    wholeMoment: new Float64Array(levels + 1),
    wholeAreaForVolume: new Float64Array(levels + 1),
  };
  const half = (cellMm * cellMm) / 2;
  for (let j = 0; j < rows - 1; j++) {
    if (j % ROWS_EACH === ROWS_EACH - 1) yield;
    for (let i = 0; i < columns - 1; i++) {
      const share = coverage ? coverage[j * (columns - 1) + i] : 1;
      if (share === 0) continue;
      const n = j * columns + i;
      const a = z[n];
      const b = z[n + 1];
      const c = z[n + columns];
      const d = z[n + columns + 1];
      if ((i + j) & 1) {
        addTriangle(part, a, b, c, half * share);
        addTriangle(part, b, d, c, half * share);
      } else {
        addTriangle(part, a, b, d, half * share);
        addTriangle(part, a, d, c, half * share);
      }
    }
  }
  // Triangles wholly above a level were entered once, at the highest such level; carry them down.
  let area = 0;
  let areaForVolume = 0;
  let moment = 0;
  for (let k = levels - 1; k >= 0; k--) {
    area += part.wholeArea[k];
    areaForVolume += part.wholeAreaForVolume[k];
    moment += part.wholeMoment[k];
    part.area[k] += area;
    part.volume[k] += moment - areaForVolume * k * LEVEL_STEP_MM;
  }
  return { areaMm2: part.area, volumeMm3: part.volume, highestMm: highest };
}

/** Volume between height 0 and a surface that is nowhere below it, mm3: the same flat triangles, added up. */
export function volumeUnder(grid: Grid, coverage: Float32Array | null): number {
  const { columns, rows, cellMm, values: z } = grid;
  let sum = 0;
  for (let j = 0; j < rows - 1; j++)
    for (let i = 0; i < columns - 1; i++) {
      const share = coverage ? coverage[j * (columns - 1) + i] : 1;
      const n = j * columns + i;
      // The two corners on the diagonal belong to both triangles.
      const along = (i + j) & 1 ? z[n + 1] + z[n + columns] : z[n] + z[n + columns + 1];
      const beside = (i + j) & 1 ? z[n] + z[n + columns + 1] : z[n + 1] + z[n + columns];
      sum += share * (2 * along + beside);
    }
  return (sum * cellMm * cellMm) / 6;
}

interface Parts {
  area: Float64Array;
  volume: Float64Array;
  wholeArea: Float64Array;
  wholeMoment: Float64Array;
  wholeAreaForVolume: Float64Array;
}

function addTriangle(part: Parts, p: number, q: number, r: number, size: number): void {
  let low = p;
  let mid = q;
  let top = r;
  if (low > mid) [low, mid] = [mid, low];
  if (mid > top) [mid, top] = [top, mid];
  if (low > mid) [low, mid] = [mid, low];
  const mean = (low + mid + top) / 3;
  const { area, volume } = part;
  const crown = top > mid ? size / ((top - low) * (top - mid)) : 0;
  const foot = mid > low ? size / ((top - low) * (mid - low)) : 0;
  // Areas count ground as reaching a level when within FLUSH_MM of it; volumes do not need that leniency.
  const wholeTo = low < FLUSH_MM ? -1 : Math.floor((low + FLUSH_MM) / LEVEL_STEP_MM);
  if (wholeTo >= 0) part.wholeArea[wholeTo] += size;
  let k = wholeTo + 1;
  let h = k === 0 ? FLUSH_MM : k * LEVEL_STEP_MM - FLUSH_MM;
  for (; h < mid; h = ++k * LEVEL_STEP_MM - FLUSH_MM) area[k] += size - foot * (h - low) * (h - low);
  if (crown > 0) for (; h <= top; h = ++k * LEVEL_STEP_MM - FLUSH_MM) area[k] += crown * (top - h) * (top - h);
  else if (h === top) area[k] += size;
  const volumeTo = Math.floor(low / LEVEL_STEP_MM);
  if (volumeTo >= 0) {
    part.wholeAreaForVolume[volumeTo] += size;
    part.wholeMoment[volumeTo] += size * mean;
  }
  k = Math.max(0, volumeTo + 1);
  const footThird = foot / 3;
  const crownThird = crown / 3;
  for (h = k * LEVEL_STEP_MM; h < mid; h = ++k * LEVEL_STEP_MM) {
    const up = h - low;
    volume[k] += size * (mean - h) + footThird * up * up * up;
  }
  for (; h < top; h = ++k * LEVEL_STEP_MM) {
    const down = top - h;
    volume[k] += crownThird * down * down * down;
  }
}

const at = (curve: Float64Array, heightMm: number) => {
  const u = Math.max(0, heightMm / LEVEL_STEP_MM);
  const k = Math.floor(u + 1e-6);
  if (k >= curve.length) return 0;
  const t = Math.max(0, u - k);
  return t < 1e-6 ? curve[k] : curve[k] + t * ((curve[k + 1] ?? 0) - curve[k]);
};

/** Plan area at or above a height, mm2. */
export const areaAbove = (curve: Hypsometry, heightMm: number): number => at(curve.areaMm2, heightMm);

/** Volume of what stands above a height, mm3. */
export const volumeAbove = (curve: Hypsometry, heightMm: number): number => at(curve.volumeMm3, heightMm);
