import type { Grid } from '@hosket/core';
import { create } from 'zustand';
import type { ReadRequest } from './messages.ts';

/** What was read of the ground last, and what it tells. */
export const useGroundRead = create<{ what: ReadRequest['what'] | null; grid: Grid | null }>(() => ({
  what: null,
  grid: null,
}));

let worker: Worker | null = null;
let working: ReadRequest | null = null;
let waiting: ReadRequest | null = null;

function ask(request: ReadRequest): void {
  working = request;
  waiting = null;
  worker?.postMessage(request);
}

/** Has the ground read by a worker of its own; while that is busy only the newest request is kept. */
export function readGround(request: ReadRequest): void {
  if (!worker) {
    worker = new Worker(new URL('./readWorker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<Grid>) => {
      if (working) useGroundRead.setState({ what: working.what, grid: data });
      working = null;
      if (waiting) ask(waiting);
    };
  }
  if (working) waiting = request;
  else ask(request);
}
