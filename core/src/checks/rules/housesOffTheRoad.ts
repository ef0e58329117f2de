import { mm } from '../../units/index.ts';
import type { Finding, Rule } from '../finding.ts';

/** Houses that no way leads to. */
export const housesOffTheRoad: Rule = ({ judgements }) =>
  judgements.houses
    .filter(({ reached }) => !reached)
    .map(
      ({ id, name, wayMm }): Finding => ({
        code: 'house-without-way',
        severity: 'note',
        band: 'ground',
        place: name,
        message: wayMm === null ? `No way leads to ${name}.` : `The nearest way ends ${mm(wayMm)} from ${name}.`,
        remedy: 'Draw a road or steps to its door, if it had one.',
        itemId: id,
      }),
    );
