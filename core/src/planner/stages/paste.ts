import { type LayerPlan, type PasteMap, pasteOfZones } from '../../layers/index.ts';
import type { School } from '../../project/index.ts';
import { stage } from '../input.ts';
import { isOther } from './choice.ts';
import { chosenLayers, layersBy } from './layers.ts';
import { layerLand } from './stackGround.ts';
import { zoneAreas } from './zones.ts';

/** What paste is worked out from, whatever the stack. */
const needs = { land: layerLand, zones: zoneAreas };

interface Under {
  land: Parameters<typeof pasteOfZones>[0];
  zones: { map: Parameters<typeof pasteOfZones>[3]; zones: readonly unknown[] };
}

/** Paste on a stack, zone by zone. */
export const pasteFor = ({ land, zones: read }: Under, plan: LayerPlan): PasteMap =>
  pasteOfZones(land, plan, land.ground.volumeMl - land.target.volumeMl, read.map, read.zones.length);

export const pasteBy = (school: School) =>
  stage({
    name: `paste, ${school}`,
    needs: { ...needs, layers: layersBy(school) },
    run: (given) => pasteFor(given.needs, given.needs.layers.plan),
    lags: isOther(school),
  });

/** Paste on the stack that is built: once, where that is the stack of a school. */
export const chosenPaste = stage({
  name: 'paste',
  needs: { ...needs, plan: chosenLayers },
  *run({ needs: { plan, ...under }, ask }): Generator<undefined, PasteMap> {
    const { plan: cheapest } = yield* ask(layersBy(plan.school));
    return cheapest === plan ? yield* ask(pasteBy(plan.school)) : pasteFor(under, plan);
  },
});
