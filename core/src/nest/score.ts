/** What a layout comes to, compared figure by figure: left over, bought, sheets, reach on the last one. */
import { boundsOf, polygonArea } from '../geometry/index.ts';
import type { Position } from './positions.ts';
import { type Bed, laidOut, type NestProblem, type Placed, type Prepared } from './problem.ts';

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

export function scoreOf(prepared: Prepared, spots: readonly (Position | null)[]): Score {
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

/** What a layout comes to by the places of its pieces, pinned ones among them, however it was made. */
export function scorePlaced({ pieces, beds }: NestProblem, placed: readonly Placed[]): Score {
  const laid = new Set(placed.map(({ piece }) => piece));
  const filled = new Set(placed.map(({ bed }) => bed));
  const of = (kind: Bed['kind']) => [...filled].filter((bed) => beds[bed].kind === kind).length;
  const last = Math.max(-1, ...filled);
  const left = last < 0 ? 0 : boundsOf(beds[last].outline)[0];
  const reach = placed
    .filter(({ bed }) => bed === last)
    .map((place) => boundsOf(laidOut(pieces[place.piece], place).outer)[2] - left);
  return {
    leftOverMm2: pieces.reduce((sum, { outline }, k) => (laid.has(k) ? sum : sum + polygonArea(outline)), 0),
    bought: of('bought'),
    sheets: of('sheet') + of('bought'),
    reachMm: Math.max(0, ...reach),
    offcuts: of('offcut'),
  };
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
