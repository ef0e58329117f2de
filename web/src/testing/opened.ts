import { createPlanner, type PlanReport, type Project, startProject, toEnd } from '@hosket/core';
import { projectStore, showProject } from '../store/projectStore.ts';
import { usePlan } from '../worker/planStore.ts';

/** A small board with one hill, three kinds of coat and a fence's worth of nothing else: planned in a moment. */
export function smallProject(): Project {
  const start = startProject('Small', '2027-03-01', 'ground');
  const hill = Array.from({ length: 24 }, (_, k): [number, number] => [
    80 + 45 * Math.cos((k * Math.PI) / 12),
    50 + 35 * Math.sin((k * Math.PI) / 12),
  ]);
  return {
    ...start,
    base: { ...start.base, shape: { kind: 'rectangle', widthMm: 160, depthMm: 100 } },
    sections: [{ id: 'A', name: 'A', from: [0, 50], to: [160, 50] }],
    marks: [
      {
        kind: 'contour',
        id: 'hill',
        name: 'Hill',
        heightMm: 25,
        hidden: false,
        locked: false,
        smooth: false,
        closed: true,
        level: true,
        points: hill,
      },
    ],
  };
}

/** One planner for all that is opened: what did not change is known. Its cells are coarse, for it is pages that are looked at. */
const planner = createPlanner(() => 2);

/** Puts a project on the bench with its plan; the plan follows every edit, here at once. Gives what stops that. */
export function opened(project: Project = smallProject()): () => void {
  showProject('p', project);
  const follow = () => {
    const now = projectStore.getState().project;
    if (!now) return;
    const { report, ground, zones } = toEnd(planner.run(now));
    usePlan.setState({
      report,
      fields: { ground: ground.grid, guessed: ground.guessed, outline: ground.outline, zones } as ReturnType<
        typeof usePlan.getState
      >['fields'],
    });
  };
  follow();
  return projectStore.subscribe(follow);
}

export const reportNow = (): PlanReport => {
  const { report } = usePlan.getState();
  if (!report) throw new Error('there is no plan');
  return report;
};
