import { type Item, nameOf } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import type { Rule } from '../finding.ts';
import { atItem, marksAlike } from '../markWords.ts';

/** Two spot heights on one point cannot both be met. */
export const twinSpots: Rule = ({ project }) => {
  const seen = new Map<string, Item & { heightMm: number }>();
  return marksAlike(project).flatMap((mark) => {
    if (mark.kind !== 'spot') return [];
    const key = mark.points[0].map((value) => value.toFixed(1)).join(' ');
    const other = seen.get(key);
    if (!other) {
      seen.set(key, mark);
      return [];
    }
    const same = other.heightMm === mark.heightMm;
    return [
      atItem(
        mark,
        'spots-on-one-point',
        `${nameOf(other)} and ${nameOf(mark)} stand on one point${same ? '' : ` with ${other.heightMm} and ${mm(mark.heightMm)}`}.`,
        'Delete one of them or move it.',
      ),
    ];
  });
};
