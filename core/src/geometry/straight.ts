import type { Point } from './grid.ts';
import type { Ring } from './inside.ts';

/** Distance of a point from a stretch, mm. */
export function distanceToStretch([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number {
  const [dx, dy] = [bx - ax, by - ay];
  const t = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / Math.max(1e-12, dx * dx + dy * dy)));
  return Math.hypot(x - ax - t * dx, y - ay - t * dy);
}

/**
 * A closed line with fewer corners: none of those left out lies farther than `byMm` from the line that is drawn instead (Douglas and Peucker 1973, with the
 * distance from the stretch, not from the endless line). It is parted first at its first corner and the one farthest from that.
 */
export function straightRing(ring: Ring, byMm: number): Ring {
  if (ring.length < 4) return ring;
  const far = ring.reduce((best, point, k) => (apart(point, ring[0]) > apart(ring[best], ring[0]) ? k : best), 0);
  const closed = [...ring, ring[0]];
  const kept = new Uint8Array(closed.length);
  kept[0] = kept[far] = 1;
  const waiting: [number, number][] = [
    [0, far],
    [far, closed.length - 1],
  ];
  while (waiting.length) {
    const [from, to] = waiting.pop() as [number, number];
    let farthest = byMm;
    let at = -1;
    for (let k = from + 1; k < to; k++) {
      const off = distanceToStretch(closed[k], closed[from], closed[to]);
      if (off > farthest) [farthest, at] = [off, k];
    }
    if (at < 0) continue;
    kept[at] = 1;
    waiting.push([from, at], [at, to]);
  }
  return ring.filter((_, k) => kept[k]);
}

const apart = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
