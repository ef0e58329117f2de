import { catalogueOf, type HandLayer, type Project, stuffOf } from '@hosket/core';

/** "Dense foam 20", or "Bead foam 20 inside Dense foam 20", and the slice. */
export function layerName(project: Project, { sheetIds, sliceMm }: HandLayer, mm: (value: number) => string): string {
  const names = sheetIds.map((id) => {
    const sheet = project.sheets.find((candidate) => candidate.id === id);
    return sheet ? sheet.name || stuffOf(sheet, catalogueOf(project.materials)).label : 'sheets that are gone';
  });
  return `${names.join(' and ')}${sliceMm === null ? '' : `, sliced to ${mm(sliceMm)}`}`;
}
