import { isLooseStone } from '../../project/index.ts';
import type { Rule } from '../finding.ts';
import { coatWords, onCoat, recipesWorn } from '../recipesWorn.ts';

/** Static grass after loose stones: in one recipe, or on one zone after the stones of another. */
export const grassAfterStones: Rule = (view) => {
  const inRecipe = recipesWorn(view).flatMap((recipe) => {
    const first = recipe.coats.findIndex(isLooseStone);
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
  if (inRecipe.length) return inRecipe;
  const stones = view.takeoff.findIndex(
    ({ operation, materials }) =>
      operation === 'scatter' && materials.some(({ material = '' }) => isLooseStone({ operation, material })),
  );
  const grass = view.takeoff.findLastIndex(({ operation }) => operation === 'grass');
  if (stones < 0 || grass < stones) return [];
  const [early, late] = [view.takeoff[stones], view.takeoff[grass]];
  const zonesOf = ({ zones }: typeof early) => zones.map(({ name }) => name).join(', ');
  return [
    {
      code: 'grass-after-stones',
      severity: 'warn',
      band: 'surface',
      place: zonesOf(late),
      message: `${late.title} on ${zonesOf(late)} comes after ${early.title} on ${zonesOf(early)}.`,
      remedy: 'Grass everywhere before loose stones anywhere: move what keeps the grass back in its recipe.',
      step: late.id,
    },
  ];
};
