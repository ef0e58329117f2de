/** Cut-outs inside layers under a wall of foam, by offsets of footprints. */
import {
  boundsOf,
  cutRings,
  footprints,
  type Grid,
  growRings,
  joinRings,
  meetRings,
  nestRings,
  type Polygon,
  polygonArea,
  type Ring,
  ringsOf,
} from '../geometry/index.ts';
import type { Project } from '../project/index.ts';
import { deepInside } from './deepInside.ts';

type Hollow = Project['stacking']['hollow'];

/** A cut-out smaller than this is not worth the cutting, mm2. */
const LEAST_ROOM_MM2 = 900;

interface Slab {
  footprint: Polygon[];
  topMm: number;
  /** What rooms take of it: foam stays round them. */
  rooms: Ring[];
}

/**
 * What need not be foam in each layer, from the board up. Rings: all that lies under the layer above, further in than the overlap. A core: all that has a wall of foam
 * all round it and over it. Foam stays as a wall round every room, and as ribs where they are asked for. The top layer is always whole. Yields
 * between layers.
 */
export function* cutOutsOf(
  target: Grid,
  outline: Ring,
  slabs: readonly Slab[],
  { kind, wallMm, ribs }: Hollow,
): Generator<undefined, Polygon[][]> {
  if (kind === 'solid') return slabs.map(() => []);
  const deep = kind === 'core' ? deepInside(target, wallMm, outline) : null;
  const found: Polygon[][] = [];
  for (const [k, { footprint, topMm, rooms }] of slabs.entries()) {
    yield;
    if (k === slabs.length - 1) {
      found.push([]);
      break;
    }
    const over = growRings(ringsOf(slabs[k + 1].footprint), -wallMm);
    const within = growRings(ringsOf(footprint), -wallMm);
    let room = meetRings(over, within);
    if (deep) room = meetRings(room, ringsOf(footprints(deep, [topMm])[0]));
    if (rooms.length && room.length) room = cutRings(room, growRings(rooms, wallMm));
    if (ribs && room.length) room = cutRings(room, ribsOver(room, ribs.everyMm, ribs.widthMm));
    found.push(nestRings(room).filter((piece) => polygonArea(piece) >= LEAST_ROOM_MM2));
  }
  return found;
}

/** Ribs across from front to back and from left to right, counted from the middle of what they cross. */
function ribsOver(rings: readonly Ring[], everyMm: number, widthMm: number): Ring[] {
  const [x0, y0, x1, y1] = boundsOf(rings.flat());
  const bar = (u0: number, v0: number, u1: number, v1: number): Ring => [
    [u0, v0],
    [u1, v0],
    [u1, v1],
    [u0, v1],
  ];
  const places = (from: number, to: number) => {
    const middle = (from + to) / 2;
    const each = Math.floor((to - from) / 2 / everyMm);
    return Array.from({ length: 2 * each + 1 }, (_, k) => middle + (k - each) * everyMm);
  };
  const half = widthMm / 2;
  const upright = places(x0, x1).map((x) => bar(x - half, y0 - 1, x + half, y1 + 1));
  const level = places(y0, y1).map((y) => bar(x0 - 1, y - half, x1 + 1, y + half));
  return joinRings(upright, level);
}
