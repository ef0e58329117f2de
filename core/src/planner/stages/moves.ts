import { itemMoves, type Moves, movesFor } from '../../choice/index.ts';
import { createKernel, type Kernel } from '../../kernel/index.ts';
import { moveItems } from '../../project/index.ts';
import { type MovesReport, movesReport, type Worked } from '../../report/index.ts';
import { type Input, stage } from '../input.ts';
import { choice } from './choice.ts';
import { stackGround } from './stackGround.ts';
import { workedBy } from './workedBy.ts';

/** Which levels would be moved onto joints, in the way that is built. */
const moves = stage({
  name: 'moves of levels',
  needs: { stackGround, choice },
  run: ({ input: { project }, needs }): Moves | null => {
    const { chosen, bySchool } = needs.choice;
    const mine = bySchool.find(({ school }) => school === chosen.school);
    return mine ? movesFor(project, needs.stackGround, mine) : null;
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
  needs: { moves, movedPlan },
  *run({ input: { project }, needs, ask }): Generator<undefined, MovesReport | null> {
    if (!needs.moves) return null;
    return movesReport(project, needs.moves, yield* ask(workedBy(needs.moves.school)), needs.movedPlan.worked);
  },
});
