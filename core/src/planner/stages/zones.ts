import type { Project } from '../../project/index.ts';
import { namedZones, zonesFor } from '../../zones/index.ts';
import { stage } from '../input.ts';
import { usualGround } from './formed.ts';

/** Which zone lies where. */
export const zoneAreas = stage({
  name: 'areas of zones',
  needs: { ground: usualGround },
  run: ({ input: { project }, needs }) => zonesFor(project, needs.ground),
  // Areas that are built in ways of their own, or wear skins of their own, may be zones: then these may not lag behind. And a base of another size has other cells.
  lags: ({ input: { project }, needs: { ground: land }, before }) =>
    !zonesDecide(project) &&
    !zonesAreCheap(project) &&
    before.map.zone.length === (land.grid.columns - 1) * (land.grid.rows - 1),
});

/** The zones with their names. */
export const zones = stage({
  name: 'zones',
  needs: { zoneAreas },
  run: ({ input: { project }, needs }) => namedZones(project, needs.zoneAreas.zones),
});

const zonesDecide = (project: Project): boolean =>
  project.stacking.areas.some(({ of }) => of.kind === 'zone') || wearsByZone(project);

/** Whether zones and coats ask for nothing that takes long to find out. */
const zonesAreCheap = ({ zones: { rules }, recipes }: Project): boolean =>
  [...rules, ...recipes.flatMap(({ coats }) => coats)].every(({ when }) =>
    (['water', 'wall', 'rock', 'way', 'wetness'] as const).every((what) => when[what] === null),
  );

/** Whether skins may differ from place to place. */
const wearsByZone = ({ zones: { rules }, patches, recipes }: Project): boolean =>
  [...rules, ...patches].some(({ recipe }) => recipe !== null) ||
  recipes.some(({ coats }) =>
    coats.some(({ operation, when }) => operation === 'skin' && Object.values(when).some((limits) => limits !== null)),
  );
