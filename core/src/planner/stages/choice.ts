import {
  type Choice,
  cheapestOf,
  chooseFor,
  offersOf,
  type SchoolChoice,
  type Track,
  trackFor,
} from '../../choice/index.ts';
import { type School, schools } from '../../project/index.ts';
import { stage } from '../input.ts';
import { stackGround } from './stackGround.ts';

/** Every stack that a way of building allows. */
const track = (school: School) =>
  stage({
    name: `stacks, ${school}`,
    needs: { stackGround },
    run: ({ input: { project }, needs }) => trackFor(project, needs.stackGround, school),
  });

/** The cheapest of them. */
export const cheapest = (school: School) =>
  stage({
    name: `cheapest stack, ${school}`,
    needs: { track: track(school) },
    run: ({ input: { project }, needs }) => cheapestOf(project, needs.track),
  });

const tracks = stage({
  name: 'stacks',
  needs: {},
  *run({ ask }) {
    const all: Track[] = [];
    for (const school of schools) all.push(yield* ask(track(school)));
    return all;
  },
});

/** What else could be built, and what each of it would be the best for. */
const offers = stage({
  name: 'other stacks',
  needs: { stackGround, tracks },
  run: ({ input: { project }, needs }) => offersOf(project, needs.stackGround, needs.tracks),
  // It matters to a quick answer only where the builder chose by it.
  lags: ({ input: { project } }) => project.stacking.wish === 'least cost' || project.stack.byHand !== null,
});

/** The stack that is built. */
export const choice = stage({
  name: 'choice',
  needs: { stackGround, tracks, offers },
  *run({ input: { project }, needs, ask }) {
    const bySchool: SchoolChoice[] = [];
    for (const school of schools) bySchool.push(yield* ask(cheapest(school)));
    return chooseFor(project, needs.stackGround, needs.tracks, bySchool, needs.offers);
  },
});

/** Whether a school is known not to be the one that is built: then a quick answer may leave what follows from it as it was. */
export const isOther =
  (school: School) =>
  ({ peek }: { peek: (from: typeof choice) => Choice | undefined }): boolean => {
    const made = peek(choice);
    return made !== undefined && made.chosen.school !== school;
  };
