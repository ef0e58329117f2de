import { lineLength } from '../../geometry/index.ts';
import { nameOf, runOf } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import type { Rule } from '../finding.ts';
import { atItem, isContour } from '../markWords.ts';

/** Ends of an open contour that stop this near to each other were probably meant to meet, as a share of its length. */
const NEARLY = 0.12;

export const openOutlines: Rule = ({ project }) =>
  project.marks
    .filter((mark) => isContour(mark) && !mark.closed && mark.points.length > 2)
    .flatMap((mark) => {
      const [a, b] = [mark.points[0], mark.points[mark.points.length - 1]];
      const gap = Math.hypot(a[0] - b[0], a[1] - b[1]);
      if (gap > NEARLY * lineLength(runOf(mark), false)) return [];
      return [
        atItem(
          mark,
          'open-outline',
          `${nameOf(mark)} is not closed: its ends lie ${mm(gap)} apart.`,
          'Tick "closed line", or draw its ends apart.',
        ),
      ];
    });
