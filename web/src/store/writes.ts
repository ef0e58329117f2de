/** Writes of projects: each follows the one before it, is kept beside what another tab wrote, or is held in the page while the disk is full. */
import type { Project } from '@hosket/core';
import { database, type Kept } from './database.ts';
import { keepDay } from './days.ts';
import { heldOf, heldStore, hold, release, type Written } from './held.ts';
import { stepsWritten } from './steps.ts';
import { tell } from './tabs.ts';

/** What was written last, by this tab or as it was read, for each project that was opened here. */
const revisions = new Map<string, number>();

export const followsNow = (id: string, revision: number): void => {
  revisions.set(id, revision);
};
export const revisionOf = (id: string): number => revisions.get(id) ?? 0;

const LONGEST_NAME = 120;
const named = (project: Project, ending: string): Project => ({
  ...project,
  name: `${project.name.slice(0, LONGEST_NAME - ending.length)}${ending}`,
});

/** The record of a project that was just made. */
export const recordOf = (id: string, project: Project): Kept => ({
  id,
  name: project.name,
  changedAt: Date.now(),
  deletedAt: null,
  revision: 0,
  project,
  back: [],
  forward: [],
});

const add = (id: string, project: Project): Promise<string> => database.projects.add(recordOf(id, project));

/** A project kept anew, or held where there is no room for it; gives its id. */
export async function keepAnew(project: Project): Promise<string> {
  const id = crypto.randomUUID();
  try {
    return await add(id, project);
  } catch (error) {
    hold(id, 0, { project, past: [], future: [] }, error);
    return id;
  }
}

/** A project kept anew beside the one it comes from, with an ending to its name; gives its id. */
export const keepBeside = (project: Project, ending: string): Promise<string> => keepAnew(named(project, ending));

/**
 * Writes a project over the state that it follows. One that another tab deleted is brought back by that; one of which another tab has written
 * since is left as it is there, and this one is kept beside it: gives its id then, else null.
 */
const write = (id: string, { project, past, future }: Written): Promise<string | null> =>
  database.transaction('rw', database.projects, database.days, async () => {
    const revision = revisionOf(id);
    // Keys alone: the record holds all its steps.
    const same = await database.projects.where('[id+revision]').equals([id, revision]).primaryKeys();
    if (!same.length && (await database.projects.where('id').equals(id).primaryKeys()).length)
      return add(crypto.randomUUID(), named(project, ', from another tab'));
    await keepDay(id, Date.now());
    await database.projects.put({
      ...recordOf(id, project),
      revision: revision + 1,
      ...stepsWritten(project, past, future),
    });
    return null;
  });

/** One write after another: each follows the one before. */
let turn: Promise<unknown> = Promise.resolve();

/** What became of a write. */
export type Outcome = { kind: 'kept' } | { kind: 'beside'; id: string } | { kind: 'held'; why: string };

/** Writes in its turn; what cannot be written is held, and tried again by `tryAgain`. */
export function writeOrHold(id: string, written: Written): Promise<Outcome> {
  const outcome = turn.then(() => attempt(id, written));
  turn = outcome;
  return outcome;
}

async function attempt(id: string, written: Written): Promise<Outcome> {
  try {
    const beside = await write(id, written);
    release(id, written.project);
    tell({ kind: 'kept', id });
    if (beside) return { kind: 'beside', id: beside };
    followsNow(id, revisionOf(id) + 1);
    return { kind: 'kept' };
  } catch (error) {
    hold(id, revisionOf(id), written, error);
    return { kind: 'held', why: heldStore.getState().why };
  }
}

/** Tries once more to write everything that is held. */
export async function tryAgain(): Promise<void> {
  for (const id of heldStore.getState().held.keys()) {
    turn = turn.then(() => {
      const held = heldOf(id);
      return held && attempt(id, held);
    });
    await turn;
  }
}
