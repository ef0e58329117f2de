import { bedName, type CuttingReport, laidOut, type NestJob, type Placed, type Project } from '@hosket/core';
import type { BenchBed } from '../../instruments/paper/SheetBench.tsx';

/** The beds of the plan, as the bench draws them. */
export const bedsOfPlan = ({ beds, pieces }: CuttingReport): BenchBed[] => {
  const cut = new Set(pieces.filter(({ state }) => state === 'cut').map(({ id }) => id));
  return beds.map((bed) => ({ ...bed, pieces: bed.pieces.map((laid) => ({ ...laid, cut: cut.has(laid.piece) })) }));
};

/** The beds of a search that is going on. */
export function bedsOfSearch(
  jobs: readonly NestJob[],
  bests: readonly { placed: readonly Placed[] }[],
  cutting: CuttingReport,
  shed: Pick<Project, 'sheets' | 'offcuts'>,
): BenchBed[] {
  const cut = new Set(cutting.pieces.filter(({ state }) => state === 'cut').map(({ id }) => id));
  return jobs.flatMap(({ problem, pieceIds, bedIds }, k) =>
    problem.beds.flatMap((bed, b) => {
      const here = bests[k].placed.filter((place) => place.bed === b);
      if (!here.length) return [];
      const pieces = here.map((place) => ({
        piece: pieceIds[place.piece],
        turnDegrees: place.turn,
        xMm: place.xMm,
        yMm: place.yMm,
        pinned: problem.pinned.some(({ piece }) => piece === place.piece),
        cut: cut.has(pieceIds[place.piece]),
        lies: laidOut(problem.pieces[place.piece], place),
      }));
      return [{ id: bedIds[b], name: bedName(shed, bedIds[b]), outline: bed.outline, left: [], pieces }];
    }),
  );
}
