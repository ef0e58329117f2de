/** The board under the ground: its own outline, its holes and how it is raised, mm. Everything here is plane geometry of the base's outline. */
import { boundsOf, keyholed, lineLength, outlineRings, type Point, type Ring, ringArea } from '../geometry/index.ts';
import { baseOutline, openingRing, openingWithin, outerOutline } from './base.ts';
import type { Base } from './schemas/baseSchema.ts';

/** Points along a sawn wave: so many a wave. */
const A_WAVE = 16;
/** A new board, mm (common practice, no source). */
const USUAL_BOARD_MM = 6;
/** Points round a hole. */
const DISC = 32;

/** A ring moved outward by `byMm` (inward below 0), mitred; sharp corners are cut at twice the distance. */
export function movedOut(ring: Ring, byMm: number): Ring {
  if (!byMm) return ring;
  // Counter-clockwise, what lies outside is to the right.
  const out = ringArea(ring) >= 0 ? byMm : -byMm;
  return ring.map((point, k) => {
    const before = normalOf(ring[(k + ring.length - 1) % ring.length], point);
    const after = normalOf(point, ring[(k + 1) % ring.length]);
    const reach = out / Math.max(0.5, 1 + before[0] * after[0] + before[1] * after[1]);
    return [point[0] + (before[0] + after[0]) * reach, point[1] + (before[1] + after[1]) * reach] as const;
  });
}

/** To the right of the way from one point to another. */
function normalOf([ax, ay]: Point, [bx, by]: Point): Point {
  const length = Math.hypot(bx - ax, by - ay) || 1;
  return [(by - ay) / length, -(bx - ax) / length];
}

/** A ring swung out and back along its whole length in so many whole waves as come nearest to `longMm` each. */
function waved(ring: Ring, deepMm: number, longMm: number): Ring {
  const whole = lineLength([...ring, ring[0]], false);
  const waves = Math.max(1, Math.round(whole / longMm));
  const points: Point[] = [];
  const step = whole / (waves * A_WAVE);
  let passed = 0;
  let next = 0;
  ring.forEach((from, k) => {
    const to = ring[(k + 1) % ring.length];
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    const [nx, ny] = normalOf(from, to);
    for (; next < passed + length - 1e-9; next += step) {
      const share = (next - passed) / length;
      const swing = deepMm * Math.sin((2 * Math.PI * waves * next) / whole);
      points.push([from[0] + share * (to[0] - from[0]) + swing * nx, from[1] + share * (to[1] - from[1]) + swing * ny]);
    }
    passed += length;
  });
  return points;
}

const known = new WeakMap<Base, Ring | null>();

/** The outline of the board; null where there is none. */
export function boardOutline(base: Base): Ring | null {
  const before = known.get(base);
  if (before !== undefined) return before;
  const { material, beyondMm = 0, wave } = base.board;
  const plain = movedOut(outerOutline(base), beyondMm);
  const edge = wave ? waved(plain, wave.deepMm, wave.longMm) : plain;
  const opened = base.opening && openingWithin(base) ? keyholed(edge, openingRing(base.opening)) : edge;
  const outline = material === 'none' ? null : opened;
  known.set(base, outline);
  return outline;
}

/** What the piece covers of a table: the board, or the ground where that reaches farther or there is no board. */
export function footprintOf(base: Base): Ring {
  const board = boardOutline(base);
  const ground = baseOutline(base);
  if (!board) return ground;
  return (base.board.beyondMm ?? 0) < 0 ? ground : board;
}

/** Width and depth of that, its frame included, mm. */
export function coveredSize(base: Base): { widthMm: number; depthMm: number } {
  const [x0, y0, x1, y1] = boundsOf(footprintOf(base));
  const out = base.frame ? 2 * Math.max(0, base.frame.widthMm - base.frame.lapMm) : 0;
  return { widthMm: x1 - x0 + out, depthMm: y1 - y0 + out };
}

/** What the piece stands on: the middles of its feet, else the board, else the ground. */
export function standsOn(base: Base): Ring {
  const ring = boardOutline(base) ?? baseOutline(base);
  return base.feet ? feetPlaces(base) : ring;
}

/** Feet along the edge of what they are under, each with its whole width within it: at the corners where there are as many, else evenly parted. */
export function feetPlaces(base: Base): Point[] {
  const { feet } = base;
  if (!feet) return [];
  const [edge] = outlineRings(boardOutline(base) ?? baseOutline(base));
  const within = movedOut(edge, -feet.acrossMm / 2);
  if (within.length === feet.count) return [...within];
  const closed = [...within, within[0]];
  const whole = lineLength(closed, false);
  return Array.from({ length: feet.count }, (_, k) => along(closed, (k * whole) / feet.count));
}

function along(line: Ring, atMm: number): Point {
  let left = atMm;
  for (let k = 1; k < line.length; k++) {
    const [[ax, ay], [bx, by]] = [line[k - 1], line[k]];
    const length = Math.hypot(bx - ax, by - ay);
    if (left <= length) return [ax + ((bx - ax) * left) / (length || 1), ay + ((by - ay) * left) / (length || 1)];
    left -= length;
  }
  return line[line.length - 1];
}

/** From the table to the top of the board: bottom panel, feet and board, mm. */
export const underMm = ({ board, frame, feet }: Base): number =>
  board.thicknessMm + (frame?.bottomMm ?? 0) + (feet?.heightMm ?? 0);

/** A circle as a ring. */
export const discOf = ([x, y]: Point, acrossMm: number): Ring =>
  Array.from({ length: DISC }, (_, k) => {
    const turn = (2 * Math.PI * k) / DISC;
    return [x + (acrossMm / 2) * Math.cos(turn), y + (acrossMm / 2) * Math.sin(turn)] as const;
  });

/** Area of the board, its holes taken out, mm2. */
export function boardAreaMm2(base: Base): number {
  const outline = boardOutline(base);
  if (!outline) return 0;
  const holes = (base.board.holes ?? []).reduce((sum, { acrossMm }) => sum + (Math.PI / 4) * acrossMm ** 2, 0);
  return Math.max(0, Math.abs(ringArea(outline)) - holes);
}

/** The board made of something else: none has no thickness and nothing of its own, a new one is as thick as boards usually are. */
export const boardOfKind = (board: Base['board'], material: Base['board']['material']): Base['board'] =>
  material === 'none'
    ? { material, thicknessMm: 0, airBelow: board.airBelow }
    : { ...board, material, thicknessMm: board.thicknessMm || USUAL_BOARD_MM, densityKgL: undefined };

/** A hole as it is called: "Hole 2". */
export const holeName = ({ board }: Base, id: string): string | null => {
  const k = (board.holes ?? []).findIndex((hole) => hole.id === id);
  return k < 0 ? null : `Hole ${k + 1}`;
};
