/**
 * Has files of other kinds read and written by a worker, one at a time: it can be stopped, and is ended where it takes too long or too much memory.
 * The page goes on meanwhile.
 */
import { wrap } from 'comlink';
import { createStore } from 'zustand/vanilla';
import type { FileCalls } from './filesWorker.ts';

/** No file of those that are taken should need longer, ms. */
const LONGEST_MS = 30_000;

/** What is being read or written, and how to stop it. */
export const filesStore = createStore<{ busy: { what: string; stop: () => void } | null }>(() => ({ busy: null }));

/** The readers and writers, each answering when the worker has done it. */
export type FilesAfar = {
  [Name in keyof FileCalls]: FileCalls[Name] extends (...given: infer Given) => infer Made
    ? (...given: Given) => Promise<Awaited<Made>>
    : never;
};

export class Stopped extends Error {}

/** The worker with the one way to call it: a second one that went away would end the first. */
let files: { worker: Worker; calls: FilesAfar } | null = null;
let queue: Promise<unknown> = Promise.resolve();

/** Runs some of the readers and writers; `what` is said while it lasts: "Reading plan.dxf". Fails with what to say. */
export function withFiles<T>(what: string, run: (calls: FilesAfar) => Promise<T>): Promise<T> {
  const next = queue.then(() => runOne(what, run));
  queue = next.catch(() => {});
  return next;
}

function runOne<T>(what: string, run: (calls: FilesAfar) => Promise<T>): Promise<T> {
  const { worker, calls } = files ?? begun();
  return new Promise<T>((done, fail) => {
    /** Ends it with the worker: what that does cannot be called off otherwise. */
    const end = (error: Error) => {
      worker.terminate();
      files = null;
      settle();
      fail(error);
    };
    const timer = setTimeout(
      () => end(new Error(`it took longer than ${LONGEST_MS / 1000} seconds. Save it with less in it and try again`)),
      LONGEST_MS,
    );
    worker.onerror = () => end(new Error('it was too much for this browser. Save it with less in it and try again'));
    filesStore.setState({ busy: { what, stop: () => end(new Stopped('it was stopped')) } });
    const settle = () => {
      clearTimeout(timer);
      filesStore.setState({ busy: null });
    };
    run(calls).then(
      (value) => {
        settle();
        done(value);
      },
      (error: Error) => {
        settle();
        fail(error);
      },
    );
  });
}

function begun(): NonNullable<typeof files> {
  const worker = new Worker(new URL('./filesWorker.ts', import.meta.url), { type: 'module' });
  files = { worker, calls: wrap<FileCalls>(worker) as unknown as FilesAfar };
  return files;
}
