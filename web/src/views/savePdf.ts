import type { Page } from '@hosket/core';
import plainFace from '../../../node_modules/@fontsource/spline-sans-mono/files/spline-sans-mono-latin-400-normal.woff?url';
import strongFace from '../../../node_modules/@fontsource/spline-sans-mono/files/spline-sans-mono-latin-600-normal.woff?url';
import { download, fileStem } from '../ui/download.ts';
import { sayWrong } from '../ui/toast.tsx';

/** Makes a file and hands it to the browser; says so where that fails. */
export const saveAs = async (name: string, type: string, make: () => Promise<Uint8Array | string>): Promise<void> => {
  try {
    download(new Blob([(await make()) as BlobPart], { type }), name);
  } catch (error) {
    sayWrong(`${name} was not saved: ${(error as Error).message}`);
  }
};

/** Pages as a PDF, `what` in its name: "templates", "bench sheet". The writer is large and seldom used: it comes when it is first asked for. */
export const savePdf = (project: string, what: string, pages: readonly Page[]): Promise<void> =>
  saveAs(`${fileStem(project)}-${fileStem(what)}.pdf`, 'application/pdf', async () => {
    const [plain, strong] = await Promise.all(
      [plainFace, strongFace].map(async (address) => (await fetch(address)).arrayBuffer()),
    );
    const { writePdf } = await import('@hosket/formats/pdf');
    return writePdf(pages, `${project}: ${what}`, { plain, strong });
  });
