import type { Prepared } from './problem.ts';
import type { Spot } from './spots.ts';

/** What a layout comes to; less is better, the first figure that differs counts. */
export interface Score {
  /** Area of pieces that found no place, mm2. */
  leftOverMm2: number;
  bought: number;
  sheets: number;
  /** How far along the last sheet pieces reach, mm: what lies beyond is the largest remainder. */
  reachMm: number;
  offcuts: number;
}

export function scoreOf(prepared: Prepared, spots: readonly (Spot | null)[]): Score {
  const { grounds, variants, areas, cellMm, pinned } = prepared;
  let leftOverMm2 = 0;
  const reach = new Map<number, number>();
  const put = (bed: number, mm: number) => reach.set(bed, Math.max(reach.get(bed) ?? 0, mm));
  for (const { bed, xMm } of pinned) put(bed, xMm);
  spots.forEach((spot, piece) => {
    if (spot) put(spot.bed, spot.i * cellMm + spot.variant.widthMm);
    else if (variants[piece].length) leftOverMm2 += areas[piece];
  });
  let bought = 0;
  let sheets = 0;
  let offcuts = 0;
  let last = -1;
  for (const bed of reach.keys()) {
    const { kind } = grounds[bed];
    if (kind === 'offcut') offcuts++;
    else sheets++;
    if (kind === 'bought') bought++;
    last = Math.max(last, bed);
  }
  return { leftOverMm2, bought, sheets, reachMm: last < 0 ? 0 : (reach.get(last) ?? 0), offcuts };
}

const order = ['leftOverMm2', 'bought', 'sheets', 'reachMm', 'offcuts'] as const;

/** Less than nothing when the first is the better one. */
export function compareScores(a: Score, b: Score): number {
  for (const key of order) if (Math.abs(a[key] - b[key]) > 1e-6) return a[key] - b[key];
  return 0;
}

/** A score as one number, for chances that a worse layout is taken up: mm along a sheet. */
export const weightOf = ({ leftOverMm2, bought, sheets, reachMm, offcuts }: Score): number =>
  leftOverMm2 * 10 + (bought + sheets) * 3000 + reachMm + offcuts;
