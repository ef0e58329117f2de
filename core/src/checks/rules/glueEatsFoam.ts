import { catalogueOf, glueOf } from '../../materials/index.ts';
import type { Rule } from '../finding.ts';

/** A glue whose solvent dissolves the foam of the stack. */
export const glueEatsFoam: Rule = ({ project, layers }) => {
  const catalogue = catalogueOf(project.materials);
  const { glue } = project.stacking;
  const eats = glueOf(glue, catalogue).spreads.filter(({ material }) =>
    catalogue.material(material)?.facts.includes('attacks foam'),
  );
  const used = project.sheets.filter(({ id }) => layers.sheetsUsed.some(({ sheetId }) => sheetId === id));
  if (!eats.length || !used.some(({ material }) => material === 'xps' || material === 'eps')) return [];
  return [
    {
      code: 'glue-eats-foam',
      severity: 'stop',
      band: 'layers',
      place: 'Joints of the stack',
      message: `${eats.map(({ name }) => name).join(' and ')} dissolves the foam of the layers.`,
      remedy:
        'Take a glue that is sold as foam-safe: PVA, polyurethane, foam-safe contact spray, foam-safe super glue.',
    },
  ];
};
