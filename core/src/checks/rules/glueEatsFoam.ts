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
  // The core of card is polystyrene too; of a foam of the builder's own nothing better is known.
  const foams = used.filter(({ material }) => material !== 'cork');
  if (!eats.length || !foams.length) return [];
  const own = foams.every(({ material }) => material === 'own');
  return [
    {
      code: 'glue-eats-foam',
      severity: own ? 'warn' : 'stop',
      band: 'layers',
      place: 'Joints of the stack',
      message: `${eats.map(({ name }) => name).join(' and ')} ${own ? 'dissolves most foams; try it on a scrap of yours first' : 'dissolves the foam of the layers, the core of card too'}.`,
      remedy:
        'Take a glue that is sold as foam-safe: PVA, polyurethane, foam-safe contact spray, foam-safe super glue.',
    },
  ];
};
