/**
 * The steps of undo and redo as they are kept: what changes from each to the next, beginning at the project itself, not as so many whole projects.
 * Records from before held whole projects; they are read as they are.
 */
import type { Project } from '@hosket/core';
import { type Patch, patched, patchOf } from '../worker/patch.ts';

/** `back` from the project to the step before it, from that to the one before; `forward` likewise. */
export interface KeptSteps {
  back: Patch[];
  forward: Patch[];
}

/** `past` and `future` end with the steps that are nearest to the project. */
export const stepsWritten = (project: Project, past: readonly Project[], future: readonly Project[]): KeptSteps => ({
  back: changesFrom(project, past),
  forward: changesFrom(project, future),
});

function changesFrom(project: Project, steps: readonly Project[]): Patch[] {
  let from = project;
  return [...steps].reverse().map((step) => {
    const change = patchOf(from, step);
    from = step;
    return change;
  });
}

/** The same as documents of whatever version they were kept in, the nearest last. */
export function stepsRead(kept: {
  project: unknown;
  past?: unknown;
  future?: unknown;
  back?: unknown;
  forward?: unknown;
}): { past: unknown[]; future: unknown[] } {
  const from = (changes: unknown, whole: unknown): unknown[] => {
    if (!Array.isArray(changes)) return Array.isArray(whole) ? whole : [];
    const steps: unknown[] = [];
    let at = kept.project;
    for (const change of changes as Patch[]) {
      at = patched(at, change);
      steps.unshift(at);
    }
    return steps;
  };
  return { past: from(kept.back, kept.past), future: from(kept.forward, kept.future) };
}
