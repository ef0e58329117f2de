import { catalogueOf, glueOf } from '../../materials/index.ts';
import type { Rule } from '../finding.ts';

/** A glue that is hotter than foam bears. */
export const hotGlueOnFoam: Rule = ({ project, layers }) => {
  const catalogue = catalogueOf(project.materials);
  const hot = glueOf(project.stacking.glue, catalogue).spreads.some(({ material }) =>
    catalogue.material(material)?.facts.includes('too hot for foam'),
  );
  const used = project.sheets.filter(({ id }) => layers.sheetsUsed.some(({ sheetId }) => sheetId === id));
  if (!hot || !layers.layers.length || used.every(({ material }) => material === 'cork')) return [];
  return [
    {
      code: 'glue-too-hot',
      severity: 'warn',
      band: 'layers',
      place: 'Joints of the stack',
      message: `${project.stacking.glue[0].toUpperCase()}${project.stacking.glue.slice(1)} leaves the nozzle at 160 to 200 °C; foam collapses from about 95 °C.`,
      remedy: 'Take a low-temperature gun with small beads, or let the bead cool until it only just grips.',
    },
  ];
};
