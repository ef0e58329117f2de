import { lineLength } from '../geometry/index.ts';
import { outerOutline } from './base.ts';
import { movedOut } from './board.ts';
import type { Base } from './schemas/baseSchema.ts';

/** One straight strip of a frame: its long and short edge, and what the saw is set to at each end (0 is square across). */
export interface FramePiece {
  outerMm: number;
  innerMm: number;
  startDegrees: number;
  endDegrees: number;
}

/** The strips of a frame, in the order of the outline; a curved rim is one bent strip. */
export interface FrameCut {
  pieces: FramePiece[];
  /** Length of a strip bent round a curved base, along its middle, mm; 0 where the sides are straight. */
  bentMm: number;
  /** All long edges together: what must be bought, before waste. */
  lengthMm: number;
}

/**
 * Lengths and mitres of the frame round a base. At a corner where the outline turns by t, both strips are cut at t/2, so that an edge
 * lying `a` outside the outline is longer by a tan(t/2) at that end (trigonometry of the mitre; a rectangle gives 45 degrees).
 */
export function frameOf(base: Base): FrameCut | null {
  const { frame, shape } = base;
  if (!frame) return null;
  // Round the board, where it stands out; a wave is not framed.
  const ring = movedOut(outerOutline(base), base.board.material === 'none' ? 0 : Math.max(0, base.board.beyondMm ?? 0));
  const outside = frame.widthMm - frame.lapMm;
  if (shape.kind === 'round' || shape.kind === 'oval') {
    const middle = outside - frame.widthMm / 2;
    const bentMm = lineLength(ring) + 2 * Math.PI * middle;
    return { pieces: [], bentMm, lengthMm: bentMm };
  }
  const turns = ring.map((point, k) => {
    const before = ring[(k + ring.length - 1) % ring.length];
    const after = ring[(k + 1) % ring.length];
    const [ux, uy] = [point[0] - before[0], point[1] - before[1]];
    const [vx, vy] = [after[0] - point[0], after[1] - point[1]];
    return Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy);
  });
  const pieces = ring.map((from, k) => {
    const next = (k + 1) % ring.length;
    const side = Math.hypot(ring[next][0] - from[0], ring[next][1] - from[1]);
    const lengthening = Math.tan(turns[k] / 2) + Math.tan(turns[next] / 2);
    return {
      outerMm: side + outside * lengthening,
      innerMm: side - frame.lapMm * lengthening,
      startDegrees: (90 * turns[k]) / Math.PI,
      endDegrees: (90 * turns[next]) / Math.PI,
    };
  });
  const lengthMm = pieces.reduce((sum, { outerMm, innerMm }) => sum + Math.max(outerMm, innerMm), 0);
  return { pieces, bentMm: 0, lengthMm };
}
