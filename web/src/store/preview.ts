import type { Project } from '@hosket/core';
import { create, useStore } from 'zustand';
import { edit, projectStore } from './projectStore.ts';

type Change = (project: Project) => Project;

interface PreviewState {
  /** The project as it would be if the drag under way ended here; null when nothing is dragged. */
  latest: Project | null;
  /** The one that drawings show: it follows as soon as its coarse ground is there, so that both are drawn at once. */
  project: Project | null;
}

/** Drawings do not wait for a coarse ground longer than this, ms. */
const PATIENCE_MS = 80;

/** What a drag shows before it is let go. Nothing of it is saved, and undo knows nothing of it. */
export const usePreview = create<PreviewState>(() => ({ latest: null, project: null }));

let waiting: ReturnType<typeof setTimeout> | undefined;

export function preview(change: Change): void {
  const { project } = projectStore.getState();
  if (!project) return;
  usePreview.setState({ latest: change(project) });
  waiting ??= setTimeout(() => showPreview(usePreview.getState().latest), PATIENCE_MS);
}

/** Lets the drawings show one of the projects that the drag under way has come through. */
export function showPreview(project: Project | null): void {
  clearTimeout(waiting);
  waiting = undefined;
  if (usePreview.getState().latest) usePreview.setState({ project });
}

export function endPreview(): void {
  clearTimeout(waiting);
  waiting = undefined;
  usePreview.setState({ latest: null, project: null });
}

/** Lets go: the change becomes a step of the project. */
export function settle(change: Change): void {
  endPreview();
  edit(change);
}

/** The project as drawings show it: with the drag under way. */
export function useShown(): Project {
  const dragged = usePreview((state) => state.project);
  const project = useStore(projectStore, (state) => state.project);
  const shown = dragged ?? project;
  if (!shown) throw new Error('no project is open');
  return shown;
}
