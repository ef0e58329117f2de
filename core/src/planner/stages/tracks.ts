import { cheapestOf, type Track, trackFor } from '../../choice/index.ts';
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

/** All of them. */
export const tracks = stage({
  name: 'stacks',
  needs: {},
  *run({ ask }) {
    const all: Track[] = [];
    for (const school of schools) all.push(yield* ask(track(school)));
    return all;
  },
});
