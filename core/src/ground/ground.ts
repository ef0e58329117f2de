/**
 * From lines, spots and landforms to the finished ground, a field of heights in mm on a lattice: solved, rounded over, built upon, measured.
 */
import {
  coverageOf,
  type Grid,
  gridOver,
  type Ring,
  type TrueSurface,
  trueSurfaceIn,
  volumeUnder,
  withValues,
} from '../geometry/index.ts';
import { toEnd } from '../kernel/index.ts';
import {
  type Base,
  baseOutline,
  baseSize,
  type EdgeProfile,
  type Landform,
  type Mark,
  type Terrain,
  type Tile,
} from '../project/index.ts';
import { bevel } from './bevel.ts';
import { constraintsOf } from './constraints.ts';
import { keepEdges } from './edges.ts';
import { type Built, buildLandforms, buildOnto } from './forms/compose.ts';
import { guessedNodes, guessRead } from './guess.ts';
import { type Regions, regionsOf } from './regions.ts';
import { resolveNear } from './resolve.ts';
import { roundedOver } from './rounding.ts';
import { changedBox, reachingOut, type ShapeLine, shapeLines } from './shapeLines.ts';
import { type Surface, solveGround } from './solve.ts';
import { bentToLines, terrainOver } from './terrain.ts';

/** The finished ground over the base, with what later stages measure on it. */
export interface Ground {
  outline: Ring;
  /** Heights in mm above the top of the baseboard, over the box round the base. */
  grid: Grid;
  /** Share of each lattice cell that lies on the base; null when all of them do. */
  coverage: Float32Array | null;
  surface: TrueSurface;
  volumeMl: number;
  highestMm: number;
  /** What each landform did, in the order of building. */
  built: Built[];
  /** 1 for nodes of which nothing says how high they are; null where all is said. */
  guessed: Uint8Array | null;
  /** The share of the base that is guessed, 0 to 1, and the middle of the largest guess. */
  guess: { share: number; at: readonly [number, number] } | null;
}

/** Above this many nodes the cell grows, so that a very large base stays workable; below that many it shrinks. */
const MOST_NODES = 1_000_000;
const FEW_NODES = 40_000;

/** The cell for a base of this size: 1 mm, half or a quarter on small bases, coarser in halves on very large ones. */
export function chooseCellMm(widthMm: number, depthMm: number): number {
  const needed = Math.sqrt((widthMm * depthMm) / MOST_NODES);
  if (needed > 1) return Math.ceil(needed * 2) / 2;
  const nodes = widthMm * depthMm;
  return nodes * 16 <= 4 * FEW_NODES ? 0.25 : nodes * 4 <= 2 * FEW_NODES ? 0.5 : 1;
}

/** Measures a field of heights as the ground of a base. */
export const measureGround = (outline: Ring, grid: Grid): Ground => toEnd(measuredGround(outline, grid, [], null));

/** The same, with what was built on it and where it is guessed; yields between pieces of work. */
export function* measuredGround(
  outline: Ring,
  grid: Grid,
  built: Built[],
  guessed: Uint8Array | null,
): Generator<undefined, Ground> {
  const coverage = coverageOf(grid, outline);
  yield;
  const surface = yield* trueSurfaceIn(grid, coverage);
  let highestMm = 0;
  for (let n = 0; n < grid.values.length; n++) if (grid.values[n] > highestMm) highestMm = grid.values[n];
  const volumeMl = volumeUnder(grid, coverage) / 1000;
  yield;
  return {
    outline,
    grid,
    coverage,
    surface,
    volumeMl,
    highestMm,
    built,
    ...guessRead(outline, grid, guessed),
  };
}

/** The ground that lines and spots alone make, kept so that a change of landforms, or of one line, need not solve it all again. */
export interface Solved {
  grid: Grid;
  lines: readonly ShapeLine[];
  /** The surface as it was solved, before it is rounded over, and the regions it falls into; null where no line is. */
  free: { surface: Surface; regions: Regions } | null;
  /** Taken up from an earlier one after a change, and so not quite at rest. */
  near: boolean;
  /** The grid of heights under the lines, where there is one. */
  terrain: Terrain | null;
  /** The base's own size, mm: cells may reach beyond it, and a grid of heights is stretched over it. */
  over: { widthMm: number; depthMm: number };
}

/** What the ground is made from. */
export interface Drawn {
  base: Base;
  marks: readonly Mark[];
  landforms: readonly Landform[];
  terrain?: Terrain | null;
  /** The tile it is, with the profiles that its sides may wear. */
  tile?: Tile;
  profiles?: EdgeProfile[];
}

const sameTerrain = (a: Terrain | null, b: Terrain | null) => a === b || JSON.stringify(a) === JSON.stringify(b);

/**
 * Solves the lines and spots. With `before` and `quick`, a change of a line is taken up from the ground before it; the same lines as before are
 * not solved again. `cellMm` is the cell of the lattice.
 */
export function* solvedOf(
  { base, marks, landforms, terrain = null }: Drawn,
  cellMm: number,
  before?: Solved,
  quick = false,
): Generator<undefined, Solved> {
  const over = baseSize(base);
  const { widthMm, depthMm } = over;
  const lattice = gridOver(widthMm, depthMm, cellMm);
  const lines = reachingOut(shapeLines(marks, landforms), baseOutline(base));
  const sameLattice =
    before &&
    sameTerrain(before.terrain, terrain) &&
    before.grid.cellMm === cellMm &&
    before.grid.columns === lattice.columns &&
    before.grid.rows === lattice.rows;
  if (terrain) {
    const sameSize = before?.over.widthMm === widthMm && before.over.depthMm === depthMm;
    if (sameLattice && sameSize && changedBox(before.lines, lines) === null) return before;
    const land = terrainOver(lattice, terrain, widthMm, depthMm);
    yield;
    const bent = lines.length ? yield* bentToLines(land, lines, terrain.reachMm) : land;
    return { grid: bent, lines, free: null, near: false, terrain, over };
  }
  if (!lines.length) return { grid: lattice, lines, free: null, near: false, terrain, over };
  const box = sameLattice && before.lines.length ? changedBox(before.lines, lines) : undefined;
  if (before && box === null && (!before.near || quick)) return before;
  const pins = constraintsOf(lattice, lines);
  yield;
  const regions = yield* regionsOf(lattice, lines, pins);
  yield;
  // A line more or less can change the ground far and wide.
  const near = quick && !!box && before?.free != null && before.lines.length === lines.length;
  const surface =
    near && before.free
      ? yield* resolveNear({ grid: before.grid, ...before.free }, lines, pins, regions, box)
      : yield* solveGround(lattice, lines, pins, regions);
  const grid = withValues(lattice, roundedOver(surface.z, regions, lattice.columns));
  return { grid, lines, free: { surface, regions }, near, terrain, over };
}

/** The landforms built onto the solved ground, heights alone: what follows a pointer. Never below the top of the baseboard. */
export function shapedOn({ base, landforms, tile, profiles = [] }: Drawn, solved: Solved): Grid {
  const grid = withValues(solved.grid, solved.grid.values.slice());
  const edge = baseOutline(base);
  for (const form of landforms) buildOnto(grid, form, edge);
  if (tile) toEnd(keepEdges(grid, base, tile, profiles));
  if (base.bevelDegrees) toEnd(bevel(grid, edge, base.bevelDegrees));
  return grid;
}

/** Builds the landforms onto the solved ground, brings it to the profiles of the tile's sides, and measures it. */
export function* finishedGround(drawn: Drawn, solved: Solved): Generator<undefined, Ground> {
  const grid = withValues(solved.grid, solved.grid.values.slice());
  const outline = baseOutline(drawn.base);
  const built = yield* buildLandforms(grid, drawn.landforms, outline);
  if (drawn.tile) yield* keepEdges(grid, drawn.base, drawn.tile, drawn.profiles ?? []);
  if (drawn.base.bevelDegrees) yield* bevel(grid, outline, drawn.base.bevelDegrees);
  yield;
  return yield* measuredGround(outline, grid, built, guessedNodes(solved, grid));
}

/** The ground that a project describes, worked out from nothing. */
export function* groundOf(drawn: Drawn, cellMm = cellOf(drawn.base)): Generator<undefined, Ground> {
  return yield* finishedGround(drawn, yield* solvedOf(drawn, cellMm));
}

export function cellOf(base: Base): number {
  const { widthMm, depthMm } = baseSize(base);
  return chooseCellMm(widthMm, depthMm);
}
