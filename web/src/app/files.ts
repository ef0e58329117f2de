import { type Project, writeProject } from '@hosket/core';
import { fileStem } from '../store/fileStem.ts';
import { importText } from '../store/library.ts';
import { rawText } from '../store/listing.ts';
import { download } from '../ui/download.ts';
import { sayWrong } from '../ui/toast.tsx';

/** Hands the project to the builder as a file. */
export const exportProject = (project: Project): void =>
  download(new Blob([writeProject(project)], { type: 'application/json' }), `${fileStem(project.name)}.hosket.json`);

/** Hands over the record of a project that cannot be opened, as it stands. */
export async function exportRaw(id: string, name: string): Promise<void> {
  download(new Blob([await rawText(id)], { type: 'application/json' }), `${fileStem(name)}.record.json`);
}

const MOST_BYTES = 40_000_000;

/** Asks for a file and reads it; gives the new project's id, or null when none came of it; `onWrong` is told why. */
export function importProject(onWrong: (text: string) => void = sayWrong): Promise<string | null> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = '.json,application/json';
    input.oncancel = () => resolve(null);
    input.onchange = async () => {
      const file = input.files?.[0];
      if (!file) return resolve(null);
      if (file.size > MOST_BYTES) {
        onWrong(
          `${file.name}: larger than a project can be (${Math.round(file.size / 1e6)} MB). Choose a *.hosket.json file.`,
        );
        return resolve(null);
      }
      try {
        const read = await importText(await file.text());
        if (!read.ok)
          onWrong(`${file.name} was not imported.\n${read.fault.place}: ${read.fault.message}\n${read.fault.remedy}`);
        resolve(read.ok ? read.value : null);
      } catch (error) {
        onWrong(`${file.name} was not imported: ${(error as Error).message}`);
        resolve(null);
      }
    };
    input.click();
  });
}
