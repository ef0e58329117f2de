import type { OtherStack } from '../../checks/index.ts';
import { stage } from '../input.ts';
import { worked } from './amounts.ts';
import { choice } from './choice.ts';
import { weighed } from './weighed.ts';

/** So many stacks are worked out against a limit: those that dry soonest by their own estimate. */
const MOST = 3;

/** Other stacks with their dates and minutes, where the one that is built breaks the deadline or the hours of the brief. */
export const otherStacks = stage({
  name: 'amounts of other stacks against a limit',
  needs: { choice, worked },
  *run({ input: { project }, needs, ask }): Generator<undefined, OtherStack[]> {
    const { dueDate, benchHours } = project.limits;
    const { finish, handsOnMin } = needs.worked.days;
    const late = dueDate !== null && (finish === null || finish.sure.slice(0, 10) > dueDate);
    const long = benchHours !== null && handsOnMin > 60 * benchHours;
    if (!late && !long) return [];
    const soonest = needs.choice.proposals
      .filter(({ shown, steps }) => shown && steps.length > 0)
      .sort((a, b) => a.dryHours - b.dryHours || a.costMin - b.costMin)
      .slice(0, MOST);
    const found: OtherStack[] = [];
    for (const { school, layers } of soonest) {
      const read = yield* ask(weighed(school, layers));
      if (read) found.push({ school, layers, finish: read.finish, handsOnMin: read.handsOnMin });
    }
    return found;
  },
  lags: () => true,
});
