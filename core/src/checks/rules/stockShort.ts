import type { Finding, Rule } from '../finding.ts';
import { lackOf, poolName } from '../stackWords.ts';

/** A stack settled by hand may ask for more than there is. */
export const stockShort: Rule = ({ project, choice }) =>
  choice.chosen.shortages.map(({ pool, mm2 }): Finding => {
    const short = choice.chosen.model.stock[pool];
    return {
      code: 'stock-short',
      severity: 'stop',
      band: 'layers',
      place: poolName(project, short),
      message: `This stack takes more than the shed holds: ${lackOf(project, short, mm2)} is missing.`,
      remedy: 'Swap a layer for another kind, say that more can be bought, or let Hosket choose again.',
    };
  });
