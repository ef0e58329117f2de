import type { HandLayer, Project } from '../../project/index.ts';
import type { Finding, PlanView, Rule } from '../finding.ts';

/** Limits and rules of the brief that the plan breaks; a deadline or a limit of hours with the way of building, the stack or the glue that would keep it. */
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
  mends: Pick<Finding, 'way' | 'glue' | 'stack'>;
  words: string;
};

/** The way of building, the stack or the glue of fewest minutes that keeps a limit which the present one breaks, with its figures; null where none does. */
function keptBy(
  { project: { limits, sheets }, layers, days, ways, glues, stacks }: PlanView,
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
    ...stacks.map(({ school, layers: sheetsOf, ...read }) => ({
      ...read,
      mends: { stack: { school, layers: sheetsOf } },
      words: `another stack, ${school}: ${inWordsOf(sheetsOf, sheets)}`,
    })),
    ...glues.map(({ glue, ...read }) => ({ ...read, mends: { glue }, words: `${glue} in the joints` })),
  ];
  const [best] = others.filter(keeps).sort((a, b) => a.handsOnMin - b.handsOnMin);
  if (!best) return null;
  const more = Math.round(best.handsOnMin - days.handsOnMin);
  const minutes = more === 0 ? '' : `, ${Math.abs(more)} min ${more > 0 ? 'more' : 'less'} at the bench`;
  const ready = best.finish ? `${sureOf} % sure to be ready by ${best.finish.sure.slice(0, 10)}` : 'without dates';
  return { mends: best.mends, words: `Kept by ${best.words}: ${ready}${minutes}.` };
}

/** "2 Dense foam 20, 1 Dense foam 10". */
function inWordsOf(layers: readonly HandLayer[], sheets: Project['sheets']): string {
  const count = new Map<string, number>();
  for (const { sheetIds, sliceMm } of layers) {
    const sheet = sheets.find(({ id }) => id === sheetIds[0]);
    const name = `${sheet?.name || sheetIds[0]}${sliceMm === null ? '' : ' sliced'}`;
    count.set(name, (count.get(name) ?? 0) + 1);
  }
  return [...count].map(([name, times]) => `${times} ${name}`).join(', ');
}
