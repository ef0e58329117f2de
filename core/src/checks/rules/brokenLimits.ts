import type { Finding, PlanView, Rule } from '../finding.ts';

/** Limits and rules of the brief that the plan breaks; a deadline or a limit of hours with the way of building that would keep it. */
export const brokenLimits: Rule = (plan) =>
  plan.limits
    .filter(({ kept }) => kept === false)
    .map(({ id, text, why }): Finding => {
      const kept = keptBy(plan, id);
      return {
        code: `limit-${id}`,
        severity: 'warn',
        band: 'brief',
        place: text,
        message: `Not kept: ${text.charAt(0).toLowerCase()}${text.slice(1)}; ${why}.`,
        remedy: kept
          ? `${kept.words} Or change the plan, or the limit.`
          : 'Change the plan, or the limit in the brief.',
        ...(kept && { way: kept.way }),
      };
    });

/** The way of building of fewest minutes that keeps a limit which the present one breaks, with its figures; null where none does. */
function keptBy(
  { project: { limits }, layers, ways }: PlanView,
  limit: string,
): { way: NonNullable<Finding['way']>; words: string } | null {
  const { dueDate, benchHours, sureOf } = limits;
  const keeps = ({ finish, handsOnMin }: PlanView['ways'][number]): boolean => {
    if (limit === 'due' && dueDate !== null) return finish !== null && finish.sure.slice(0, 10) <= dueDate;
    return limit === 'hours' && benchHours !== null && handsOnMin <= 60 * benchHours;
  };
  const [best] = ways
    .filter((way) => way.school !== layers.school && keeps(way))
    .sort((a, b) => a.handsOnMin - b.handsOnMin);
  if (!best) return null;
  const now = ways.find(({ school }) => school === layers.school);
  const more = now ? Math.round(best.handsOnMin - now.handsOnMin) : 0;
  const minutes = more === 0 ? '' : `, ${Math.abs(more)} min ${more > 0 ? 'more' : 'less'} at the bench`;
  const ready = best.finish ? `ready by ${best.finish.sure.slice(0, 10)} ${sureOf} times in 100` : 'without dates';
  return { way: best.school, words: `Kept by the way "${best.school}": ${ready}${minutes}.` };
}
