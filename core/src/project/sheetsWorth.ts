import type { Project } from './schemas/schema.ts';

/** What so many sheets of each kind are worth, in the project's currency, as far as they are priced; null when none of them is. */
export function sheetsWorth(
  { sheets }: Pick<Project, 'sheets'>,
  counted: readonly { sheetId: string; sheets: number }[],
): number | null {
  const priced = counted.flatMap(({ sheetId, sheets: count }) => {
    const price = sheets.find(({ id }) => id === sheetId)?.price;
    return price == null || count === 0 ? [] : [count * price];
  });
  return priced.length ? priced.reduce((all, worth) => all + worth, 0) : null;
}
