import { finishedGround, type Ground } from '../../ground/index.ts';
import { evenSkin, groundOver } from '../../layers/index.ts';
import { drawnAlike, profilesAlike, skinMmOf } from '../../project/index.ts';
import { builtFinished } from '../builtFinished.ts';
import { stage } from '../input.ts';
import { solved } from './solved.ts';

/** The solved surface with its landforms built on, measured: finished ground or bare foam, as the project's heights are. */
export const formed = stage({
  name: 'drawn surface',
  needs: { solved },
  *run({ input: { project }, needs }): Generator<undefined, Ground> {
    const { base, landforms, tile, heights } = project;
    const skinMm = () => skinMmOf(project);
    const drawn = {
      ...drawnAlike(heights, { base, marks: [], landforms, tile }, skinMm),
      profiles: profilesAlike(heights, project.profiles, skinMm),
    };
    const surface = yield* finishedGround(drawn, needs.solved);
    return heights === 'ground' ? surface : builtFinished(surface, skinMm());
  },
});

/** The finished ground as it is with the usual skin everywhere: what zones are read on. */
export const usualGround = stage({
  name: 'ground by its usual skin',
  needs: { formed },
  *run({ input: { project }, needs }): Generator<undefined, Ground> {
    if (project.heights === 'ground') return needs.formed;
    return yield* groundOver(needs.formed, evenSkin(skinMmOf(project)), project);
  },
});
