import {
  coverageOf,
  type Grid,
  gridOver,
  type Hypsometry,
  hypsometryOf,
  type Ring,
  type TrueSurface,
  trueSurfaceOf,
  volumeAbove,
  withValues,
} from '../geometry/index.ts';
import { type Base, baseOutline, type Mark } from '../project/index.ts';
import { solveGround } from './solve.ts';

/** The finished ground over the base, with what later stages measure on it. */
export interface Ground {
  outline: Ring;
  /** Heights in mm above the top of the baseboard, over the box round the base. */
  grid: Grid;
  /** Share of each lattice cell that lies on the base; null when all of them do. */
  coverage: Float32Array | null;
  curve: Hypsometry;
  surface: TrueSurface;
  volumeMl: number;
  highestMm: number;
}

/** Above this many nodes the cell grows, so that a very large base stays workable. */
const MOST_NODES = 1_000_000;

/** The cell for a base of this size: 1 mm, coarser in halves for very large bases. */
export function chooseCellMm(widthMm: number, depthMm: number): number {
  const needed = Math.sqrt((widthMm * depthMm) / MOST_NODES);
  return needed <= 1 ? 1 : Math.ceil(needed * 2) / 2;
}

/** Measures a field of heights as the ground of a base. */
export function measureGround(outline: Ring, grid: Grid): Ground {
  const coverage = coverageOf(grid, outline);
  const curve = hypsometryOf(grid, coverage);
  return {
    outline,
    grid,
    coverage,
    curve,
    surface: trueSurfaceOf(grid, coverage),
    volumeMl: volumeAbove(curve, 0) / 1000,
    highestMm: curve.highestMm,
  };
}

/** The ground that a project's marks describe. Heights are never below the top of the baseboard; no marks give a bare base. */
export function* groundOf(base: Base, marks: readonly Mark[]): Generator<undefined, Ground> {
  const { widthMm, depthMm } = base.shape;
  const lattice = gridOver(widthMm, depthMm, chooseCellMm(widthMm, depthMm));
  const values = marks.length ? yield* solveGround(lattice, marks) : lattice.values;
  return measureGround(baseOutline(base), withValues(lattice, values));
}
