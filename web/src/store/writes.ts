/** Writes of the open project: each follows the one before it, or is kept beside what another tab wrote. */
import type { Project } from '@hosket/core';
import { database } from './database.ts';
import { keepDay } from './days.ts';
import { stepsWritten } from './steps.ts';

/** What was written last, by this tab or as it was read, for each project that was opened here. */
const revisions = new Map<string, number>();

export const followsNow = (id: string, revision: number): void => {
  revisions.set(id, revision);
};
export const revisionOf = (id: string): number => revisions.get(id) ?? 0;

interface Written {
  project: Project;
  past: Project[];
  future: Project[];
}

const LONGEST_NAME = 120;
const named = (name: string, ending: string) => `${name.slice(0, LONGEST_NAME - ending.length)}${ending}`;

/** A project kept anew; gives its id. */
export async function keepAnew(project: Project): Promise<string> {
  const id = crypto.randomUUID();
  await database.projects.add({
    id,
    name: project.name,
    changedAt: Date.now(),
    deletedAt: null,
    revision: 0,
    project,
    back: [],
    forward: [],
  });
  return id;
}

/** A project kept anew beside the one it comes from, with an ending to its name; gives its id. */
export const keepBeside = (project: Project, ending: string): Promise<string> =>
  keepAnew({ ...project, name: named(project.name, ending) });

/**
 * Writes a project over the state that it follows. One that another tab deleted is brought back by that; one of which another tab has written
 * since is left as it is there, and this one is kept beside it: gives its id then, else null.
 */
export const write = (id: string, { project, past, future }: Written): Promise<string | null> =>
  database.transaction('rw', database.projects, database.days, async () => {
    const revision = revisionOf(id);
    // Keys alone: the record holds all its steps.
    const same = await database.projects.where('[id+revision]').equals([id, revision]).primaryKeys();
    if (!same.length && (await database.projects.where('id').equals(id).primaryKeys()).length)
      return keepBeside(project, ', from another tab');
    await keepDay(id, Date.now());
    await database.projects.put({
      id,
      name: project.name,
      changedAt: Date.now(),
      deletedAt: null,
      revision: revision + 1,
      project,
      ...stepsWritten(project, past, future),
    });
    revisions.set(id, revision + 1);
    return null;
  });
