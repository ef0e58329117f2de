import { catalogueOf, stuffOf } from '../materials/index.ts';
import type { Project } from '../project/index.ts';
import type { StockClass } from '../stack/index.ts';
import { decimals } from '../units/index.ts';

export const poolName = ({ sheets, materials }: Project, { sheetIds }: StockClass): string => {
  const sheet = sheets.find(({ id }) => id === sheetIds[0]);
  return sheet ? sheet.name || stuffOf(sheet, catalogueOf(materials)).label : 'a kind of sheet';
};

/** "0.21 m2 of Dense foam 20: 2 more sheets". */
export function lackOf(project: Project, pool: StockClass, mm2: number): string {
  const sheet = project.sheets.find(({ id }) => id === pool.sheetIds[0]);
  const one = sheet ? (sheet.widthMm * sheet.depthMm * project.stacking.sheetYieldPercent) / 100 : mm2;
  const more = Math.ceil(mm2 / one - 1e-9);
  return `${decimals(mm2 / 1e6, 3)} m² of ${poolName(project, pool)} (${more} more ${more === 1 ? 'sheet' : 'sheets'})`;
}
