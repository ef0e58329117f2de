import type { Project, SetProgress, ShoppingList } from '@hosket/core';
import { create } from 'zustand';
import { projectStore } from '../store/projectStore.ts';
import { bare, type SetRequest, setAnswerSchema } from './messages.ts';

interface SetState {
  /** The newest list of the whole set, and of which project; while a newer one is worked out it stays. */
  list: ShoppingList | null;
  of: string | null;
  /** Which tile is being worked out; null when the list is up to date. */
  progress: SetProgress | null;
  failed: string | null;
}

export const useSetList = create<SetState>(() => ({ list: null, of: null, progress: null, failed: null }));

let worker: Worker | null = null;
let ticket = 0;
let asked: Project | null = null;

/** Has the shopping list of the whole set worked out, by a worker of its own. */
export function askSetList(project: Project): void {
  if (project === asked) return;
  asked = project;
  const { id } = projectStore.getState();
  if (!worker) {
    worker = new Worker(new URL('./setWorker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }) => {
      const answer = setAnswerSchema.parse(data);
      if (answer.ticket !== ticket) return;
      if (answer.kind === 'list') useSetList.setState({ list: answer.list, progress: null, failed: null });
      else if (answer.kind === 'progress') useSetList.setState({ progress: answer.progress });
      else useSetList.setState({ failed: answer.why, progress: null });
    };
    worker.onerror = ({ message }) =>
      useSetList.setState({ failed: message || 'The set could not be worked out.', progress: null });
  }
  ticket++;
  if (useSetList.getState().of !== id) useSetList.setState({ list: null, of: id, progress: null });
  useSetList.setState({ failed: null });
  worker.postMessage({ ticket, project: bare(project) } satisfies SetRequest);
}
