/**
 * Keeps the application in the browser (a service worker over all that was built), so that it opens without the server; and offers a newer version
 * of it. Nothing is updated unasked, nor while another tab still works with the version before: that needs the parts it was opened with.
 */
import { Workbox } from 'workbox-window';
import { createStore } from 'zustand/vanilla';

/** Whether a newer version waits; `taken` when another tab has taken it, so that parts of this one may be gone. */
export const updateStore = createStore<{ update: 'none' | 'waiting' | 'taken' }>(() => ({ update: 'none' }));

/** A newer version is looked for so often, ms. */
const LOOK_EVERY_MS = 3_600_000;

/** Held by every open tab, together. */
const OPEN_LOCK = 'hosket-open';

let take: () => void = () => {};

/** Begins to keep the application. Does nothing where the browser cannot, or while it is being developed. */
export function keepApplication(): void {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  void navigator.locks?.request(OPEN_LOCK, { mode: 'shared' }, () => new Promise(() => {}));
  const workbox = new Workbox('/sw.js');
  let asked = false;
  workbox.addEventListener('waiting', () => updateStore.setState({ update: 'waiting' }));
  // On a first visit the page is taken over once, by the version it was opened with.
  let first = navigator.serviceWorker.controller === null;
  navigator.serviceWorker.addEventListener('controllerchange', () => {
    if (asked) window.location.reload();
    else if (!first) updateStore.setState({ update: 'taken' });
    first = false;
  });
  take = () => {
    asked = true;
    workbox.messageSkipWaiting();
  };
  // Where it cannot be kept (a private window, a full disk) the page works as it did before.
  workbox.register().catch(() => {});
  setInterval(() => void workbox.update().catch(() => {}), LOOK_EVERY_MS);
}

/** Whether other tabs of this browser have Hosket open. */
async function othersOpen(): Promise<boolean> {
  const held = (await navigator.locks?.query())?.held ?? [];
  return held.filter(({ name }) => name === OPEN_LOCK).length > 1;
}

/** Loads the newer version, once `flush` has written all that waits. Gives false while other tabs stand in its way. */
export async function takeUpdate(flush: () => Promise<void>): Promise<boolean> {
  if (await othersOpen()) return false;
  await flush();
  take();
  return true;
}
