import { decimals } from '../../units/index.ts';
import type { Rule } from '../finding.ts';

/** A piece that falls over too easily on what it stands on. */
export const tipsOver: Rule = ({ balance, project }) => {
  if (!balance?.tip || balance.safe) return [];
  const { degrees, towards } = balance.tip;
  return [
    {
      code: 'tips-over',
      severity: degrees < 0 ? 'stop' : 'warn',
      band: 'stores',
      place: `On ${balance.on}`,
      message:
        degrees < 0
          ? `The finished piece does not stand on ${balance.on}: it falls to the ${towards}.`
          : `Tilted ${decimals(degrees, 0)}° to the ${towards} the finished piece falls off ${balance.on}; ${project.support.leastTipDegrees}° are wanted.`,
      remedy: 'Take a larger plinth or board, lighter ground on the high side, or fix it down.',
    },
  ];
};
