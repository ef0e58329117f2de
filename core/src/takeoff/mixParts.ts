import { bowlShare, mixOf } from '../materials/index.ts';
import { type Amount, scaleRange } from '../units/index.ts';
import { reworked } from './amounts.ts';
import type { TakenMaterial } from './stage.ts';

/** Nobody buys it. */
const TAP = 'water';

/** What an amount of a mix is stirred together from, by its parts; nothing where the material is no mix. */
export function mixParts(material: string, amount: Amount): TakenMaterial[] {
  const mix = mixOf(material);
  if (!mix) return [];
  // Wet parts fill the voids of loose ones: more must be measured out than the bowl holds.
  const all = bowlShare(mix) * mix.parts.reduce((sum, { parts }) => sum + parts, 0);
  return mix.parts.map(({ material: of, name, parts, which }) => ({
    name: `of it ${name}`,
    amount: reworked(amount, scaleRange(amount, parts / all), `${Math.round((100 * parts) / all)} ml to 100 ml of it`),
    ...(of !== TAP && { material: of }),
    ...(which && { which }),
  }));
}
