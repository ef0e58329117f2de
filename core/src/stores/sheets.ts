import type { LayerPlan } from '../layers/index.ts';
import { doneHere, type Project, sheetMm, sheetsCutUp } from '../project/index.ts';

/** Sheets of one kind for pieces that are still to be cut. */
export interface SheetNeed {
  sheetId: string;
  name: string;
  thicknessMm: number;
  widthMm: number;
  depthMm: number;
  needed: number;
  there: number;
  toBuy: number;
  /** Of those to buy; null where they have no price. */
  cost: number | null;
}

/** Sheets for what is still to cut; none once cutting is marked done. */
export const sheetNeeds = (
  project: Pick<Project, 'sheets' | 'stores' | 'tile' | 'nest'>,
  used: LayerPlan['sheetsUsed'],
): SheetNeed[] =>
  doneHere(project).some(({ step }) => step === 'cut')
    ? []
    : used.flatMap(({ sheetId, sheets, toBuy }) => {
        const sheet = project.sheets.find(({ id }) => id === sheetId);
        const needed = sheets - sheetsCutUp(project.nest, sheetId);
        if (!sheet || needed <= 0) return [];
        const { widthMm, depthMm, price } = sheet;
        return [
          {
            sheetId,
            name: sheet.name || sheet.own?.name || sheet.material,
            thicknessMm: sheetMm(sheet),
            widthMm,
            depthMm,
            needed,
            there: needed - toBuy,
            toBuy,
            cost: price === null ? null : price * toBuy,
          },
        ];
      });

/** Sheets that several tiles take one after the other. */
export function sheetsTogether(tiles: readonly (readonly SheetNeed[])[]): SheetNeed[] {
  const all = new Map<string, SheetNeed>();
  for (const need of tiles.flat()) {
    const before = all.get(need.sheetId);
    all.set(
      need.sheetId,
      before
        ? {
            ...need,
            needed: before.needed + need.needed,
            there: before.there + need.there,
            toBuy: before.toBuy + need.toBuy,
            cost: need.cost === null || before.cost === null ? null : before.cost + need.cost,
          }
        : need,
    );
  }
  return [...all.values()];
}
