/** The narrowest neck and the tightest inside corner of a piece, mm, by offsetting (bisection; closing). */
import {
  cutRings,
  growRings,
  insideRing,
  nestRings,
  type Point,
  type Polygon,
  type Ring,
  ringArea,
  ringsOf,
} from '../geometry/index.ts';

/** The narrowest part of a piece between two wider ones, or round a hole. */
export interface Neck {
  widthMm: number;
  at: Point;
}

/** Necks wider than this are none, mm. */
const WIDEST_NECK_MM = 24;
/** A width is found to this, mm. */
const CLOSE_MM = 0.25;
/** What is left of a part that was made thinner counts when it is larger than this, mm2. */
const LEAST_PART_MM2 = 4;

/** How a shape hangs together: in how many parts, with how many holes. */
const hangOf = (rings: readonly Ring[]): { parts: number; holes: number } => {
  const areas = rings.map(ringArea);
  return {
    parts: areas.filter((area) => area > LEAST_PART_MM2).length,
    holes: areas.filter((area) => area < 0).length,
  };
};

/**
 * The narrowest neck of a piece: the least width at which, when all of it is made thinner by so much, it falls apart or a wall round a hole breaks. Found by
 * halving to CLOSE_MM; null where nothing is narrower than WIDEST_NECK_MM. Yields between trials.
 */
export function* neckOf(piece: Polygon): Generator<undefined, Neck | null> {
  const rings = ringsOf([piece]);
  const whole = hangOf(rings);
  const shrunk = (widthMm: number) => growRings(rings, -widthMm / 2, CLOSE_MM / 2);
  const holdsAt = (widthMm: number): boolean => {
    const { parts, holes } = hangOf(shrunk(widthMm));
    return parts === 1 && holes >= whole.holes;
  };
  let low = 0;
  let high = 0;
  for (let width = 2; width <= WIDEST_NECK_MM && !high; width += width < 8 ? 2 : 4) {
    if (holdsAt(width)) low = width;
    else high = width;
    yield;
  }
  if (!high) return null;
  while (high - low > CLOSE_MM) {
    const middle = (low + high) / 2;
    if (holdsAt(middle)) low = middle;
    else high = middle;
    yield;
  }
  // Where it broke: what was still there just before, and is not when the parts are made wide again.
  const apart = shrunk(high);
  yield;
  const before = shrunk(Math.max(0, low - 0.5));
  yield;
  const wider = growRings(apart, (high - Math.max(0, low - 0.5)) / 2 + 0.4);
  yield;
  const parts = nestRings(apart);
  const bridges: { ring: Ring; meets: number; areaMm2: number }[] = [];
  for (const ring of cutRings(before, wider)) {
    const areaMm2 = ringArea(ring);
    if (areaMm2 > 0) bridges.push({ ring, meets: touches(ring, parts), areaMm2 });
    yield;
  }
  const [bridge] = bridges.sort((a, b) => b.meets - a.meets || b.areaMm2 - a.areaMm2);
  return { widthMm: (low + high) / 2, at: middleOf(bridge?.ring ?? piece.outer) };
}

/** How many parts a bridge leads to: those that it meets when it is made a little larger. */
function touches(bridge: Ring, parts: readonly Polygon[]): number {
  const wide = growRings([bridge], 2.5);
  return parts.filter(({ outer }) => outer.some(([x, y]) => wide.some((ring) => insideRing(ring, x, y)))).length;
}

const middleOf = (ring: Ring): Point => [
  ring.reduce((sum, [x]) => sum + x, 0) / ring.length,
  ring.reduce((sum, [, y]) => sum + y, 0) / ring.length,
];

/** Inside radii that are told apart, mm. */
const RADII = [0.5, 1, 1.5, 2, 3, 4, 6, 8];
/** A round blade leaves this part of its radius squared in a corner that is tighter than it; a right angle leaves 0.215. */
const LEFT_IN_CORNER = 0.04;

/**
 * The tightest inside corner of a piece: the largest radius of RADII with which a round tool still gets into every corner (a closing of the shape fills no spot of
 * it); null when that is the largest one. Yields between trials.
 */
export function* insideRadiusOf(piece: Polygon): Generator<undefined, number | null> {
  const rings = ringsOf([piece]);
  let reached = 0;
  for (const radius of RADII) {
    const closed = growRings(growRings(rings, radius), -radius - 0.02);
    const left = cutRings(closed, rings).some((ring) => ringArea(ring) > LEFT_IN_CORNER * radius ** 2);
    if (left) return reached;
    reached = radius;
    yield;
  }
  return null;
}
