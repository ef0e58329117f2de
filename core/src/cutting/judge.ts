/** What is wrong with pieces as they lie: overlaps and gaps to others and to the edge, by exact polygons. */
import {
  boundsOf,
  cutRings,
  meetRings,
  type Polygon,
  polygonArea,
  type Ring,
  ringArea,
  ringsOf,
} from '../geometry/index.ts';
import { grown } from '../nest/index.ts';

/** What is wrong with a piece as it lies. */
export interface Clash {
  piece: string;
  /** The piece it overlaps, or comes nearer to than the gap; null: the edge of the sheet. */
  with: string | null;
  areaMm2: number;
}

/** Outlines are grown by up to this much more than they should be, and half a tenth is forgiven, mm. */
const ROUNDING_MM = 0.12;

/** Overlaps smaller than this are rounding, mm2; so much may a piece stand over the edge of its sheet, mm. */
const NOTHING_MM2 = 0.05;
const OVER_EDGE_MM = 0.1;

interface Lies {
  id: string;
  lies: Polygon;
}

/**
 * Pieces on one bed that overlap each other, come nearer than the gap, or stand over its margin. By the clipper, on the outlines
 * themselves: good to a tenth of a millimetre.
 */
export function clashesOn(outline: Ring, pieces: readonly Lies[], gapMm: number, marginMm: number): Clash[] {
  const clashes: Clash[] = [];
  const wide = pieces.map(({ lies }) => {
    // A tenth less than the gap, so that pieces just the gap apart do not clash by rounding.
    const by = Math.max(0, gapMm / 2 - ROUNDING_MM);
    return by > 0 ? grown(lies, by) : lies;
  });
  const boxes = wide.map(({ outer }) => boundsOf(outer));
  for (let a = 0; a < pieces.length; a++)
    for (let b = a + 1; b < pieces.length; b++) {
      const [p, q] = [boxes[a], boxes[b]];
      if (p[0] > q[2] || q[0] > p[2] || p[1] > q[3] || q[1] > p[3]) continue;
      const areaMm2 = areaOf(meetRings(ringsOf([wide[a]]), ringsOf([wide[b]])));
      if (areaMm2 > NOTHING_MM2) clashes.push({ piece: pieces[a].id, with: pieces[b].id, areaMm2 });
    }
  const rim = grown({ outer: outline, holes: [] }, OVER_EDGE_MM - marginMm);
  for (const { id, lies } of pieces) {
    const areaMm2 = areaOf(cutRings([lies.outer], [rim.outer]));
    if (areaMm2 > NOTHING_MM2) clashes.push({ piece: id, with: null, areaMm2 });
  }
  return clashes;
}

const areaOf = (rings: readonly Ring[]): number => rings.reduce((sum, ring) => sum + ringArea(ring), 0);

/** Area of what lies on a bed, mm2. */
export const laidArea = (pieces: readonly Lies[]): number =>
  pieces.reduce((sum, { lies }) => sum + polygonArea(lies), 0);
