import { faultOfEdit, type Project } from '@hosket/core';
import { temporal } from 'zundo';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import { penStore } from './pen.ts';

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

let showing = false;

/** Whether what is shown just now comes from the database, and so is no change to be kept there. */
export const showKept = (): boolean => showing;

/** Puts a project on the bench with the steps that can be undone and redone. */
export function showProject(
  id: string,
  project: Project,
  past: readonly Project[] = [],
  future: readonly Project[] = [],
): void {
  history().getState().pause();
  showing = true;
  projectStore.setState({ id, project });
  showing = false;
  history().setState({
    pastStates: past.map((step): History => ({ project: step })),
    futureStates: future.map((step): History => ({ project: step })),
  });
  history().getState().resume();
}

export function edit(change: (project: Project) => Project): void {
  const { project } = projectStore.getState();
  if (!project || readsOnly()) return;
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

/** Another tab holds the pen: nothing is changed here, and that is said. */
function readsOnly(): boolean {
  if (penStore.getState().pen === 'mine') return false;
  refusals.setState({
    last: 'Another tab is at work on this project.\nNothing was changed.\nPress “Work here” above to change it in this tab.',
  });
  return true;
}

export function undo(): void {
  if (!readsOnly()) history().getState().undo();
}
export function redo(): void {
  if (!readsOnly()) history().getState().redo();
}

const stepsOf = (states: readonly Partial<History>[]): Project[] =>
  states.flatMap(({ project }) => (project ? [project] : []));

/** The steps back and forward as plain projects, for keeping. */
export const keptHistory = (): { past: Project[]; future: Project[] } => ({
  past: stepsOf(history().getState().pastStates),
  future: stepsOf(history().getState().futureStates),
});

/** The steps back, the nearest first. */
export const stepsBack = (): Project[] => stepsOf(history().getState().pastStates).reverse();

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
