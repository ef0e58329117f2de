import type { Rule } from '../finding.ts';
import { coatWords, colours, firstOf, onCoat, recipesWorn } from '../recipesWorn.ts';

/** Colour that goes on before a seal. */
export const colourUnderSeal: Rule = (view) =>
  recipesWorn(view).flatMap((recipe) => {
    const colour = firstOf(recipe, colours);
    const seal = recipe.coats.findIndex(({ operation }, at) => operation === 'seal' && at > colour);
    // A second seal, over colour that lies on one, is meant.
    if (colour < 0 || seal < 0 || firstOf(recipe, ['seal']) < colour) return [];
    return [
      onCoat(
        'warn',
        recipe,
        recipe.coats[seal],
        'colour-under-seal',
        `${recipe.name}: the seal comes over ${coatWords(recipe.coats[colour])}.`,
        'Seal before colour: move the seal under the first colour.',
        colour,
      ),
    ];
  });
