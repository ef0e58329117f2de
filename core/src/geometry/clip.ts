import { Clipper, FillRule } from 'clipper2-ts';
import { type Ring, ringArea } from './rings.ts';

/** The clipper wants whole numbers: micrometres. */
const MICROMETRES = 1000;

/** The parts of rings (outer counter-clockwise, holes clockwise) that lie inside an outline. */
export function clipRings(rings: readonly Ring[], outline: Ring): Ring[] {
  const whole = (ring: Ring) =>
    ring.map(([x, y]) => ({ x: Math.round(x * MICROMETRES), y: Math.round(y * MICROMETRES) }));
  const inside = Clipper.intersect(rings.map(whole), [whole(outline)], FillRule.NonZero);
  return inside
    .map((path) => path.map(({ x, y }) => [x / MICROMETRES, y / MICROMETRES] as const))
    .filter((ring) => Math.abs(ringArea(ring)) > 1e-3);
}
