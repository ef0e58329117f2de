/** Thin sheets for small pieces: card and cork instead of foam that is thicker than the whole ground (common practice, no source). */
import { baseSize } from './base.ts';
import { freeId } from './edits/edits.ts';
import type { Project } from './schemas/schema.ts';
import type { Sheet } from './schemas/sheetSchema.ts';
import { sheetMm } from './sheetThickness.ts';
import { usualSheet } from './start.ts';

/** A base smaller than this both ways is small, mm. */
const SMALL_MM = 150;
/** Sheets up to this thickness are thin, mm. */
const THIN_MM = 6;
/** In thin sheets less height than this is left to paste, mm. */
const LEAST_STEP_MM = 1;

const kinds: readonly Pick<Sheet, 'name' | 'material' | 'nominalMm' | 'widthMm' | 'depthMm'>[] = [
  { name: 'Foam-cored card 3', material: 'card', nominalMm: 3, widthMm: 297, depthMm: 210 },
  { name: 'Foam-cored card 5', material: 'card', nominalMm: 5, widthMm: 297, depthMm: 210 },
  { name: 'Cork 4', material: 'cork', nominalMm: 4, widthMm: 297, depthMm: 210 },
];

/** Whether a base is so small that thin sheets suit it, and there are none. */
export function wantsThinSheets({ base, sheets }: Pick<Project, 'base' | 'sheets'>): boolean {
  const { widthMm, depthMm } = baseSize(base);
  if (Math.max(widthMm, depthMm) >= SMALL_MM) return false;
  return !sheets.some((sheet) => sheetMm(sheet) <= THIN_MM && (sheet.count > 0 || sheet.buyable));
}

/** The project planned in card and cork, two sheets of each and more to be bought; thicker kinds are left in the shed for other work. */
export function withThinSheets(project: Project): Project {
  const sheets = project.sheets.map((sheet) => ({ ...sheet, count: 0, buyable: false }));
  for (const kind of kinds) sheets.push({ ...usualSheet(freeId('sheet', sheets)), ...kind, buyable: true });
  const leastStepMm = Math.min(project.stacking.leastStepMm, LEAST_STEP_MM);
  return { ...project, sheets, stacking: { ...project.stacking, leastStepMm } };
}
