/** Cuts layers into pieces: connected parts, straightened (Douglas-Peucker), split by seams where no sheet holds them. */
import { type Polygon, polygonArea, polygonOutline, straightened } from '../geometry/index.ts';
import type { Layer } from '../layers/index.ts';
import type { Project } from '../project/index.ts';
import { insideRadiusOf, neckOf } from './neck.ts';
import type { CutPiece, Dropped, Seam } from './piece.ts';
import { fitsRoom, type SheetArea, splitToFit } from './seams.ts';

/** Outlines are straightened by no more than this, mm. */
export const STRAIGHTENED_MM = 0.2;

/** Slivers smaller than this are none: they come of rounding, mm2. */
const LEAST_TOLD_MM2 = 1;

/** Everything that is to be cut of a stack, layer by layer from the board. */
export interface Pieces {
  pieces: CutPiece[];
  seams: Seam[];
  dropped: Dropped[];
}

const letter = (k: number): string =>
  k < 26 ? String.fromCharCode(97 + k) : letter(Math.floor(k / 26) - 1) + letter(k % 26);

/** Parts from the largest down, and those that are smaller than a sliver. */
function bySize(parts: readonly Polygon[], sliverMm2: number): [Polygon[], Polygon[]] {
  const order = [...parts].sort((a, b) => polygonArea(b) - polygonArea(a));
  const large = order.filter((part) => polygonArea(part) >= sliverMm2);
  return [large, order.slice(large.length)];
}

/**
 * Cuts layers into pieces: connected parts, without slivers, straightened, split where no sheet holds them (`roomsOf` gives what some kinds
 * of sheet hold, the largest first). Yields between pieces.
 */
export function* piecesOf(
  { cutting }: Pick<Project, 'cutting'>,
  layers: readonly Layer[],
  roomsOf: (sheetIds: readonly string[]) => readonly SheetArea[],
): Generator<undefined, Pieces> {
  const all: Pieces = { pieces: [], seams: [], dropped: [] };
  let below: Seam[] = [];
  for (const layer of layers) {
    const parts = layer.parts
      .flatMap(({ sheetIds, pieces }) =>
        pieces.map((outline) => ({ sheetIds, outline, areaMm2: polygonArea(outline) })),
      )
      .sort((a, b) => b.areaMm2 - a.areaMm2);
    const kept = parts.filter(({ areaMm2 }) => areaMm2 >= cutting.sliverMm2);
    const dropped: Dropped = { layer: layer.index, count: 0, areaMm2: 0 };
    const drop = (areas: readonly number[]) => {
      for (const areaMm2 of areas.filter((each) => each >= LEAST_TOLD_MM2)) {
        dropped.count++;
        dropped.areaMm2 += areaMm2;
      }
    };
    drop(parts.slice(kept.length).map(({ areaMm2 }) => areaMm2));
    const seams: Seam[] = [];
    for (const [k, { sheetIds, outline }] of kept.entries()) {
      const id = `${layer.index}-${k + 1}`;
      const whole = straightened(outline, STRAIGHTENED_MM);
      const rooms = cutting.split ? roomsOf(sheetIds) : [];
      const piece = function* (name: string, cut: Polygon): Generator<undefined, CutPiece> {
        return {
          id: name,
          layer: layer.index,
          panel: null,
          thicknessMm: layer.thicknessMm,
          sheetIds,
          sliceMm: layer.sliceMm,
          outline: cut,
          areaMm2: polygonArea(cut),
          outlineMm: polygonOutline(cut),
          neck: yield* neckOf(cut),
          insideRadiusMm: yield* insideRadiusOf(cut),
        };
      };
      if (!rooms.length || rooms.some((room) => fitsRoom(whole.outer, room))) {
        all.pieces.push(yield* piece(id, whole));
        yield;
        continue;
      }
      const split = splitToFit(whole, layer.index, rooms[0], below, cutting.seam);
      seams.push(...split.seams);
      // What a seam cuts off and is no larger than a sliver is one.
      const [order, slivers] = bySize(split.parts, cutting.sliverMm2);
      drop(slivers.map(polygonArea));
      for (const [n, cut] of order.entries()) {
        all.pieces.push(yield* piece(order.length > 1 ? `${id}${letter(n)}` : id, cut));
        yield;
      }
    }
    if (dropped.count) all.dropped.push(dropped);
    all.seams.push(...seams);
    below = seams;
  }
  return all;
}
