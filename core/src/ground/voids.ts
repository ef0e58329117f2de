/** Floors and roofs of hollows under the ground, mm above the board, as fields on a lattice. */
import { boundsOf, type Grid, insideRing, type Point, type Ring } from '../geometry/index.ts';
import { runOf, type Void } from '../project/index.ts';
import { nearestOn } from './forms/water.ts';

/** Floor and roof of a void at a place, mm above the board. */
export interface Hollow {
  floorMm: number;
  roofMm: number;
}

/** What a void is at a place, and how far inside its walls that is, mm: less than nothing outside, where floor and roof run on. */
export interface Within extends Hollow {
  insideMm: number;
}

/** A void's floor and roof, place by place; null where it is not. */
export interface VoidShape {
  id: string;
  /** The box round it on the plan. */
  box: readonly [number, number, number, number];
  at: (x: number, y: number) => Hollow | null;
  within: (x: number, y: number) => Within;
}

/** A vault springs from the walls at half the height inside and is full `run` mm in from them: a quarter of an ellipse. */
function vaulted(headMm: number, fromWall: number, run: number): number {
  const in_ = Math.min(1, fromWall / Math.max(1e-6, run));
  return (headMm / 2) * (1 + Math.sqrt(1 - (1 - in_) ** 2));
}

/** How a void lies in the ground. */
export function voidShape(hollow: Void): VoidShape {
  const run = runOf(hollow);
  const half = hollow.kind === 'tunnel' ? hollow.widthMm / 2 : hollow.kind === 'cable' ? hollow.boreMm / 2 : 0;
  const [x0, y0, x1, y1] = boundsOf(run);
  const box = [x0 - half, y0 - half, x1 + half, y1 + half] as const;
  const within =
    hollow.kind === 'tunnel' || hollow.kind === 'cable' ? alongLine(hollow, run, half) : inOutline(hollow, run);
  return {
    id: hollow.id,
    box,
    within,
    at: (x, y) => {
      if (x < box[0] || y < box[1] || x > box[2] || y > box[3]) return null;
      const { insideMm, floorMm, roofMm } = within(x, y);
      return insideMm < 0 ? null : { floorMm, roofMm };
    },
  };
}

function alongLine(hollow: Extract<Void, { kind: 'tunnel' | 'cable' }>, run: Ring, half: number): VoidShape['within'] {
  let whole = 0;
  for (let k = 1; k < run.length; k++) whole += Math.hypot(run[k][0] - run[k - 1][0], run[k][1] - run[k - 1][1]);
  return (x, y) => {
    const { distanceMm, alongMm } = nearestOn(run, x, y);
    const insideMm = half - distanceMm;
    const level = hollow.fromMm + ((hollow.toMm - hollow.fromMm) * alongMm) / (whole || 1);
    if (hollow.kind === 'cable') {
      const up = Math.sqrt(Math.max(0, half * half - distanceMm * distanceMm));
      return { insideMm, floorMm: Math.max(0, level - up), roofMm: level + up };
    }
    const headMm = hollow.roof === 'flat' ? hollow.headMm : vaulted(hollow.headMm, Math.max(0, insideMm), half);
    return { insideMm, floorMm: level, roofMm: level + headMm };
  };
}

function inOutline(hollow: Extract<Void, { floorMm: number }>, ring: Ring): VoidShape['within'] {
  const closed = [...ring, ring[0]];
  const { floorMm, headMm } = hollow;
  const arched = hollow.kind === 'cave' && hollow.roof === 'vaulted';
  return (x, y) => {
    const { distanceMm } = nearestOn(closed, x, y);
    const insideMm = insideRing(ring, x, y) ? distanceMm : -distanceMm;
    const height = arched ? vaulted(headMm, Math.max(0, insideMm), headMm / 2) : headMm;
    return { insideMm, floorMm, roofMm: floorMm + height };
  };
}

/** A void on the lattice of the ground: a window of it with floor and roof, NaN where the void is not. */
export interface VoidField {
  id: string;
  i0: number;
  j0: number;
  columns: number;
  rows: number;
  floorMm: Float64Array;
  roofMm: Float64Array;
}

/** Lays a void on a lattice, so that readings can be taken. */
export function voidField(grid: Grid, shape: VoidShape): VoidField {
  const { cellMm, originMm } = grid;
  const node = (mm: number, from: number, most: number, up: boolean) => {
    const cell = (mm - from) / cellMm;
    return Math.min(most, Math.max(0, up ? Math.ceil(cell) : Math.floor(cell)));
  };
  const i0 = node(shape.box[0], originMm[0], grid.columns - 1, false);
  const j0 = node(shape.box[1], originMm[1], grid.rows - 1, false);
  const columns = node(shape.box[2], originMm[0], grid.columns - 1, true) - i0 + 1;
  const rows = node(shape.box[3], originMm[1], grid.rows - 1, true) - j0 + 1;
  const floorMm = new Float64Array(columns * rows).fill(Number.NaN);
  const roofMm = new Float64Array(columns * rows).fill(Number.NaN);
  for (let j = 0, w = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, w++) {
      const hollow = shape.at(originMm[0] + (i + i0) * cellMm, originMm[1] + (j + j0) * cellMm);
      if (!hollow) continue;
      floorMm[w] = hollow.floorMm;
      roofMm[w] = hollow.roofMm;
    }
  return { id: shape.id, i0, j0, columns, rows, floorMm, roofMm };
}

/** The place of a node of a void's window on the base. */
export const placeIn = ({ originMm, cellMm }: Grid, { i0, j0, columns }: VoidField, w: number): Point => [
  originMm[0] + (i0 + (w % columns)) * cellMm,
  originMm[1] + (j0 + Math.floor(w / columns)) * cellMm,
];
