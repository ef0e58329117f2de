import { foamItself, type Target, targetFor } from '../../layers/index.ts';
import { stage } from '../input.ts';
import { formed } from './formed.ts';
import { ground } from './ground.ts';
import { skin } from './worn.ts';

/** What the foam should reach: as drawn, or what leaves room for its skin under the drawn ground. */
export const target = stage({
  name: 'target',
  needs: { ground, skin },
  *run({ input: { project }, needs, ask }): Generator<undefined, Target> {
    if (project.heights === 'foam') return foamItself(yield* ask(formed));
    return yield* targetFor(needs.ground, needs.skin);
  },
});
