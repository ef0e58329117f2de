import type { Rule } from '../finding.ts';
import { firstOf, lastOf, onCoat, recipesWorn } from '../recipesWorn.ts';

/** A seal that goes on before the paste over it, and shuts joints in while they are wet. */
export const sealUnderPaste: Rule = (view) =>
  recipesWorn(view).flatMap((recipe) => {
    const seal = firstOf(recipe, ['seal']);
    const skin = lastOf(recipe, ['skin', 'set']);
    if (seal < 0 || skin < seal) return [];
    return [
      onCoat(
        'warn',
        recipe,
        recipe.coats[seal],
        'seal-under-paste',
        `${recipe.name}: the seal goes on before the paste.`,
        'Joints and paste dry first, then the seal shuts them in: move it over the last of the skin.',
        skin,
      ),
    ];
  });
