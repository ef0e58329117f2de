import type { Page } from '@hosket/core';
import plainFace from '../../../node_modules/@fontsource/spline-sans-mono/files/spline-sans-mono-latin-400-normal.woff?url';
import strongFace from '../../../node_modules/@fontsource/spline-sans-mono/files/spline-sans-mono-latin-600-normal.woff?url';
import { fileStem } from '../store/fileStem.ts';
import { download } from '../ui/download.ts';
import { sayWrong } from '../ui/toast.tsx';
import { type FilesAfar, Stopped, withFiles } from '../worker/files.ts';

/** Makes a file and hands it to the browser; says so where that fails. */
export const saveAs = async (
  name: string,
  type: string,
  make: (calls: FilesAfar) => Promise<Uint8Array | ArrayBuffer | string>,
): Promise<void> => {
  try {
    download(new Blob([(await withFiles(`Writing ${name}`, make)) as BlobPart], { type }), name);
  } catch (error) {
    if (error instanceof Stopped) return;
    sayWrong(`${name} was not saved: ${(error as Error).message}`);
  }
};

/** Pages as a PDF, `what` in its name: "templates", "bench sheet". */
export const savePdf = (project: string, what: string, pages: readonly Page[]): Promise<void> =>
  saveAs(`${fileStem(project)}-${fileStem(what)}.pdf`, 'application/pdf', async (calls) => {
    const [plain, strong] = await Promise.all(
      [plainFace, strongFace].map(async (address) => (await fetch(address)).arrayBuffer()),
    );
    return calls.writePdf(pages, `${project}: ${what}`, { plain, strong });
  });
