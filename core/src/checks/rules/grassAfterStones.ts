import type { Coat } from '../../project/index.ts';
import type { Rule } from '../finding.ts';
import { coatWords, onCoat, recipesWorn } from '../recipesWorn.ts';

/** Loose stuff that lies on the ground as single stones. */
const stones = ['large stones', 'small stones', 'ballast', 'nut-shell ballast'];
const isStones = ({ operation, material }: Coat) => operation === 'scatter' && stones.includes(material);

/** Static grass after loose stones. */
export const grassAfterStones: Rule = (view) =>
  recipesWorn(view).flatMap((recipe) => {
    const first = recipe.coats.findIndex(isStones);
    if (first < 0) return [];
    return recipe.coats.flatMap((coat, at) =>
      coat.operation === 'grass' && at > first
        ? [
            onCoat(
              'warn',
              recipe,
              coat,
              'grass-after-stones',
              `${recipe.name}: ${coatWords(coat)} comes after ${coatWords(recipe.coats[first])}.`,
              'Grass before loose stones: move it under them.',
              first,
            ),
          ]
        : [],
    );
  });
