import type { Opening } from '../../ground/index.ts';
import type { Void } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import { onGround, type Rule } from '../finding.ts';
import { each, place } from '../voidWords.ts';

/** A cable comes to the light at one of its ends. */
function nearEnd(cable: Extract<Void, { kind: 'cable' }>, [x, y]: readonly [number, number]): boolean {
  const ends = [cable.points[0], cable.points[cable.points.length - 1]];
  return ends.some(([u, v]) => Math.hypot(u - x, v - y) <= 3 * cable.boreMm + 5);
}

/** Where a void opens on the ground: a note where it is meant to, else something to mend. */
export const brokenOut: Rule = (plan) =>
  each(plan, ({ name, openings }, hollow) => {
    const isMeant = ({ at }: Opening) =>
      ('opens' in hollow && hollow.opens) ||
      (hollow.kind === 'bay' && hollow.access === 'by a lid') ||
      (hollow.kind === 'cable' && nearEnd(hollow, at));
    const where = (list: readonly Opening[]) =>
      list.map(({ at, acrossMm }) => `${mm(acrossMm)} across at ${place(at)}`).join('; ');
    const meant = openings.filter(isMeant);
    const not = openings.filter((opening) => !isMeant(opening));
    const mouth = onGround(
      hollow.id,
      name,
      'void-opens',
      `${name} opens on the ground: ${where(meant)}.`,
      'Nothing to do where that is its mouth.',
    );
    const hole = onGround(
      hollow.id,
      name,
      'void-breaks-out',
      `${name} breaks out of the ground: ${where(not)}.`,
      'Lower it or raise the ground; or say that it is meant to open.',
    );
    return [...(meant.length ? [{ ...mouth, severity: 'note' as const }] : []), ...(not.length ? [hole] : [])];
  });
