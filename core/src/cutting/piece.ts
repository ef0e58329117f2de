/** Shapes of pieces and seams. */
import type { Point, Polygon } from '../geometry/index.ts';
import type { Neck } from './neck.ts';

/** A seam between two pieces of one layer, in the measures of the base. */
export interface Seam {
  layer: number;
  /** The cut, keys and all. */
  points: Point[];
  lengthMm: number;
  /** To the nearest seam of the layer below; null where that has none. */
  apartMm: number | null;
  keys: number;
}

/** One piece to be cut, in the measures of the base (an upright part in its own). */
export interface CutPiece {
  /** Layer and piece: "3-1", and "3-1a" where a seam split it. */
  id: string;
  /** 0 for an upright part, which belongs to none. */
  layer: number;
  /** The upright part that it is of; null for a piece of a layer. */
  panel: string | null;
  thicknessMm: number;
  /** What it may be cut from. */
  sheetIds: string[];
  sliceMm: number | null;
  outline: Polygon;
  areaMm2: number;
  /** All that is cut round it and in it. */
  outlineMm: number;
  neck: Neck | null;
  /** The tightest inside corner, mm; null where it has none tighter than the widest that is looked for. */
  insideRadiusMm: number | null;
}

/** Slivers of a layer that are not worth a cut. */
export interface Dropped {
  layer: number;
  count: number;
  areaMm2: number;
}
