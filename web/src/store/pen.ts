/**
 * Who may change a project: one tab at a time holds its pen (a Web Lock), all others show what it writes as it is written, and may take the pen
 * over. Merging two tabs field by field would need to know what a builder means by two changes that touch one another; a pen asks instead.
 */
import { createStore } from 'zustand/vanilla';
import { listen, tell } from './tabs.ts';

export type Pen = 'mine' | 'elsewhere';

export const penStore = createStore<{ id: string | null; pen: Pen }>(() => ({ id: null, pen: 'mine' }));

/** What the pen needs of those who keep projects. */
export interface Keeping {
  /** Writes what still waits. */
  flush: () => Promise<void>;
  /** Shows a project as another tab has written it. */
  follow: (id: string) => Promise<void>;
  /** The same, to be worked on here from now on. */
  takeUp: (id: string) => Promise<void>;
}

/** A tab that does not answer in this time is asked no longer, ms. */
const PATIENCE_MS = 1500;

const lockName = (id: string) => `hosket-pen ${id}`;
const locks = () => (typeof navigator === 'undefined' ? undefined : navigator.locks);

/** Asks for the pen of a project that was opened, and goes on asking until it is free. Gives a function that lets go of it. */
export function holdPen(id: string, keeping: Keeping): () => void {
  const manager = locks();
  penStore.setState({ id, pen: 'mine' });
  if (!manager) return () => {};
  let ended = false;
  let letGo = () => {};
  let waiting = new AbortController();
  const set = (pen: Pen) => {
    if (!ended) penStore.setState({ id, pen });
  };
  /** Holds it until it is let go of. What another tab wrote before is shown first. */
  const hold = async (read: boolean) => {
    if (ended) return;
    if (read) await keeping.takeUp(id);
    set('mine');
    await new Promise<void>((done) => {
      letGo = done;
    });
  };
  const wait = () => {
    waiting = new AbortController();
    manager.request(lockName(id), { signal: waiting.signal }, () => hold(true)).catch(lost);
  };
  /** Taken by another tab, or no longer waited for. */
  const lost = () => {
    if (ended || waiting.signal.aborted) return;
    set('elsewhere');
    wait();
  };
  const first = async () => {
    let free = true;
    await manager.request(lockName(id), { ifAvailable: true }, (lock) => {
      free = lock !== null;
      return free ? hold(false) : undefined;
    });
    if (free || ended) return;
    set('elsewhere');
    wait();
  };
  first().catch(lost);
  const stop = listen((told) => {
    if (told.id !== id) return;
    if (told.kind === 'kept' && penStore.getState().pen === 'elsewhere') void keeping.follow(id);
    if (told.kind !== 'give' || penStore.getState().pen !== 'mine') return;
    void keeping.flush().finally(() => {
      set('elsewhere');
      tell({ kind: 'given', id });
    });
  });
  take = async () => {
    if (penStore.getState().pen === 'mine') return;
    waiting.abort();
    await answered(id);
    manager
      .request(lockName(id), { steal: true }, () => hold(true))
      .catch(() => {
        waiting = new AbortController();
        lost();
      });
  };
  return () => {
    ended = true;
    stop();
    waiting.abort();
    letGo();
  };
}

let take: () => Promise<void> = async () => {};

/** Takes the pen over from the tab that holds it, after that has written what still waits there. */
export const takePen = (): Promise<void> => take();

/** Asks for the pen, and waits until it is given or nobody answers. */
function answered(id: string): Promise<void> {
  return new Promise((done) => {
    const end = () => {
      clearTimeout(timer);
      stop();
      done();
    };
    const timer = setTimeout(end, PATIENCE_MS);
    const stop = listen((told) => {
      if (told.kind === 'given' && told.id === id) end();
    });
    tell({ kind: 'give', id });
  });
}
