import { itemMoves, type Moves, movesFor } from '../../choice/index.ts';
import { createKernel, type Kernel } from '../../kernel/index.ts';
import { moveItems } from '../../project/index.ts';
import { type MovesReport, movesReport, type Worked } from '../../report/index.ts';
import { type Input, stage } from '../input.ts';
import { choice } from './choice.ts';
import { stackGround } from './stackGround.ts';
import { workedBy } from './workedBy.ts';

/** Another way has to be better by so much, minutes with days priced, for its moves to be proposed. */
const WORTH_MIN = 5;
const DAY_MS = 86_400_000;

/**
 * Which levels would be moved onto joints: in the way that is built; where the plan chooses the way, in whichever of the three is the
 * cheapest with its moves, its days priced.
 */
const moves = stage({
  name: 'moves of levels',
  needs: { stackGround, choice },
  *run({ input: { project }, needs, ask }): Generator<undefined, Moves | null> {
    const { chosen, bySchool } = needs.choice;
    const mine = bySchool.find(({ school }) => school === chosen.school);
    const own = mine ? movesFor(project, needs.stackGround, mine) : null;
    if (!own || project.stacking.school !== null || project.stack.byHand) return own;
    let best = own;
    let least = Number.POSITIVE_INFINITY;
    for (const school of [mine, ...bySchool.filter((each) => each !== mine)]) {
      yield;
      const moved: Moves | null | undefined =
        school === mine ? own : school && movesFor(project, needs.stackGround, school);
      if (!moved || (moved !== own && !moved.moves.length)) continue;
      const { finish } = (yield* ask(workedBy(moved.school))).days;
      if (!finish) continue;
      const costs = moved.after.costMin + (project.stacking.costs.minPerDay * Date.parse(`${finish.likely}Z`)) / DAY_MS;
      if (costs < least - (moved === own ? 0 : WORTH_MIN)) [best, least] = [moved, costs];
    }
    return best;
  },
});

/** The whole plan with them moved, on ground that is solved anew. Keeps a kernel of its own, for the next time. */
const movedPlan = stage({
  name: 'plan with levels moved',
  needs: { moves },
  *run({ input, needs, before }): Generator<undefined, { kernel: Kernel<Input>; worked: Worked | null }> {
    const kernel = (before as { kernel: Kernel<Input> } | undefined)?.kernel ?? createKernel<Input>();
    if (!needs.moves?.moves.length) return { kernel, worked: null };
    const project = moveItems({ ...input.project }, itemMoves(needs.moves.moves));
    const { value } = yield* kernel.get(workedBy(needs.moves.school), { project, cell: input.cell });
    return { kernel, worked: value };
  },
});

/** What moving levels would bring, by the model and as solved; null where nothing may be moved. */
export const moved = stage({
  name: 'levels moved',
  needs: { moves, movedPlan, choice },
  *run({ input: { project }, needs, ask }): Generator<undefined, MovesReport | null> {
    if (!needs.moves) return null;
    // What is saved is told against the plan as it is built, whichever way the moves are for.
    const now = yield* ask(workedBy(needs.choice.chosen.school));
    return movesReport(project, needs.moves, now, needs.movedPlan.worked);
  },
});
