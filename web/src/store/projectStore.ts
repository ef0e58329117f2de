import { faultOfEdit, type Project } from '@hosket/core';
import { temporal } from 'zundo';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';

interface ProjectState {
  id: string | null;
  project: Project | null;
}

/** How many steps back can be taken. */
const STEPS_BACK = 80;

/** The open project. Every change goes through `edit`, so that every change can be undone. */
export const projectStore = createStore<ProjectState>()(
  temporal((): ProjectState => ({ id: null, project: null }), {
    limit: STEPS_BACK,
    partialize: ({ project }) => ({ project }),
    equality: (a, b) => a.project === b.project,
  }),
);

type History = { project: Project | null };
const history = () => projectStore.temporal;

/** Puts a project on the bench with the steps that can be undone and redone. */
export function showProject(
  id: string,
  project: Project,
  past: readonly Project[] = [],
  future: readonly Project[] = [],
): void {
  history().getState().pause();
  projectStore.setState({ id, project });
  history().setState({
    pastStates: past.map((step): History => ({ project: step })),
    futureStates: future.map((step): History => ({ project: step })),
  });
  history().getState().resume();
}

export function edit(change: (project: Project) => Project): void {
  const { project } = projectStore.getState();
  if (!project) return;
  const next = change(project);
  if (next === project) return;
  const fault = faultOfEdit(project, next);
  if (fault) refusals.setState({ last: `${fault.message}\n${fault.place}\n${fault.remedy}` });
  else projectStore.setState({ project: next });
}

/** Why the last edit was not made: what cannot be read back from a file is never put on the bench. */
export const refusals = createStore<{ last: string }>()(() => ({ last: '' }));

/** The open project outside of what is drawn; only called while there is one. */
export function projectNow(): Project {
  const { project } = projectStore.getState();
  if (!project) throw new Error('no project is open');
  return project;
}

export const undo = (): void => history().getState().undo();
export const redo = (): void => history().getState().redo();

const stepsOf = (states: readonly Partial<History>[]): Project[] =>
  states.flatMap(({ project }) => (project ? [project] : []));

/** The steps back and forward as plain projects, for keeping. */
export const keptHistory = (): { past: Project[]; future: Project[] } => ({
  past: stepsOf(history().getState().pastStates),
  future: stepsOf(history().getState().futureStates),
});

/** The open project; only for views that are shown when there is one. */
export function useProject(): Project {
  const project = useStore(projectStore, (state) => state.project);
  if (!project) throw new Error('no project is open');
  return project;
}

export const useHistorySteps = (): { back: number; forward: number } => {
  const back = useStore(projectStore.temporal, (state) => state.pastStates.length);
  const forward = useStore(projectStore.temporal, (state) => state.futureStates.length);
  return { back, forward };
};
