import type { Finding, Rule } from '../finding.ts';

/** Areas whose zone or landform is gone. */
export const emptyAreas: Rule = ({ project, zones }) =>
  project.stacking.areas.flatMap(({ name, of }): Finding[] => {
    const gone =
      of.kind === 'zone'
        ? !zones.some(({ id }) => id === of.id)
        : of.kind === 'landform' && !project.landforms.some(({ id }) => id === of.id);
    if (!gone) return [];
    return [
      {
        code: 'area-gone',
        severity: 'note',
        band: 'layers',
        place: name,
        message: `The ${of.kind === 'zone' ? 'zone' : 'landform'} of the area "${name}" is not on this base, so nothing is built by it.`,
        remedy: 'Choose another, or take the area out.',
      },
    ];
  });
