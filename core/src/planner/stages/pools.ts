import { poolsIn } from '../../ground/index.ts';
import { stage } from '../input.ts';
import { ground } from './ground.ts';

/** Where water would stand. */
export const pools = stage({
  name: 'pools',
  needs: { ground },
  run: ({ needs: { ground: land } }) => poolsIn(land.grid, land.outline),
  lags: () => true,
});
