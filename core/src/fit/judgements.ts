import type { Grid, Point, Ring } from '../geometry/index.ts';
import {
  deckOver,
  type Ground,
  type SpanRead,
  STANDS,
  type Stand,
  standAt,
  standingIn,
  standingShare,
  standUnder,
  verdict,
} from '../ground/index.ts';
import { footRing, type Item, nameOf, type Project, runOf, type Thing } from '../project/index.ts';
import { type Part, stripRing } from './bodies.ts';
import { gapBetween } from './gaps.ts';

/** Usual figure bases, mm. */
const BASES_MM = [25, 32, 40];

/** On how much of the ground a figure on a base can stand, percent of the base by the middle of the figure. */
export interface StandingShare {
  baseMm: number;
  percent: number;
}

/** How a figure or a vehicle that is drawn stands. */
export interface FigureStand {
  id: string;
  name: string;
  /** Across its base, or its width. */
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
    shares.push({ baseMm, percent: standingShare(yield* standingIn(grid, outline, baseMm, limits, 6000), outline) });
    yield;
  }
  return shares;
}

/** How every figure and vehicle stands that does not hang in the air: on the ground, or on the deck over its place. */
export const figureStands = (project: Project, ground: Ground, spans: readonly SpanRead[]): FigureStand[] =>
  project.things
    .filter(({ kind, raisedMm }) => (kind === 'figure' || kind === 'vehicle') && raisedMm === 0)
    .map((thing) => {
      const stand = standOf(thing, project, ground, spans);
      return {
        id: thing.id,
        name: nameOf(thing),
        baseMm: thing.footMm,
        tiltDegrees: stand?.tiltDegrees ?? null,
        unevenMm: stand?.unevenMm ?? null,
        stands: verdict(stand, project.judging) === STANDS,
      };
    });

/** How a thing stands on the deck over its place, or on the ground; null where it reaches over an edge. */
function standOf(
  thing: Thing,
  { landforms }: Project,
  { grid, outline }: Ground,
  spans: readonly SpanRead[],
): Stand | null {
  const [x, y] = thing.points[0];
  const ring = footRing(thing);
  const deck = thing.under ? null : deckOver(landforms, spans, x, y);
  if (!deck) return ring ? standUnder(grid, outline, ring) : standAt(grid, outline, x, y, thing.footMm);
  const holds = ring
    ? ring.every(([px, py]) => deckOver(landforms, spans, px, py)?.id === deck.id)
    : deck.edgeMm >= thing.footMm / 2;
  return holds ? { tiltDegrees: deck.tiltDegrees, unevenMm: 0 } : null;
}

/** A strip along a line, stretch by stretch. */
const stretchesOf = (line: Ring, half: number): Part[] =>
  line.slice(1).map((to, k) => ({ kind: 'outline', ring: stripRing([line[k], to], half), bottomMm: 0, topMm: 1 }));

/** The fronts of the houses along a street, stretch by stretch. */
const frontsOf = (line: Ring, frontageMm: number, gapMm: number): Part[] =>
  line.slice(1).flatMap(([bx, by], k) => {
    const [ax, ay] = line[k];
    const length = Math.hypot(bx - ax, by - ay);
    const houses = Math.max(1, Math.floor((length + gapMm) / (frontageMm + gapMm)));
    const at = (mm: number): Point => {
      const share = length > 0 ? Math.min(1, mm / length) : 0;
      return [ax + share * (bx - ax), ay + share * (by - ay)];
    };
    return Array.from({ length: houses }, (_, n) => n * (frontageMm + gapMm)).flatMap((from) =>
      stretchesOf([at(from), at(from + frontageMm)], 0.5),
    );
  });

/** How far every building is from a way or steps. */
export function houseWays(project: Project): HouseWay[] {
  const ways = project.landforms.flatMap((form) =>
    form.kind === 'way' || form.kind === 'steps' ? stretchesOf(runOf(form), form.widthMm / 2) : [],
  );
  const wayTo = (front: Part): number | null =>
    ways.reduce<number | null>(
      (least, part) => Math.min(least ?? Number.POSITIVE_INFINITY, Math.max(0, gapBetween(front, part))),
      null,
    );
  const judged = (item: Item, wayMm: number | null): HouseWay => ({
    id: item.id,
    name: nameOf(item),
    wayMm,
    reached: wayMm !== null && wayMm <= project.judging.wayMm,
  });
  const houses = project.laid
    .filter(({ kind }) => kind === 'building')
    .map((house) => judged(house, wayTo({ kind: 'outline', ring: runOf(house), bottomMm: 0, topMm: 1 })));
  // A street is as far from its way as the worst placed of its houses, whose fronts stand along it.
  const streets = project.rows.flatMap((row) => {
    if (row.kind !== 'street') return [];
    const fronts = frontsOf(runOf(row), row.frontageMm, row.gapMm);
    const far = fronts.map(wayTo);
    return [judged(row, far.includes(null) ? null : Math.max(...far.map((mm) => mm ?? 0)))];
  });
  return [...houses, ...streets];
}
