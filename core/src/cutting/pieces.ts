import { fitsSheet, type Polygon, polygonArea, polygonOutline, straightened } from '../geometry/index.ts';
import type { Layer } from '../layers/index.ts';
import type { Project } from '../project/index.ts';
import { insideRadiusOf, neckOf } from './neck.ts';
import type { CutPiece, Dropped, Seam } from './piece.ts';
import { type Room, splitToFit } from './seams.ts';

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

/** Cuts layers into pieces: connected parts, without slivers, straightened, split where no sheet holds them (`roomsOf` gives what some kinds of sheet hold, the largest first). */
export function piecesOf(
  { cutting }: Pick<Project, 'cutting'>,
  layers: readonly Layer[],
  roomsOf: (sheetIds: readonly string[]) => readonly Room[],
): Pieces {
  const all: Pieces = { pieces: [], seams: [], dropped: [] };
  let below: Seam[] = [];
  for (const layer of layers) {
    const parts = layer.parts
      .flatMap(({ sheetIds, pieces }) =>
        pieces.map((outline) => ({ sheetIds, outline, areaMm2: polygonArea(outline) })),
      )
      .sort((a, b) => b.areaMm2 - a.areaMm2);
    const kept = parts.filter(({ areaMm2 }) => areaMm2 >= cutting.sliverMm2);
    const gone = parts.slice(kept.length).filter(({ areaMm2 }) => areaMm2 >= LEAST_TOLD_MM2);
    if (gone.length) {
      const areaMm2 = gone.reduce((sum, part) => sum + part.areaMm2, 0);
      all.dropped.push({ layer: layer.index, count: gone.length, areaMm2 });
    }
    const seams: Seam[] = [];
    kept.forEach(({ sheetIds, outline }, k) => {
      const id = `${layer.index}-${k + 1}`;
      const whole = straightened(outline, STRAIGHTENED_MM);
      const rooms = cutting.split ? roomsOf(sheetIds) : [];
      const piece = (name: string, cut: Polygon): CutPiece => ({
        id: name,
        layer: layer.index,
        thicknessMm: layer.thicknessMm,
        sheetIds,
        sliceMm: layer.sliceMm,
        outline: cut,
        areaMm2: polygonArea(cut),
        outlineMm: polygonOutline(cut),
        neck: neckOf(cut),
        insideRadiusMm: insideRadiusOf(cut),
      });
      if (!rooms.length || rooms.some(({ widthMm, depthMm }) => fitsSheet(whole.outer, widthMm, depthMm))) {
        all.pieces.push(piece(id, whole));
        return;
      }
      const split = splitToFit(whole, layer.index, rooms[0], below, cutting.seam);
      seams.push(...split.seams);
      const order = [...split.parts].sort((a, b) => polygonArea(b) - polygonArea(a));
      all.pieces.push(...order.map((cut, n) => piece(order.length > 1 ? `${id}${letter(n)}` : id, cut)));
    });
    all.seams.push(...seams);
    below = seams;
  }
  return all;
}
