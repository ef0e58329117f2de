import { heightAt, insideRing } from '../../geometry/index.ts';
import { heightsMeantAs, nameOf, skinMmOf } from '../../project/index.ts';
import type { PlanView, Rule } from '../finding.ts';
import { atItem } from '../markWords.ts';

/** A spot height that disagrees with a line it stands on, or with another spot. What a landform did there later is meant. */
export const missedSpots: Rule = ({ project, ground, solved }: PlanView) =>
  project.marks.flatMap((mark) => {
    if (mark.kind !== 'spot') return [];
    const [x, y] = mark.points[0];
    const { heightMm } = heightsMeantAs(project.heights, project.heights, mark, skinMmOf(project));
    if (!insideRing(ground.outline, x, y) || Math.abs(heightAt(solved, x, y) - heightMm) <= 0.5) return [];
    return [
      atItem(
        mark,
        'spot-missed',
        `The ground does not pass through ${nameOf(mark)}: another mark, or a level outline round it, says otherwise.`,
        'Move the spot, change its height, or let the outline round it not be level inside.',
      ),
    ];
  });
