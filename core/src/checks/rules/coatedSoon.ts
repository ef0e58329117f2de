import type { Rule } from '../finding.ts';
import { doneTooSoon, sayTooSoon } from '../tooSoon.ts';

/** Anything else that was done before what lies under it had dried. */
export const coatedSoon: Rule = (view) =>
  doneTooSoon(view)
    .filter(
      ({ step, under }) =>
        !(step.stage === 'seal' && (under.stage === 'glue' || under.stage === 'skin')) &&
        !(step.stage === 'colour' && under.stage === 'skin'),
    )
    .map((soon) => ({
      code: 'coated-too-soon',
      severity: 'warn',
      band: 'surface',
      place: soon.step.title,
      message: sayTooSoon(soon),
      remedy: 'Wait before the next step, and look whether it lifted.',
      step: soon.step.id,
    }));
