import { wornOf } from '../../recipes/index.ts';
import { stage } from '../input.ts';
import { usualGround } from './formed.ts';
import { zoneAreas } from './zones.ts';

/** How much of each zone each of its coats is meant for, and how thick the skin is where. */
export const worn = stage({
  name: 'worn',
  needs: { ground: usualGround, zoneAreas },
  run: ({ input: { project }, needs }) => wornOf(project, needs.ground, needs.zoneAreas),
});

/** The skin alone: what is built under it asks for no more. */
export const skin = stage({
  name: 'skin',
  needs: { worn },
  run: ({ needs }) => needs.worn.skin,
  byContent: true,
});
