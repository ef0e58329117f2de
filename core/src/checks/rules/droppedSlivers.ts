import { mm2 } from '../../units/index.ts';
import { onCutting } from '../cutWords.ts';
import type { Rule } from '../finding.ts';

/** What is too small to be cut. */
export const droppedSlivers: Rule = ({ cutting, project }) => {
  if (!cutting.dropped.length) return [];
  const count = cutting.dropped.reduce((sum, each) => sum + each.count, 0);
  const areaMm2 = cutting.dropped.reduce((sum, each) => sum + each.areaMm2, 0);
  return [
    onCutting(
      'note',
      'slivers-dropped',
      cutting.dropped.map(({ layer }) => `Layer ${layer}`).join(', '),
      `${count === 1 ? 'A sliver' : `${count} slivers`} smaller than ${mm2(project.cutting.sliverMm2, 1)} ${count === 1 ? 'is' : 'are'} left out (${areaMm2 < 10 ? `less than ${mm2(10, 1)}` : mm2(areaMm2, 1)} together); paste takes ${count === 1 ? 'its' : 'their'} place.`,
      'Nothing need be done; the threshold is set under "How it is cut".',
    ),
  ];
};
