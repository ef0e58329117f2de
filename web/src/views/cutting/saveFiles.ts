import type { BedReport, PlanReport, Project } from '@hosket/core';
import { fileStem } from '../../ui/download.ts';
import type { Fields } from '../../worker/messages.ts';
import { saveAs } from '../savePdf.ts';

/** The writers are large and seldom used: they come when they are first asked for. */
const writers = () => import('@hosket/formats');

const sheetStem = (project: string, bed: BedReport): string => `${fileStem(project)}-${fileStem(bed.name)}`;

export const saveSheet = (project: string, bed: BedReport, kind: 'svg' | 'dxf'): Promise<void> =>
  saveAs(`${sheetStem(project, bed)}.${kind}`, kind === 'svg' ? 'image/svg+xml' : 'image/vnd.dxf', async () => {
    const { sheetDxf, sheetSvg } = await writers();
    return kind === 'svg' ? sheetSvg(bed) : sheetDxf(bed);
  });

export const saveSheets = (project: string, beds: readonly BedReport[]): Promise<void> =>
  saveAs(`${fileStem(project)}-sheets.zip`, 'application/zip', async () => {
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
  saveAs(`${fileStem(project.name)}-${body}.${kind}`, kind === 'stl' ? 'model/stl' : 'model/3mf', async () => {
    const { groundBody, stackBodies, writeStl, writeThreeMf } = await writers();
    const bodies = body === 'stack' ? stackBodies(report) : [groundBody(project, ground, outline)];
    return kind === 'stl' ? writeStl(bodies) : writeThreeMf(`${project.name}, ${body}`, bodies);
  });
