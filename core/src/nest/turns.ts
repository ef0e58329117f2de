/** The turns in which a piece may be laid, degrees: steps all round, half turns, or quarter turns and those at which its hull lies well. */
import { boundsOf, convexHull, type Point, type Ring, ringSize } from '../geometry/index.ts';

/** How pieces may be turned on a sheet. */
export type Turning = { kind: 'free' } | { kind: 'steps'; degrees: number } | { kind: 'half' };

/** Two turns nearer than this are one, degrees. */
const APART = 2.5;
/** An edge of the hull counts when it is more than this part of the way round. */
const LONG_EDGE = 0.08;

/**
 * The turns that a piece may be laid with, degrees. Half turns only for a sheet with a grain; steps all round; free ones are the four quarter turns, and those in
 * which its box is smallest or a long edge of its hull lies along the sheet, then some aslant, up to `most`. Where a piece fits none of the `rooms` at
 * any of these, but does at another turn, that one too: read every degree.
 */
export function turnsOf(
  outline: Ring,
  turning: Turning,
  most: number,
  rooms: readonly { widthMm: number; depthMm: number }[] = [],
): number[] {
  if (turning.kind === 'half') return [0, 180];
  if (turning.kind === 'steps') {
    const steps = Math.max(1, Math.round(360 / turning.degrees));
    return Array.from({ length: steps }, (_, k) => k * turning.degrees);
  }
  const turns = [0, 90, 180, 270];
  const add = (degrees: number) => {
    const turn = ((degrees % 360) + 360) % 360;
    const apart = (other: number) => Math.min(Math.abs(other - turn), 360 - Math.abs(other - turn));
    if (turns.length < most && turns.every((other) => apart(other) >= APART)) turns.push(turn);
  };
  const hull = convexHull(outline);
  const edges = hull.map((a, k) => ({ a, b: hull[(k + 1) % hull.length] }));
  const long = ({ a, b }: { a: Point; b: Point }) => Math.hypot(b[0] - a[0], b[1] - a[1]);
  const along = ({ a, b }: { a: Point; b: Point }) => (-Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI;
  // The smallest box round it has an edge of the hull along one of its sides (Freeman and Shapira 1975).
  const boxAt = (degrees: number) => {
    const c = Math.cos((degrees * Math.PI) / 180);
    const s = Math.sin((degrees * Math.PI) / 180);
    const [x0, y0, x1, y1] = boundsOf(hull.map(([x, y]): Point => [x * c - y * s, x * s + y * c]));
    return (x1 - x0) * (y1 - y0);
  };
  const tight = edges.map(along).sort((a, b) => boxAt(a) - boxAt(b))[0] ?? 0;
  for (const quarter of [0, 90, 180, 270]) add(tight + quarter);
  const round = edges.reduce((sum, edge) => sum + long(edge), 0);
  for (const edge of [...edges].sort((a, b) => long(b) - long(a)))
    if (long(edge) > round * LONG_EDGE) for (const quarter of [0, 90, 180, 270]) add(along(edge) + quarter);
  for (const aslant of [45, 30, 60]) for (const quarter of [0, 90, 180, 270]) add(tight + aslant + quarter);
  const fits = (degrees: number) => {
    const c = Math.cos((degrees * Math.PI) / 180);
    const s = Math.sin((degrees * Math.PI) / 180);
    const box = ringSize(hull.map(([x, y]): Point => [x * c - y * s, x * s + y * c]));
    return rooms.some(({ widthMm, depthMm }) => box.widthMm <= widthMm && box.depthMm <= depthMm);
  };
  if (!turns.some(fits)) {
    const other = Array.from({ length: 360 }, (_, degrees) => degrees).find(fits);
    if (other !== undefined) turns.push(other);
  }
  return turns;
}
