import { z } from 'zod';

export const rangeSchema = z.object({ low: z.number(), likely: z.number(), high: z.number() });
/** low / likely / high: about one in twenty below, the likeliest value, one in twenty above. */
export type Range = z.infer<typeof rangeSchema>;

export const sourceSchema = z.object({
  kind: z.enum(['standard', 'trade', 'memory', 'yours']),
  note: z.string(),
  confidence: z.enum(['A', 'B', 'C']),
});
/** Where a value comes from. `trade` is common practice with no source; `yours` is the builder's own. */
export type Source = z.infer<typeof sourceSchema>;

export const coefficientSchema = rangeSchema.extend({
  name: z.string(),
  unit: z.string(),
  source: sourceSchema,
  /** Which figure of which material it is, where it is one that the builder may correct. */
  of: z.object({ material: z.string(), property: z.string() }).optional(),
  /** What it was before the builder corrected it. */
  shipped: rangeSchema.optional(),
});
export type Coefficient = z.infer<typeof coefficientSchema>;

export const workingSchema = z.object({
  expression: z.string(),
  inputs: z.array(z.object({ name: z.string(), value: z.number(), unit: z.string() })),
  coefficients: z.array(coefficientSchema),
});
/** How an amount came about: the expression in words and signs, what went in, and the source of each coefficient. */
export type Working = z.infer<typeof workingSchema>;

export const amountUnits = ['mm', 'mm2', 'ml', 'g', 'min', 'h', 'each', 'money'] as const;
export const amountSchema = rangeSchema.extend({ unit: z.enum(amountUnits), working: workingSchema });
export type Amount = z.infer<typeof amountSchema>;

export const exactly = (value: number): Range => ({ low: value, likely: value, high: value });

export const scaleRange = (range: Range, factor: number): Range => ({
  low: range.low * factor,
  likely: range.likely * factor,
  high: range.high * factor,
});

/** A factor in a product: multiplied, or divided by when `under` is set. */
export interface Factor {
  range: Range;
  under?: boolean;
}

const logRatio = (upper: number, lower: number) => (upper > 0 && lower > 0 ? Math.log(upper / lower) : 0);

/**
 * base x the product of independent factors. The likely values multiply; the spread is the root-sum-square of the logarithms
 * of each factor's own spread, upward and downward apart (adding every worst case would promise far too much).
 */
export function product(base: number, factors: readonly Factor[]): Range {
  let likely = base;
  let down = 0;
  let up = 0;
  let none = false;
  for (const { range, under } of factors) {
    // What may be nothing at all may leave nothing at all.
    if (!under && range.low <= 0) none = true;
    likely = under ? likely / range.likely : likely * range.likely;
    const below = logRatio(range.likely, range.low);
    const above = logRatio(range.high, range.likely);
    down += (under ? above : below) ** 2;
    up += (under ? below : above) ** 2;
  }
  return { low: none ? 0 : likely * Math.exp(-Math.sqrt(down)), likely, high: likely * Math.exp(Math.sqrt(up)) };
}

/** Sum of independent ranges: likely values add, spreads add as root-sum-square. */
export function sum(ranges: readonly Range[]): Range {
  let likely = 0;
  let down = 0;
  let up = 0;
  for (const range of ranges) {
    likely += range.likely;
    down += (range.likely - range.low) ** 2;
    up += (range.high - range.likely) ** 2;
  }
  return { low: likely - Math.sqrt(down), likely, high: likely + Math.sqrt(up) };
}

/** The larger of a range and a floor, bound by bound (a smallest sensible quantity). */
export const atLeast = (range: Range, floor: Range): Range => ({
  low: Math.max(range.low, floor.low),
  likely: Math.max(range.likely, floor.likely),
  high: Math.max(range.high, floor.high),
});
