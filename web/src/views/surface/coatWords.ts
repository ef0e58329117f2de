import { askables, type Coat, type Material } from '@hosket/core';
import { whenWords } from './whenWords.ts';

/** "acrylic paint, brushed, soil brown". */
export function coatName({ colour, material: id }: Coat, material: Material | null): string {
  const name = material ? material.name[0].toLowerCase() + material.name.slice(1) : `${id} (not in the catalogue)`;
  return colour ? `${colour} (${name})` : name;
}

/** What else a coat says: thickness, how often, how much of the ground, where. */
export function coatRemark(coat: Coat, mm: (value: number) => string): string {
  const { thicknessMm, coats, sharePercent, thinParts, per100Cm2, when, operation } = coat;
  const often = operation === 'dry-brush' ? 'tones' : 'coats';
  return [
    ...(thicknessMm !== null ? [mm(thicknessMm)] : []),
    ...(coats > 1 ? [`${coats} ${often}`] : []),
    ...(sharePercent < 100 ? [`${sharePercent} % of it`] : []),
    ...(thinParts !== null ? [`1:${thinParts} with water`] : []),
    ...(per100Cm2 !== null ? [`${per100Cm2} on 100 cm²`] : []),
    ...(askables.some((what) => when[what] !== null) ? [`where ${whenWords(when, mm)}`] : []),
  ].join(', ');
}

/** How tall a coat is drawn: nothing is thinner than can be read, and paste is not quite to scale either. */
export const bandPx = ({ thicknessMm, coats }: Coat): number =>
  Math.round(28 + 9 * Math.log2(1 + Math.min(30, thicknessMm ?? 0)) + 3 * Math.min(4, coats - 1));
