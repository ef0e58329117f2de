import { lineLength } from '../../geometry/index.ts';
import { nameOf, runOf } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import type { Rule } from '../finding.ts';
import { atItem, isContour } from '../markWords.ts';

/** A line so short that the lattice hardly sees it. */
export const tinyLines: Rule = ({ project, ground }) =>
  project.marks
    .filter((mark) => isContour(mark) && lineLength(runOf(mark), mark.closed) < 3 * ground.grid.cellMm)
    .map((mark) =>
      atItem(
        mark,
        'tiny-line',
        `${nameOf(mark)} is shorter than three cells of the ground (${mm(ground.grid.cellMm)} each).`,
        'Use a spot height instead.',
      ),
    );
