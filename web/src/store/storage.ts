/** Whether this browser keeps anything: its database is opened before the first page, and where that fails a sitting in memory takes its place. */
import { createStore } from 'zustand/vanilla';
import { database, keepInMemory } from './database.ts';
import { takeUpLost } from './library.ts';

export type Storage =
  | { kind: 'opening' }
  /** It has not answered yet, after so long that somebody waits. */
  | { kind: 'slow' }
  | { kind: 'kept' }
  /** Nothing outlives this sitting. */
  | { kind: 'sitting'; why: string };

export const storageStore = createStore<{ storage: Storage }>(() => ({ storage: { kind: 'opening' } }));

const PATIENCE_MS = 2000;

const is = (storage: Storage) => storageStore.setState({ storage });
const decided = () => ['kept', 'sitting'].includes(storageStore.getState().storage.kind);

/** Opens the database; says so when it does not answer in two seconds, and goes on waiting. */
export async function openStorage(): Promise<void> {
  const waiting = setTimeout(() => !decided() && is({ kind: 'slow' }), PATIENCE_MS);
  try {
    await database.open();
    // Before the first page asks for one of them; where they cannot be read the page says so itself.
    await takeUpLost().catch(() => {});
    if (!decided()) is({ kind: 'kept' });
  } catch (error) {
    await workWithout((error as Error).message || (error as Error).name);
  } finally {
    clearTimeout(waiting);
  }
}

/** Works in memory for this sitting. */
export async function workWithout(why: string): Promise<void> {
  if (decided()) return;
  await keepInMemory();
  is({ kind: 'sitting', why });
}
