/** All projects of this browser in one file, and brought back from it. Each is read on its own: one that cannot be read keeps no other back. */
import { writeProject } from '@hosket/core';
import { withFiles } from '../worker/files.ts';
import { importText, readKept } from './library.ts';
import { listKept } from './listing.ts';

/** Every project that is not deleted, as a zip; `left` are those that cannot be read. */
export async function backUpAll(
  files: typeof withFiles = withFiles,
): Promise<{ zip: Uint8Array; count: number; left: string[] }> {
  const all: { name: string; text: string }[] = [];
  const left: string[] = [];
  for (const { id, name, deletedAt } of await listKept()) {
    if (deletedAt !== null) continue;
    const kept = await readKept(id).catch(() => undefined);
    if (kept) all.push({ name, text: writeProject(kept.project) });
    else left.push(name);
  }
  const zip = await files('Writing the backup', (calls) => calls.writeBackup(all));
  return { zip, count: all.length, left };
}

export interface BroughtBack {
  added: number;
  /** Those that are here already, to the last letter. */
  same: number;
  /** Those that cannot be read, with the reason. */
  refused: string[];
}

/** Adds what a backup holds beside what is here; what is here already, as it is in the backup, is not added twice. Throws where it is no backup. */
export async function bringBack(bytes: Uint8Array, files: typeof withFiles = withFiles): Promise<BroughtBack> {
  const read = await files('Reading the backup', (calls) => calls.readBackup(bytes));
  if (!read.ok) throw new Error(`${read.fault.message} ${read.fault.remedy}`);
  const here = new Set<string>();
  for (const { id, deletedAt } of await listKept()) {
    const kept = deletedAt === null ? await readKept(id).catch(() => undefined) : undefined;
    if (kept) here.add(writeProject(kept.project));
  }
  const back: BroughtBack = { added: 0, same: 0, refused: [] };
  for (const { name, text } of read.value) {
    if (here.has(text)) back.same++;
    else {
      const taken = await importText(text);
      if (taken.ok) back.added++;
      else back.refused.push(`${name}: ${taken.fault.message}`);
    }
  }
  return back;
}
