import { middlesOf } from '../../fit/index.ts';
import { stage } from '../input.ts';
import { ground } from './ground.ts';
import { chosenLayers } from './layers.ts';
import { chosenPaste } from './paste.ts';
import { zoneAreas } from './zones.ts';

/** Middles of mass of foam, board, paste and cover. */
export const middles = stage({
  name: 'middles of mass',
  needs: { ground, plan: chosenLayers, paste: chosenPaste, zones: zoneAreas },
  run: ({ input: { project }, needs }) =>
    middlesOf(project, needs.ground, needs.plan.layers, needs.paste, needs.zones.map),
});
