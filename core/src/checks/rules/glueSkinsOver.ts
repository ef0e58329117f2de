import { catalogueOf, glueOf, labour, skillFactor } from '../../materials/index.ts';
import type { Rule } from '../finding.ts';

/** Glues that are laid as dots or beads and pressed one by one: they are not spread over a whole face. */
const IN_DOTS: readonly string[] = [
  'hot glue',
  'hot glue, high temperature',
  'hybrid grab',
  'sealant',
  'foam-safe super glue',
  'super glue',
];

/** A glue that skins over before the largest layer is covered with it. */
export const glueSkinsOver: Rule = ({ project, layers }) => {
  const catalogue = catalogueOf(project.materials);
  const largest = layers.layers.reduce((most, { contactMm2 }) => Math.max(most, contactMm2), 0);
  const pace = skillFactor[project.bench.skill] * labour.glueArea.likely;
  return glueOf(project.stacking.glue, catalogue).spreads.flatMap(({ material, name, share }) => {
    const open = catalogue.figure(material, 'openMin');
    const minutes = (largest * share * pace) / 1e4;
    if (!open || IN_DOTS.includes(material) || minutes <= open.likely) return [];
    return [
      {
        code: 'glue-skins-over',
        severity: 'warn' as const,
        band: 'layers' as const,
        place: 'Joints of the stack',
        message: `${name} stays open for about ${open.likely} min; the largest layer takes about ${Math.ceil(minutes)} min to cover.`,
        remedy: 'Lay it in dots or lines, spread it with a second pair of hands, or take a slower glue.',
      },
    ];
  });
};
