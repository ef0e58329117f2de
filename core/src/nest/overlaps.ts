/** Overlap of pieces at candidate positions, weighted by pair, read from no-fit maps: what the separation makes least. */
import { deepened, type NoFit } from './noFit.ts';
import type { Maps, Position } from './positions.ts';
import type { Variant } from './problem.ts';

/** A layout in which pieces may overlap, and how much each pair of them counts. */
export interface Overlaps {
  /** By piece; null for one that is pinned, or that no bed can hold. */
  positions: (Position | null)[];
  /** By bed, the last column that any piece may reach on it, in cells; beds at -1 are closed. */
  reach: number[];
  /** By two pieces (or a piece and an obstacle), how much their overlap counts by now. */
  weights: Float64Array;
  width: number;
}

/** Pieces as they lie, every two of them counting the same; the obstacles of a bed are numbered behind the pieces. */
export function overlapsOf({ prepared }: Maps, spots: (Position | null)[], reach: number[]): Overlaps {
  const width = spots.length + Math.max(0, ...prepared.grounds.map(({ obstacles }) => obstacles.length));
  return { positions: spots, reach, weights: new Float64Array(width * width).fill(1), width };
}

/** Where the weight of two stands; an obstacle is -1, -2 and so on. */
export const pairOf = ({ width, positions: spots }: Overlaps, piece: number, by: number): number => {
  const other = by >= 0 ? by : spots.length - 1 - by;
  return piece < other ? piece * width + other : other * width + piece;
};

/** Everything on a bed that a variant may overlap: its depth for a corner at (i, j) stands at column sign * i + c, row sign * j + r of the map. */
interface Sights {
  count: number;
  map: NoFit[];
  sign: number[];
  c: number[];
  r: number[];
  weight: number[];
}

/** What was looked at last; the same room every time, for it is looked thousands of times a second. */
const seen: Sights = { count: 0, map: [], sign: [], c: [], r: [], weight: [] };

function see(map: NoFit, sign: 1 | -1, c: number, r: number, weight: number): void {
  const k = seen.count++;
  seen.map[k] = deepened(map);
  seen.sign[k] = sign;
  seen.c[k] = c - map.x0;
  seen.r[k] = r - map.y0;
  seen.weight[k] = weight;
}

/** Looks at all that a variant may overlap on a bed: obstacles, and other pieces as they lie. */
export function look(maps: Maps, tangle: Overlaps, variant: Variant, bed: number): void {
  seen.count = 0;
  maps.prepared.grounds[bed].obstacles.forEach(({ i0, j0 }, k) => {
    const weight = tangle.weights[pairOf(tangle, variant.piece, -1 - k)];
    see(maps.obstacle(bed, k, variant), 1, -i0, -j0, weight);
  });
  for (const spot of tangle.positions) {
    if (!spot || spot.bed !== bed || spot.variant.piece === variant.piece) continue;
    const sign = spot.variant.id > variant.id ? -1 : 1;
    const weight = tangle.weights[pairOf(tangle, variant.piece, spot.variant.piece)];
    see(maps.between(spot.variant, variant), sign, -sign * spot.i, -sign * spot.j, weight);
  }
}

/** Weighted overlap, in thirds of a cell, of what was looked at with the variant's corner at (i, j); no more is added up once it reaches `most`. */
export function overlapAt(i: number, j: number, most: number): number {
  const { count, map, sign, c, r, weight } = seen;
  let cost = 0;
  for (let k = 0; k < count && cost < most; k++) {
    const { columns, rows, depth } = map[k];
    const column = sign[k] * i + c[k];
    const row = sign[k] * j + r[k];
    if (column >= 0 && row >= 0 && column < columns && row < rows) cost += weight[k] * depth[column * rows + row];
  }
  return cost;
}

const depthAt = ({ x0, y0, columns, rows, depth }: NoFit, i: number, j: number): number => {
  const column = i - x0;
  const row = j - y0;
  return column < 0 || row < 0 || column >= columns || row >= rows ? 0 : depth[column * rows + row];
};

/** Overlap of a piece as it lies with everything else, weighted; calls `visit` with each it overlaps. */
export function overlapOf(
  maps: Maps,
  tangle: Overlaps,
  piece: number,
  visit?: (by: number, depth: number) => void,
): number {
  const spot = tangle.positions[piece];
  if (!spot) return 0;
  const { variant, bed, i, j } = spot;
  let cost = 0;
  const add = (by: number, depth: number) => {
    if (!depth) return;
    cost += depth * tangle.weights[pairOf(tangle, piece, by)];
    visit?.(by, depth);
  };
  maps.prepared.grounds[bed].obstacles.forEach(({ i0, j0 }, k) => {
    add(-1 - k, depthAt(deepened(maps.obstacle(bed, k, variant)), i - i0, j - j0));
  });
  for (const other of tangle.positions) {
    if (!other || other === spot || other.bed !== bed) continue;
    const di = i - other.i;
    const dj = j - other.j;
    const { columns, rows } = other.variant.raster;
    // Most pieces lie nowhere near: their map need not be asked for.
    if (di >= columns || dj >= rows || -di >= variant.raster.columns || -dj >= variant.raster.rows) continue;
    const map = deepened(maps.between(other.variant, variant));
    const sign = other.variant.id > variant.id ? -1 : 1;
    add(other.variant.piece, depthAt(map, sign * di, sign * dj));
  }
  return cost;
}
