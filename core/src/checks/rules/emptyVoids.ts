import { onGround, type Rule } from '../finding.ts';
import { each } from '../voidWords.ts';

/** A void that is not in the ground at all. */
export const emptyVoids: Rule = (plan) =>
  each(plan, ({ name, floorMm }, { id }) =>
    floorMm !== null
      ? []
      : [
          onGround(
            id,
            name,
            'void-in-the-air',
            `Nothing of ${name} lies in the ground.`,
            'Lower its floor, or move it under higher ground.',
          ),
        ],
  );
