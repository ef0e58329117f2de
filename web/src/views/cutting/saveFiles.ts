import type { BedReport, Page, PlanReport, Project } from '@hosket/core';
import plainFace from '../../../../node_modules/@fontsource/spline-sans-mono/files/spline-sans-mono-latin-400-normal.woff?url';
import strongFace from '../../../../node_modules/@fontsource/spline-sans-mono/files/spline-sans-mono-latin-600-normal.woff?url';
import { download, fileStem } from '../../ui/download.ts';
import { sayWrong } from '../../ui/toast.tsx';
import type { Fields } from '../../worker/messages.ts';

/** The writers are large and seldom used: they come when they are first asked for. */
const writers = () => import('@hosket/formats');

const save = async (name: string, type: string, make: () => Promise<Uint8Array | string>): Promise<void> => {
  try {
    download(new Blob([(await make()) as BlobPart], { type }), name);
  } catch (error) {
    sayWrong(`${name} was not saved: ${(error as Error).message}`);
  }
};

export const savePdf = (project: string, pages: readonly Page[]): Promise<void> =>
  save(`${fileStem(project)}-templates.pdf`, 'application/pdf', async () => {
    const [plain, strong] = await Promise.all(
      [plainFace, strongFace].map(async (address) => (await fetch(address)).arrayBuffer()),
    );
    const { writePdf } = await import('@hosket/formats/pdf');
    return writePdf(pages, `${project}: templates`, { plain, strong });
  });

const sheetStem = (project: string, bed: BedReport): string => `${fileStem(project)}-${fileStem(bed.name)}`;

export const saveSheet = (project: string, bed: BedReport, kind: 'svg' | 'dxf'): Promise<void> =>
  save(`${sheetStem(project, bed)}.${kind}`, kind === 'svg' ? 'image/svg+xml' : 'image/vnd.dxf', async () => {
    const { sheetDxf, sheetSvg } = await writers();
    return kind === 'svg' ? sheetSvg(bed) : sheetDxf(bed);
  });

export const saveSheets = (project: string, beds: readonly BedReport[]): Promise<void> =>
  save(`${fileStem(project)}-sheets.zip`, 'application/zip', async () => {
    const { sheetDxf, sheetSvg, zipFiles } = await writers();
    const files = beds.flatMap((bed) => [
      [`${sheetStem(project, bed)}.svg`, sheetSvg(bed)],
      [`${sheetStem(project, bed)}.dxf`, sheetDxf(bed)],
    ]);
    return zipFiles(Object.fromEntries(files) as Record<string, string>);
  });

export const saveBody = (
  project: Project,
  report: PlanReport,
  { ground, outline }: Fields,
  body: 'stack' | 'ground',
  kind: 'stl' | '3mf',
): Promise<void> =>
  save(`${fileStem(project.name)}-${body}.${kind}`, kind === 'stl' ? 'model/stl' : 'model/3mf', async () => {
    const { groundBody, stackBodies, writeStl, writeThreeMf } = await writers();
    const bodies = body === 'stack' ? stackBodies(report) : [groundBody(project, ground, outline)];
    return kind === 'stl' ? writeStl(bodies) : writeThreeMf(`${project.name}, ${body}`, bodies);
  });
