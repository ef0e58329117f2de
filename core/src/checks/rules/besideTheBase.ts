import type { Finding, Rule } from '../finding.ts';

/** A thing that stands beside the base. */
export const besideTheBase: Rule = ({ fit }) =>
  fit.things
    .filter(({ groundMm }) => groundMm === null)
    .map(
      ({ id, name }): Finding => ({
        code: 'stands-beside',
        severity: 'warn',
        band: 'ground',
        place: name,
        message: `${name} stands beside the base, not on it.`,
        remedy: 'Move it onto the base.',
        itemId: id,
      }),
    );
