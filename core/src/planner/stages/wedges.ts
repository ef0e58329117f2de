import { daysOf } from '../../days/index.ts';
import { USUAL_WEDGES } from '../../project/index.ts';
import { type WedgesReport, wedgesReport } from '../../report/index.ts';
import { takeoffOf } from '../../takeoff/index.ts';
import { stage } from '../input.ts';
import { worked } from './amounts.ts';
import { cutting } from './cutting.ts';
import { ground } from './ground.ts';
import { chosenLayers } from './layers.ts';
import { pasteFor, underPaste } from './pasteBy.ts';
import { aboveOf } from './workedBy.ts';
import { worn } from './worn.ts';
import { zones } from './zones.ts';

/** Less fill than this in all is no matter for wedges, ml. */
const LEAST_FILL_ML = 5;

/** The plan with wedges of offcut in its steps against the plan with paste: whichever of them is not built is worked out beside it. */
export const wedges = stage({
  name: 'wedges',
  needs: {
    underLand: underPaste.land,
    underZones: underPaste.zones,
    ground,
    zones,
    worn,
    plan: chosenLayers,
    cutting,
    now: worked,
  },
  *run({ input, needs }): Generator<undefined, WedgesReport | null> {
    const { project } = input;
    const { wedges: on } = project.stacking;
    const { now, plan } = needs;
    if (!on && plan.fillMl < LEAST_FILL_ML) return null;
    const under = { land: needs.underLand, zones: needs.underZones };
    const paste = pasteFor(under, plan, on ? null : USUAL_WEDGES);
    const list = on ? now.wedges : paste.wedges;
    if (!on && !list?.list.length) return null;
    yield;
    const stacking = { ...project.stacking, wedges: on ? undefined : USUAL_WEDGES };
    const other = { ...project, stacking };
    const above = aboveOf({ ...input, project: other }, needs, paste);
    yield;
    const takeoff = takeoffOf(other, now.plan, above, needs.cutting, paste.wedges);
    const days = daysOf(other, now.plan, takeoff);
    const instead = { plan: now.plan, paste: paste.whole, wedges: paste.wedges, above, takeoff, days };
    return wedgesReport(on ?? null, list?.list ?? [], now, instead);
  },
  lags: () => true,
});
