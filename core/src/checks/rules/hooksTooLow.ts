import { mm } from '../../units/index.ts';
import type { Rule } from '../finding.ts';

/** A piece on a wall whose hooks lie under its centre of gravity. */
export const hooksTooLow: Rule = ({ balance }) => {
  if (!balance?.hooks || balance.safe) return [];
  return [
    {
      code: 'hooks-too-low',
      severity: 'warn',
      band: 'stores',
      place: 'On a wall',
      message: `The hooks lie ${mm(Math.abs(balance.hooks.overMm), 0)} under the centre of gravity: the piece would turn over.`,
      remedy:
        'Fix them higher on the board. Take hooks and plugs rated for several times the load, and follow their maker.',
    },
  ];
};
