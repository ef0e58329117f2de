import { mm } from '../../units/index.ts';
import type { Finding, Rule } from '../finding.ts';

/** Two things that run into one another, or stand nearer than they may. */
export const tooNear: Rule = ({ fit }) =>
  fit.meetings.map(
    ({ aId, aName, bName, gapMm, wantedMm }): Finding => ({
      code: gapMm < 0 ? 'things-collide' : 'things-too-near',
      severity: 'warn',
      band: 'brief',
      place: `${aName} and ${bName}`,
      message:
        gapMm < 0
          ? `${aName} and ${bName} run ${mm(-gapMm)} into one another.`
          : `${aName} stands ${mm(gapMm)} from ${bName}; ${mm(wantedMm)} are to be kept free.`,
      remedy: `Move one of them ${mm(wantedMm - gapMm)} away, or make one smaller.`,
      itemId: aId,
    }),
  );
