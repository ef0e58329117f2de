import type { Catalogue } from './catalogue.ts';
import type { PackUnit } from './materialSchema.ts';
import { kgPerL } from './mixes.ts';

/** Density of a material as it is sold: powder of what is mixed from powder, else as it is measured out. */
const soldKgPerL = (material: string, catalogue: Catalogue): number =>
  catalogue.figure(material, 'yieldLPerKg')
    ? (catalogue.figure(material, 'powderKgPerL')?.likely ?? 1)
    : kgPerL(material, catalogue);

/** An amount in another unit, by the density of the material as it is sold; null where pieces or lengths would have to become volumes. */
export function inUnit(
  amount: number,
  from: PackUnit,
  to: PackUnit,
  material: string,
  catalogue: Catalogue,
): number | null {
  if (from === to) return amount;
  if (from === 'ml' && to === 'g') return amount * soldKgPerL(material, catalogue);
  if (from === 'g' && to === 'ml') return amount / soldKgPerL(material, catalogue);
  return null;
}

/** What is needed or stored: a material, and which of its kind. */
export interface Kind {
  material: string;
  which: string;
}

const plain = (text: string) => text.trim().toLowerCase();

/** Whether what is stored will do for what is needed: the same colour; stuff that is no colour does for every grade where it says none. */
export const servesFor = (stored: Kind, needed: Kind, catalogue: Catalogue): boolean =>
  stored.material === needed.material &&
  (plain(stored.which) === plain(needed.which) ||
    (stored.which === '' && !catalogue.material(needed.material)?.facts.includes('a colour')));

/** Whether a pack is to be had in what is needed: one that names no colour or grade comes in all of them. */
export const offeredAs = (pack: Kind, needed: Kind): boolean =>
  pack.material === needed.material && (pack.which === '' || plain(pack.which) === plain(needed.which));
