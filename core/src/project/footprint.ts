/** What a standing thing covers of the plan: its footprint placed and turned, its area and its reach, mm. */
import { type Point, type Ring, ringArea } from '../geometry/index.ts';
import type { Footprint, Thing } from './schemas/thingSchema.ts';

type Standing = Pick<Thing, 'footMm' | 'points' | 'footprint'>;

/** The corners of a footprint about [0, 0], not yet turned, counter-clockwise but for a drawn outline. */
function cornersOf(footprint: Footprint, wideMm: number): Ring {
  if (footprint.kind === 'outline') return footprint.points;
  const [x, y] = [footprint.longMm / 2, wideMm / 2];
  if (footprint.kind === 'oblong')
    return [
      [-x, -y],
      [x, -y],
      [x, y],
      [-x, y],
    ];
  // A bar wider than the other is long leaves nothing of it to see.
  const [a, b] = [Math.min(footprint.armMm / 2, x), Math.min(footprint.armMm / 2, y)];
  return [
    [-x, -b],
    [-a, -b],
    [-a, -y],
    [a, -y],
    [a, -b],
    [x, -b],
    [x, b],
    [a, b],
    [a, y],
    [-a, y],
    [-a, b],
    [-x, b],
  ];
}

/** The outline of what a thing covers; null where that is a disc. */
export function footRing({ footMm, points, footprint }: Standing): Ring | null {
  if (!footprint) return null;
  const turn = (footprint.turnDegrees * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [x, y] = points[0];
  return cornersOf(footprint, footMm).map(([u, v]): Point => [x + u * c - v * s, y + u * s + v * c]);
}

/** The area that a thing covers, mm2. */
export function footAreaMm2(thing: Standing): number {
  const ring = footRing(thing);
  return ring ? Math.abs(ringArea(ring)) : (Math.PI / 4) * thing.footMm ** 2;
}

/** From a thing's point to the farthest place that it covers, mm. */
export function footReachMm(thing: Standing): number {
  const [x, y] = thing.points[0];
  return footRing(thing)?.reduce((far, [px, py]) => Math.max(far, Math.hypot(px - x, py - y)), 0) ?? thing.footMm / 2;
}

const withinATurn = (degrees: number): number => Math.round((((degrees % 360) + 540) % 360) * 100 - 18000) / 100;

export const turnedFootprint = (footprint: Footprint, degrees: number): Footprint => ({
  ...footprint,
  turnDegrees: withinATurn(footprint.turnDegrees + degrees),
});

/** Left and right changed over. */
export function mirroredFootprint(footprint: Footprint): Footprint {
  const turned = { ...footprint, turnDegrees: withinATurn(-footprint.turnDegrees) };
  return turned.kind === 'outline' ? { ...turned, points: turned.points.map(([x, y]) => [-x, y]) } : turned;
}

/** A footprint of another kind that covers about the same; `undefined` is round. */
export function footprintOfKind(thing: Standing, kind: Footprint['kind']): Footprint {
  const turnDegrees = thing.footprint?.turnDegrees ?? 0;
  const longMm = thing.footprint && thing.footprint.kind !== 'outline' ? thing.footprint.longMm : 2 * thing.footMm;
  if (kind === 'oblong') return { kind, longMm, turnDegrees };
  if (kind === 'cross') return { kind, longMm, armMm: thing.footMm / 4, turnDegrees };
  // Begins as what is there, or as an octagon in the round foot.
  const ring = thing.footprint ? cornersOf(thing.footprint, thing.footMm) : octagon(thing.footMm / 2);
  return { kind, points: ring.map(([x, y]): [number, number] => [x, y]), turnDegrees };
}

const octagon = (radiusMm: number): Ring =>
  Array.from({ length: 8 }, (_, k): Point => {
    const turn = ((k + 0.5) * Math.PI) / 4;
    return [Math.round(radiusMm * Math.cos(turn) * 10) / 10, Math.round(radiusMm * Math.sin(turn) * 10) / 10];
  });
