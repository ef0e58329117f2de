import { openingWithin } from '../../project/index.ts';
import type { Rule } from '../finding.ts';
import { inBrief } from '../setWords.ts';

/** An opening of the base that reaches its edge, which is then left out. */
export const openingOut: Rule = ({ project: { base } }) =>
  base.opening && !openingWithin(base)
    ? [
        inBrief(
          'Opening of the base',
          'opening-reaches-the-edge',
          'The opening of the base reaches its edge or lies beside it, so it is left out.',
          'Make it smaller or move it inward; a base that is open at its edge is drawn as a free outline.',
        ),
      ]
    : [];
