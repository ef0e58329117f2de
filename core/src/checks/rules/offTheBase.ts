import { insideRing, type Ring } from '../../geometry/index.ts';
import { type Item, isClosed, itemsOf, nameOf, runOf } from '../../project/index.ts';
import type { Rule } from '../finding.ts';
import { atItem } from '../markWords.ts';
import { meet, stretchesOf } from '../stretches.ts';

function touchesBase(item: Item, outline: Ring): boolean {
  const run = runOf(item);
  if (run.some(([x, y]) => insideRing(outline, x, y) || outline.some((p) => p[0] === x && p[1] === y))) return true;
  if (isClosed(item) && outline.some(([x, y]) => insideRing(run, x, y))) return true;
  return stretchesOf(item).some(([a, b]) => outline.some((p, k) => meet(a, b, p, outline[(k + 1) % outline.length])));
}

/** A thing of which nothing lies on the base does nothing. */
export const offTheBase: Rule = ({ project, ground }) =>
  itemsOf(project)
    .filter((item) => !touchesBase(item, ground.outline))
    .map((item) =>
      atItem(
        item,
        'off-the-base',
        `${nameOf(item)} lies outside the base and does nothing.`,
        'Move it onto the base or delete it.',
      ),
    );
