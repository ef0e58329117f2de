import type { Grid, Ring } from '../geometry/index.ts';
import { type Ground, STANDS, standAt, standingOf, standingShare, verdict } from '../ground/index.ts';
import { nameOf, type Project, runOf } from '../project/index.ts';
import { type Part, stripRing } from './bodies.ts';
import { gapBetween } from './gaps.ts';

/** Usual figure bases, mm. */
const BASES_MM = [25, 32, 40];

/** On how much of the ground a figure on a base can stand, percent of the base by the middle of the figure. */
export interface StandingShare {
  baseMm: number;
  percent: number;
}

/** How a figure that is drawn stands. */
export interface FigureStand {
  id: string;
  name: string;
  baseMm: number;
  /** Null where its base reaches over the edge. */
  tiltDegrees: number | null;
  unevenMm: number | null;
  stands: boolean;
}

/** A house and the way nearest to its wall; null when there is no way at all. */
export interface HouseWay {
  id: string;
  name: string;
  wayMm: number | null;
  reached: boolean;
}

/** Where figures on the usual bases can stand. Yields between bases. */
export function* standingShares(
  grid: Grid,
  outline: Ring,
  limits: Project['judging'],
): Generator<undefined, StandingShare[]> {
  const shares: StandingShare[] = [];
  for (const baseMm of BASES_MM) {
    shares.push({ baseMm, percent: standingShare(standingOf(grid, outline, baseMm, limits, 6000), outline) });
    yield;
  }
  return shares;
}

/** How every figure stands that does not hang in the air. */
export const figureStands = (project: Project, { grid, outline }: Ground): FigureStand[] =>
  project.things
    .filter((thing) => thing.kind === 'figure' && thing.raisedMm === 0)
    .map((thing) => {
      const [x, y] = thing.points[0];
      const stand = standAt(grid, outline, x, y, thing.footMm);
      return {
        id: thing.id,
        name: nameOf(thing),
        baseMm: thing.footMm,
        tiltDegrees: stand?.tiltDegrees ?? null,
        unevenMm: stand?.unevenMm ?? null,
        stands: verdict(stand, project.judging) === STANDS,
      };
    });

/** A strip along a line, stretch by stretch. */
const stretchesOf = (line: Ring, half: number): Part[] =>
  line.slice(1).map((to, k) => ({ kind: 'outline', ring: stripRing([line[k], to], half), bottomMm: 0, topMm: 1 }));

/** How far every building is from a way or steps. */
export function houseWays(project: Project): HouseWay[] {
  const ways = project.landforms.flatMap((form) =>
    form.kind === 'way' || form.kind === 'steps' ? stretchesOf(runOf(form), form.widthMm / 2) : [],
  );
  return project.laid
    .filter(({ kind }) => kind === 'building')
    .map((house) => {
      const walls: Part = { kind: 'outline', ring: runOf(house), bottomMm: 0, topMm: 1 };
      const gaps = ways.map((part) => Math.max(0, gapBetween(walls, part)));
      const wayMm = gaps.length ? Math.min(...gaps) : null;
      return {
        id: house.id,
        name: nameOf(house),
        wayMm,
        reached: wayMm !== null && wayMm <= project.judging.wayMm,
      };
    });
}
