import { readVoids } from '../../ground/index.ts';
import { stage } from '../input.ts';
import { ground } from './ground.ts';

/** Hollows in the ground: what lies over them, and where they come out. */
export const voids = stage({
  name: 'hollows',
  needs: { ground },
  run: ({ input: { project }, needs: { ground: land } }) => readVoids(land.grid, land.outline, project.voids),
});
