import { readSpans } from '../../ground/index.ts';
import { schools } from '../../project/index.ts';
import { reportOf, type Worked } from '../../report/index.ts';
import { stage } from '../input.ts';
import { worked } from './amounts.ts';
import { areas } from './areas.ts';
import { choice } from './choice.ts';
import { cutting, cuttingReport } from './cutting.ts';
import { ground } from './ground.ts';
import { middles } from './middles.ts';
import { otherStacks } from './otherStacks.ts';
import { chosenPaste } from './paste.ts';
import { pools } from './pools.ts';
import { laid } from './rooms.ts';
import { solved } from './solved.ts';
import { standing } from './standing.ts';
import { target } from './target.ts';
import { set } from './tiles.ts';
import { voids } from './voids.ts';
import { way } from './way.ts';
import { wedges } from './wedges.ts';
import { workedBy } from './workedBy.ts';
import { worn } from './worn.ts';
import { zones } from './zones.ts';

/** The stacks of all schools, worked out. */
const bySchool = stage({
  name: 'amounts of all schools',
  needs: {},
  *run({ ask }) {
    const all: Worked[] = [];
    for (const school of schools) all.push(yield* ask(workedBy(school)));
    return all;
  },
});

/** Bridges and what lies under them. */
const spans = stage({
  name: 'spans',
  needs: { ground },
  run: ({ input: { project }, needs: { ground: land } }) => readSpans(land.grid, project.landforms, land.built),
});

/** The plan as data, and what its rules read. */
export const report = stage({
  name: 'report',
  needs: {
    solved,
    ground,
    target,
    choice,
    way,
    bySchool,
    chosen: worked,
    spans,
    laid,
    pools,
    standing,
    voids,
    zones,
    worn,
    paste: chosenPaste,
    set,
    map: areas,
    cutting,
    cuttingReport,
    middles,
    wedges,
    otherStacks,
  },
  run: ({ input: { project }, needs: { bySchool: all, chosen, ...land } }) => reportOf(project, land, all, chosen),
});
