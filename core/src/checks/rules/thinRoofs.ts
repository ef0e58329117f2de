import { onGround, type Rule } from '../finding.ts';
import { each, place } from '../voidWords.ts';
import { tenth } from '../words.ts';

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
            `The roof of ${name} is ${tenth(thinnestMm)} mm thin at ${place(thinnestAt)}; ${tenth(roofLeastMm)} mm are wanted.`,
            'Lower it, make it less high inside, or raise the ground over it.',
          ),
        ],
  );
