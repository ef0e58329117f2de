import type { Catalogue } from '../materials/index.ts';
import type { Amount } from '../units/index.ts';
import type { TakenMaterial } from './stage.ts';

/** Of an amount, how many of what its price is for: litres, kilograms, square metres, metres or pieces. */
const priced: Partial<Record<Amount['unit'], number>> = { ml: 1000, g: 1000, mm2: 1e6, mm: 1000, each: 1 };

/** Price of what is used, as far as it is priced; null where nothing of it is. */
export function moneyFor(catalogue: Catalogue, materials: readonly TakenMaterial[]): number | null {
  const parts = materials.flatMap(({ material, amount }) => {
    const price = material ? catalogue.figure(material, 'price') : null;
    return price ? [(price.likely * amount.likely) / (priced[amount.unit] ?? 1)] : [];
  });
  return parts.length ? parts.reduce((all, one) => all + one, 0) : null;
}
