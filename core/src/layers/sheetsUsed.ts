/** How many sheets of each kind a stack takes, by area over the part of a sheet that becomes pieces. */
import type { Project } from '../project/index.ts';
import { offcutArea, type StockClass } from '../stack/index.ts';

/** What is taken of a kind of sheet: the area of its pieces, whole sheets, and how many of them must be bought. */
export interface SheetsUsed {
  sheetId: string;
  areaMm2: number;
  sheets: number;
  toBuy: number;
}

/**
 * Shares out what is taken from each pool, by area over the stated yield until cutting is planned: offcuts first, then the sheets in the shed in their order, then
 * what can be bought (the cheapest of its kind).
 */
export function takenFrom(
  { sheets, offcuts, stacking }: Pick<Project, 'sheets' | 'offcuts' | 'stacking'>,
  pools: readonly StockClass[],
  usedMm2: readonly number[],
): SheetsUsed[] {
  const share = stacking.sheetYieldPercent / 100;
  return pools.flatMap((pool, k) => {
    const mine = sheets.filter(({ id }) => pool.sheetIds.includes(id));
    const taken = mine.map((sheet) => ({
      sheet,
      one: sheet.widthMm * sheet.depthMm * share,
      areaMm2: 0,
      sheets: 0,
      toBuy: 0,
    }));
    let left = usedMm2[k];
    for (const each of taken) {
      const own = offcuts
        .filter(({ sheetId }) => sheetId === each.sheet.id)
        .reduce((sum, cut) => sum + offcutArea(cut), 0);
      const from = Math.min(left, own * share);
      each.areaMm2 += from;
      left -= from;
    }
    for (const each of taken) {
      const from = Math.min(left, each.sheet.count * each.one);
      each.areaMm2 += from;
      each.sheets = Math.ceil(from / each.one - 1e-9);
      left -= from;
    }
    const price = ({ sheet, one }: (typeof taken)[number]) => (sheet.price ?? 1) / one;
    const bought = taken.filter(({ sheet }) => sheet.buyable).sort((a, b) => price(a) - price(b))[0] ?? taken[0];
    if (left > 1e-6 && bought) {
      bought.areaMm2 += left;
      const more = Math.ceil(left / bought.one - 1e-9);
      bought.sheets += more;
      bought.toBuy = more;
    }
    return taken
      .filter(({ areaMm2 }) => areaMm2 > 0)
      .map(({ sheet, areaMm2, sheets: count, toBuy }) => ({ sheetId: sheet.id, areaMm2, sheets: count, toBuy }));
  });
}
