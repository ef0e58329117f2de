import {
  type Beginning,
  beginWith,
  type Project,
  parseProject,
  type Result,
  readProject,
  type Starter,
  shared,
  startProject,
  startWith,
} from '@hosket/core';
import demo from '../../../samples/harl-quarry.hosket.json?raw';
import { database, type Kept } from './database.ts';
import { heldOf } from './held.ts';
import { dropLastEdit, lastEditOf, lastEdits } from './lastEdit.ts';
import { listKept } from './listing.ts';
import { stepsRead } from './steps.ts';
import { tell } from './tabs.ts';
import { followsNow, keepAnew, keepBeside, recordOf, revisionOf, writeOrHold } from './writes.ts';

/** The projects kept in this browser. */

/** A kept project with its steps, carried to the present version of the format where an older Hosket kept it. Only read: nothing is changed by it. */
export async function readKept(id: string): Promise<Opened | undefined> {
  const kept = await database.projects.get(id);
  const held = heldOf(id);
  // What the full disk did not take is newer than what is written; it still follows the write that it was made after.
  if (held) return { ...recordOf(id, held.project), ...kept, revision: revisionOf(id), deletedAt: null, ...held };
  if (!kept) return undefined;
  const read = parseProject(kept.project, true);
  if (!read.ok) throw new Error(`${kept.name} cannot be read, at ${read.fault.place}: ${read.fault.message}`);
  const { past, future } = stepsRead(kept);
  return { ...kept, project: read.value, past: carried(past, read.value), future: carried(future, read.value) };
}

/** A kept project with its steps as whole projects, the nearest last. */
export interface Opened extends Kept {
  past: Project[];
  future: Project[];
}

/** Steps in the present version of the format; what is the same in one and the next is held only once. */
function carried(steps: readonly unknown[], project: Project): Project[] {
  const found: Project[] = [];
  let from = project;
  for (const step of [...steps].reverse()) {
    const read = parseProject(step, true);
    if (!read.ok) continue;
    from = shared(from, read.value);
    found.unshift(from);
  }
  return found;
}

/** The same, shown as another tab writes it: what is written here follows that. */
export async function followKept(id: string): Promise<Opened | undefined> {
  const kept = await readKept(id);
  if (kept) followsNow(id, kept.revision);
  return kept;
}

/** The same, to be worked on: with the last edit that its page did not live to write. */
export async function openKept(id: string): Promise<Opened | undefined> {
  const kept = await followKept(id);
  return kept?.deletedAt === null && !heldOf(id) ? withLastEdit(kept) : kept;
}

/** A last edit that was not written any more before its page was closed becomes a step; where another tab has written since, a project beside. */
async function withLastEdit(kept: Opened): Promise<Opened> {
  const last = lastEditOf(kept.id);
  if (!last) return kept;
  const same = JSON.stringify(last.project) === JSON.stringify(kept.project);
  const follows = !same && last.revision === kept.revision;
  const next = follows ? { ...kept, project: last.project, past: [...kept.past, kept.project], future: [] } : kept;
  if (follows) await writeOrHold(kept.id, next);
  else if (!same) await keepBeside(last.project, ', last edit');
  if (same || !follows) dropLastEdit(kept.id);
  return next;
}

/** Projects of which no more than the last state is left, since there was no room for them before their page was closed: kept again, or held. */
export async function takeUpLost(): Promise<void> {
  const here = new Set(await database.projects.toCollection().primaryKeys());
  for (const id of lastEdits()) {
    const last = here.has(id) ? null : lastEditOf(id);
    if (!last) continue;
    const { kind } = await writeOrHold(id, { project: last.project, past: [], future: [] });
    if (kind !== 'held') dropLastEdit(id);
  }
}

/** The samples that come with Hosket; the first is the demo. */
export const samples = ['Harl Quarry', 'Vessa Terraces', 'Tarrow Moor'] as const;

const textOf: Readonly<Record<(typeof samples)[number], () => Promise<string>>> = {
  'Harl Quarry': async () => demo,
  'Vessa Terraces': async () => (await import('../../../samples/vessa-terraces.hosket.json?raw')).default,
  'Tarrow Moor': async () => (await import('../../../samples/tarrow-moor.hosket.json?raw')).default,
};

export async function addSample(name: (typeof samples)[number]): Promise<string> {
  const read = readProject(await textOf[name]());
  if (!read.ok) throw new Error(`The sample ${name} is broken: ${read.fault.message}`);
  return keepAnew(read.value);
}

export const addDemo = (): Promise<string> => addSample('Harl Quarry');

/** Keeps a project that was derived from another. */
export const addDerived = (project: Project): Promise<string> => keepAnew(project);

export const addNew = (): Promise<string> =>
  keepAnew(startProject('My groundwork', new Date().toISOString().slice(0, 10)));

/** A project begun by its size and its shed, with a ground to go on from, or none. */
export const addBegun = (
  beginning: Omit<Beginning, 'name' | 'startDate'>,
  starter: Starter | null,
): Promise<string> => {
  const start = startWith({ ...beginning, name: 'My groundwork', startDate: new Date().toISOString().slice(0, 10) });
  return keepAnew(starter ? beginWith({ ...start, name: starter.title }, starter) : start);
};

export async function duplicate(id: string): Promise<string | null> {
  const kept = await readKept(id);
  return kept ? keepBeside(kept.project, ', copy') : null;
}

/** Reads a file's text; nothing kept is touched unless the whole of it is sound. */
export async function importText(text: string): Promise<Result<string>> {
  const read = readProject(text);
  if (!read.ok) return read;
  return { ok: true, value: await keepAnew(read.value) };
}

export async function remove(id: string): Promise<void> {
  await database.projects.update(id, { deletedAt: Date.now() });
  tell({ kind: 'deleted', id });
}
export async function restore(id: string): Promise<void> {
  await database.projects.update(id, { deletedAt: null });
  tell({ kind: 'restored', id });
}

let opening: Promise<string> | null = null;

/** The project to open when none is asked for: the one changed last, or the demo on a first start (once, however often it is asked). */
export function firstToOpen(): Promise<string> {
  opening ??= (async () => {
    const last = (await listKept()).find(({ deletedAt, why }) => deletedAt === null && why === null);
    return last?.id ?? addDemo();
  })().finally(() => {
    opening = null;
  });
  return opening;
}
