import type { Finding, PlanView, Rule } from '../finding.ts';

/** Limits and rules of the brief that the plan breaks; a deadline or a limit of hours with the way of building or the glue that would keep it. */
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
        ...kept?.mends,
      };
    });

/** What a plan comes to when something else is chosen, and what that is. */
type Other = Pick<PlanView['ways'][number], 'finish' | 'handsOnMin'> & {
  mends: Pick<Finding, 'way' | 'glue'>;
  words: string;
};

/** The way of building or the glue of fewest minutes that keeps a limit which the present one breaks, with its figures; null where none does. */
function keptBy(
  { project: { limits }, layers, days, ways, glues }: PlanView,
  limit: string,
): { mends: Other['mends']; words: string } | null {
  const { dueDate, benchHours, sureOf } = limits;
  const keeps = ({ finish, handsOnMin }: Other): boolean => {
    if (limit === 'due' && dueDate !== null) return finish !== null && finish.sure.slice(0, 10) <= dueDate;
    return limit === 'hours' && benchHours !== null && handsOnMin <= 60 * benchHours;
  };
  const others: Other[] = [
    ...ways
      .filter(({ school }) => school !== layers.school)
      .map(({ school, ...read }) => ({ ...read, mends: { way: school }, words: `the way "${school}"` })),
    ...glues.map(({ glue, ...read }) => ({ ...read, mends: { glue }, words: `${glue} in the joints` })),
  ];
  const [best] = others.filter(keeps).sort((a, b) => a.handsOnMin - b.handsOnMin);
  if (!best) return null;
  const more = Math.round(best.handsOnMin - days.handsOnMin);
  const minutes = more === 0 ? '' : `, ${Math.abs(more)} min ${more > 0 ? 'more' : 'less'} at the bench`;
  const ready = best.finish ? `ready by ${best.finish.sure.slice(0, 10)} ${sureOf} times in 100` : 'without dates';
  return { mends: best.mends, words: `Kept by ${best.words}: ${ready}${minutes}.` };
}
