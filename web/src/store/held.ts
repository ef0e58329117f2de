/**
 * What the browser did not take because its disk is full: held in this page, with its steps, until there is room. The last state is also put in
 * another place (`lastEdit.ts`), as far as that goes, so that it outlives the page.
 */
import type { Project } from '@hosket/core';
import { createStore } from 'zustand/vanilla';
import { dropLastEdit, keepLastEdit } from './lastEdit.ts';

/** A project with its steps, the nearest last. */
export interface Written {
  project: Project;
  past: Project[];
  future: Project[];
}

interface HeldState {
  held: ReadonlyMap<string, Written>;
  /** Why the last write failed. */
  why: string;
}

export const heldStore = createStore<HeldState>(() => ({ held: new Map(), why: '' }));

export const heldOf = (id: string): Written | undefined => heldStore.getState().held.get(id);

/** Why a write failed, in words. */
export function reasonOf(error: unknown): string {
  const { name, message, inner } = error as Error & { inner?: Error };
  const full = [name, inner?.name].includes('QuotaExceededError');
  return full ? 'the disk is full' : message || name;
}

/** Holds what was not written; `revision` is the write that it follows. */
export function hold(id: string, revision: number, written: Written, error: unknown): void {
  heldStore.setState(({ held }) => ({ held: new Map(held).set(id, written), why: reasonOf(error) }));
  keepLastEdit(id, revision, written.project);
}

/** It is written now; without a project, it is not wanted any more. */
export function release(id: string, written?: Project): void {
  dropLastEdit(id, written);
  if (!heldOf(id)) return;
  heldStore.setState(({ held }) => {
    const rest = new Map(held);
    rest.delete(id);
    return { held: rest };
  });
}
