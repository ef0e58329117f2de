/**
 * A nesting problem (pieces with turns, beds, gap and margin in mm) and what is made ready of it: rasters of every turn and the ground of
 * every bed.
 */
import {
  boundsOf,
  growRings,
  nestRings,
  type Point,
  type Polygon,
  polygonArea,
  type Ring,
  ringSize,
  ringsOf,
} from '../geometry/index.ts';
import { movePolygon, type Raster, rasterOf, turnPolygon } from './raster.ts';

/** A piece to be laid, in measures of its own, and the turns (degrees, counter-clockwise) that it may be laid with. */
export interface NestPiece {
  id: string;
  outline: Polygon;
  turns: readonly number[];
  /** It may be laid at any other turn as well. */
  anyTurn?: boolean;
}

/** What pieces are laid on: one sheet or offcut. Those that come first are filled first. */
export interface Bed {
  id: string;
  outline: Ring;
  /** An offcut costs nothing; a sheet that must be bought is opened last. */
  kind: 'offcut' | 'sheet' | 'bought';
}

/** Where a piece lies: turned about the middle of its own box, which then stands at (xMm, yMm) on the bed. */
export interface Placed {
  piece: number;
  bed: number;
  turn: number;
  xMm: number;
  yMm: number;
}

export interface NestProblem {
  pieces: readonly NestPiece[];
  beds: readonly Bed[];
  /** Left free between pieces, and along the edge of a bed. */
  gapMm: number;
  marginMm: number;
  /** Pieces that stay where they are. */
  pinned: readonly Placed[];
}

/** A piece at one of its turns, grown by half the gap; the corner of its box is what is placed. */
export interface Variant {
  id: number;
  piece: number;
  turn: number;
  widthMm: number;
  depthMm: number;
  /** From the corner of the grown box to the middle of the piece's own box. */
  middle: Point;
  raster: Raster;
}

/** A bed less its margin; corners of grown pieces stand on lattice places counted from its near left corner. */
export interface Ground {
  bed: number;
  x0: number;
  y0: number;
  widthMm: number;
  depthMm: number;
  kind: Bed['kind'];
  /** Its outline less the margin, where it is no plain rectangle. */
  free: Polygon | null;
  /** What is no part of it within its box, and what is pinned on it. */
  obstacles: { raster: Raster; i0: number; j0: number }[];
}

/** A problem made ready for the lattice. */
export interface Prepared {
  problem: NestProblem;
  cellMm: number;
  /** By piece, its variants; a pinned piece has none. */
  variants: Variant[][];
  count: number;
  grounds: Ground[];
  areas: number[];
  pinned: readonly Placed[];
}

const middleOf = (outer: Ring): Point => {
  const [x0, y0, x1, y1] = boundsOf(outer);
  return [(x0 + x1) / 2, (y0 + y1) / 2];
};

/** The piece as it lies. */
export function laidOut(piece: NestPiece, { turn, xMm, yMm }: Pick<Placed, 'turn' | 'xMm' | 'yMm'>): Polygon {
  const [mx, my] = middleOf(piece.outline.outer);
  return movePolygon(turnPolygon(movePolygon(piece.outline, -mx, -my), turn), xMm, yMm);
}

/** Cells on the largest bed: enough to place well, few enough to be quick. */
const CELLS = 26_000;
const FINEST_MM = 1;
const COARSEST_MM = 6;
/** Grown outlines may stray from the true distance by this much; it is added. */
const ROUND_MM = 0.07;

/** A polygon with all that lies nearer to it than so many mm; less than nothing takes its rim away. Holes that close are gone. */
export function grown(polygon: Polygon, byMm: number): Polygon {
  if (byMm === 0) return polygon;
  const rings = nestRings(growRings(ringsOf([polygon]), byMm + Math.sign(byMm) * ROUND_MM));
  return rings[0] ?? polygon;
}

const isRectangle = (ring: Ring): boolean => {
  const [x0, y0, x1, y1] = boundsOf(ring);
  return ring.length === 4 && ring.every(([x, y]) => (x === x0 || x === x1) && (y === y0 || y === y1));
};

/** Cells that sizes in whole millimetres are often multiples of. */
const ROUND_CELLS = [1, 1.25, 1.5, 2, 2.5, 3, 4, 5, 6];

/** The size of a cell near the one wanted with which the boxes of pieces come nearest to whole cells: what is cut square then packs without loss. */
function cellFor({ pieces, gapMm }: NestProblem, wantedMm: number): number {
  const sizes = pieces.flatMap(({ outline }) => {
    const [x0, y0, x1, y1] = boundsOf(outline.outer);
    return [x1 - x0 + gapMm, y1 - y0 + gapMm];
  });
  const lost = (cellMm: number) => sizes.reduce((sum, mm) => sum + Math.ceil(mm / cellMm - ON_CELL) * cellMm - mm, 0);
  const near = ROUND_CELLS.filter((cellMm) => cellMm > wantedMm * 0.6 && cellMm < wantedMm * 1.15);
  return [wantedMm, ...near].reduce((best, cellMm) => (lost(cellMm) < lost(best) - 1e-9 ? cellMm : best));
}
/** A size that is so near a whole number of cells is one, in cells. */
const ON_CELL = 1e-6;

/** Maps of every two variants should take no more room than this, bytes. */
const ROOM_FOR_MAPS = 150e6;
const FEWEST_TURNS = 4;

/** So many turns of each piece leave room for the maps of every two of them. */
function mostTurns({ pieces }: NestProblem, cellMm: number, held: number): number {
  const free = Math.max(1, pieces.length - held);
  const cells = pieces.reduce((sum, { outline }) => {
    const [x0, y0, x1, y1] = boundsOf(outline.outer);
    return sum + (4 * (x1 - x0) * (y1 - y0)) / cellMm ** 2;
  }, 0);
  const each = cells / Math.max(1, pieces.length);
  return Math.max(FEWEST_TURNS, Math.floor(Math.sqrt((2 * ROOM_FOR_MAPS) / each) / free));
}

type Size = { widthMm: number; depthMm: number };
const fitsOne = (box: Size, rooms: readonly Size[]): boolean =>
  rooms.some(({ widthMm, depthMm }) => box.widthMm <= widthMm + 1e-6 && box.depthMm <= depthMm + 1e-6);

/** The first turns of a list; where a piece fits no bed at any of them, those after them at which it does, too. */
function worthTrying(turns: readonly number[], most: number, fits: (turn: number) => boolean): number[] {
  const first = turns.slice(0, most);
  return first.some(fits) ? first : [...first, ...turns.slice(most).filter(fits)];
}

/** Rasters and grounds of a problem; `fewTurns` leaves each piece no more turns than so many, and any at which it fits where none of those does. */
export function prepare(problem: NestProblem, fewTurns = Number.POSITIVE_INFINITY): Prepared {
  const { gapMm, marginMm } = problem;
  const boxes = problem.beds.map(({ outline }) => boundsOf(outline));
  const largest = Math.max(1, ...boxes.map(([x0, y0, x1, y1]) => (x1 - x0) * (y1 - y0)));
  const cellMm = cellFor(problem, Math.min(COARSEST_MM, Math.max(FINEST_MM, Math.sqrt(largest / CELLS))));
  const held = new Set(problem.pinned.map(({ piece }) => piece));
  const shapes = problem.pieces.map(({ outline }) => grown(outline, gapMm / 2));
  let count = 0;
  const most = Math.min(fewTurns, mostTurns(problem, cellMm, held.size));
  const rooms = problem.beds.map(({ outline }) => ringSize(outline));
  const variants = problem.pieces.map(({ outline, turns }, piece) => {
    if (held.has(piece)) return [];
    const [mx, my] = middleOf(outline.outer);
    const boxAt = (turn: number) => ringSize(turnPolygon(outline, turn).outer);
    return worthTrying(turns, most, (turn) => fitsOne(boxAt(turn), rooms)).map((turn): Variant => {
      // The box is taken from the piece itself, so that a piece as large as its bed still fits it.
      const [x0, y0, x1, y1] = boundsOf(turnPolygon(movePolygon(outline, -mx, -my), turn).outer);
      const corner: Point = [x0 - gapMm / 2, y0 - gapMm / 2];
      const shape = turnPolygon(movePolygon(shapes[piece], -mx, -my), turn);
      return {
        id: count++,
        piece,
        turn,
        widthMm: x1 - x0 + gapMm,
        depthMm: y1 - y0 + gapMm,
        middle: [-corner[0], -corner[1]],
        raster: rasterOf(shape, cellMm, corner),
      };
    });
  });
  // Half the gap belongs to the piece, so that much less margin is kept free of the grown piece.
  const rimMm = gapMm / 2 - marginMm;
  const grounds = problem.beds.map((bed, k): Ground => {
    const plain = isRectangle(bed.outline);
    const free = plain ? null : grown({ outer: bed.outline, holes: [] }, rimMm);
    const [x0, y0, x1, y1] = free ? boundsOf(free.outer) : boxes[k].map((v, i) => v + (i < 2 ? -rimMm : rimMm));
    const obstacles: Ground['obstacles'] = [];
    if (free) {
      const box: Ring = [
        [x0, y0],
        [x1, y0],
        [x1, y1],
        [x0, y1],
      ];
      // The rim's own round corners are not to be taken twice: what is outside is the box less what is free.
      obstacles.push({ raster: rasterOf({ outer: box, holes: [[...free.outer].reverse()] }, cellMm), i0: 0, j0: 0 });
    }
    for (const place of problem.pinned) {
      if (place.bed !== k) continue;
      const lies = grown(laidOut(problem.pieces[place.piece], place), gapMm / 2);
      const [px, py] = boundsOf(lies.outer);
      const i0 = Math.floor((px - x0) / cellMm);
      const j0 = Math.floor((py - y0) / cellMm);
      obstacles.push({ raster: rasterOf(lies, cellMm, [x0 + i0 * cellMm, y0 + j0 * cellMm]), i0, j0 });
    }
    return { bed: k, x0, y0, widthMm: x1 - x0, depthMm: y1 - y0, kind: bed.kind, free, obstacles };
  });
  return {
    problem,
    cellMm,
    variants,
    count,
    grounds,
    areas: problem.pieces.map(({ outline }) => polygonArea(outline)),
    pinned: problem.pinned,
  };
}
