/** A layout as a project keeps it, and back. */
import { toEnd } from '../kernel/index.ts';
import { createSearch, type Placed } from '../nest/index.ts';
import { keepLayout, type NestPlace, type Project } from '../project/index.ts';
import type { Cutting, NestJob } from './cutting.ts';

/** The places of a job's layout as a project keeps them. */
export function placesOf({ problem, pieceIds, bedIds }: NestJob, placed: readonly Placed[]): NestPlace[] {
  const pinned = new Set(problem.pinned.map(({ piece }) => piece));
  return placed.map(({ piece, bed, turn, xMm, yMm }) => ({
    piece: pieceIds[piece],
    bed: bedIds[bed],
    turnDegrees: turn,
    xMm,
    yMm,
    pinned: pinned.has(piece),
  }));
}

/** A project with the best layout of so many tries for each kind of sheet; the same project, seed and tries always give the same one. */
export function withLayout(project: Project, { jobs, key }: Cutting, tries: number, seed: number): Project {
  const places = jobs.flatMap((job) => {
    const search = createSearch(job.problem, seed);
    while (search.tries() < tries) search.step();
    return placesOf(job, toEnd(search.best()).placed);
  });
  return keepLayout(project, key, places);
}
