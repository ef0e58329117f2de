import type { PlanReport } from '@hosket/core';

type Batches = NonNullable<PlanReport['takeoff'][number]['batches']>;

/** "2 bowls of about 187 ml, each 150 g of powder and 115 ml of water (22 min of spreading against 20)". */
export function sayBatches(
  { of, count, mlEach, eachMm2, recipe, why }: Batches,
  ml: (value: number) => string,
  area: (mm2: number) => string,
): string {
  const what = of === 'bowl' ? (count === 1 ? 'bowl' : 'bowls') : count === 1 ? 'patch of glue' : 'patches of glue';
  const each = recipe.length ? `${count > 1 ? ', each' : ':'} ${recipe.join(' and ')}` : '';
  return `${count} ${what} of about ${ml(mlEach)}${eachMm2 === null ? '' : ` on ${area(eachMm2)}`}${each} (${why})`;
}
