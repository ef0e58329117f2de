import type { Rule } from '../finding.ts';
import { coatWords, colours, firstOf, onCoat, recipesWorn } from '../recipesWorn.ts';

/** Paint and washes that come after grass, and mat it. */
export const colourOverGrass: Rule = (view) =>
  recipesWorn(view).flatMap((recipe) => {
    const grass = firstOf(recipe, ['grass', 'plant']);
    if (grass < 0) return [];
    return recipe.coats.flatMap((coat, at) =>
      at > grass && (colours as readonly string[]).includes(coat.operation)
        ? [
            onCoat(
              'warn',
              recipe,
              coat,
              'colour-over-grass',
              `${recipe.name}: ${coatWords(coat)} comes after ${coatWords(recipe.coats[grass])}.`,
              'Colour before grass: move it under.',
              grass,
            ),
          ]
        : [],
    );
  });
