import { heightAt } from '../geometry/index.ts';
import { deckOver, type Ground, readSpans } from '../ground/index.ts';
import {
  baseSize,
  type ClosedTile,
  middleOf,
  type Project,
  sideLength,
  sideProfile,
  type TileSide,
  tileSides,
} from '../project/index.ts';

/** Heights along an edge are read this far apart, mm. */
export const EDGE_STEP_MM = 1;

/** What the rest of a set needs to know of a tile. */
export interface TileRead {
  /** Heights along each side in its own direction (see `EdgeProfile`), every millimetre and at its end. */
  edges: Record<TileSide, Float64Array>;
  /** The highest place of its ground and of all that stands on it, mm above its board. */
  tallestMm: number;
}

/** Reads a tile whose ground is finished. A side that wears a profile has exactly its heights. */
export function readTile(project: Pick<Project, 'profiles'>, tile: ClosedTile, ground: Ground): TileRead {
  const { widthMm, depthMm } = baseSize(tile.base);
  const place: Record<TileSide, (along: number) => [number, number]> = {
    front: (along) => [along, 0],
    back: (along) => [along, depthMm],
    left: (along) => [0, along],
    right: (along) => [widthMm, along],
  };
  const edge = (side: TileSide) => {
    const length = sideLength(tile.base, side);
    const count = Math.ceil(length / EDGE_STEP_MM - 1e-9) + 1;
    const kept = tile.base.shape.kind === 'rectangle' ? sideProfile(project, tile, side) : null;
    return Float64Array.from({ length: count }, (_, k) => {
      const along = Math.min(length, k * EDGE_STEP_MM);
      return kept ? kept(along) : heightAt(ground.grid, ...place[side](along));
    });
  };
  return {
    edges: Object.fromEntries(tileSides.map((side) => [side, edge(side)])) as TileRead['edges'],
    tallestMm: Math.max(ground.highestMm, ...topsOf(tile, ground)),
  };
}

function topsOf({ things, laid, landforms }: ClosedTile, { grid, built }: Ground): number[] {
  const spans = things.length ? readSpans(grid, landforms, built) : [];
  const standsAt = (x: number, y: number, under: boolean | undefined) =>
    (under ? null : deckOver(landforms, spans, x, y))?.topMm ?? heightAt(grid, x, y);
  return [
    ...things.map(({ points: [[x, y]], raisedMm, heightMm, under }) => standsAt(x, y, under) + raisedMm + heightMm),
    ...laid.map(({ points, beddedMm, heightMm }) => {
      const [x, y] = middleOf(points);
      return Math.max(0, heightAt(grid, x, y) - beddedMm) + heightMm;
    }),
  ];
}
