import { catalogueOf, inUnit, servesFor } from '../../materials/index.ts';
import type { Rule } from '../finding.ts';

/** Something in the cupboard in a unit that cannot be held against what is needed: pieces against millilitres. */
export const uncountedStores: Rule = ({ shopping, project }) => {
  const catalogue = catalogueOf(project.materials);
  return project.stores.items.flatMap((item) => {
    const needs = shopping.filter((line) => servesFor(item, line, catalogue));
    if (!needs.length || needs.some(({ unit }) => inUnit(1, item.unit, unit, item.material, catalogue) !== null))
      return [];
    const [{ name, unit }] = needs;
    return [
      {
        code: 'stock-not-counted',
        severity: 'note' as const,
        band: 'stores' as const,
        place: name,
        message: `${name} in the cupboard is written in ${item.unit === 'each' ? 'pieces' : item.unit}, and needed in ${unit === 'each' ? 'pieces' : unit}: it is not counted.`,
        remedy: `Write how much of it there is in ${unit === 'each' ? 'pieces' : unit}.`,
      },
    ];
  });
};
