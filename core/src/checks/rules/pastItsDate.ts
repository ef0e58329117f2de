import type { Rule } from '../finding.ts';

/** What would be used after its date. */
export const pastItsDate: Rule = ({ shopping }) =>
  shopping
    .filter(({ pastDate }) => pastDate > 0)
    .map(({ name, which }) => ({
      code: 'past-its-date',
      severity: 'warn',
      band: 'stores',
      place: which ? `${name}, ${which}` : name,
      message: `${name}${which ? `, ${which}` : ''} in the cupboard is past its date by the day it is needed; it is not counted.`,
      remedy:
        'Try it on a scrap of foam first (plaster that has drawn damp sets in a minute or not at all), or buy fresh.',
    }));
