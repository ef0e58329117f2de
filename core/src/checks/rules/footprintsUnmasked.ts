import { nameOf } from '../../project/index.ts';
import type { Rule } from '../finding.ts';
import { firstOf, onCoat, recipesWorn } from '../recipesWorn.ts';

/** Buildings whose footprints should be masked before fibres fly. */
export const footprintsUnmasked: Rule = (view) => {
  const { project } = view;
  const named = [
    ...project.laid.filter(({ kind }) => kind === 'building'),
    ...project.things.filter(({ kind }) => kind === 'stood'),
  ].map(nameOf);
  if (!named.length) return [];
  const who = named.length > 3 ? `${named.slice(0, 3).join(', ')} and ${named.length - 3} more` : named.join(', ');
  return recipesWorn(view).flatMap((recipe) => {
    const grass = firstOf(recipe, ['grass']);
    return grass < 0
      ? []
      : [
          onCoat(
            'note',
            recipe,
            recipe.coats[grass],
            'mask-footprints',
            `${recipe.name}: mask the footprints before the grass: ${who}.`,
            'Cut card or tape to each footprint; take it off before the glue is dry.',
          ),
        ];
  });
};
