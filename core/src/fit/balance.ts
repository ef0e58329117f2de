import { boundsOf, convexHull, type Point, type Ring, ringArea } from '../geometry/index.ts';
import type { Support } from '../project/index.ts';

/** Something that weighs, at the middle of its mass: mm to the right, to the back, and over the underside of the board. */
export interface Body {
  massG: number;
  at: [number, number, number];
}

/** Tipping over one edge of what it stands on: how far it may be tilted that way before it falls. Below 0 it falls by itself. */
export interface Tip {
  towards: string;
  degrees: number;
}

export interface Balance {
  massG: number;
  /** Centre of gravity. */
  at: [number, number, number];
  on: Support['on'];
  /** On a table or plinth: the edge over which it falls first. */
  tip: Tip | null;
  /** On a wall: what each of the two hooks carries, and by how much it is pulled out of the wall, N; and how far the hooks lie over the centre of gravity. */
  hooks: { carriesN: number; pulledN: number; overMm: number } | null;
  safe: boolean;
}

const GRAVITY = 9.81;

/** Middle of the mass of some bodies; null where nothing weighs. */
export function centreOfGravity(bodies: readonly Body[]): Body | null {
  const massG = bodies.reduce((sum, body) => sum + body.massG, 0);
  if (!(massG > 0)) return null;
  const along = (axis: 0 | 1 | 2) => bodies.reduce((sum, body) => sum + body.massG * body.at[axis], 0) / massG;
  return { massG, at: [along(0), along(1), along(2)] };
}

const names = ['right', 'back right', 'back', 'back left', 'left', 'front left', 'front', 'front right'] as const;
const directionOf = (x: number, y: number): string => names[(Math.round((Math.atan2(y, x) * 4) / Math.PI) + 8) % 8];

/** The edge over which a body falls first: tan(angle) = way from the centre of gravity to the edge over its height. */
export function tipOver([x, y, up]: Body['at'], outline: Ring): Tip {
  const hull = convexHull(outline);
  let least: Tip = { towards: 'front', degrees: 90 };
  hull.forEach(([ax, ay], k) => {
    const [bx, by] = hull[(k + 1) % hull.length];
    const length = Math.hypot(bx - ax, by - ay);
    if (length < 1e-9) return;
    // The hull runs counter-clockwise: inside is to the left of each edge.
    const inside = ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / length;
    const degrees = (Math.atan2(inside, Math.max(up, 1e-9)) * 180) / Math.PI;
    if (degrees < least.degrees) least = { towards: directionOf(by - ay, ax - bx), degrees };
  });
  return least;
}

/** A plinth under the middle of the base. */
function plinthUnder(outline: Ring, { widthMm, depthMm }: Support['plinth']): Point[] {
  const [x0, y0, x1, y1] = boundsOf(outline);
  const [x, y] = [(x0 + x1) / 2, (y0 + y1) / 2];
  const [w, d] = [widthMm / 2, depthMm / 2];
  return [
    [x - w, y - d],
    [x + w, y - d],
    [x + w, y + d],
    [x - w, y + d],
  ];
}

/**
 * How the finished piece stands or hangs. On a plinth smaller than the base it tips over the plinth's edges. On a wall (its back edge upward, the board flat against it)
 * two hooks share the weight W; about the lower edge W x distance of the centre of gravity from the wall is held by the pull on the hooks x their height.
 */
export function balanceOf(support: Support, outline: Ring, bodies: readonly Body[]): Balance | null {
  const centre = centreOfGravity(bodies);
  if (!centre || Math.abs(ringArea(outline)) < 1) return null;
  const { massG, at } = centre;
  if (support.on !== 'a wall') {
    const under = support.on === 'a plinth' ? plinthUnder(outline, support.plinth) : outline;
    const tip = tipOver(at, under);
    return { massG, at, on: support.on, tip, hooks: null, safe: tip.degrees >= support.leastTipDegrees };
  }
  const weightN = (massG / 1000) * GRAVITY;
  const [, lower] = boundsOf(outline);
  const overMm = support.hooks.upMm - (at[1] - lower);
  const hooks = { carriesN: weightN / 2, pulledN: (weightN * at[2]) / support.hooks.upMm / 2, overMm };
  return { massG, at, on: support.on, tip: null, hooks, safe: overMm > 0 };
}
