import 'fake-indexeddb/auto';
import { addItem, changeItem, findItem, type Mark, writeProject } from '@hosket/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { FilesAfar, withFiles } from '../worker/files.ts';
import { flushSave, saveStore, startAutosave } from './autosave.ts';
import { backUpAll, bringBack } from './backup.ts';
import { database } from './database.ts';
import { DAYS_KEPT, dayOf, daysOf, keepDay } from './days.ts';
import { heldOf, heldStore } from './held.ts';
import { keepLastEdit, lastEditOf, lastEdits } from './lastEdit.ts';
import {
  addDemo,
  addNew,
  duplicate,
  firstToOpen,
  importText,
  openKept,
  readKept,
  remove,
  restore,
  takeUpLost,
} from './library.ts';
import { emptyTrash, eraseKept, listKept, rawText, TRASH_DAYS } from './listing.ts';
import { edit, keptHistory, projectStore, redo, refusals, showProject, undo } from './projectStore.ts';
import { revisionOf, tryAgain } from './writes.ts';

/** Node has no workers of the browser's kind: the same readers and writers, here. */
const here: typeof withFiles = async (_, run) => run((await import('@hosket/formats')) as unknown as FilesAfar);

beforeEach(async () => {
  await database.projects.clear();
});

const now = () => projectStore.getState().project!;
const spot: Mark = { kind: 'spot', id: 'x', name: 'X', heightMm: 12, hidden: false, locked: false, points: [[10, 10]] };
async function open(id: string) {
  const kept = (await openKept(id))!;
  showProject(id, kept.project, kept.past, kept.future);
}

describe('the library', () => {
  it('a first start opens the demo; later the project changed last', async () => {
    const demo = await firstToOpen();
    expect((await openKept(demo))?.name).toBe('Harl Quarry');
    await new Promise((wait) => setTimeout(wait, 5));
    const own = await addNew();
    expect(await firstToOpen()).toBe(own);
    await remove(own);
    expect(await firstToOpen()).toBe(demo);
    await restore(own);
    expect((await listKept()).filter(({ deletedAt }) => deletedAt === null)).toHaveLength(2);
  });

  it('a duplicate is a project of its own', async () => {
    const demo = await addDemo();
    const copy = (await duplicate(demo))!;
    expect((await openKept(copy))?.name).toBe('Harl Quarry, copy');
    expect((await openKept(copy))?.project.marks).toEqual((await openKept(demo))?.project.marks);
    expect(await duplicate('nowhere')).toBeNull();
  });

  it('what was exported is imported the same; a failed import touches nothing', async () => {
    const demo = (await openKept(await addDemo()))!;
    const read = await importText(writeProject(demo.project));
    expect(read.ok && (await openKept(read.value))?.project).toEqual(demo.project);
    const before = await listKept();
    for (const text of [
      '',
      '{',
      '{"format":"hosket-project","version":9}',
      writeProject({ ...demo.project, name: '' }),
    ]) {
      expect((await importText(text)).ok).toBe(false);
      expect(await listKept()).toEqual(before);
    }
  });
});

describe('records that cannot be read', () => {
  const put = (record: Record<string, unknown>) => database.projects.put(record as never);
  it('stand in the list with their reason, and hide none of the others', async () => {
    const good = await addDemo();
    const { project } = (await openKept(good))!;
    await put({ id: 'a', name: 'Newer', changedAt: 9e15, deletedAt: null, project: { ...project, version: 99 } });
    await put({ id: 'b', name: 'Damaged', project: { ...project, base: null } });
    await put({ id: 'c' });
    await put({ id: 'd', name: 7, changedAt: 'x', project: [] });
    const listed = await listKept();
    const why = (id: string) => listed.find((each) => each.id === id)?.why;
    expect(why(good)).toBeNull();
    expect(why('a')).toMatch(/a newer Hosket kept it \(version 99/);
    expect(why('b')).toMatch(/base cannot be read/);
    expect(why('c')).toMatch(/missing/);
    expect(why('d')).toMatch(/does not say that it is a project/);
    // A start opens one that can be read, though another was changed later.
    expect(await firstToOpen()).toBe(good);
    await expect(openKept('a')).rejects.toThrow('this Hosket reads up to');
    expect(JSON.parse(await rawText('a')).project.version).toBe(99);
  });
});

describe('deleted projects', () => {
  it('are cleared away after thirty days, not before', async () => {
    const [gone, here] = [await addNew(), await addNew()];
    await remove(gone);
    const day = 86_400_000;
    await emptyTrash(Date.now() + (TRASH_DAYS - 1) * day);
    expect(await openKept(gone)).toBeDefined();
    await emptyTrash(Date.now() + (TRASH_DAYS + 1) * day);
    expect(await openKept(gone)).toBeUndefined();
    expect(await openKept(here)).toBeDefined();
  });
});

describe('reading a project to hand it out', () => {
  it('leaves last edits and what is followed as they are', async () => {
    const id = await addDemo();
    const { project } = (await openKept(id))!;
    keepLastEdit(id, 0, { ...project, notes: 'last' });
    // Another tab writes: whoever only reads after that does not follow it.
    await database.projects.update(id, { revision: 7 });
    expect((await readKept(id))?.project.notes).toBe(project.notes);
    await backUpAll(here);
    expect(lastEditOf(id)?.project.notes).toBe('last');
    expect(revisionOf(id)).toBe(0);
  });
});

describe('a backup of everything', () => {
  it('brings back what is lost, and nothing twice', async () => {
    const [demo, own] = [await addDemo(), await addNew()];
    await database.projects.put({ id: 'x', name: 'Broken', project: null } as never);
    const { zip, count, left } = await backUpAll(here);
    expect([count, left]).toEqual([2, ['Broken']]);
    const before = [(await openKept(demo))?.project, (await openKept(own))?.project];
    expect(await bringBack(zip, here)).toEqual({ added: 0, same: 2, refused: [] });
    await database.projects.clear();
    expect(await bringBack(zip, here)).toEqual({ added: 2, same: 0, refused: [] });
    const back = (await database.projects.toArray()).map(({ project }) => project);
    expect(back).toHaveLength(2);
    for (const project of before) expect(back).toContainEqual(project);
    await expect(bringBack(new Uint8Array([1, 2, 3]), here)).rejects.toThrow('no zip');
  });
});

describe('undo and redo', () => {
  it('every edit can be taken back and done again, and opening a project is no edit', async () => {
    await open(await addDemo());
    const first = now();
    expect(keptHistory()).toEqual({ past: [], future: [] });
    edit((project) => changeItem(project, 'bench-3', { heightMm: 50 }));
    edit((project) => addItem(project, spot));
    expect(now().marks).toHaveLength(first.marks.length + 1);
    undo();
    undo();
    expect(now()).toEqual(first);
    redo();
    expect(findItem(now(), 'bench-3')).toMatchObject({ heightMm: 50 });
    edit((project) => project);
    expect(keptHistory().future).toHaveLength(1);
  });
});

describe('autosave', () => {
  let stop = () => {};
  beforeEach(() => {
    stop = startAutosave();
  });
  afterEach(() => {
    stop();
    vi.restoreAllMocks();
  });
  const saved = () =>
    vi.waitFor(() => expect(saveStore.getState().save).toMatchObject({ kind: 'saved', at: expect.any(Number) }));

  it('keeps the project with its steps, so that undo survives a reload', async () => {
    const id = await addDemo();
    await open(id);
    edit((project) => changeItem(project, 'bench-3', { heightMm: 50 }));
    expect(saveStore.getState().save.kind).toBe('saving');
    await saved();
    showProject('other', now());
    await open(id);
    expect(findItem(now(), 'bench-3')).toMatchObject({ heightMm: 50 });
    undo();
    expect(findItem(now(), 'bench-3')).toMatchObject({ heightMm: 43 });
  });

  it('the last change is kept also when another project is opened at once', async () => {
    const demo = await addDemo();
    const own = await addNew();
    await open(demo);
    edit((project) => ({ ...project, notes: 'just now' }));
    await open(own);
    await vi.waitFor(async () => expect((await openKept(demo))?.project.notes).toBe('just now'));
    expect((await openKept(own))?.project.notes).toBe('');
  });

  it('what a full disk did not take is kept elsewhere, and is there when the project is opened again', async () => {
    const id = await addDemo();
    await open(id);
    vi.spyOn(database.projects, 'put').mockRejectedValue(
      Object.assign(new Error('full'), { name: 'QuotaExceededError' }),
    );
    edit((project) => ({ ...project, notes: 'not written' }));
    await vi.waitFor(() => expect(saveStore.getState().save.kind).toBe('failed'));
    const leaving = new Event('beforeunload', { cancelable: true });
    window.dispatchEvent(leaving);
    expect(leaving.defaultPrevented).toBe(true);
    // Opened again while the disk is still full: it is shown, and stays in its other place.
    await open(id);
    expect(now().notes).toBe('not written');
    vi.restoreAllMocks();
    expect((await database.projects.get(id))?.project.notes).not.toBe('not written');
    await open(id);
    expect(now().notes).toBe('not written');
    undo();
    expect(now().notes).not.toBe('not written');
  });

  it('a full disk takes no new project: it is held, listed, opened, backed up, tried again, and outlives its page', async () => {
    const full = vi
      .spyOn(database.projects, 'add')
      .mockRejectedValue(Object.assign(new Error('full'), { name: 'QuotaExceededError' }));
    const copied = await addDemo();
    const other = await addNew();
    expect((await listKept()).map(({ id, held }) => [id, held]).sort()).toEqual(
      [
        [copied, true],
        [other, true],
      ].sort(),
    );
    expect(heldStore.getState().why).toBe('the disk is full');
    await open(copied);
    expect(saveStore.getState().save).toEqual({ kind: 'failed', why: 'the disk is full' });
    expect((await backUpAll(here)).count).toBe(2);
    // Its page goes: what is left of it is taken up by the next, as soon as there is room.
    full.mockRestore();
    const put = vi.spyOn(database.projects, 'put').mockRejectedValue(new Error('nothing goes'));
    edit((project) => ({ ...project, notes: 'while full' }));
    await vi.waitFor(() => expect(heldOf(copied)?.project.notes).toBe('while full'));
    heldStore.setState({ held: new Map() });
    put.mockRestore();
    await takeUpLost();
    expect((await readKept(copied))?.project.notes).toBe('while full');
    expect((await readKept(other))?.name).toBe('My groundwork');
    expect(lastEdits().filter((id) => [copied, other].includes(id))).toEqual([]);
  });

  it('what is held is written with its steps when there is room, and what another tab wrote meanwhile is left', async () => {
    const id = await addDemo();
    await open(id);
    const put = vi.spyOn(database.projects, 'put').mockRejectedValue(new Error('nothing goes'));
    edit((project) => ({ ...project, notes: 'a' }));
    edit((project) => ({ ...project, notes: 'b' }));
    await vi.waitFor(() => expect(heldOf(id)?.project.notes).toBe('b'));
    await open(await addNew());
    await open(id);
    expect(now().notes).toBe('b');
    expect(keptHistory().past).toHaveLength(2);
    put.mockRestore();
    await tryAgain();
    expect(saveStore.getState().save.kind).toBe('saved');
    expect((await openKept(id))?.past.map(({ notes }) => notes)).toContain('a');
    // Held again, and another tab writes.
    vi.spyOn(database.projects, 'put').mockRejectedValueOnce(new Error('nothing goes'));
    edit((project) => ({ ...project, notes: 'c' }));
    await vi.waitFor(() => expect(heldOf(id)?.project.notes).toBe('c'));
    await database.projects.update(id, { revision: 99, 'project.notes': 'of the other' } as never);
    await tryAgain();
    expect((await listKept()).map(({ name }) => name)).toContain('Harl Quarry, from another tab');
    expect((await readKept(id))?.project.notes).toBe('of the other');
  });

  it('says so when the disk is full, and saves again at the next change', async () => {
    const id = await addDemo();
    await open(id);
    vi.spyOn(database.projects, 'put').mockRejectedValueOnce(
      Object.assign(new Error('full'), { name: 'QuotaExceededError' }),
    );
    edit((project) => ({ ...project, notes: 'a' }));
    await vi.waitFor(() => expect(saveStore.getState().save).toEqual({ kind: 'failed', why: 'the disk is full' }));
    edit((project) => ({ ...project, notes: 'b' }));
    await saved();
    expect((await openKept(id))?.project.notes).toBe('b');
  });
});

describe('an edit that no file could hold', () => {
  it('is refused with the place and the reason, and the project stays as it was', async () => {
    await open(await addDemo());
    const before = now();
    const many = Array.from({ length: 81 }, (_, k) => ({ ...before.recipes[0], id: `r${k}`, name: `R${k}` }));
    edit((p) => ({ ...p, recipes: many }));
    expect(now()).toBe(before);
    expect(refusals.getState().last).toMatch(/^That does not go: .*80.*\nrecipes\nNothing was changed\.$/);
    edit((p) => ({ ...p, name: 'Another name' }));
    expect(now().name).toBe('Another name');
  });
});

describe('undo and redo as they are kept', () => {
  it('are changes: eighty steps of a project with a picture take little more room than the project, and all can be taken again', async () => {
    const id = await addDemo();
    await open(id);
    edit((project) => ({
      ...project,
      underlay: {
        name: 'scan',
        picture: { type: 'image/jpeg', widthPx: 10, heightPx: 10, data: 'A'.repeat(400_000) },
        pins: [
          { px: [1, 1], mm: [10, 10] },
          { px: [9, 1], mm: [90, 10] },
        ],
        strengthPercent: 50,
        hidden: false,
      },
    }));
    const stop = startAutosave();
    for (let k = 0; k < 60; k++) edit((project) => ({ ...project, notes: `${project.notes}.` }));
    for (let k = 0; k < 20; k++) undo();
    const { past, future } = keptHistory();
    await flushSave();
    stop();
    const record = await database.projects.get(id);
    expect(JSON.stringify([record?.back, record?.forward]).length).toBeLessThan(600_000);
    const again = await openKept(id);
    const notes = (steps?: readonly { notes: string }[]) => steps?.map((step) => step.notes);
    expect(again?.project).toEqual(now());
    expect([notes(again?.past), notes(again?.future)]).toEqual([notes(past), notes(future)]);
    expect(again?.past).toEqual(past);
    expect(again?.past.at(-1)?.underlay?.picture).toBe(again?.past.at(-2)?.underlay?.picture);
    expect(future).toHaveLength(20);
  });

  it('of a record that holds whole projects are read as they are', async () => {
    const id = await addNew();
    const kept = await database.projects.get(id);
    if (!kept) throw new Error('nothing was kept');
    const { back: _, forward: __, ...rest } = kept;
    const step = (notes: string) => ({ ...kept.project, notes });
    await database.projects.put({ ...rest, past: [step('a'), step('b')], future: [step('z'), step('y')] });
    const read = await readKept(id);
    expect([read?.past.map(({ notes }) => notes), read?.future.map(({ notes }) => notes)]).toEqual([
      ['a', 'b'],
      ['z', 'y'],
    ]);
  });
});

describe('earlier days', () => {
  it('are kept when the project is changed on a later one, as they were at their end, and go with it', async () => {
    const id = await addNew();
    const day = 86_400_000;
    const first = Date.now() - 3 * day;
    await database.projects.update(id, { changedAt: first });
    await open(id);
    const stop = startAutosave();
    edit((project) => ({ ...project, notes: 'later' }));
    edit((project) => ({ ...project, notes: 'later still' }));
    await flushSave();
    stop();
    const days = await daysOf(id);
    expect(days.map(({ day: on, project }) => [on, project.notes])).toEqual([[dayOf(first), '']]);
    expect((await readKept(id))?.project.notes).toBe('later still');
    await eraseKept(id);
    expect(await daysOf(id)).toEqual([]);
  });

  it('beyond sixty are let go, the earliest first', async () => {
    const id = await addNew();
    const { project } = (await database.projects.get(id))!;
    const days = Array.from({ length: DAYS_KEPT + 5 }, (_, k) => dayOf(Date.UTC(2026, 0, 1 + k, 12)));
    await database.days.bulkPut(days.map((day) => ({ id, day, project })));
    await database.projects.update(id, { changedAt: Date.UTC(2026, 5, 1, 12) });
    await keepDay(id, Date.UTC(2026, 5, 2, 12));
    const left = (await daysOf(id)).map(({ day }) => day);
    expect([left.length, left[0], left.at(-1)]).toEqual([DAYS_KEPT, '2026-06-01', days[6]]);
  });
});
