import { type Draft, type Project, raiseItem } from '@hosket/core';
import { create } from 'zustand';
import { showPreview, usePreview } from '../store/preview.ts';
import { projectStore } from '../store/projectStore.ts';
import { bare } from './messages.ts';

/** The coarse ground of the drag under way. */
export const useDraft = create<{ draft: Draft | null }>(() => ({ draft: null }));

/** Drafts made ahead of the first drag, and how long apart, ms. */
const PRIMES = 16;
const PRIME_EVERY_MS = 300;

/** The project with its first line a hair higher, so that lines are solved too. */
const nudged = (project: Project): Project =>
  project.marks.length ? raiseItem(project, project.marks[0].id, 0.02) : project;

/** Follows every preview with a coarse ground from a worker of its own; only the newest is worked on. Gives a function that stops it. */
export function startDrafting(): () => void {
  const worker = new Worker(new URL('./draftWorker.ts', import.meta.url), { type: 'module' });
  let busy = false;
  let waiting: Project | null = null;
  let asked: Project | null = null;
  const ask = (project: Project) => {
    busy = true;
    asked = project;
    waiting = null;
    worker.postMessage(bare(project));
  };
  worker.onmessage = ({ data }: MessageEvent<Draft | { why: string }>) => {
    busy = false;
    if ('ground' in data && usePreview.getState().latest) {
      showPreview(asked);
      useDraft.setState({ draft: data });
    }
    if (waiting) ask(waiting);
  };
  const stop = usePreview.subscribe(({ latest: project }, before) => {
    if (project === before.latest) return;
    if (!project) {
      waiting = null;
      return;
    }
    if (busy) waiting = project;
    else ask(project);
  });
  // The first drag should find a drafter that knows the ground and has been at work: it drafts what is kept, and nobody looks at it.
  let primes = PRIMES;
  const prime = setInterval(() => {
    const { project } = projectStore.getState();
    primes--;
    if (project && !busy && !usePreview.getState().latest) ask(primes % 2 ? nudged(project) : project);
    if (primes === 0) clearInterval(prime);
  }, PRIME_EVERY_MS);
  return () => {
    clearInterval(prime);
    stop();
    worker.terminate();
  };
}

/** Called when the exact ground has come: the draft has done its work. */
export const dropDraft = (): void => useDraft.setState({ draft: null });
