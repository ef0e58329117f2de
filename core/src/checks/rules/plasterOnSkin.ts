import type { Rule } from '../finding.ts';
import { coatWords, factsOf, onCoat, recipesWorn } from '../recipesWorn.ts';

/** Plaster, grout and cement that are handled. */
export const plasterOnSkin: Rule = (view) =>
  recipesWorn(view).flatMap((recipe) =>
    recipe.coats.flatMap((coat) => {
      const facts = factsOf(view.project, coat.material);
      const alkaline = facts.includes('alkaline');
      if (!alkaline && !(facts.includes('sets') && coat.tool === 'hand')) return [];
      return [
        onCoat(
          'note',
          recipe,
          coat,
          'plaster-on-skin',
          `${recipe.name}: ${coatWords(coat)} ${alkaline ? 'is strongly alkaline when wet' : 'is worked by hand and warms as it sets'}.`,
          alkaline
            ? 'Gloves and goggles, no bare skin; rinse long with water. Follow the maker’s safety sheet.'
            : 'Gloves; never let it set round a hand or finger. Follow the maker’s safety sheet.',
        ),
      ];
    }),
  );
