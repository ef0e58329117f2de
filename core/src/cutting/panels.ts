/** Upright parts (backdrops, walls, parapets) as pieces to be cut beside the layers: split by seams where no sheet holds them. */
import { type Polygon, polygonArea, polygonOutline } from '../geometry/index.ts';
import { type Project, panelShape, sheetMm } from '../project/index.ts';
import { insideRadiusOf, neckOf } from './neck.ts';
import type { CutPiece, Seam } from './piece.ts';
import { fitsRoom, type SheetArea, splitToFit } from './seams.ts';

/** Pieces of upright parts belong to no layer. */
const NO_LAYER = 0;

const letter = (k: number): string => String.fromCharCode(97 + (k % 26));

/** Named "W1", "W1-2" for a second copy, "W1a" and "W1b" where one falls into parts. A part of a sheet that is gone is left out. Yields between pieces. */
export function* panelPieces(
  { panels, sheets, cutting }: Pick<Project, 'panels' | 'sheets' | 'cutting'>,
  roomsOf: (sheetIds: readonly string[]) => readonly SheetArea[],
): Generator<undefined, { pieces: CutPiece[]; seams: Seam[] }> {
  const pieces: CutPiece[] = [];
  const seams: Seam[] = [];
  for (const [k, panel] of panels.entries()) {
    const sheet = sheets.find(({ id }) => id === panel.sheetId);
    if (!sheet) continue;
    const rooms = cutting.split ? roomsOf([sheet.id]) : [];
    const parts = panelShape(panel).flatMap((whole): Polygon[] => {
      if (!rooms.length || rooms.some((room) => fitsRoom(whole.outer, room))) return [whole];
      const split = splitToFit(whole, NO_LAYER, rooms[0], [], cutting.seam);
      seams.push(...split.seams);
      return split.parts;
    });
    for (let copy = 1; copy <= panel.count; copy++)
      for (const [n, outline] of parts.entries()) {
        pieces.push({
          id: `W${k + 1}${parts.length > 1 ? letter(n) : ''}${panel.count > 1 ? `-${copy}` : ''}`,
          layer: NO_LAYER,
          panel: panel.name || `Part ${k + 1}`,
          thicknessMm: sheetMm(sheet),
          sheetIds: [sheet.id],
          sliceMm: null,
          outline,
          areaMm2: polygonArea(outline),
          outlineMm: polygonOutline(outline),
          neck: yield* neckOf(outline),
          insideRadiusMm: yield* insideRadiusOf(outline),
        });
        yield;
      }
  }
  return { pieces, seams };
}
