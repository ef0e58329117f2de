import { mm } from '../../units/index.ts';
import { onGround, type Rule } from '../finding.ts';
import { each, place } from '../voidWords.ts';

/** A roof that the builder's own limit calls too thin. */
export const thinRoofs: Rule = (plan) =>
  each(plan, ({ name, thinnestMm, thinnestAt }, { id, roofLeastMm }) =>
    thinnestMm === null || thinnestAt === null || thinnestMm >= roofLeastMm - 1e-6
      ? []
      : [
          onGround(
            id,
            name,
            'roof-too-thin',
            `The roof of ${name} is ${mm(thinnestMm)} thin at ${place(thinnestAt)}; ${mm(roofLeastMm)} are wanted.`,
            'Lower it, make it less high inside, or raise the ground over it.',
          ),
        ],
  );
