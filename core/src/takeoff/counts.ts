import { heightAt, lineLength, type Point, pointAlong } from '../geometry/index.ts';
import type { Ground } from '../ground/index.ts';
import { type Count, isClosed, type Row, runOf } from '../project/index.ts';
import { power } from '../units/index.ts';

/** A line that turns by more than this has a corner there, which wants a post of its own, degrees. */
const CORNER_DEGREES = 20;

/** Posts along a line: every stretch between corners in equal bays no longer than the pitch. */
export interface Posts {
  posts: number;
  bays: number;
  corners: number;
  /** The shortest and the longest bay. */
  leastMm: number;
  mostMm: number;
}

const distance = ([ax, ay]: Point, [bx, by]: Point) => Math.hypot(bx - ax, by - ay);

/**
 * Posts of a fence, ends counted right: one more than there are bays where it is open, as many where it closes. A post stands at every corner; a line that closes
 * without a corner is parted evenly all round.
 */
export function postsAlong(run: readonly Point[], pitchMm: number, closed: boolean): Posts {
  const { stretches, corners } = stretchesOf(run, closed);
  const bays = stretches.map((stretch) => baysOf(lineLength(stretch, false), pitchMm));
  const all = bays.reduce((sum, n) => sum + n, 0);
  const each = stretches.map((stretch, k) => lineLength(stretch, false) / bays[k]);
  return {
    posts: all === 0 ? 0 : closed ? all : all + 1,
    bays: all,
    corners,
    leastMm: each.length ? Math.min(...each) : 0,
    mostMm: each.length ? Math.max(...each) : 0,
  };
}

/** Where those posts stand. */
export function postPlaces(run: readonly Point[], pitchMm: number, closed: boolean): Point[] {
  const { stretches } = stretchesOf(run, closed);
  const places = stretches.flatMap((stretch) => {
    const length = lineLength(stretch, false);
    const bays = baysOf(length, pitchMm);
    return Array.from({ length: bays }, (_, k) => pointAlong(stretch, (k * length) / bays).at);
  });
  const last = stretches.at(-1)?.at(-1);
  return closed || !last ? places : [...places, last];
}

const baysOf = (lengthMm: number, pitchMm: number) => Math.max(1, Math.ceil(lengthMm / pitchMm - 1e-9));

/** A line parted at its corners. Round a closed line the last part runs on into the first unless a corner stands at its beginning. */
function stretchesOf(run: readonly Point[], closed: boolean): { stretches: Point[][]; corners: number } {
  const corners = cornersOf(run, closed);
  // A closed line begins at its first corner, where it has one.
  const from = closed ? (corners[0] ?? 0) : 0;
  const turned = [...run.slice(from), ...run.slice(0, from)];
  const line = closed ? [...turned, turned[0]] : turned;
  const cut = new Set(corners.map((k) => (k - from + run.length) % run.length));
  const stretches: Point[][] = [];
  let stretch: Point[] = [line[0]];
  for (let k = 1; k < line.length; k++) {
    stretch.push(line[k]);
    if (k < line.length - 1 && !cut.has(k)) continue;
    if (lineLength(stretch, false) > 1e-9) stretches.push(stretch);
    stretch = [line[k]];
  }
  return { stretches, corners: corners.length };
}
/** Places in the line at which it turns sharply; the two ends of an open line are none. */
function cornersOf(run: readonly Point[], closed: boolean): number[] {
  const found: number[] = [];
  for (let k = closed ? 0 : 1; k < (closed ? run.length : run.length - 1); k++) {
    const before = run[(k + run.length - 1) % run.length];
    const after = run[(k + 1) % run.length];
    const here = run[k];
    const turn = Math.abs(
      Math.atan2(after[1] - here[1], after[0] - here[0]) - Math.atan2(here[1] - before[1], here[0] - before[0]),
    );
    const degrees = (Math.min(turn, 2 * Math.PI - turn) * 180) / Math.PI;
    if (degrees > CORNER_DEGREES) found.push(k);
  }
  return found;
}

/** Length of a line as it lies on the ground, mm. */
export function lengthOnGround(run: readonly Point[], closed: boolean, { grid }: Ground): number {
  let length = 0;
  const line = closed ? [...run, run[0]] : run;
  for (let k = 1; k < line.length; k++) {
    const [a, b] = [line[k - 1], line[k]];
    const flat = distance(a, b);
    const parts = Math.max(1, Math.ceil(flat / (2 * grid.cellMm)));
    const height = (t: number) => heightAt(grid, a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]));
    for (let n = 0; n < parts; n++) length += Math.hypot(flat / parts, height((n + 1) / parts) - height(n / parts));
  }
  return length;
}

/** How many pieces with a gap between each go on a length: n widths and n - 1 gaps. */
export const alongLength = (lengthMm: number, pieceMm: number, gapMm: number): number =>
  Math.max(0, Math.floor((lengthMm + gapMm) / (pieceMm + gapMm) + 1e-9));

/** The frontage of the house that the catalogue's figures are for, and how thick its walls are, mm (common practice, no source). */
const USUAL_HOUSE_MM = 60;
const WALL_MM = 1.5;

/** What a house of this frontage is of the usual one, in minutes and in mass. */
export interface HouseShare {
  minutes: number;
  mass: number;
}

/**
 * A house as deep and as tall as its frontage: its mass goes by its walls (the smallest are solid), its work by its length. One of 4 mm
 * weighs a sixteenth of a gram, one of 60 mm 40 g.
 */
export function houseShare(frontageMm: number): HouseShare {
  const walls = (side: number) => power(side, 3) - power(Math.max(0, side - 2 * WALL_MM), 3);
  return { minutes: frontageMm / USUAL_HOUSE_MM, mass: walls(frontageMm) / walls(USUAL_HOUSE_MM) };
}

/** Wedge-shaped stones of a ring or an arch. */
export interface RingStones {
  stones: number;
  wedgeDegrees: number;
  /** Straight across the stone at its inner and outer face, mm. */
  innerMm: number;
  outerMm: number;
  taperMm: number;
}

/**
 * Stones round a ring: so many that their width at the inside is nearest to what is wanted; each spans sweep / n, and between joints of one width a stone of inner
 * radius r and depth d is 2 r sin(w / 2) - j wide inside and 2 (r + d) sin(w / 2) - j outside. A whole ring has as many joints as stones. Equal blocks do not close a ring.
 */
export function stonesOf({
  insideMm,
  deepMm,
  wideMm,
  jointMm,
  sweepDegrees,
}: Extract<Count, { kind: 'ring' }>): RingStones {
  const radius = insideMm / 2;
  const sweep = (sweepDegrees * Math.PI) / 180;
  const least = sweepDegrees >= 359.9 ? 3 : 1;
  const stones = Math.max(least, Math.round((sweep * radius) / (wideMm + jointMm)));
  const wedge = sweep / stones;
  const across = (r: number) => 2 * r * Math.sin(Math.min(Math.PI, wedge) / 2) - jointMm;
  const innerMm = Math.max(0, across(radius));
  const outerMm = across(radius + deepMm);
  return { stones, wedgeDegrees: (wedge * 180) / Math.PI, innerMm, outerMm, taperMm: outerMm - innerMm };
}

/** Tiles in courses, cut ones counted whole: courses by the gauge, tiles in each by their width and a joint, every other course half a tile further. */
export function tilesOf({ widthMm, heightMm, tileMm, gaugeMm, jointMm, faces }: Extract<Count, { kind: 'tiling' }>): {
  courses: number;
  tiles: number;
} {
  const courses = Math.ceil(heightMm / gaugeMm - 1e-9);
  const whole = Math.ceil((widthMm + jointMm) / (tileMm + jointMm) - 1e-9);
  const shifted = Math.ceil((widthMm + jointMm + tileMm / 2) / (tileMm + jointMm) - 1e-9);
  const even = Math.floor(courses / 2);
  return { courses, tiles: faces * ((courses - even) * whole + even * shifted) };
}

/** What is set in a row, as numbers of pieces and lengths. */
export interface RowRead {
  lengthMm: number;
  pieces: { material: string; name: string; count: number; how: string }[];
  /** Of rails: length of one, times how many. */
  railMm: number;
}

export function readRow(row: Row, ground: Ground): RowRead {
  const run = runOf(row);
  const closed = isClosed(row);
  const lengthMm = lengthOnGround(run, closed, ground);
  const flat = run.slice(1).reduce((sum, point, k) => sum + distance(run[k], point), 0);
  switch (row.kind) {
    case 'fence': {
      const { posts, bays, corners } = postsAlong(run, row.pitchMm, closed);
      const how = `${bays} bays${corners ? `, ${corners} ${corners === 1 ? 'corner' : 'corners'}` : ''}, ${closed ? 'closed: as many posts' : 'open: one post more'}`;
      return {
        lengthMm,
        railMm: lengthMm * row.rails,
        pieces: [
          { material: 'post', name: 'Posts', count: posts, how },
          { material: 'rail', name: 'Rails', count: bays * row.rails, how: `${bays} bays x ${row.rails}` },
        ],
      };
    }
    case 'street': {
      const side = alongLength(flat, row.frontageMm, row.gapMm);
      const sides = row.sides === 'both sides' ? 2 : 1;
      return {
        lengthMm,
        railMm: 0,
        pieces: [{ material: 'house', name: 'Houses', count: side * sides, how: `${side} on ${row.sides}` }],
      };
    }
    case 'track': {
      const gaps = Math.max(1, Math.round(lengthMm / row.pitchMm));
      return {
        lengthMm,
        railMm: 2 * lengthMm,
        pieces: [{ material: 'sleeper', name: 'Sleepers', count: gaps + 1, how: `${gaps} gaps and both ends` }],
      };
    }
  }
}
