import type { Finding, Rule } from '../finding.ts';

/** Pinned layers and limits that no stack can keep. */
export const lostWishes: Rule = ({ choice }) => {
  const { pinsLost, limitsLost, exact } = choice.chosen;
  const found: Finding[] = [];
  if (pinsLost)
    found.push({
      code: 'pins-lost',
      severity: 'warn',
      band: 'layers',
      place: 'Pinned layers',
      message: 'No stack of these sheets holds every pinned layer where it lay, so the pins were left out of account.',
      remedy: 'Unpin a layer, or add a thickness that reaches it.',
    });
  if (limitsLost)
    found.push({
      code: 'limits-lost',
      severity: 'warn',
      band: 'layers',
      place: 'Limits of the stack',
      message: 'No stack of these sheets keeps all the limits that were set, so it was chosen without them.',
      remedy: 'Raise a limit under "How it is chosen", or add sheets.',
    });
  if (!exact)
    found.push({
      code: 'stack-not-proven',
      severity: 'note',
      band: 'layers',
      place: 'Choice of the stack',
      message: 'So many scarce kinds can be combined that not every stack was weighed: a cheaper one may exist.',
      remedy: 'Nothing need be done.',
    });
  return found;
};
