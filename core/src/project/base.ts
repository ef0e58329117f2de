import { boundsOf, distanceToEdge, insideRing, keyholed, type Point, type Ring, ringArea } from '../geometry/index.ts';
import type { Base, BaseShape } from './schemas/baseSchema.ts';

/** Points round an oval: chords stay within 0.01 mm of the curve for anything up to 3 m. */
const ovalPoints = (largestMm: number) =>
  4 * Math.max(16, Math.ceil(Math.PI / Math.acos(1 - 0.01 / Math.max(1, largestMm / 2)) / 4));

/** A regular polygon with one side at the front, counter-clockwise, its box at [0, 0]. */
function regularPolygon(sides: number, sideMm: number): Ring {
  const points: [number, number][] = [];
  let at: [number, number] = [0, 0];
  for (let k = 0; k < sides; k++) {
    points.push(at);
    const turn = (2 * Math.PI * k) / sides;
    at = [at[0] + sideMm * Math.cos(turn), at[1] + sideMm * Math.sin(turn)];
  }
  const [x0, y0] = boundsOf(points);
  return points.map(([x, y]) => [x - x0, y - y0] as const);
}

/** Outlines are asked for many times over; a shape is never changed in place. */
const known = new WeakMap<BaseShape, Ring>();

/** The outer edge of the base, counter-clockwise, in its box with the near left corner at [0, 0]. */
export function outerOutline({ shape }: Pick<Base, 'shape'>): Ring {
  const before = known.get(shape);
  if (before) return before;
  const ring = outlineOf(shape);
  known.set(shape, ring);
  return ring;
}

type Opened = Pick<Base, 'shape' | 'opening'>;
const withOpenings = new WeakMap<NonNullable<Base['opening']>, { shape: BaseShape; outline: Ring }>();

/** The outline of the base; one with an opening is a keyhole (`outlineRings` parts it). An opening that is not wholly within it is left out. */
export function baseOutline(base: Opened): Ring {
  const { shape, opening } = base;
  if (!opening) return outerOutline(base);
  const before = withOpenings.get(opening);
  if (before?.shape === shape) return before.outline;
  const outline = openingWithin(base) ? keyholed(outerOutline(base), openingRing(opening)) : outerOutline(base);
  withOpenings.set(opening, { shape, outline });
  return outline;
}

/** Points round a round opening. */
const OPENING_POINTS = 96;

/** The edge of an opening, counter-clockwise. */
export function openingRing({ kind, at: [x, y], widthMm, depthMm }: NonNullable<Base['opening']>): Ring {
  const [w, d] = [widthMm / 2, depthMm / 2];
  if (kind === 'oblong')
    return [
      [x - w, y - d],
      [x + w, y - d],
      [x + w, y + d],
      [x - w, y + d],
    ];
  return Array.from({ length: OPENING_POINTS }, (_, k) => {
    const turn = (2 * Math.PI * k) / OPENING_POINTS;
    return [x + w * Math.cos(turn), y + d * Math.sin(turn)] as const;
  });
}

/** Ground that is left between an opening and the edge of the base must be wider than this, mm. */
const LEAST_RIM_MM = 2;

/** Whether there is an opening, and all of it lies within the base with some ground round it. */
export function openingWithin({ shape, opening }: Opened): boolean {
  if (!opening) return false;
  const outer = outerOutline({ shape });
  const ring = openingRing(opening);
  return (
    ring.every(([x, y]) => insideRing(outer, x, y) && distanceToEdge(outer, x, y) > LEAST_RIM_MM) &&
    !outer.some(([x, y]) => insideRing(ring, x, y))
  );
}

function outlineOf(shape: BaseShape): Ring {
  if (shape.kind === 'polygon') return regularPolygon(shape.sides, shape.sideMm);
  if (shape.kind === 'outline') return shape.points;
  const [w, d] = shape.kind === 'round' ? [shape.diameterMm, shape.diameterMm] : [shape.widthMm, shape.depthMm];
  if (shape.kind === 'rectangle')
    return [
      [0, 0],
      [w, 0],
      [w, d],
      [0, d],
    ];
  const count = ovalPoints(Math.max(w, d));
  return Array.from({ length: count }, (_, k) => {
    const turn = (2 * Math.PI * k) / count;
    return [(w / 2) * (1 + Math.cos(turn)), (d / 2) * (1 + Math.sin(turn))] as const;
  });
}

/** Width and depth of the box round the base, mm. */
export function baseSize(base: Base): { widthMm: number; depthMm: number } {
  const { shape } = base;
  if (shape.kind === 'rectangle' || shape.kind === 'oval') return { widthMm: shape.widthMm, depthMm: shape.depthMm };
  if (shape.kind === 'round') return { widthMm: shape.diameterMm, depthMm: shape.diameterMm };
  const [, , widthMm, depthMm] = boundsOf(baseOutline(base));
  return { widthMm, depthMm };
}

/** A shape of another kind that fills about the same box. */
export function shapeOfKind(base: Base, kind: BaseShape['kind']): BaseShape {
  const { widthMm, depthMm } = baseSize(base);
  const least = Math.min(widthMm, depthMm);
  if (kind === 'round') return { kind, diameterMm: least };
  if (kind === 'polygon') return { kind, sides: 6, sideMm: Math.max(10, Math.floor(least / Math.sqrt(3))) };
  if (kind === 'outline') {
    const ring = outerOutline(base);
    // Of a curve, as many points as a hand can move.
    const every = Math.max(1, Math.ceil(ring.length / 16));
    return { kind, points: ring.filter((_, k) => k % every === 0).map(([x, y]) => [x, y]) };
  }
  return { kind, widthMm, depthMm };
}

/**
 * A free outline as it is kept: counter-clockwise, its box moved to [0, 0]. Null when it encloses nothing or crosses itself.
 * `shift` is how far it was moved.
 */
export function freeOutline(points: Ring): { shape: BaseShape; shift: [number, number] } | null {
  const [x0, y0, x1, y1] = boundsOf(points);
  if (points.length < 3 || x1 - x0 < 20 || y1 - y0 < 20 || x1 - x0 > 3000 || y1 - y0 > 3000) return null;
  if (crossesItself(points)) return null;
  const ring = ringArea(points) > 0 ? points : [...points].reverse();
  return { shape: { kind: 'outline', points: ring.map(([x, y]) => [x - x0, y - y0]) }, shift: [-x0, -y0] };
}

/** Whether an outline crosses or touches itself. Looks at every pair of its sides. */
export function crossesItself(ring: Ring): boolean {
  const side = (a: Point, b: Point, c: Point) =>
    Math.sign((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]));
  for (let i = 0; i < ring.length; i++)
    for (let j = i + 2; j < ring.length; j++) {
      if (i === 0 && j === ring.length - 1) continue;
      const [a, b, c, d] = [ring[i], ring[i + 1], ring[j], ring[(j + 1) % ring.length]];
      if (side(a, b, c) !== side(a, b, d) && side(c, d, a) !== side(c, d, b)) return true;
    }
  return false;
}

/** A usual size of base: paper sizes by ISO 216 and ANSI Y14.1 (from memory), and the square tiles of gaming boards. */
export interface BasePreset {
  name: string;
  widthMm: number;
  depthMm: number;
}

export const basePresets: readonly BasePreset[] = [
  { name: 'A5', widthMm: 210, depthMm: 148 },
  { name: 'A4', widthMm: 297, depthMm: 210 },
  { name: 'A3', widthMm: 420, depthMm: 297 },
  { name: 'A2', widthMm: 594, depthMm: 420 },
  { name: 'Letter', widthMm: 279.4, depthMm: 215.9 },
  { name: 'Tabloid', widthMm: 431.8, depthMm: 279.4 },
  { name: 'Tile 100 mm', widthMm: 100, depthMm: 100 },
  { name: 'Tile 250 mm', widthMm: 250, depthMm: 250 },
  { name: 'Tile 300 mm', widthMm: 300, depthMm: 300 },
  { name: 'Tile 1 foot', widthMm: 304.8, depthMm: 304.8 },
  { name: 'Board 1200 x 600', widthMm: 1200, depthMm: 600 },
];
