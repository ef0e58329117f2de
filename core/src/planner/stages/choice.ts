import { chooseFor, offersOf, type SchoolChoice } from '../../choice/index.ts';
import { schools } from '../../project/index.ts';
import { stage } from '../input.ts';
import { stackGround } from './stackGround.ts';
import { cheapest, tracks } from './tracks.ts';
import { way } from './way.ts';

/** What else could be built, and what each of it would be the best for. */
const offers = stage({
  name: 'other stacks',
  needs: { stackGround, tracks, way },
  run: ({ input: { project }, needs }) => offersOf(project, needs.stackGround, needs.tracks, needs.way.school),
  // It matters to a quick answer only where the builder chose by it.
  lags: ({ input: { project } }) => project.stacking.wish === 'least cost' || project.stack.byHand !== null,
});

/** The stack that is built. */
export const choice = stage({
  name: 'choice',
  needs: { stackGround, tracks, way, offers },
  *run({ input: { project }, needs, ask }) {
    const bySchool: SchoolChoice[] = [];
    for (const school of schools) bySchool.push(yield* ask(cheapest(school)));
    return chooseFor(project, needs.stackGround, needs.tracks, bySchool, needs.offers, needs.way.school);
  },
});
