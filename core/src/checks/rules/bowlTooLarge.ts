import type { Rule } from '../finding.ts';

/** Paste that would set before it is spread, were it mixed at once. */
export const bowlTooLarge: Rule = ({ takeoff }) =>
  takeoff.flatMap(({ id, title, batches, coats, zones }) =>
    batches?.of === 'bowl' && batches.recipe.length > 0 && batches.count > coats
      ? [
          {
            code: 'working-time-short',
            severity: 'note' as const,
            band: 'surface' as const,
            place: zones.map(({ name }) => name).join(', '),
            message: `${title}: mixed at once it would set before it is spread (${batches.why}).`,
            remedy: `Mix ${batches.count} bowls, each when the one before is empty.`,
            step: id,
          },
        ]
      : [],
  );
