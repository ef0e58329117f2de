import { boundsOf, clipRings, insideRing, type Point, type Ring } from '../geometry/index.ts';
import type { Part } from './bodies.ts';

const toSegment = (p: Point, a: Point, b: Point): number => {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const square = dx * dx + dy * dy;
  const t = square ? Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / square)) : 0;
  return Math.hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy);
};

/** Distance of a point from an outline, negative inside. */
function toRing(p: Point, ring: Ring): number {
  let least = Number.POSITIVE_INFINITY;
  for (let k = 0; k < ring.length; k++) least = Math.min(least, toSegment(p, ring[k], ring[(k + 1) % ring.length]));
  return insideRing(ring, p[0], p[1]) ? -least : least;
}

/** Room between two parts on the plan, mm; negative where they overlap (for two outlines: the narrow side of what they share). */
export function gapBetween(a: Part, b: Part): number {
  if (a.kind === 'round' && b.kind === 'round')
    return Math.hypot(a.at[0] - b.at[0], a.at[1] - b.at[1]) - a.radiusMm - b.radiusMm;
  if (a.kind === 'round' && b.kind === 'outline') return toRing(a.at, b.ring) - a.radiusMm;
  if (a.kind === 'outline' && b.kind === 'round') return gapBetween(b, a);
  if (a.kind !== 'outline' || b.kind !== 'outline') return Number.POSITIVE_INFINITY;
  const shared = clipRings([a.ring], b.ring).flat();
  if (shared.length) {
    const [x0, y0, x1, y1] = boundsOf(shared);
    return -Math.min(x1 - x0, y1 - y0);
  }
  return Math.max(0, Math.min(...a.ring.map((p) => toRing(p, b.ring)), ...b.ring.map((p) => toRing(p, a.ring))));
}
