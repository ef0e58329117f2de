import { targetFor } from '../../layers/index.ts';
import { stage } from '../input.ts';
import { ground } from './ground.ts';
import { skin } from './worn.ts';

/** What the foam should reach under its skin. */
export const target = stage({
  name: 'target',
  needs: { ground, skin },
  run: ({ needs }) => targetFor(needs.ground, needs.skin),
});
