/** Sheets, slices and offcuts as beds to lay pieces on. */
import { boundsOf, type Ring, ringSize } from '../geometry/index.ts';
import type { Bed } from '../nest/index.ts';
import { type Offcut, type Project, type Sheet, sheetMm, slicesOf } from '../project/index.ts';
import { offcutArea } from '../stack/index.ts';
import type { CutPiece } from './piece.ts';
import type { SheetArea } from './seams.ts';

type Shed = Pick<Project, 'sheets' | 'offcuts' | 'stacking' | 'cutting'>;

/** A sheet or offcut that pieces may be laid on: one copy of it, or one slice of one. */
export interface StockBed extends Bed {
  sheetId: string;
  offcutId: string | null;
  /** Which sheet of its kind it is part of, from 1; slices of one sheet share it. */
  copy: number;
  grain: boolean;
}

export const rectangle = (widthMm: number, depthMm: number): Ring => [
  [0, 0],
  [widthMm, 0],
  [widthMm, depthMm],
  [0, depthMm],
];

/** An offcut's outline, counter-clockwise from the near left corner of its box. */
export function offcutOutline({ outline }: Offcut): Ring {
  if (outline.kind === 'rectangle') return rectangle(outline.widthMm, outline.depthMm);
  const [x0, y0] = boundsOf(outline.points);
  const ring = outline.points.map(([x, y]) => [x - x0, y - y0] as const);
  const twice = ring.reduce((sum, [x, y], k) => {
    const [u, v] = ring[(k + 1) % ring.length];
    return sum + x * v - u * y;
  }, 0);
  return twice < 0 ? [...ring].reverse() : ring;
}

/** What a bed is called, by its id: an offcut's own name, or its sheet's with which one of them it is. Names change nothing that is cut. */
export function bedName({ sheets, offcuts }: Pick<Project, 'sheets' | 'offcuts'>, id: string): string {
  const nameOfSheet = (sheetId: string) => sheets.find((sheet) => sheet.id === sheetId)?.name || sheetId;
  const offcut = offcuts.find((one) => one.id === id);
  if (offcut) return offcut.name || `Offcut of ${nameOfSheet(offcut.sheetId)}`;
  const at = id.lastIndexOf('#');
  const [copy, slice] = id.slice(at + 1).split('.');
  return `${nameOfSheet(id.slice(0, at))}, sheet ${copy}${slice ? `, slice ${slice}` : ''}`;
}

/**
 * What pieces of some kinds of sheet may be laid on, in the order in which it is filled: offcuts, the smallest first, then sheets of the shed in their order, then
 * such as can be bought, the cheapest. Slices come from whole sheets only, those that `opened` says are in use already left aside.
 */
export function bedsFor(
  { sheets, offcuts, stacking }: Shed,
  sheetIds: readonly string[],
  sliceMm: number | null,
  most: number,
  opened: ReadonlyMap<string, number>,
): StockBed[] {
  const mine = sheets.filter(({ id }) => sheetIds.includes(id));
  const slabs = (sheet: Sheet) => {
    if (sliceMm === null) return 1;
    return slicesOf(sheetMm(sheet), sliceMm, stacking.wire?.kerfMm ?? 0);
  };
  const copies = (sheet: Sheet, from: number, count: number, kind: Bed['kind']): StockBed[] =>
    Array.from({ length: count * slabs(sheet) }, (_, k): StockBed => {
      const copy = from + Math.floor(k / slabs(sheet)) + 1;
      const slab = slabs(sheet) > 1 ? `.${(k % slabs(sheet)) + 1}` : '';
      return {
        id: `${sheet.id}#${copy}${slab}`,
        sheetId: sheet.id,
        offcutId: null,
        copy,
        grain: sheet.grain,
        outline: rectangle(sheet.widthMm, sheet.depthMm),
        kind,
      };
    });
  const fromOffcuts =
    sliceMm === null
      ? mine.flatMap((sheet) =>
          offcuts.filter(({ sheetId }) => sheetId === sheet.id).map((offcut) => ({ sheet, offcut })),
        )
      : [];
  const beds = fromOffcuts
    .sort((a, b) => offcutArea(a.offcut) - offcutArea(b.offcut))
    .map(
      ({ sheet, offcut }): StockBed => ({
        id: offcut.id,
        sheetId: sheet.id,
        offcutId: offcut.id,
        copy: 0,
        grain: sheet.grain,
        outline: offcutOutline(offcut),
        kind: 'offcut',
      }),
    );
  for (const sheet of mine) {
    const from = opened.get(sheet.id) ?? 0;
    beds.push(...copies(sheet, from, Math.min(most, Math.max(0, sheet.count - from)), 'sheet'));
  }
  const price = (sheet: Sheet) => (sheet.price ?? 1) / (sheet.widthMm * sheet.depthMm);
  const [cheapest] = mine.filter(({ buyable }) => buyable).sort((a, b) => price(a) - price(b));
  if (cheapest)
    beds.push(
      ...copies(cheapest, Math.max(cheapest.count, opened.get(cheapest.id) ?? 0), Math.min(most, 60), 'bought'),
    );
  return beds;
}

/** The rectangles that some kinds of sheet give a piece, the largest first: sheets that are there or can be bought and square offcuts; the box of traced offcuts only where there is nothing else. */
export function roomsFor({ sheets, offcuts, cutting }: Shed, sheetIds: readonly string[]): SheetArea[] {
  const mine = sheets.filter(({ id }) => sheetIds.includes(id));
  const left = offcuts.filter(({ sheetId }) => mine.some(({ id }) => id === sheetId));
  // Along a grain, or by half turns only, a piece lies as it is.
  const turns = cutting.turning.kind !== 'half' && !mine.some(({ grain }) => grain);
  const square = left.flatMap(({ outline }) => (outline.kind === 'rectangle' ? [outline] : []));
  const rooms = [...mine.filter(({ count, buyable }) => count > 0 || buyable), ...square].map(
    ({ widthMm, depthMm }) => ({ widthMm, depthMm }),
  );
  if (!rooms.length) rooms.push(...left.map((offcut) => ringSize(offcutOutline(offcut))));
  const less = 2 * cutting.marginMm;
  return rooms
    .map(({ widthMm, depthMm }) => ({ widthMm: widthMm - less, depthMm: depthMm - less, turns }))
    .sort((a, b) => b.widthMm * b.depthMm - a.widthMm * a.depthMm);
}

/** Pieces that are laid on the same beds. */
export interface Job {
  id: string;
  sheetIds: string[];
  sliceMm: number | null;
  pieces: CutPiece[];
  beds: StockBed[];
}
