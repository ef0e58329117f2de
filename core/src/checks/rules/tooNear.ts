import type { Finding, Rule } from '../finding.ts';
import { tenth } from '../words.ts';

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
          ? `${aName} and ${bName} run ${tenth(-gapMm)} mm into one another.`
          : `${aName} stands ${tenth(gapMm)} mm from ${bName}; ${tenth(wantedMm)} mm are to be kept free.`,
      remedy: `Move one of them ${tenth(wantedMm - gapMm)} mm away, or make one smaller.`,
      itemId: aId,
    }),
  );
