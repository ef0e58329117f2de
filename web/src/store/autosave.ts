import type { Project } from '@hosket/core';
import { createStore } from 'zustand/vanilla';
import { database } from './database.ts';
import { keptHistory, projectStore } from './projectStore.ts';

export type SaveState = { kind: 'saved'; at: number | null } | { kind: 'saving' } | { kind: 'failed'; why: string };

/** Whether what is on the bench is also in the browser's database. */
export const saveStore = createStore<{ save: SaveState }>(() => ({ save: { kind: 'saved', at: null } }));

const DELAY_MS = 250;

/** Keeps the open project whenever it or its history changes. Gives a function that stops it. */
export function startAutosave(): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let openId: string | null = projectStore.getState().id;

  const save = async (id: string | null, project: Project | null) => {
    clearTimeout(timer);
    timer = undefined;
    if (!id || !project) return;
    const { past, future } = keptHistory();
    try {
      const there = await database.projects.update(id, {
        name: project.name,
        project,
        past,
        future,
        changedAt: Date.now(),
      });
      if (there === 0 && !(await database.projects.get(id)))
        throw new Error('the project is no longer in the database');
      if (!timer) saveStore.setState({ save: { kind: 'saved', at: Date.now() } });
    } catch (error) {
      const why = (error as Error).name === 'QuotaExceededError' ? 'the disk is full' : (error as Error).message;
      saveStore.setState({ save: { kind: 'failed', why } });
    }
  };

  const saveOpen = () => save(projectStore.getState().id, projectStore.getState().project);
  const changed = (before: { id: string | null; project: Project | null }) => {
    const { id } = projectStore.getState();
    if (id !== openId) {
      // Another project was put on the bench: that is no change of it, but the last change of the one before may still wait.
      if (timer) void save(before.id, before.project);
      openId = id;
      saveStore.setState({ save: { kind: 'saved', at: null } });
      return;
    }
    saveStore.setState({ save: { kind: 'saving' } });
    clearTimeout(timer);
    timer = setTimeout(saveOpen, DELAY_MS);
  };
  const flush = () => {
    if (timer) void saveOpen();
  };

  const stop = projectStore.subscribe((now, before) => {
    if (now.project !== before.project || now.id !== before.id) changed(before);
  });
  document.addEventListener('visibilitychange', flush);
  window.addEventListener('pagehide', flush);
  return () => {
    stop();
    // What still waits is kept now: nobody would come back for it.
    flush();
    document.removeEventListener('visibilitychange', flush);
    window.removeEventListener('pagehide', flush);
  };
}
