import type { Ground } from '../../ground/index.ts';
import { groundOver } from '../../layers/index.ts';
import { skinMmOf } from '../../project/index.ts';
import { stage } from '../input.ts';
import { formed, usualGround } from './formed.ts';
import { skin } from './worn.ts';

/** The finished ground: as drawn, or the foam as drawn with the skin of each zone on it. */
export const ground = stage({
  name: 'ground',
  needs: { usualGround },
  *run({ input: { project }, needs, ask }): Generator<undefined, Ground> {
    if (project.heights === 'ground') return needs.usualGround;
    const worn = yield* ask(skin);
    const usual = !worn.node && worn.thicknessMm[0] === skinMmOf(project);
    return usual ? needs.usualGround : yield* groundOver(yield* ask(formed), worn, project);
  },
});
