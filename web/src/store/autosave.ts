import type { Project } from '@hosket/core';
import { createStore } from 'zustand/vanilla';
import { heldStore } from './held.ts';
import { keepLastEdit } from './lastEdit.ts';
import { keptHistory, projectStore, showKept } from './projectStore.ts';
import { storageStore } from './storage.ts';
import { revisionOf, tryAgain, writeOrHold } from './writes.ts';

export type SaveState =
  | { kind: 'saved'; at: number | null }
  | { kind: 'saving' }
  | { kind: 'failed'; why: string }
  /** Another tab had written; what is on this bench was kept as a project of its own. */
  | { kind: 'beside'; id: string };

/** Whether what is on the bench is also in the browser's database. */
export const saveStore = createStore<{ save: SaveState }>(() => ({ save: { kind: 'saved', at: null } }));

/** Written so long after the last change, and never later than so long after the first that waits, ms. */
const DELAY_MS = 150;
const MOST_MS = 300;

/** After a write that failed it is tried again so often, ms: room may come back. */
const AGAIN_MS = 5000;

/** How it stands with a project that comes on the bench. */
function stateOf(id: string | null): SaveState {
  const { held, why } = heldStore.getState();
  return id && held.has(id) ? { kind: 'failed', why } : { kind: 'saved', at: null };
}

let flushing: () => Promise<void> = async () => {};

/** Writes what still waits. */
export const flushSave = (): Promise<void> => flushing();

/** Keeps the open project whenever it or its history changes. Gives a function that stops it. */
export function startAutosave(): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let since = 0;
  let writing: Promise<unknown> = Promise.resolve();
  let openId: string | null = projectStore.getState().id;

  /** Another project may be on the bench by the time it is written. */
  const saved = (id: string, project: Project, steps: ReturnType<typeof keptHistory>) =>
    writeOrHold(id, { project, ...steps }).then((outcome) => {
      if (projectStore.getState().id !== id) return;
      if (outcome.kind === 'beside') saveStore.setState({ save: outcome });
      else if (outcome.kind === 'held') saveStore.setState({ save: { kind: 'failed', why: outcome.why } });
      else if (!timer) saveStore.setState({ save: { kind: 'saved', at: Date.now() } });
    });
  const save = (id: string | null, project: Project | null): Promise<unknown> => {
    clearTimeout(timer);
    timer = undefined;
    since = 0;
    if (id && project) writing = saved(id, project, keptHistory());
    return writing;
  };
  const saveOpen = () => save(projectStore.getState().id, projectStore.getState().project);
  const changed = (before: { id: string | null; project: Project | null }) => {
    const { id } = projectStore.getState();
    if (id !== openId) {
      // Another project was put on the bench: that is no change of it, but the last change of the one before may still wait.
      if (timer) void save(before.id, before.project);
      openId = id;
      saveStore.setState({ save: stateOf(id) });
      return;
    }
    if (showKept()) return;
    saveStore.setState({ save: { kind: 'saving' } });
    clearTimeout(timer);
    since ||= Date.now();
    timer = setTimeout(saveOpen, Math.max(0, Math.min(DELAY_MS, since + MOST_MS - Date.now())));
  };
  flushing = async () => {
    await (timer ? saveOpen() : writing);
  };
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
    if (sitting || heldStore.getState().held.size > 0) event.preventDefault();
  };

  const again = setInterval(() => void tryAgain(), AGAIN_MS);
  const room = heldStore.subscribe(({ held }) => {
    const { id } = projectStore.getState();
    if (id && !held.has(id) && saveStore.getState().save.kind === 'failed')
      saveStore.setState({ save: { kind: 'saved', at: Date.now() } });
  });
  const stop = projectStore.subscribe((now, before) => {
    if (now.project !== before.project || now.id !== before.id) changed(before);
  });
  document.addEventListener('visibilitychange', leave);
  window.addEventListener('pagehide', leave);
  window.addEventListener('beforeunload', ask);
  return () => {
    stop();
    room();
    // What still waits is kept now: nobody would come back for it.
    if (timer) void saveOpen();
    document.removeEventListener('visibilitychange', leave);
    window.removeEventListener('pagehide', leave);
    window.removeEventListener('beforeunload', ask);
    clearInterval(again);
  };
}
