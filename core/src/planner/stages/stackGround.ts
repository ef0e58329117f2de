import { type Land, levelPlaces, stackGround as stackGroundOf } from '../../layers/index.ts';
import { stage } from '../input.ts';
import { areas } from './areas.ts';
import { ground } from './ground.ts';
import { rooms } from './rooms.ts';
import { target } from './target.ts';

/** Flats that are meant to lie at a height. */
const levels = stage({
  name: 'levels',
  needs: { ground, target, areas },
  *run({ input: { project }, needs }) {
    return yield* levelPlaces(
      project.heights,
      [...project.marks, ...project.landforms],
      needs.ground.built,
      needs.ground.grid,
      needs.target.grid,
      needs.areas,
    );
  },
  byContent: true,
});

/** What the choice of stacks reads of the ground. */
export const stackGround = stage({
  name: 'ground for stacks',
  needs: { ground, target, areas, levels },
  run: ({ input: { project }, needs }) => stackGroundOf(project, needs.ground, needs.target, needs.areas, needs.levels),
});

/** What layers are cut in. */
export const layerLand = stage({
  name: 'ground for layers',
  needs: { ground, target, map: areas, rooms, levels },
  run: ({ needs }): Land => ({ ...needs }),
});
