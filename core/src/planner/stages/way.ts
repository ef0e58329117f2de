import { type Way, type WayFigures, wayOf } from '../../choice/index.ts';
import { schools } from '../../project/index.ts';
import { stage } from '../input.ts';
import { workedBy } from './workedBy.ts';

/** In which way the base is built: as the builder says, else by what the whole plan comes to in each of the three. */
export const way = stage({
  name: 'way of building',
  needs: {},
  *run({ input: { project }, ask }): Generator<undefined, Way> {
    const { school, costs } = project.stacking;
    if (school !== null) return { school, by: 'builder' };
    const figures: WayFigures[] = [];
    for (const each of schools) {
      const { plan, days } = yield* ask(workedBy(each));
      figures.push({
        school: each,
        minutes: days.handsOnMin,
        dryAt: days.finish?.likely ?? null,
        missesMm: plan.totals.tooLowMm,
      });
    }
    return wayOf(figures, costs.minPerDay);
  },
  byContent: true,
  // While something is dragged the way does not change under the builder's hands.
  lags: () => true,
});
