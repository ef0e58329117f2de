import type { Rule } from '../finding.ts';

export const nothingDrawn: Rule = ({ project, ground }) =>
  project.marks.length || project.landforms.length || ground.highestMm > 0
    ? []
    : [
        {
          code: 'nothing-drawn',
          severity: 'note',
          band: 'ground',
          place: 'Ground',
          message: 'No heights are drawn yet, so the base is bare.',
          remedy: 'Add a contour, a spot height or a landform.',
        },
      ];
