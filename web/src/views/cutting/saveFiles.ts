import type { BedReport, PlanReport, Project } from '@hosket/core';
import { fileStem } from '../../store/fileStem.ts';
import type { Fields } from '../../worker/messages.ts';
import { saveAs } from '../savePdf.ts';

const sheetStem = (project: string, bed: BedReport): string => `${fileStem(project)}-${fileStem(bed.name)}`;

export const saveSheet = (project: string, bed: BedReport, kind: 'svg' | 'dxf'): Promise<void> =>
  saveAs(`${sheetStem(project, bed)}.${kind}`, kind === 'svg' ? 'image/svg+xml' : 'image/vnd.dxf', (calls) =>
    kind === 'svg' ? calls.sheetSvg(bed) : calls.sheetDxf(bed),
  );

export const saveSheets = (project: string, beds: readonly BedReport[]): Promise<void> =>
  saveAs(`${fileStem(project)}-sheets.zip`, 'application/zip', async (calls) => {
    const files: Record<string, string> = {};
    for (const bed of beds) {
      files[`${sheetStem(project, bed)}.svg`] = await calls.sheetSvg(bed);
      files[`${sheetStem(project, bed)}.dxf`] = await calls.sheetDxf(bed);
    }
    return calls.zipFiles(files);
  });

export const saveBody = (
  project: Project,
  report: PlanReport,
  { ground, outline }: Fields,
  body: 'stack' | 'ground',
  kind: 'stl' | '3mf',
): Promise<void> =>
  saveAs(`${fileStem(project.name)}-${body}.${kind}`, kind === 'stl' ? 'model/stl' : 'model/3mf', async (calls) => {
    const bodies =
      body === 'stack' ? await calls.stackBodies(report) : [await calls.groundBody(project, ground, outline)];
    return kind === 'stl' ? calls.writeStl(bodies) : calls.writeThreeMf(`${project.name}, ${body}`, bodies);
  });
