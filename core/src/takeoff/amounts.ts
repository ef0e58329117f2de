import { type Amount, type Coefficient, exactly, type Factor, product, type Range } from '../units/index.ts';

type Input = Amount['working']['inputs'][number];

/** A coefficient's part in an amount: multiplied by, divided by, or a percentage lost (amount / (1 - loss)). */
export interface Part {
  coefficient: Coefficient;
  as: 'times' | 'over' | 'loss';
}

export const times = (coefficient: Coefficient): Part => ({ coefficient, as: 'times' });
export const over = (coefficient: Coefficient): Part => ({ coefficient, as: 'over' });
export const lost = (coefficient: Coefficient): Part => ({ coefficient, as: 'loss' });

function factorOf({ coefficient, as }: Part): Factor {
  if (as !== 'loss') return { range: coefficient, under: as === 'over' };
  const kept = {
    low: 1 - coefficient.high / 100,
    likely: 1 - coefficient.likely / 100,
    high: 1 - coefficient.low / 100,
  };
  return { range: kept, under: true };
}

/** An amount from a plain number and coefficients, with its working kept. */
export function amountOf(
  unit: Amount['unit'],
  base: number,
  expression: string,
  inputs: Input[],
  parts: readonly Part[],
): Amount {
  return {
    ...product(base, parts.map(factorOf)),
    unit,
    working: { expression, inputs, coefficients: parts.map((part) => part.coefficient) },
  };
}

/** A known amount with no spread. */
export const measured = (unit: Amount['unit'], value: number, expression: string, inputs: Input[] = []): Amount => ({
  ...exactly(value),
  unit,
  working: { expression, inputs, coefficients: [] },
});

/** An amount with another spread or size but the same working, and a note added to the expression. */
export const reworked = (amount: Amount, range: Range, note: string): Amount => ({
  ...amount,
  ...range,
  working: { ...amount.working, expression: `${amount.working.expression}; ${note}` },
});
