/** Room kept free of foam and paste, on windows of the lattice. */
import { boundsOf, type Grid, insideRing, type Ring } from '../geometry/index.ts';
import { type Ground, nearestOn, voidShape, type Within } from '../ground/index.ts';
import { type Laid, laidKinds, type Project, runOf, type Void, voidKinds } from '../project/index.ts';
import type { LaidPlace } from './laidIn.ts';

export const roomKinds = [...voidKinds, ...laidKinds] as const;
export type RoomKind = (typeof roomKinds)[number];

/** Room that is kept free of foam and paste: a void, or a laid-in thing. On a window of the ground's lattice. */
export interface Recess {
  id: string;
  kind: RoomKind;
  /** Width of a bore, mm; 0 for all else. */
  boreMm: number;
  i0: number;
  j0: number;
  columns: number;
  rows: number;
  /** How far inside its walls a node lies, mm; less than nothing outside. */
  inside: Float64Array;
  floorMm: Float64Array;
  roofMm: Float64Array;
}

/** A window reaches this many nodes beyond what it holds, so that outlines close within it. */
const RIM = 2;

/** The rooms in a ground: its voids, its laid-in things as they stand, and the holes that come up through its board. */
export function roomsOf(
  { voids, laid, base }: Pick<Project, 'voids' | 'laid' | 'base'>,
  ground: Ground,
  reads: readonly LaidPlace[],
): Recess[] {
  const hollows = voids.map((hollow) => {
    const shape = voidShape(hollow);
    const boreMm = hollow.kind === 'cable' ? hollow.boreMm : 0;
    return roomOn(ground.grid, hollow, boreMm, shape.box, shape.within);
  });
  const things = laid.flatMap((thing) => {
    const read = reads.find(({ id }) => id === thing.id);
    if (!read || read.deckId !== null) return [];
    const ring = runOf(thing);
    return [roomOn(ground.grid, thing, 0, boundsOf(ring), standing(ring, read))];
  });
  const holes = (base.board.holes ?? [])
    .filter(({ upMm }) => upMm > 0)
    .map(({ id, at, acrossMm, upMm }) => {
      const half = acrossMm / 2;
      const box = [at[0] - half, at[1] - half, at[0] + half, at[1] + half] as const;
      const within = (x: number, y: number): Within => ({
        insideMm: half - Math.hypot(x - at[0], y - at[1]),
        floorMm: 0,
        roofMm: upMm,
      });
      return roomOn(ground.grid, { id, kind: 'cable' }, acrossMm, box, within);
    });
  return [...hollows, ...things, ...holes].filter(({ inside }) => inside.some((mm) => mm > 0));
}

function standing(ring: Ring, { undersideMm, topMm }: LaidPlace): (x: number, y: number) => Within {
  const closed = [...ring, ring[0]];
  return (x, y) => {
    const { distanceMm } = nearestOn(closed, x, y);
    return { insideMm: insideRing(ring, x, y) ? distanceMm : -distanceMm, floorMm: undersideMm, roofMm: topMm };
  };
}

function roomOn(
  { columns: across, rows: deep, cellMm, originMm }: Grid,
  item: Pick<Void | Laid, 'id' | 'kind'>,
  boreMm: number,
  [x0, y0, x1, y1]: readonly [number, number, number, number],
  within: (x: number, y: number) => Within,
): Recess {
  const held = (cell: number, most: number) => Math.min(most, Math.max(0, cell));
  const i0 = held(Math.floor((x0 - originMm[0]) / cellMm) - RIM, across - 1);
  const j0 = held(Math.floor((y0 - originMm[1]) / cellMm) - RIM, deep - 1);
  const columns = held(Math.ceil((x1 - originMm[0]) / cellMm) + RIM, across - 1) - i0 + 1;
  const rows = held(Math.ceil((y1 - originMm[1]) / cellMm) + RIM, deep - 1) - j0 + 1;
  const inside = new Float64Array(columns * rows);
  const floorMm = new Float64Array(columns * rows);
  const roofMm = new Float64Array(columns * rows);
  for (let j = 0, w = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, w++) {
      const here = within(originMm[0] + (i0 + i) * cellMm, originMm[1] + (j0 + j) * cellMm);
      inside[w] = here.insideMm;
      floorMm[w] = here.floorMm;
      roofMm[w] = here.roofMm;
    }
  return { id: item.id, kind: item.kind, boreMm, i0, j0, columns, rows, inside, floorMm, roofMm };
}

/** The part of a node's own square that lies within a room's walls, from how far inside them the node is. */
export const shareWithin = (insideMm: number, cellMm: number): number =>
  Math.min(1, Math.max(0, 0.5 + insideMm / cellMm));

/** A field over a room's window as a lattice of its own. */
export const windowOf = (
  { cellMm, originMm }: Grid,
  { i0, j0, columns, rows }: Recess,
  values: Float64Array,
): Grid => ({
  columns,
  rows,
  cellMm,
  originMm: [originMm[0] + i0 * cellMm, originMm[1] + j0 * cellMm],
  values,
});

/** Calls `visit` for each node of a room's window with its place in the window and on the lattice. */
export function forEachNode(
  { columns: across }: Grid,
  { i0, j0, columns, rows }: Recess,
  visit: (w: number, node: number) => void,
): void {
  for (let j = 0, w = 0; j < rows; j++) for (let i = 0; i < columns; i++, w++) visit(w, (j0 + j) * across + i0 + i);
}
