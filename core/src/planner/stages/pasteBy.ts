import { type LayerPlan, type PasteMap, pasteOfZones } from '../../layers/index.ts';
import type { School } from '../../project/index.ts';
import { stage } from '../input.ts';
import { isOther } from './isOther.ts';
import { layersBy } from './layersBy.ts';
import { layerLand } from './stackGround.ts';
import { zoneAreas } from './zones.ts';

/** What paste is worked out from, whatever the stack. */
export const underPaste = { land: layerLand, zones: zoneAreas };

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
    needs: { ...underPaste, layers: layersBy(school) },
    run: (given) => pasteFor(given.needs, given.needs.layers.plan),
    lags: isOther(school),
  });
