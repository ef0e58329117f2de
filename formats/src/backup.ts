/** All projects of a browser in one zip, a project file each, and back out of it. */
import type { Result } from '@hosket/core';
import { strFromU8, unzipSync } from 'fflate';
import { zipFiles } from './threeMf.ts';

/** A project file as text, under the name of its project. */
export interface BackupFile {
  name: string;
  text: string;
}

const ENDING = '.hosket.json';
/** More, or larger ones, are no backup of this browser's. */
const MOST_FILES = 5000;
const MOST_BYTES = 400_000_000;
const MOST_EACH = 40_000_000;

const stemOf = (name: string): string => name.replace(/[^\p{L}\p{N}]+/gu, ' ').trim() || 'project';

/** Numbered, so that two projects of one name are two files. */
export const writeBackup = (files: readonly BackupFile[]): Uint8Array =>
  zipFiles(Object.fromEntries(files.map(({ name, text }, k) => [`${k + 1} ${stemOf(name)}${ENDING}`, text])));

/** The project files of a zip, others left out. Sizes are looked at before anything is unpacked. */
export function readBackup(bytes: Uint8Array): Result<BackupFile[]> {
  const bad = (message: string): Result<BackupFile[]> => ({
    ok: false,
    fault: { code: 'backup', place: 'backup', message, remedy: 'Choose a zip that “Back up all” made.' },
  });
  let [count, all] = [0, 0];
  try {
    const files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (!name.endsWith(ENDING) || originalSize > MOST_EACH || ++count > MOST_FILES) return false;
        all += originalSize;
        return all <= MOST_BYTES;
      },
    });
    if (count > MOST_FILES || all > MOST_BYTES) return bad('It holds more than a backup can.');
    const read = Object.entries(files).map(([name, data]) => ({
      name: name.slice(0, -ENDING.length).replace(/^\d+ /, ''),
      text: strFromU8(data),
    }));
    return read.length ? { ok: true, value: read } : bad('There is no project in it.');
  } catch {
    return bad('It is no zip, or a damaged one.');
  }
}
