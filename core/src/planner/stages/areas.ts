import { areasOf } from '../../layers/index.ts';
import { stage } from '../input.ts';
import { ground } from './ground.ts';
import { zoneAreas } from './zones.ts';

/** Which part of the base is built in which way. */
export const areas = stage({
  name: 'areas',
  needs: { ground },
  *run({ input: { project }, needs, ask }) {
    // Zones matter to it only where an area is one.
    const byZone = project.stacking.areas.some(({ of }) => of.kind === 'zone');
    const read = byZone
      ? yield* ask(zoneAreas)
      : { map: { columns: 0, rows: 0, cellMm: 1, zone: new Uint8Array() }, zones: [] };
    return areasOf(project, needs.ground, read);
  },
});
