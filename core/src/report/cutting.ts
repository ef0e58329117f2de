import { bedName, type Cutting } from '../cutting/index.ts';
import { type Polygon, ringArea } from '../geometry/index.ts';
import type { Project } from '../project/index.ts';
import type { CuttingReport } from './cuttingSchema.ts';

const tenThousandths = (value: number) => Math.round(value * 1e4) / 1e4;
export const written = (ring: readonly (readonly [number, number])[]): [number, number][] =>
  ring.map(([x, y]) => [tenThousandths(x), tenThousandths(y)]);

const outlineWritten = ({ outer, holes }: Polygon) => ({ outer: written(outer), holes: holes.map(written) });
export const piecesWritten = (pieces: readonly Polygon[]) => pieces.map(outlineWritten);

/** Cutting as data. */
export function cuttingReport({ nest, sheets, offcuts }: Project, cutting: Cutting): CuttingReport {
  const away = new Set(nest.done.flatMap(({ pieces }) => pieces.map(({ piece }) => piece)));
  const sum = (pick: (bed: Cutting['beds'][number]) => number) => cutting.beds.reduce((all, bed) => all + pick(bed), 0);
  const bedsMm2 = sum((bed) => bed.areaMm2);
  const piecesMm2 = sum((bed) => bed.usedMm2);
  const leftMm2 = sum((bed) => bed.left.reduce((all, ring) => all + ringArea(ring), 0));
  return {
    pieces: cutting.pieces.map((piece) => ({
      ...piece,
      outline: outlineWritten(piece.outline),
      neck: piece.neck && { widthMm: piece.neck.widthMm, at: written([piece.neck.at])[0] },
      state: away.has(piece.id) ? 'put away' : nest.ticked.includes(piece.id) ? 'cut' : 'to cut',
      bed: cutting.beds.find(({ pieces }) => pieces.some((laid) => laid.piece === piece.id))?.id ?? null,
    })),
    seams: cutting.seams.map((seam) => ({ ...seam, points: written(seam.points) })),
    dropped: cutting.dropped,
    beds: cutting.beds.map((bed) => ({
      ...bed,
      name: bedName({ sheets, offcuts }, bed.id),
      outline: written(bed.outline),
      pieces: bed.pieces.map((laid) => ({ ...laid, lies: outlineWritten(laid.lies) })),
      left: bed.left.map(written),
    })),
    nowhere: cutting.nowhere.map((one) => ({ ...one, bed: one.bed && bedName({ sheets, offcuts }, one.bed) })),
    clashes: cutting.clashes,
    tools: cutting.tools,
    yieldPercent: bedsMm2 > 0 ? (100 * piecesMm2) / bedsMm2 : 0,
    piecesMm2,
    bedsMm2,
    leftMm2,
    wasteMm2: Math.max(0, bedsMm2 - piecesMm2 - leftMm2),
    key: cutting.key,
    kept: cutting.kept,
  };
}
