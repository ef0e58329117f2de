import { daysOf } from '../../days/index.ts';
import type { Worked } from '../../report/index.ts';
import { takeoffOf } from '../../takeoff/index.ts';
import { stage } from '../input.ts';
import { cutting } from './cutting.ts';
import { ground } from './ground.ts';
import { chosenLayers } from './layers.ts';
import { chosenPaste } from './paste.ts';
import { pasteBy } from './pasteBy.ts';
import { aboveBy, aboveOf } from './workedBy.ts';
import { worn } from './worn.ts';
import { zones } from './zones.ts';

const chosenAbove = stage({
  name: 'cover',
  needs: { ground, zones, worn, plan: chosenLayers, paste: chosenPaste },
  *run({ input, needs, ask }): Generator<undefined, Worked['above']> {
    const { school } = needs.plan;
    return (yield* ask(pasteBy(school))) === needs.paste
      ? yield* ask(aboveBy(school))
      : aboveOf(input, needs, needs.paste);
  },
});

/** Amounts, minutes and days of what is built: what is used of sheets is what the pieces are laid on. */
export const worked = stage({
  name: 'amounts',
  needs: { plan: chosenLayers, paste: chosenPaste, above: chosenAbove, cutting },
  run: ({ input: { project }, needs }): Worked => {
    const plan = { ...needs.plan, sheetsUsed: needs.cutting.sheetsUsed };
    const takeoff = takeoffOf(project, plan, needs.above, needs.cutting, needs.paste.wedges);
    const { whole, wedges } = needs.paste;
    return { plan, paste: whole, wedges, above: needs.above, takeoff, days: daysOf(project, plan, takeoff) };
  },
});
