import { insideRing, type Point, type Ring } from '../../geometry/index.ts';
import { isClosed, nameOf, runOf } from '../../project/index.ts';
import type { Rule } from '../finding.ts';
import { atItem, isContour, where } from '../markWords.ts';

/** Points of a line on the edge itself are not off the base, mm. */
const OVER_MM = 1;

const beyond = (outline: Ring, [x, y]: Point): boolean =>
  !insideRing(outline, x, y) &&
  ![
    [OVER_MM, 0],
    [-OVER_MM, 0],
    [0, OVER_MM],
    [0, -OVER_MM],
    [OVER_MM, OVER_MM],
    [OVER_MM, -OVER_MM],
    [-OVER_MM, OVER_MM],
    [-OVER_MM, -OVER_MM],
  ].some(([dx, dy]) => insideRing(outline, x + dx, y + dy));

/** A contour of which a part lies off the base: a closed one, or an open one that leaves and comes back. Its ends may run out over the edge. */
export const partlyOff: Rule = ({ project, ground }) =>
  project.marks.filter(isContour).flatMap((mark) => {
    const run = runOf(mark);
    const off = run.map((point) => beyond(ground.outline, point));
    if (off.every((is) => is)) return [];
    const first = isClosed(mark) ? 0 : off.indexOf(false);
    const last = isClosed(mark) ? off.length - 1 : off.lastIndexOf(false);
    const at =
      off.findIndex((is, k) => is && k > first && k < last) >= 0 || (isClosed(mark) && off.includes(true))
        ? off.findIndex((is, k) => is && k >= first && k <= last)
        : -1;
    if (at < 0) return [];
    return [
      {
        ...atItem(
          mark,
          'partly-off-the-base',
          `${nameOf(mark)} runs off the base near ${where(run[at])}; what lies outside is left out.`,
          'Let it end at the edge, or move it onto the base.',
        ),
        severity: 'note' as const,
      },
    ];
  });
