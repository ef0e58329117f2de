import { daysOf } from '../../days/index.ts';
import { layerPlan, weightsOf } from '../../layers/index.ts';
import type { HandLayer, School } from '../../project/index.ts';
import { type SchoolReport, schoolReport } from '../../report/index.ts';
import { costOf, layByHand } from '../../stack/index.ts';
import { takeoffOf } from '../../takeoff/index.ts';
import { stage } from '../input.ts';
import { ground } from './ground.ts';
import { pasteFor } from './pasteBy.ts';
import { layerLand } from './stackGround.ts';
import { cheapest } from './tracks.ts';
import { aboveOf } from './workedBy.ts';
import { worn } from './worn.ts';
import { zoneAreas, zones } from './zones.ts';

/** Any stack of a school, written from the board up, with its amounts and its days; null where a layer of it cannot be laid. */
export const weighed = (school: School, written: readonly HandLayer[]) =>
  stage({
    name: `weighed, ${school}, ${JSON.stringify(written)}`,
    needs: { ground, worn, zones, zoneAreas, land: layerLand, found: cheapest(school) },
    *run({ input, needs }): Generator<undefined, SchoolReport | null> {
      const { project } = input;
      const { model } = needs.found;
      const { steps, idle, unknown } = layByHand(model, written);
      if (idle.length || unknown.length) return null;
      const plan = yield* layerPlan(
        project,
        needs.land,
        model,
        school,
        steps,
        costOf(model, steps, weightsOf(project)),
      );
      const paste = yield* pasteFor(
        { land: needs.land, zones: needs.zoneAreas },
        plan,
        project.stacking.wedges ?? null,
      );
      const above = aboveOf(input, needs, paste);
      const takeoff = takeoffOf(project, plan, above, null, paste.wedges);
      return schoolReport(project, {
        plan,
        paste: paste.whole,
        wedges: paste.wedges,
        above,
        takeoff,
        days: daysOf(project, plan, takeoff),
      });
    },
  });
