import { type LayerPlan, type PasteMap, pasteOfZones } from '../../layers/index.ts';
import type { Project, School } from '../../project/index.ts';
import { stage } from '../input.ts';
import { isOther } from './isOther.ts';
import { layersBy } from './layersBy.ts';
import { layerLand } from './stackGround.ts';
import { zoneAreas } from './zones.ts';

/** What paste is worked out from, whatever the stack. */
export const underPaste = { land: layerLand, zones: zoneAreas };

type Wedged = NonNullable<Project['stacking']['wedges']> | null;

interface Under {
  land: Parameters<typeof pasteOfZones>[0];
  zones: { map: Parameters<typeof pasteOfZones>[3]; zones: readonly unknown[] };
}

/** Paste on a stack, zone by zone. */
export const pasteFor = (
  { land, zones: read }: Under,
  plan: LayerPlan,
  wedges: Wedged,
): Generator<undefined, PasteMap> =>
  pasteOfZones(land, plan, land.ground.volumeMl - land.target.volumeMl, read.map, read.zones.length, wedges);

export const pasteBy = (school: School) =>
  stage({
    name: `paste, ${school}`,
    needs: { ...underPaste, layers: layersBy(school) },
    run: ({ needs, input: { project } }) => pasteFor(needs, needs.layers.plan, project.stacking.wedges ?? null),
    lags: isOther(school),
  });
