import { standingShares } from '../../fit/index.ts';
import { stage } from '../input.ts';
import { ground } from './ground.ts';

/** How much of the ground figures can stand on. */
export const standing = stage({
  name: 'standing',
  needs: { ground },
  run: ({ input: { project }, needs: { ground: land } }) => standingShares(land.grid, land.outline, project.judging),
  lags: () => true,
});
