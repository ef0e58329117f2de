import type { Rule } from '../finding.ts';
import { colours, firstOf, lastOf, onCoat, recipesWorn } from '../recipesWorn.ts';

/** Colour on paste that nothing seals. */
export const nothingSeals: Rule = (view) =>
  recipesWorn(view).flatMap((recipe) => {
    const skin = lastOf(recipe, ['skin']);
    const colour = firstOf(recipe, colours);
    if (skin < 0 || colour < skin || recipe.coats.some(({ operation }) => operation === 'seal')) return [];
    return [
      onCoat(
        'note',
        recipe,
        recipe.coats[colour],
        'nothing-seals',
        `${recipe.name}: colour goes on paste that nothing seals.`,
        'Add a seal coat between them, or mean it so: thin washes on white plaster are wanted bare.',
      ),
    ];
  });
