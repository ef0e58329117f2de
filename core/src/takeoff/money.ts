import { catalogueOf, inUnit, type Kind, offeredAs, type PackUnit, packUnits } from '../materials/index.ts';
import type { Project } from '../project/index.ts';
import type { TakenMaterial } from './stage.ts';

/** Price of one ml, gram, millimetre or piece of something; null where it has none. */
export type PriceOf = (kind: Kind, unit: PackUnit) => number | null;

/** Of an amount, how many of what its price is for: litres, kilograms, metres or pieces. */
const priced: Readonly<Record<PackUnit, number>> = { ml: 1000, g: 1000, mm: 1000, each: 1 };

/** Prices as the builder gave them: those of the pack that is cheapest by amount, else of a litre, kilogram, metre or piece in the catalogue. */
export function pricesOf({ materials, stores }: Pick<Project, 'materials' | 'stores'>): PriceOf {
  const catalogue = catalogueOf(materials);
  return (kind, unit) => {
    const each = stores.packs.flatMap((pack) => {
      const amount = pack.price !== null && offeredAs(pack, kind) ? sizeOf(pack, unit, catalogue) : null;
      return amount && pack.price !== null ? [pack.price / amount] : [];
    });
    if (each.length) return Math.min(...each);
    const price = catalogue.figure(kind.material, 'price');
    return price ? price.likely / priced[unit] : null;
  };
}

const sizeOf = (
  pack: Project['stores']['packs'][number],
  unit: PackUnit,
  catalogue: ReturnType<typeof catalogueOf>,
): number | null => inUnit(pack.amount, pack.unit, unit, pack.material, catalogue);

/** What of a step must be to hand, in a unit that packs come in. */
export const hadFor = (materials: readonly TakenMaterial[]) =>
  materials.flatMap(({ material, which = '', name, amount }) => {
    const unit = packUnits.find((one) => one === amount.unit);
    return material && unit ? [{ material, which, name, amount, unit }] : [];
  });

/** Price of what is used, as far as it is priced; null where nothing of it is. */
export function moneyFor(priceOf: PriceOf, materials: readonly TakenMaterial[]): number | null {
  const parts = hadFor(materials).flatMap((had) => {
    const price = priceOf(had, had.unit);
    return price === null ? [] : [price * had.amount.likely];
  });
  return parts.length ? parts.reduce((all, one) => all + one, 0) : null;
}
