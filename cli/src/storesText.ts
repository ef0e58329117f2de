import {
  formatMeasure,
  type PlanReport,
  type Project,
  type ShoppingList,
  sayBuy,
  sayKind,
  sayMinutes,
  sayQuantity,
  type UnitSystem,
} from '@hosket/core';
import { rule, table } from './table.ts';

/** What to buy, what each part of the piece weighs and costs, and how it stands. */
export function storesText(project: Project, report: PlanReport, list: ShoppingList, system: UnitSystem): string {
  const mass = (value: number) => formatMeasure('mass', value, system);
  const mm = (value: number) => formatMeasure('length', value, system);
  const money = (value: number | null | undefined) => (value == null ? '' : `${value.toFixed(2)} ${project.currency}`);
  const { balance } = report;
  const lines = [
    rule(
      `Shopping list${list.tiles.length > 1 ? ` for ${list.tiles.length} tiles` : ''}, ${project.stores.safety} % sure to be enough`,
    ),
    ...list.gaps.map(({ tile, message, remedy }) => `  ${tile}: ${message} ${remedy}\n`),
    table([
      ['material', 'needed', 'in the cupboard', 'buy', 'cost', 'left over'],
      ...list.sheets.map(({ name, thicknessMm, needed, there, toBuy, cost }) => [
        `${name}, ${mm(thicknessMm)}`,
        String(needed),
        String(there),
        toBuy ? String(toBuy) : '',
        toBuy ? money(cost) : '',
        '',
      ]),
      ...list.shopping.map((line) => {
        const said = (value: number) => sayQuantity(value, line.unit, system);
        return [
          sayKind(line),
          said(line.wanted),
          line.inStock > 0 ? said(line.inStock) : '',
          sayBuy(line, system),
          money(line.buy?.cost),
          said(Math.max(0, line.left)),
        ];
      }),
    ]),
    rule('Weight, cost and time'),
    table([
      ['part', 'dry weight', 'cost', 'hands-on'],
      ...report.breakdown.map(({ part, massG, money: cost, minutes }) => [
        part,
        mass(massG.likely),
        money(cost),
        minutes ? sayMinutes(minutes) : '',
      ]),
    ]),
  ];
  if (balance) {
    const [x, y, z] = balance.at;
    lines.push(`  Centre of gravity ${mm(x)} right, ${mm(y)} back, ${mm(z)} up\n`);
    if (balance.tip)
      lines.push(
        `  On ${balance.on} it falls when tilted ${balance.tip.degrees.toFixed(0)} degrees to the ${balance.tip.towards}\n`,
      );
    if (balance.hooks)
      lines.push(
        `  On a wall each of two hooks carries ${balance.hooks.carriesN.toFixed(1)} N and is pulled out by ${balance.hooks.pulledN.toFixed(1)} N\n`,
      );
  }
  return lines.join('');
}
