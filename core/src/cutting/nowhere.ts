/** Why a piece fits on no bed, and by how much. */
import { boundsOf, convexHull, type Point, type Ring } from '../geometry/index.ts';
import type { StockBed } from './beds.ts';

/** Why a piece lies nowhere, and by how much: on which bed it comes nearest to fitting. */
export interface Nowhere {
  piece: string;
  /** "none": there is nothing of its kind; "full": it would fit on an empty one; "large": it is larger than every one. */
  why: 'none' | 'full' | 'large';
  bed: string | null;
  overLongMm: number;
  overWideMm: number;
}

/** How far a piece stands over a bed's box at the turn that suits it best, along its longer and its shorter side, mm. */
export function excessOn(outer: Ring, bed: Ring, marginMm: number): { overLongMm: number; overWideMm: number } {
  const [bx0, by0, bx1, by1] = boundsOf(bed);
  const long = Math.max(bx1 - bx0, by1 - by0) - 2 * marginMm;
  const wide = Math.min(bx1 - bx0, by1 - by0) - 2 * marginMm;
  const hull = convexHull(outer);
  let best = { overLongMm: Number.POSITIVE_INFINITY, overWideMm: Number.POSITIVE_INFINITY };
  for (let degrees = 0; degrees < 180; degrees += 1) {
    const c = Math.cos((degrees * Math.PI) / 180);
    const s = Math.sin((degrees * Math.PI) / 180);
    const [x0, y0, x1, y1] = boundsOf(hull.map(([x, y]): Point => [x * c - y * s, x * s + y * c]));
    const over = { overLongMm: Math.max(0, x1 - x0 - long), overWideMm: Math.max(0, y1 - y0 - wide) };
    if (over.overLongMm + over.overWideMm < best.overLongMm + best.overWideMm - 1e-9) best = over;
  }
  return best;
}

export function nowhereOf(piece: string, outer: Ring, beds: readonly StockBed[], marginMm: number): Nowhere {
  if (!beds.length) return { piece, why: 'none', bed: null, overLongMm: 0, overWideMm: 0 };
  const over = beds.map((bed) => ({ bed: bed.id, ...excessOn(outer, bed.outline, marginMm) }));
  const [nearest] = over.sort((a, b) => a.overLongMm + a.overWideMm - b.overLongMm - b.overWideMm);
  const fits = nearest.overLongMm + nearest.overWideMm < 0.05;
  return { piece, why: fits ? 'full' : 'large', ...nearest };
}
