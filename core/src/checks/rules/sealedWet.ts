import type { Rule } from '../finding.ts';
import { doneTooSoon, sayTooSoon } from '../tooSoon.ts';

/** Seal over joints or paste that are not dry. */
export const sealedWet: Rule = (view) =>
  doneTooSoon(view)
    .filter(({ step, under }) => step.stage === 'seal' && (under.stage === 'glue' || under.stage === 'skin'))
    .map((soon) => ({
      code: 'sealed-wet',
      severity: 'warn',
      band: 'surface',
      place: soon.step.title,
      message: sayTooSoon(soon),
      remedy:
        'Leave it in a warm, aired place; what is shut in dries through the foam only, in weeks. Do not pour or paint until it is.',
      step: soon.step.id,
    }));
