import { mm } from '../../units/index.ts';
import { onGround, type Rule } from '../finding.ts';
import { each } from '../voidWords.ts';

/** A bay that is to be reached from the side must reach it; one from below must lie on the board. */
export const lockedBays: Rule = (plan) =>
  each(plan, ({ name, atEdge }, hollow) => {
    if (hollow.kind !== 'bay') return [];
    const say = (why: string, remedy: string) => [onGround(hollow.id, name, 'bay-not-reached', why, remedy)];
    if (hollow.access === 'from the side' && !atEdge)
      return say(
        `${name} is to be reached from the side, but lies inside the base.`,
        'Move it to the edge of the base, or reach it from below.',
      );
    if (hollow.access === 'from below' && hollow.floorMm > 0.05)
      return say(
        `${name} is to be reached from below, but ${mm(hollow.floorMm)} of foam lie under it.`,
        'Put its floor at 0, on the board, and open the board there.',
      );
    return [];
  });
