import { layIn, roomsOf } from '../../layers/index.ts';
import { catalogueOf } from '../../materials/index.ts';
import { stage } from '../input.ts';
import { ground } from './ground.ts';
import { target } from './target.ts';

/** Things laid into the ground: how deep they lie. */
export const laid = stage({
  name: 'laid in',
  needs: { ground, target },
  run: ({ input: { project }, needs }) =>
    layIn(project.laid, needs.ground, needs.target, catalogueOf(project.materials)),
});

/** Rooms that foam is taken out for. */
export const rooms = stage({
  name: 'rooms',
  needs: { ground, laid },
  run: ({ input: { project }, needs }) => roomsOf(project, needs.ground, needs.laid),
});
