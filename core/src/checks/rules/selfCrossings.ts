import { isClosed, itemsOf, nameOf } from '../../project/index.ts';
import type { Rule } from '../finding.ts';
import { atItem, where } from '../markWords.ts';
import { firstCrossings, type Stretch, stretchesOf } from '../stretches.ts';

/** An outline that crosses itself has no clear inside; a way that does has two heights at one place. */
export const selfCrossings: Rule = ({ project }) =>
  itemsOf(project)
    .filter((item) => item.kind !== 'spot')
    .flatMap((item) => {
      const ends = stretchesOf(item);
      const stretches = ends.map((stretch, k): Stretch<number> => ({ owner: k, ends: stretch }));
      const beside = (a: number, b: number) =>
        Math.abs(a - b) <= 1 || (isClosed(item) && Math.abs(a - b) === ends.length - 1);
      const found = firstCrossings(stretches, (a, b) => !beside(a, b), 1);
      return found.map(({ at }) =>
        atItem(
          item,
          'crosses-itself',
          `${nameOf(item)} crosses itself near ${where(at)}.`,
          isClosed(item) ? 'Move a point so that its outline runs round once.' : 'Move a point, or draw it as two.',
        ),
      );
    });
