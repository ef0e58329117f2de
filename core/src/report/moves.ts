/** Levels that may be moved onto joints, as data: each move by name, and what they save. */
import type { Moves } from '../choice/index.ts';
import { levelName } from '../layers/index.ts';
import type { Project } from '../project/index.ts';
import type { MovesReport } from './schema.ts';
import type { Worked } from './worked.ts';

/** The moves by name, with what they save by the model; and as solved: `now` is the plan as it is, `then` with the levels moved. */
export function movesReport(project: Project, moved: Moves, now: Worked, then: Worked | null): MovesReport {
  const figures = ({ plan, days }: Worked) => ({
    layers: plan.layers.length,
    carveMl: plan.totals.carveMl,
    fillMl: plan.totals.fillMl,
    handsOnMin: days.handsOnMin,
    costMin: plan.costMin,
    dryAt: days.finish?.likely ?? null,
  });
  const modelled = ({ costMin, totals: { layers, carveMl, fillMl } }: Moves['after']) => ({
    layers,
    carveMl,
    fillMl,
    costMin,
  });
  return {
    school: moved.school,
    moves: moved.moves.map((move) => ({ ...move, name: levelName(project, move) })),
    held: moved.held.map(({ by, ...level }) => ({
      ...level,
      name: levelName(project, level),
      by: levelName(project, by),
    })),
    exact: moved.exact,
    model: { before: modelled(moved.before), after: modelled(moved.after) },
    solved: then && { before: figures(now), after: figures(then) },
  };
}
