import { Clipper, EndType, FillRule, JoinType, type Paths64 } from 'clipper2-ts';
import type { Ring } from './inside.ts';
import { outlineRings } from './keyhole.ts';
import { nestRings, type Polygon, ringArea } from './rings.ts';
import { straightRing } from './straight.ts';

/** The clipper wants whole numbers: micrometres. */
const MICROMETRES = 1000;
/** Before they are grown or shrunk outlines are straightened by no more than this, mm. */
const STRAIGHT_MM = 0.05;
/** Rounded corners stray from their circle by no more than this part of it. */
const ARC_SHARE = 0.4;

const whole = (rings: readonly Ring[]): Paths64 =>
  rings.map((ring) => ring.map(([x, y]) => ({ x: Math.round(x * MICROMETRES), y: Math.round(y * MICROMETRES) })));

const written = (paths: Paths64): Ring[] =>
  paths
    .map((path) => path.map(({ x, y }) => [x / MICROMETRES, y / MICROMETRES] as const))
    .filter((ring) => Math.abs(ringArea(ring)) > 1e-3);

/** The rings of pieces, outer ones and holes. */
export const ringsOf = (pieces: readonly Polygon[]): Ring[] => pieces.flatMap(({ outer, holes }) => [outer, ...holes]);

/** The parts of rings (outer counter-clockwise, holes clockwise) that lie inside an outline. */
export const clipRings = (rings: readonly Ring[], outline: Ring): Ring[] => meetRings(rings, outlineRings(outline));

/** What two sets of rings (outer counter-clockwise, holes clockwise) have in common. */
export const meetRings = (a: readonly Ring[], b: readonly Ring[]): Ring[] =>
  written(Clipper.intersect(whole(a), whole(b), FillRule.NonZero));

/** The first without the second. */
export const cutRings = (a: readonly Ring[], b: readonly Ring[]): Ring[] =>
  b.length ? written(Clipper.difference(whole(a), whole(b), FillRule.NonZero)) : [...a];

/** Both together. */
export const joinRings = (a: readonly Ring[], b: readonly Ring[]): Ring[] =>
  written(Clipper.union(whole(a), whole(b), FillRule.NonZero));

/**
 * Rings grown (or, by less than nothing, shrunk) all round by so many mm, with round corners. Right to `withinMm`: what is only measured
 * or traced asks for less, and takes a fraction of the time, since that grows faster than the corners.
 */
export function growRings(rings: readonly Ring[], byMm: number, withinMm = STRAIGHT_MM): Ring[] {
  // A ring of a hair's size is straightened to nothing, and the clipper cannot take nothing.
  const straight = Clipper.simplifyPaths(whole(rings), withinMm * MICROMETRES, true).filter((path) => path.length > 2);
  const arc = ARC_SHARE * withinMm * MICROMETRES;
  return written(Clipper.inflatePaths(straight, byMm * MICROMETRES, JoinType.Round, EndType.Polygon, 2, arc));
}

/** A piece with its outlines straightened: no corner that is left out lies farther than so many mm from what is drawn instead. */
export function straightened(piece: Polygon, byMm: number): Polygon {
  const straight = ringsOf([piece]).map((ring) => straightRing(ring, byMm));
  // Where that made a neck cross itself it is taken apart again; the largest part is the piece.
  const clean = written(Clipper.union(whole(straight), FillRule.NonZero));
  return nestRings(clean)[0] ?? piece;
}
