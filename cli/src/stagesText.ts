import { createPlanner, type Project, type StageTime, toEnd } from '@hosket/core';
import { table } from './table.ts';

/** The project with its first height raised by a millimetre; null where it has none. */
function raised(project: Project): Project | null {
  const first = project.marks.findIndex((mark) => 'heightMm' in mark);
  if (first < 0) return null;
  const marks = project.marks.map((mark, k) =>
    k === first && 'heightMm' in mark ? { ...mark, heightMm: mark.heightMm + 1 } : mark,
  );
  return { ...project, marks };
}

const cells = (time: StageTime | undefined): string[] =>
  time ? [time.how, time.ms.toFixed(1), time.longestMs.toFixed(1)] : ['-', '', ''];

/** What each stage of the plan takes, in the order in which they run: for whoever works on them. `clock` gives the time, ms. */
export function stagesText(project: Project, clock: () => number): string {
  const planner = createPlanner(undefined, clock);
  const timesOf = (wanted: Project, quick: boolean) => {
    toEnd(planner.run(wanted, quick));
    return planner.times();
  };
  const whole = timesOf(project, false);
  const next = raised(project);
  const quick = next ? timesOf(next, true) : [];
  const exact = next ? timesOf(next, false) : [];
  const all = (times: readonly StageTime[]) => times.reduce((sum, { ms }) => sum + ms, 0).toFixed(1);
  return table([
    ['stage', 'from nothing', 'ms', 'longest', '1 mm up, quick', 'ms', 'longest', 'then exact', 'ms', 'longest'],
    ...whole.map(({ name }) => [
      name,
      ...[whole, quick, exact].flatMap((times) => cells(times.find((time) => time.name === name))),
    ]),
    ['all', '', all(whole), '', '', all(quick), '', '', all(exact), ''],
  ]);
}
