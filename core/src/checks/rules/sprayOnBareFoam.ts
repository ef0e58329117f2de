import type { Rule } from '../finding.ts';
import { coatWords, factsOf, liesOnFoam, onCoat, recipesWorn, sealedUnder } from '../recipesWorn.ts';

/** A solvent spray or a solvent wash on ground that is not sealed all over; what is sold as foam-safe passes. */
export const sprayOnBareFoam: Rule = (view) =>
  recipesWorn(view)
    .filter((recipe) => liesOnFoam(view, recipe))
    .flatMap((recipe) =>
      recipe.coats.flatMap((coat, at) => {
        const facts = factsOf(view.project, coat.material);
        // A paint that is harmless on a brush is not so out of a can: what drives it out eats foam, unless the spray is sold as foam-safe.
        const canned = coat.tool === 'spray can' && !(facts.includes('foam-safe') && /spray/i.test(coat.material));
        const eats =
          facts.includes('attacks foam') || canned || (facts.includes('solvent') && !facts.includes('foam-safe'));
        if (!eats || sealedUnder(recipe, at)) return [];
        const seal = recipe.coats.findIndex(({ operation }) => operation === 'seal');
        return [
          onCoat(
            'warn',
            recipe,
            coat,
            'solvent-on-bare-foam',
            `${recipe.name}: ${coatWords(coat)} has a solvent or propellant that eats foam, and nothing under it seals all of the ground.`,
            seal > at
              ? 'Put the seal under it, or take a spray that is sold as foam-safe.'
              : 'Seal all of it first with medium and paint, gesso or PVA; or take a spray that is sold as foam-safe.',
            // Over the seal, which moves down by one when it is taken out.
            seal > at ? seal : undefined,
          ),
        ];
      }),
    );
