import type { LayerPlan } from '../layers/index.ts';
import { doneHere, type Project } from '../project/index.ts';

/** Sheets of one kind that the pieces take. */
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
  project: Pick<Project, 'sheets' | 'stores' | 'tile'>,
  used: LayerPlan['sheetsUsed'],
): SheetNeed[] =>
  doneHere(project).some(({ step }) => step === 'cut')
    ? []
    : used.flatMap(({ sheetId, sheets: needed, toBuy }) => {
        const sheet = project.sheets.find(({ id }) => id === sheetId);
        if (!sheet || !needed) return [];
        const { widthMm, depthMm, price } = sheet;
        return [
          {
            sheetId,
            name: sheet.name || sheet.own?.name || sheet.material,
            thicknessMm: sheet.measuredMm ?? sheet.nominalMm,
            widthMm,
            depthMm,
            needed,
            there: needed - toBuy,
            toBuy,
            cost: price === null ? null : price * toBuy,
          },
        ];
      });
