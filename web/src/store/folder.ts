/**
 * A folder on the builder's disk that follows the projects, where the browser lets a page write into one (File System Access): each project as a file of
 * its own, written anew a moment after each change. Nothing in it is read, and no file that Hosket did not write is touched.
 */
import { writeProject } from '@hosket/core';
import { liveQuery } from 'dexie';
import { createStore } from 'zustand/vanilla';
import { database, type KeptFile } from './database.ts';
import { fileStem } from './fileStem.ts';
import { readKept } from './library.ts';

export type Following =
  /** The browser cannot. */
  | { kind: 'cannot' }
  | { kind: 'none' }
  /** The browser wants to be asked again whether it may write there. */
  | { kind: 'asks'; folder: string }
  | { kind: 'follows'; folder: string; files: number; at: number | null }
  | { kind: 'failed'; folder: string; why: string };

export const folderStore = createStore<{ following: Following }>(() => ({ following: { kind: 'cannot' } }));
const is = (following: Following) => folderStore.setState({ following });

type Permission = (how: { mode: 'readwrite' }) => Promise<PermissionState>;
type Directory = FileSystemDirectoryHandle & { queryPermission?: Permission; requestPermission?: Permission };
type Picker = (options: { id: string; mode: 'readwrite' }) => Promise<Directory>;
const picker = () => (globalThis as { showDirectoryPicker?: Picker }).showDirectoryPicker;

/** The row of the folder itself. */
const FOLDER = '';
/** Changes that follow one another are written together, ms. */
const AFTER_MS = 1000;
const LOCK = 'hosket-folder';

const folderNow = async () => (await database.files.get(FOLDER))?.handle as Directory | undefined;

/** Asks for a folder and writes every project into it; false where none was chosen. */
export async function chooseFolder(): Promise<boolean> {
  const pick = picker();
  if (!pick) return false;
  try {
    const handle = await pick({ id: 'hosket', mode: 'readwrite' });
    await database.files.clear();
    await database.files.put({ id: FOLDER, handle });
  } catch (error) {
    if ((error as Error).name === 'AbortError') return false;
    throw error;
  }
  await bringUpToDate();
  return true;
}

/** The folder stays as it is; nothing more is written into it. */
export async function leaveFolder(): Promise<void> {
  await database.files.clear();
  is({ kind: 'none' });
}

/** Asks the browser once more whether it may write there: only on a press, as browsers have it. */
export async function askAgain(): Promise<void> {
  const folder = await folderNow();
  await folder?.requestPermission?.({ mode: 'readwrite' });
  await bringUpToDate();
}

/** Follows from now on, in every tab; whichever comes first writes. Gives a function that stops it. */
export function startFollowing(): () => void {
  if (!picker()) return () => {};
  let timer: ReturnType<typeof setTimeout> | undefined;
  const changes = liveQuery(() => database.projects.orderBy('[id+revision]').keys()).subscribe({
    next: () => {
      timer ??= setTimeout(() => {
        timer = undefined;
        void bringUpToDate();
      }, AFTER_MS);
    },
    error: () => {},
  });
  return () => {
    clearTimeout(timer);
    changes.unsubscribe();
  };
}

/** Writes what has changed since it was last written there, one tab at a time. */
async function bringUpToDate(): Promise<void> {
  const run = async () => {
    const folder = await folderNow();
    if (!folder) return is({ kind: 'none' });
    try {
      const allowed = (await folder.queryPermission?.({ mode: 'readwrite' })) ?? 'granted';
      if (allowed !== 'granted') return is({ kind: 'asks', folder: folder.name });
      await writeChanged(folder);
    } catch (error) {
      is({ kind: 'failed', folder: folder.name, why: (error as Error).message });
    }
  };
  const locks = typeof navigator === 'undefined' ? undefined : navigator.locks;
  await (locks ? locks.request(LOCK, run) : run());
}

async function writeChanged(folder: Directory): Promise<void> {
  const rows = new Map((await database.files.toArray()).map((row) => [row.id, row]));
  rows.delete(FOLDER);
  const keys = (await database.projects.orderBy('[id+revision]').keys()) as unknown as [string, number][];
  let at: number | null = null;
  for (const [id, revision] of keys) {
    const row = rows.get(id);
    if (row?.revision === revision) continue;
    // One that cannot be read has its record in the browser, and keeps no other back.
    const kept = await readKept(id).catch(() => undefined);
    if (!kept || kept.deletedAt !== null) continue;
    const file = await fileFor(folder, kept.name, row, rows);
    await writeFile(folder, file, writeProject(kept.project));
    const written = { id, file, revision };
    await database.files.put(written);
    rows.set(id, written);
    if (row?.file && row.file !== file) await folder.removeEntry(row.file).catch(() => {});
    at = Date.now();
  }
  is({ kind: 'follows', folder: folder.name, files: keys.filter(([id]) => rows.has(id)).length, at });
}

/** The name of a project's file: the one it has while the project is called so, else the first that is free. */
async function fileFor(
  folder: Directory,
  name: string,
  row: KeptFile | undefined,
  rows: ReadonlyMap<string, KeptFile>,
): Promise<string> {
  const stem = fileStem(name);
  const ours = row?.file?.match(/^(.*?)(-\d+)?\.hosket\.json$/)?.[1];
  if (row?.file && ours === stem) return row.file;
  const taken = new Set([...rows.values()].map(({ file }) => file));
  for (let n = 1; ; n++) {
    const file = `${stem}${n > 1 ? `-${n}` : ''}.hosket.json`;
    if (!taken.has(file) && !(await exists(folder, file))) return file;
  }
}

const exists = (folder: Directory, file: string): Promise<boolean> =>
  folder.getFileHandle(file).then(
    () => true,
    (error: Error) => {
      if (error.name === 'NotFoundError') return false;
      throw error;
    },
  );

/** Whole or not at all: the browser puts the new file in the place of the old when it is closed. */
async function writeFile(folder: Directory, file: string, text: string): Promise<void> {
  const handle = await folder.getFileHandle(file, { create: true });
  const stream = await handle.createWritable();
  await stream.write(text);
  await stream.close();
}
