import { type Contour, nameOf } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import type { Rule } from '../finding.ts';
import { atItem, isContour, marksAlike, where } from '../markWords.ts';
import { firstCrossings, type Stretch, stretchesOf } from '../stretches.ts';

/** Where lines of two heights cross, the ground cannot have both. */
export const crossingLines: Rule = ({ project }) => {
  const contours = marksAlike(project).filter(isContour);
  const stretches = contours.flatMap((mark) =>
    stretchesOf(mark).map((ends): Stretch<Contour> => ({ owner: mark, ends })),
  );
  return firstCrossings(stretches, (a, b) => a !== b && a.heightMm !== b.heightMm).map(({ first, second, at }) =>
    atItem(
      second,
      'lines-cross',
      `${nameOf(first)} (${mm(first.heightMm)}) and ${nameOf(second)} (${mm(second.heightMm)}) cross; the ground there is a compromise.`,
      'Move one of them so that they do not touch.',
      `${nameOf(second)} at ${where(at)}`,
    ),
  );
};
