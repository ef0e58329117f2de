import {
  formatMeasure,
  type PlanReport,
  type Project,
  recipeOf,
  sayAmount,
  sayMinutes,
  type UnitSystem,
} from '@hosket/core';
import { sayBatches } from './sayBatches.ts';
import { rule, table } from './table.ts';

/** What each zone wears and how deep paste lies there, then every step with its amounts. */
export function surfaceText(project: Project, report: PlanReport, system: UnitSystem): string {
  const mm = (value: number) => formatMeasure('length', value, system);
  const ml = (value: number) => formatMeasure('volume', value, system);
  const cm2 = (value: number) => formatMeasure('area', value, system, 0);
  const lines = [
    rule('What the zones wear'),
    table([
      ['zone', 'recipe', 'surface', 'fill', 'skin', '95 % no deeper than', 'deepest'],
      ...report.surfaces
        .filter(({ trueMm2 }) => trueMm2 > 1)
        .map(({ name, recipe, trueMm2, fillMl, skinMl, most95Mm, deepestMm }) => [
          name,
          recipeOf(project, recipe).name,
          cm2(trueMm2),
          ml(fillMl),
          ml(skinMl),
          mm(most95Mm),
          mm(deepestMm),
        ]),
      ...report.dressed
        .filter(({ recipe }) => recipe !== null)
        .map(({ name, recipe, trueMm2 }) => [name, recipeOf(project, recipe).name, cm2(trueMm2), '', '', '', '']),
    ]),
    rule('Amounts'),
  ];
  for (const { title, handsOn, batches, materials } of report.takeoff) {
    lines.push(`  ${title}: ${sayMinutes(handsOn.likely)}${batches ? `, ${sayBatches(batches, ml, cm2)}` : ''}\n`);
    for (const { name, amount } of materials) {
      const said = sayAmount(amount, system);
      lines.push(`    ${name}: ${said.likely}${said.range ? ` (${said.range})` : ''}\n`);
    }
  }
  return lines.join('');
}
