import type { PackUnit } from '../materials/index.ts';
import { formatMeasure, type UnitSystem } from '../units/index.ts';
import type { Purchase, ShoppingLine } from './shopping.ts';

/** "250 ml", "1.2 kg", "3". */
export function sayQuantity(value: number, unit: PackUnit, system: UnitSystem): string {
  if (unit === 'ml') return formatMeasure('volume', value, system);
  if (unit === 'g') return formatMeasure('mass', value, system);
  if (unit === 'mm') return formatMeasure('length', value, system);
  return String(Math.ceil(value - 1e-6));
}

/** "1 x 60 ml + 2 x 17 ml"; pieces by their packs of so many. */
export const sayPurchase = ({ of }: Purchase, system: UnitSystem): string =>
  of
    .map(({ offer, count }) => {
      if (offer.unit !== 'each') return `${count} x ${sayQuantity(offer.amount, offer.unit, system)}`;
      return offer.amount === 1 ? String(count) : `${count} x pack of ${offer.amount}`;
    })
    .join(' + ');

/** What to buy of a line: packs, or how much where no pack is known; empty where all is there. */
export const sayBuy = ({ buy, short, unit }: ShoppingLine, system: UnitSystem): string =>
  short <= 1e-9 ? '' : buy ? sayPurchase(buy, system) : sayQuantity(short, unit, system);

/** "Acrylic paint, brushed: black". */
export const sayKind = ({ name, which }: Pick<ShoppingLine, 'name' | 'which'>): string =>
  which ? `${name}: ${which}` : name;
