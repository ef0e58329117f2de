import type { ShoppingList } from '@hosket/core';
import { csvText } from './csv.ts';

const heads = [
  'material',
  'colour or grade',
  'unit',
  'needed, likely',
  'needed, safe',
  'in the cupboard',
  'to buy',
  'packs',
  'cost',
  'currency',
  'supplier',
  'left over',
] as const;

const digits = (value: number) => String(Math.round(value * 100) / 100);

/**
 * The shopping list as CSV, everything that is needed a line, also what is there already. Quoted where it must be; numbers with a decimal point, or with a decimal comma
 * between semicolons; the last line is the total of what has a price. `packs` says the packs of each line in words. Foam that no sheet is known for stands in a line of its own, with what to do.
 */
export function writeShoppingCsv(
  { shopping, sheets, gaps, currency }: Pick<ShoppingList, 'shopping' | 'sheets' | 'gaps' | 'currency'>,
  packs: readonly string[],
  semicolons = false,
): string {
  const say = (value: number | null) =>
    value === null ? '' : semicolons ? digits(value).replace('.', ',') : digits(value);
  const costs = [...sheets.map(({ cost }) => cost), ...shopping.map(({ buy }) => buy?.cost ?? null)].filter(
    (cost) => cost !== null,
  );
  const total = costs.length ? costs.reduce((all, cost) => all + cost, 0) : null;
  const rows = [
    ...sheets.map(({ name, thicknessMm, needed, there, toBuy, cost }) => [
      name,
      `${say(thicknessMm)} mm`,
      'each',
      say(needed),
      say(needed),
      say(there),
      say(toBuy),
      toBuy ? say(toBuy) : '',
      say(cost),
      cost === null ? '' : currency,
      '',
      '',
    ]),
    ...gaps.map(({ tile, message, remedy }) => [
      `Foam for ${tile}`,
      '',
      'each',
      ...['', '', '', ''],
      `${message} ${remedy}`,
      ...['', '', '', ''],
    ]),
    ...shopping.map((line, k) => [
      line.name,
      line.which,
      line.unit,
      say(line.likely),
      say(line.wanted),
      say(line.inStock),
      say(line.short),
      packs[k],
      say(line.buy?.cost ?? null),
      line.buy?.cost == null ? '' : currency,
      [...new Set(line.buy?.of.map(({ offer }) => offer.supplier).filter(Boolean))].join(', '),
      say(line.left),
    ]),
    ['Total, as far as it is priced', '', '', '', '', '', '', '', say(total), total === null ? '' : currency, '', ''],
  ];
  return csvText(heads, rows, semicolons);
}
