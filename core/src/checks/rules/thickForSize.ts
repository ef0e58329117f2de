import { baseSize, wantsThinSheets } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import type { Rule } from '../finding.ts';

/** A small base with nothing but thick sheets to build it of. */
export const thickForSize: Rule = ({ project, ground }) => {
  if (project.heights !== 'foam' || ground.highestMm <= 0 || !wantsThinSheets(project)) return [];
  const { widthMm, depthMm } = baseSize(project.base);
  return [
    {
      code: 'thick-for-its-size',
      severity: 'note',
      band: 'layers',
      place: 'Shed',
      message: `A base of ${mm(widthMm)} by ${mm(depthMm)} is usually built of thin sheets; the shed has none.`,
      remedy: 'Plan it in card and cork, or put in what you have.',
      thin: true,
    },
  ];
};
