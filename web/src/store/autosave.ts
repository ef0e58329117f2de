import type { Project } from '@hosket/core';
import { createStore } from 'zustand/vanilla';
import { dropLastEdit, keepLastEdit } from './lastEdit.ts';
import { keptHistory, projectStore, showKept } from './projectStore.ts';
import { storageStore } from './storage.ts';
import { tell } from './tabs.ts';
import { revisionOf, write } from './writes.ts';

export type SaveState =
  | { kind: 'saved'; at: number | null }
  | { kind: 'saving' }
  | { kind: 'failed'; why: string }
  /** Another tab had written; what is on this bench was kept as a project of its own. */
  | { kind: 'beside'; id: string };

/** Whether what is on the bench is also in the browser's database. */
export const saveStore = createStore<{ save: SaveState }>(() => ({ save: { kind: 'saved', at: null } }));

/** Written so long after the last change, and never later than so long after the first that waits, ms. */
const DELAY_MS = 250;
const MOST_MS = 500;

/** After a write that failed it is tried again so often, ms: room may come back. */
const AGAIN_MS = 5000;

let flushing: () => Promise<void> = async () => {};

/** Writes what still waits. */
export const flushSave = (): Promise<void> => flushing();

/** Keeps the open project whenever it or its history changes. Gives a function that stops it. */
export function startAutosave(): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let again: ReturnType<typeof setTimeout> | undefined;
  let since = 0;
  let writing = Promise.resolve();
  let openId: string | null = projectStore.getState().id;

  const written = async (id: string, project: Project, steps: ReturnType<typeof keptHistory>) => {
    try {
      const beside = await write(id, { project, ...steps });
      if (beside) {
        dropLastEdit(id);
        return saveStore.setState({ save: { kind: 'beside', id: beside } });
      }
      if (!timer) {
        dropLastEdit(id);
        saveStore.setState({ save: { kind: 'saved', at: Date.now() } });
      }
      tell({ kind: 'kept', id });
    } catch (error) {
      const why = (error as Error).name === 'QuotaExceededError' ? 'the disk is full' : (error as Error).message;
      saveStore.setState({ save: { kind: 'failed', why } });
      // In another place, as long as that has room.
      keepLastEdit(id, revisionOf(id), project);
      again = setTimeout(() => {
        if (!timer && projectStore.getState().id === id) void saveOpen();
      }, AGAIN_MS);
    }
  };
  const save = (id: string | null, project: Project | null): Promise<void> => {
    clearTimeout(timer);
    clearTimeout(again);
    timer = undefined;
    since = 0;
    if (!id || !project) return writing;
    const steps = keptHistory();
    // One after another: each follows the one before.
    writing = writing.then(() => written(id, project, steps));
    return writing;
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
    if (showKept()) return;
    saveStore.setState({ save: { kind: 'saving' } });
    clearTimeout(timer);
    since ||= Date.now();
    timer = setTimeout(saveOpen, Math.max(0, Math.min(DELAY_MS, since + MOST_MS - Date.now())));
  };
  flushing = () => (timer ? saveOpen() : writing);
  /** A page that goes away may not live to see its write end. */
  const leave = () => {
    const { id, project } = projectStore.getState();
    if (!id || !project || saveStore.getState().save.kind === 'saved') return;
    keepLastEdit(id, revisionOf(id), project);
    if (timer) void saveOpen();
  };

  /** What could not be written would be lost: the browser asks first. */
  const ask = (event: BeforeUnloadEvent) => {
    const sitting = storageStore.getState().storage.kind === 'sitting' && keptHistory().past.length > 0;
    if (sitting || saveStore.getState().save.kind === 'failed') event.preventDefault();
  };

  const stop = projectStore.subscribe((now, before) => {
    if (now.project !== before.project || now.id !== before.id) changed(before);
  });
  document.addEventListener('visibilitychange', leave);
  window.addEventListener('pagehide', leave);
  window.addEventListener('beforeunload', ask);
  return () => {
    stop();
    // What still waits is kept now: nobody would come back for it.
    if (timer) void saveOpen();
    document.removeEventListener('visibilitychange', leave);
    window.removeEventListener('pagehide', leave);
    window.removeEventListener('beforeunload', ask);
    clearTimeout(again);
  };
}
