import { ringArea } from '../../geometry/index.ts';
import { nameOf, runOf } from '../../project/index.ts';
import type { Rule } from '../finding.ts';
import { atItem, isContour } from '../markWords.ts';

/** A level outline that encloses next to nothing: its points lie on one line. */
export const levelWithoutArea: Rule = ({ project, ground }) =>
  project.marks
    .filter(isContour)
    .filter((mark) => mark.closed && mark.level && Math.abs(ringArea(runOf(mark))) < 9 * ground.grid.cellMm ** 2)
    .map((mark) =>
      atItem(
        mark,
        'level-without-area',
        `${nameOf(mark)} is level inside, but encloses no area.`,
        'Move a point so that it goes round the bench, or let it be an open line.',
      ),
    );
