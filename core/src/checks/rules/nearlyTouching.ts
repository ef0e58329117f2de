import { type Contour, nameOf } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import type { Rule } from '../finding.ts';
import { atItem, isContour, marksAlike, where } from '../markWords.ts';
import { firstCrossings, type Stretch, stretchesOf } from '../stretches.ts';

/** Lines nearer to one another than this share of a cell leave no ground between them. */
const CELL_SHARE = 0.5;

/** Contours of two heights that all but touch: the ground stands upright between them. */
export const nearlyTouching: Rule = ({ project, ground }) => {
  const stretches = marksAlike(project)
    .filter(isContour)
    .flatMap((mark) => stretchesOf(mark).map((ends): Stretch<Contour> => ({ owner: mark, ends })));
  const within = CELL_SHARE * ground.grid.cellMm;
  return firstCrossings(stretches, (a, b) => a !== b && a.heightMm !== b.heightMm, Number.POSITIVE_INFINITY, within)
    .filter(({ gapMm }) => gapMm > 0)
    .map(({ first, second, at, gapMm }) => ({
      ...atItem(
        second,
        'lines-nearly-touch',
        `${nameOf(first)} (${mm(first.heightMm)}) and ${nameOf(second)} (${mm(second.heightMm)}) come within ${mm(gapMm)} near ${where(at)}: the ground stands upright there.`,
        'Move them apart, or draw a cliff there if a wall is meant.',
        `${nameOf(second)} at ${where(at)}`,
      ),
      severity: 'note' as const,
    }));
};
