/** Brings a ground, mm, to the profiles that the sides of a tile wear, blending into the land over the banks beyond. */
import type { Grid } from '../geometry/index.ts';
import {
  type Base,
  baseSize,
  type EdgeProfile,
  sideProfile,
  type Tile,
  type TileSide,
  tileSides,
} from '../project/index.ts';
import { gradientOf, heldBetween } from './forms/field.ts';

/** A side that wears a profile: how far a node lies from it, and the height wanted there, by column or row. */
interface Kept {
  from: (x: number, y: number) => number;
  /** Whether its heights go by column (along the front or back) or by row. */
  byColumn: boolean;
  heights: Float64Array;
}

const away: Readonly<Record<TileSide, (w: number, d: number) => Kept['from']>> = {
  front: () => (_, y) => y,
  back: (_, d) => (_x, y) => d - y,
  left: () => (x) => x,
  right: (w) => (x) => w - x,
};

/** The sides of a rectangular tile that wear a profile. */
function keptSides(grid: Grid, base: Base, tile: Tile, profiles: EdgeProfile[]): Kept[] {
  if (base.shape.kind !== 'rectangle') return [];
  const { widthMm, depthMm } = baseSize(base);
  return tileSides.flatMap((side) => {
    const height = sideProfile({ profiles }, { ...tile, base }, side);
    if (!height) return [];
    const byColumn = side === 'front' || side === 'back';
    const along = Float64Array.from({ length: byColumn ? grid.columns : grid.rows }, (_, k) =>
      height(grid.originMm[byColumn ? 0 : 1] + k * grid.cellMm),
    );
    return [{ from: away[side](widthMm, depthMm), byColumn, heights: along }];
  });
}

/** So many nodes are brought to the sides between two yields. */
const NODES_EACH = 40_000;

/**
 * Brings the ground to the profiles that a tile's sides wear: exactly to them within `keepMm` of the side, and beyond that in banks of the tile's slope.
 * Where two such sides meet in a corner each counts the more the nearer it lies, so that either is met exactly on its own edge. Yields between rows.
 */
export function* keepEdges(grid: Grid, base: Base, tile: Tile, profiles: EdgeProfile[]): Generator<undefined, void> {
  const sides = keptSides(grid, base, tile, profiles);
  if (!sides.length) return;
  const { columns, rows, cellMm, originMm, values } = grid;
  const bank = gradientOf(tile.bankDegrees);
  const keep = tile.keepMm;
  const rowsEach = Math.max(1, Math.floor(NODES_EACH / columns));
  for (let j = 0, n = 0; j < rows; j++) {
    if (j % rowsEach === rowsEach - 1) yield;
    for (let i = 0; i < columns; i++, n++) {
      const [x, y] = [originMm[0] + i * cellMm, originMm[1] + j * cellMm];
      let [weights, sum] = [0, 0];
      let [lower, upper] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
      for (const { from, byColumn, heights } of sides) {
        const far = Math.max(0, from(x, y));
        const wanted = heights[byColumn ? i : j];
        if (far <= keep) {
          const weight = (keep - far + 1e-6) / (far + 1e-9);
          weights += weight;
          sum += weight * wanted;
        } else {
          lower = Math.max(lower, wanted - (far - keep) * bank);
          upper = Math.min(upper, wanted + (far - keep) * bank);
        }
      }
      values[n] = weights > 0 ? sum / weights : Math.max(0, heldBetween(values[n], lower, upper));
    }
  }
}
