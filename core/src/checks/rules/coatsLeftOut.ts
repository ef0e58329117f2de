import { catalogueOf, properties } from '../../materials/index.ts';
import { operationWords } from '../../project/index.ts';
import type { Rule } from '../finding.ts';

/** Coats that are left out of the take-off: of nothing that is known, with figures missing, or not done with such a material. */
export const coatsLeftOut: Rule = ({ project, zones }) => {
  const catalogue = catalogueOf(project.materials);
  const worn = new Set(zones.filter(({ percent }) => percent > 0).map(({ recipe }) => recipe));
  return project.recipes
    .filter(({ id }) => worn.has(id) || id === project.surface.edges || id === project.surface.walls)
    .flatMap((recipe) =>
      recipe.coats.flatMap(({ operation, material }) => {
        const known = catalogue.material(material);
        const missing = catalogue.missing(material).map((property) => properties[property].name);
        const fits = known && operationWords[operation].forms.includes(known.form);
        if (fits && !missing.length) return [];
        const why = !known
          ? `${material} is not in the catalogue`
          : !fits
            ? `${operationWords[operation].title} is not done with ${known.name}`
            : `${known.name} lacks ${missing.join(', ')}`;
        return [
          {
            code: 'coat-left-out',
            severity: 'warn' as const,
            band: 'surface' as const,
            place: recipe.name,
            message: `A coat of ${recipe.name} is left out of the amounts: ${why}.`,
            remedy: 'Choose another material for it, or give the figures under Materials.',
          },
        ];
      }),
    );
};
