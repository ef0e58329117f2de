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

/** A side that wears a profile: how far a place lies from it and how far along, and the height wanted there. */
interface Kept {
  from: (x: number, y: number) => number;
  along: (x: number, y: number) => number;
  height: (alongMm: number) => number;
}

const measures: Readonly<Record<TileSide, (w: number, d: number) => Pick<Kept, 'from' | 'along'>>> = {
  front: () => ({ from: (_, y) => y, along: (x) => x }),
  back: (_, d) => ({ from: (_x, y) => d - y, along: (x) => x }),
  left: () => ({ from: (x) => x, along: (_, y) => y }),
  right: (w) => ({ from: (x) => w - x, along: (_, y) => y }),
};

/** The sides of a rectangular tile that wear a profile. */
function keptSides(base: Base, tile: Tile, profiles: EdgeProfile[]): Kept[] {
  if (base.shape.kind !== 'rectangle') return [];
  const { widthMm, depthMm } = baseSize(base);
  return tileSides.flatMap((side) => {
    const height = sideProfile({ profiles }, { ...tile, base }, side);
    return height ? [{ ...measures[side](widthMm, depthMm), height }] : [];
  });
}

/**
 * Brings the ground to the profiles that a tile's sides wear: exactly to them within `keepMm` of the side, and beyond that in banks of the tile's slope.
 * Where two such sides meet in a corner each counts the more the nearer it lies, so that either is met exactly on its own edge.
 */
export function keepEdges(grid: Grid, base: Base, tile: Tile, profiles: EdgeProfile[]): void {
  const sides = keptSides(base, tile, profiles);
  if (!sides.length) return;
  const { columns, rows, cellMm, originMm, values } = grid;
  const bank = gradientOf(tile.bankDegrees);
  const keep = tile.keepMm;
  for (let j = 0, n = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, n++) {
      const [x, y] = [originMm[0] + i * cellMm, originMm[1] + j * cellMm];
      let [weights, sum] = [0, 0];
      let [lower, upper] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
      for (const side of sides) {
        const away = Math.max(0, side.from(x, y));
        const wanted = side.height(side.along(x, y));
        if (away <= keep) {
          const weight = (keep - away + 1e-6) / (away + 1e-9);
          weights += weight;
          sum += weight * wanted;
        } else {
          lower = Math.max(lower, wanted - (away - keep) * bank);
          upper = Math.min(upper, wanted + (away - keep) * bank);
        }
      }
      values[n] = weights > 0 ? sum / weights : Math.max(0, heldBetween(values[n], lower, upper));
    }
}
