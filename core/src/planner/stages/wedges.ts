import { daysOf } from '../../days/index.ts';
import type { PasteMap } from '../../layers/index.ts';
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

/** Paste on the chosen stack with its steps filled the other way: by wedges first where paste fills them, and by paste where wedges do. */
const otherPaste = stage({
  name: 'paste, steps filled the other way',
  needs: { ...underPaste, plan: chosenLayers },
  *run({ input: { project }, needs: { plan, ...under } }): Generator<undefined, PasteMap | null> {
    const { wedges: on } = project.stacking;
    return on || plan.fillMl >= LEAST_FILL_ML ? yield* pasteFor(under, plan, on ? null : USUAL_WEDGES) : null;
  },
  lags: () => true,
});

/** The plan with wedges of offcut in its steps against the plan with paste. */
export const wedges = stage({
  name: 'amounts, steps filled the other way',
  needs: { ground, zones, worn, cutting, now: worked, paste: otherPaste },
  *run({ input, needs }): Generator<undefined, WedgesReport | null> {
    const { project } = input;
    const { wedges: on } = project.stacking;
    const { now, paste } = needs;
    const list = (on ? now.wedges : paste?.wedges)?.list ?? [];
    if (!paste || (!on && !list.length)) return null;
    const other = { ...project, stacking: { ...project.stacking, wedges: on ? undefined : USUAL_WEDGES } };
    const above = aboveOf({ ...input, project: other }, needs, paste);
    yield;
    const takeoff = takeoffOf(other, now.plan, above, needs.cutting, paste.wedges);
    const days = daysOf(other, now.plan, takeoff);
    const instead = { plan: now.plan, paste: paste.whole, wedges: paste.wedges, above, takeoff, days };
    return wedgesReport(on ?? null, list, now, instead);
  },
  lags: () => true,
});
