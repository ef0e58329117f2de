import { mm } from '../../units/index.ts';
import { onGround, type Rule } from '../finding.ts';
import { each, place } from '../voidWords.ts';

/** A cable run must lead out, or to a bay. */
export const deadCables: Rule = (plan) =>
  each(plan, ({ name, ends }, { id }) => {
    if (!ends.length) return [];
    const leads = ends.some(
      ({ where }) => where === 'at the edge' || where === 'off the base' || where === 'in a void',
    );
    if (!leads)
      return [
        onGround(
          id,
          name,
          'cable-ends-nowhere',
          `${name} ends nowhere: neither end reaches the edge of the base or a bay.`,
          'Draw it on to the edge, or to a bay at the height of its bore.',
        ),
      ];
    return ends
      .filter(({ where }) => where === 'in the ground')
      .map(({ at, deepMm }) =>
        onGround(
          id,
          name,
          'cable-end-buried',
          `An end of ${name} lies ${mm(deepMm)} under the ground at ${place(at)}: nothing can be connected there.`,
          'Bring it up to the ground where its lamp stands, or lead it into a bay.',
        ),
      );
  });
