import type { Finding, Rule } from '../finding.ts';

/** Limits and rules of the brief that the plan breaks. */
export const brokenLimits: Rule = ({ limits }) =>
  limits
    .filter(({ kept }) => kept === false)
    .map(
      ({ id, text, why }): Finding => ({
        code: `limit-${id}`,
        severity: 'warn',
        band: 'brief',
        place: text,
        message: `Not kept: ${text.charAt(0).toLowerCase()}${text.slice(1)}; ${why}.`,
        remedy: 'Change the plan, or the limit in the brief.',
      }),
    );
