import { mm } from '../../units/index.ts';
import type { Rule } from '../finding.ts';
import { inBrief } from '../setWords.ts';

/** Sides that lie against one another and do not meet. */
export const unevenJoints: Rule = ({ set }) =>
  set.joints
    .filter(({ meets }) => !meets)
    .map(({ aName, aSide, bName, bSide, mostMm, atMm, longerMm }) =>
      inBrief(
        `${aName} and ${bName}`,
        'edges-do-not-meet',
        longerMm >= 1
          ? `The ${aSide} of ${aName} and the ${bSide} of ${bName} differ in length by ${mm(longerMm)}.`
          : `The ${aSide} of ${aName} and the ${bSide} of ${bName} do not meet: a step of ${mm(mostMm)}, ${mm(atMm)} along.`,
        'Give both sides the same profile in Brief, or stand another tile there.',
      ),
    );
