import { boundsOf, insideRing, lineLength, type Ring } from '../../geometry/index.ts';
import { type Landform, runOf } from '../../project/index.ts';
import type { Built } from './compose.ts';
import { gradientOf } from './field.ts';
import { waterLineOf } from './works.ts';

/** Something that lies under a span: where it is, and the water's level on it. */
export interface Beneath {
  id: string;
  /** Whether it lies at a place, and the water's height there (null where it is dry). */
  at: (x: number, y: number) => { waterMm: number | null } | null;
}

/** Nearest point of a line: distance and how far along it, mm. */
export function nearestOn(line: Ring, x: number, y: number): { distanceMm: number; alongMm: number } {
  // Squares are compared, and the root is drawn once: this is asked for every cell.
  let least = Number.POSITIVE_INFINITY;
  let alongMm = 0;
  let along = 0;
  for (let k = 1; k < line.length; k++) {
    const [ax, ay] = line[k - 1];
    const dx = line[k][0] - ax;
    const dy = line[k][1] - ay;
    const square = dx * dx + dy * dy;
    const t = square ? Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / square)) : 0;
    const u = x - ax - t * dx;
    const v = y - ay - t * dy;
    const length = Math.sqrt(square);
    if (u * u + v * v < least) {
      least = u * u + v * v;
      alongMm = along + t * length;
    }
    along += length;
  }
  return { distanceMm: Math.sqrt(least), alongMm };
}

const HAIR_MM = 1e-6;

/** Ways, steps and waters in the order of building: what a span can lie over. */
export function beneaths(landforms: readonly Landform[], built: readonly Built[]): Beneath[] {
  return landforms.flatMap((form): Beneath[] => {
    const run = runOf(form);
    const ends = built.find(({ id }) => id === form.id)?.ends;
    const { id } = form;
    if (form.kind === 'basin' || form.kind === 'pit')
      return [{ id, at: inBox(run, 0, (x, y) => (insideRing(run, x, y) ? { waterMm: form.waterMm } : null)) }];
    if (form.kind === 'way' || form.kind === 'steps') {
      const half = form.widthMm / 2;
      const length = lineLength(run, false);
      // It ends square: round its last point lies its bank.
      const onIt = ({ distanceMm, alongMm }: ReturnType<typeof nearestOn>) =>
        distanceMm <= half && ((alongMm > 0 && alongMm < length) || distanceMm < HAIR_MM);
      return [{ id, at: inBox(run, half, (x, y) => (onIt(nearestOn(run, x, y)) ? { waterMm: null } : null)) }];
    }
    if (form.kind === 'channel' && ends) {
      const line = waterLineOf(form, ends);
      const half = form.widthMm / 2 + form.waterMm / gradientOf(form.bankDegrees);
      return [
        {
          id,
          at: inBox(run, half, (x, y) => {
            const { distanceMm, alongMm } = nearestOn(run, x, y);
            return distanceMm <= half ? { waterMm: line(alongMm) } : null;
          }),
        },
      ];
    }
    return [];
  });
}

/** Nothing farther from a line's box than it reaches lies on it: most places are told by that. */
function inBox(run: Ring, reachMm: number, at: Beneath['at']): Beneath['at'] {
  const [x0, y0, x1, y1] = boundsOf(run);
  return (x, y) => (x < x0 - reachMm || x > x1 + reachMm || y < y0 - reachMm || y > y1 + reachMm ? null : at(x, y));
}
