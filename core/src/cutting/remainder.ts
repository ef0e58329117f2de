/** What is left of a sheet as offcuts: the difference, opened by a disc of the least width. */
import {
  boundsOf,
  clipToConvex,
  cutRings,
  growRings,
  meetRings,
  nestRings,
  type Polygon,
  polygonArea,
  type Ring,
  ringArea,
  ringsOf,
  straightened,
} from '../geometry/index.ts';
import { rectangle } from './beds.ts';

/** An offcut is worth keeping when something this wide fits into it all along, mm, and it is at least this large, mm2. */
const LEAST_WIDTH_MM = 30;
const LEAST_AREA_MM2 = 2500;
/** Outlines that are put away are straightened to this, mm: an offcut is traced, not measured. */
const TRACED_MM = 0.5;
const MOST_CORNERS = 450;

/**
 * What is left of a sheet or offcut when pieces have been cut from it: first everything beyond the last piece, cut straight across, then what lies between them,
 * as far as it is wide enough. `kerfMm` is what the tool takes round each piece. Outlines have no holes: where one had, it is cut open through the hole.
 */
export function remainderOf(outline: Ring, pieces: readonly Polygon[], kerfMm: number): Ring[] {
  if (!pieces.length) return [outline];
  const [x0, y0, x1, y1] = boundsOf(outline);
  const reach = Math.max(...pieces.map(({ outer }) => boundsOf(outer)[2])) + kerfMm;
  const kept: Ring[] = [];
  if (x1 - reach >= LEAST_WIDTH_MM) {
    const beyond = clipToConvex(outline, move(rectangle(x1 - reach, y1 - y0), reach, y0));
    if (beyond.length > 2) kept.push(...opened(beyond));
  }
  const within = clipToConvex(outline, move(rectangle(Math.min(reach, x1) - x0, y1 - y0), x0, y0));
  const cut = pieces.flatMap((piece) => (kerfMm > 0 ? growRings(ringsOf([piece]), kerfMm) : ringsOf([piece])));
  for (const part of nestRings(cutRings([within], cut))) kept.push(...withoutHoles(part).flatMap(opened));
  return kept.filter((ring) => ringArea(ring) >= LEAST_AREA_MM2).sort((a, b) => ringArea(b) - ringArea(a));
}

const move = (ring: Ring, dx: number, dy: number): Ring => ring.map(([x, y]) => [x + dx, y + dy] as const);

/** The parts of a ring that are wide enough: made thinner by half the least width all round, and as much wider again. */
function opened(ring: Ring): Ring[] {
  const thin = growRings([ring], -LEAST_WIDTH_MM / 2, TRACED_MM / 2);
  // Grown back farther than it was made thinner, so that corners stay square, but never beyond what is there.
  return nestRings(meetRings(growRings(thin, LEAST_WIDTH_MM * 0.72, TRACED_MM / 2), [ring])).map(({ outer }) => {
    let byMm = TRACED_MM;
    let straight = straightened({ outer, holes: [] }, byMm).outer;
    while (straight.length > MOST_CORNERS) {
      byMm *= 2;
      straight = straightened({ outer, holes: [] }, byMm).outer;
    }
    return straight;
  });
}

/** A piece cut open from side to side through the middle of each hole, until none is left. */
function withoutHoles(piece: Polygon): Ring[] {
  if (!piece.holes.length) return [piece.outer];
  const [hx0, , hx1] = boundsOf(piece.holes[0]);
  const [x0, y0, x1, y1] = boundsOf(piece.outer);
  const at = (hx0 + hx1) / 2;
  const left = move(rectangle(at - x0 + 1, y1 - y0 + 2), x0 - 1, y0 - 1);
  const right = move(rectangle(x1 - at + 1, y1 - y0 + 2), at, y0 - 1);
  return [left, right].flatMap((half) => {
    const other = half === left ? right : left;
    return nestRings(cutRings(ringsOf([piece]), [other]))
      .filter((part) => polygonArea(part) > 1)
      .flatMap(withoutHoles);
  });
}
