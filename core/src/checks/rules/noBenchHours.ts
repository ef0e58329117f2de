import type { Rule } from '../finding.ts';

export const noBenchHours: Rule = ({ days }) =>
  days.finish
    ? []
    : [
        {
          code: 'no-bench-hours',
          severity: 'stop',
          band: 'days',
          place: 'Bench hours',
          message: 'There are no bench hours in the week (or far too few), so no day can be named.',
          remedy: 'Set hours for at least one weekday in Days.',
        },
      ];
