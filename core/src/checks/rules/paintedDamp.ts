import type { Rule } from '../finding.ts';
import { doneTooSoon, sayTooSoon } from '../tooSoon.ts';

/** Colour over plaster that is still damp. */
export const paintedDamp: Rule = (view) =>
  doneTooSoon(view)
    .filter(({ step, under }) => step.stage === 'colour' && under.stage === 'skin')
    .map((soon) => ({
      code: 'painted-damp',
      severity: 'warn',
      band: 'surface',
      place: soon.step.title,
      message: sayTooSoon(soon),
      remedy: 'Let it dry before the next coat; stains and flaking show where it was damp.',
      step: soon.step.id,
    }));
