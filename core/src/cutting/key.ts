/** A key of what a layout is of. */
import type { Ring } from '../geometry/index.ts';
import type { Project } from '../project/index.ts';
import type { CutPiece } from './piece.ts';

/** Marks what a layout is of: pieces, sizes and settings; not how much there is of anything, so that a layout outlives a sheet that is put away or bought. */
export function layoutKey(
  { sheets, cutting }: Pick<Project, 'sheets' | 'cutting'>,
  pieces: readonly CutPiece[],
): string {
  const rounded = (ring: Ring) => ring.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ');
  const { gapMm, marginMm, turning, kerfMm, offsetKerf, tool } = cutting;
  return markOf(
    JSON.stringify([
      pieces.map(({ id, outline, sheetIds, sliceMm }) => [
        id,
        sheetIds,
        sliceMm,
        rounded(outline.outer),
        outline.holes.map(rounded),
      ]),
      sheets.map(({ id, widthMm, depthMm, grain }) => [id, widthMm, depthMm, grain]),
      [gapMm, marginMm, turning, offsetKerf && [kerfMm, tool]],
    ]),
  );
}

/** A short mark of a text: two texts that differ have different ones, as good as always (FNV-1a, 32 bits, twice). */
function markOf(text: string): string {
  const hash = (seed: number) => {
    let h = seed;
    for (let k = 0; k < text.length; k++) h = Math.imul(h ^ text.charCodeAt(k), 0x01000193);
    return (h >>> 0).toString(16).padStart(8, '0');
  };
  return hash(0x811c9dc5) + hash(0x050c5d1f);
}
