import { baseSize, nameOf } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import type { Rule } from '../finding.ts';
import { atItem } from '../markWords.ts';

/** So many layers are more likely a slip of the key, and so is ground higher than the base is long. */
const MANY_LAYERS = 30;
const TIMES_THE_BASE = 1.5;

/** A height that makes a tower of the piece. */
export const giantHeights: Rule = ({ project, layers }) => {
  const { widthMm, depthMm } = baseSize(project.base);
  const tops = project.marks.flatMap((mark) =>
    mark.kind === 'contour' || mark.kind === 'spot' ? [{ mark, heightMm: mark.heightMm }] : [],
  );
  const highest = tops.reduce((a, b) => (b.heightMm > a.heightMm ? b : a), tops[0]);
  const count = layers.layers.length;
  if (!highest || (highest.heightMm <= TIMES_THE_BASE * Math.max(widthMm, depthMm) && count <= MANY_LAYERS)) return [];
  return [
    atItem(
      highest.mark,
      'very-high',
      `${nameOf(highest.mark)} stands at ${mm(highest.heightMm)} on a base of ${mm(widthMm, 0)} by ${mm(depthMm, 0)}: ${count} layers.`,
      'If that is a slip of the key, write the height again; else build a hollow core.',
    ),
  ];
};
