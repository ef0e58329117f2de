import { mm } from '../../units/index.ts';
import { onCutting } from '../cutWords.ts';
import type { Rule } from '../finding.ts';

/** Seams nearer to those of the layer below than is wanted. */
export const closeSeams: Rule = ({ cutting, project }) => {
  const { apartMm } = project.cutting.seam;
  const close = cutting.seams.filter((seam) => seam.apartMm !== null && seam.apartMm < apartMm - 0.05);
  return close.map(({ layer, apartMm: apart }) =>
    onCutting(
      'warn',
      'seams-close',
      `Layer ${layer}`,
      apart
        ? `A seam of layer ${layer} runs ${mm(apart)} from a seam of the layer below; ${mm(apartMm)} are wanted.`
        : `A seam of layer ${layer} crosses a seam of the layer below.`,
      'Use larger sheets for one of the two, or glue a dowel across the seam.',
    ),
  );
};
