import { z } from 'zod';
import { projectSchema } from './schema.ts';

/**
 * How small and how large the schema lets a number of a project be, looked up by its path ("sheets.count", "base.shape.sides"; lists and
 * alternatives are passed through), so that the page's fields need not say it again. A bound that is itself excluded counts as a bound: the
 * schema has the last word. Infinite where it sets none. Throws on a path that leads to no number, or to numbers with different bounds.
 */
export function fieldLimits(path: string): FieldLimits {
  const before = known.get(path);
  if (before) return before;
  const found = numbersAt(projectSchema, path.split('.'));
  const [first] = found;
  if (!first) throw new Error(`No number of a project is at ${path}`);
  const limits = { least: boundOf(first.minValue, -1), most: boundOf(first.maxValue, 1) };
  for (const { minValue, maxValue } of found)
    if (boundOf(minValue, -1) !== limits.least || boundOf(maxValue, 1) !== limits.most)
      throw new Error(`Numbers with different bounds are at ${path}`);
  known.set(path, limits);
  return limits;
}

export interface FieldLimits {
  least: number;
  most: number;
}

const known = new Map<string, FieldLimits>();

/** Whole numbers are bounded by what a number can hold exactly, which is no bound to a builder. */
const boundOf = (value: number | null, sign: 1 | -1): number =>
  value === null || Math.abs(value) >= Number.MAX_SAFE_INTEGER ? sign * Number.POSITIVE_INFINITY : value;

function numbersAt(schema: z.core.$ZodType, keys: readonly string[]): z.ZodNumber[] {
  if (schema instanceof z.ZodNumber) return keys.length ? [] : [schema];
  if (schema instanceof z.ZodObject) {
    const [key, ...rest] = keys;
    return key in schema.shape ? numbersAt(schema.shape[key], rest) : [];
  }
  if (schema instanceof z.ZodUnion) return schema.options.flatMap((option) => numbersAt(option, keys));
  if (schema instanceof z.ZodArray) return numbersAt(schema.element, keys);
  if (schema instanceof z.ZodTuple) return schema.def.items.flatMap((item) => numbersAt(item, keys));
  if (schema instanceof z.ZodNullable || schema instanceof z.ZodOptional || schema instanceof z.ZodDefault)
    return numbersAt(schema.unwrap(), keys);
  return [];
}
