import { z } from 'zod';
import { sourceSchema } from '../units/index.ts';
import { propertyNames } from './properties.ts';

/** What a material is used as, which decides how its amounts are worked out. */
export const forms = [
  'foam',
  'board',
  'glue',
  'paste',
  'ply',
  'thin',
  'powder',
  'loose',
  'fibre',
  'panel',
  'counted',
  'laid',
  'liquid',
] as const;
export type Form = (typeof forms)[number];

/** Facts that decide what may come before and after what. */
export const facts = [
  'foam-safe',
  'attacks foam',
  'too hot for foam',
  'water-based',
  'solvent',
  'sets',
  'flammable',
  'alkaline',
  'spreads thinned',
  'a colour',
] as const;
export type Fact = (typeof facts)[number];

/** Figures may be as small as a trace, never negative. */
const figure = z.number().min(0).max(1e6);
const ordered = ({ low, likely, high }: { low: number; likely: number; high: number }) =>
  low <= likely && likely <= high;
const range = { low: figure, likely: figure, high: figure };

const valueSchema = z
  .strictObject({ ...range, source: sourceSchema })
  .refine(ordered, 'Low, likely and high must rise');
export type Value = z.infer<typeof valueSchema>;

/** What packs and stores are measured in; lengths for rails and panels. */
export const packUnits = ['ml', 'g', 'each', 'mm'] as const;
export type PackUnit = (typeof packUnits)[number];

const packSchema = z.strictObject({
  amount: z.number().min(0.1, 'A pack holds at least 0.1 of its unit').max(1e6),
  unit: z.enum(packUnits),
});
export type Pack = z.infer<typeof packSchema>;

/** A material by its kind, never by a maker. */
export const materialSchema = z.strictObject({
  id: z.string().min(1).max(64),
  name: z.string().min(1).max(80),
  form: z.enum(forms),
  values: z.partialRecord(z.enum(propertyNames), valueSchema),
  facts: z.array(z.enum(facts)).max(facts.length),
  /** When it is chosen, and how it is used. */
  use: z.string().max(400),
  caution: z.string().max(400),
  packs: z.array(packSchema).max(20),
});
export type Material = z.infer<typeof materialSchema>;

/** The builder's own figure for a shipped material; the shipped one stays beside it. */
const ownValueSchema = z
  .strictObject({
    material: z.string().min(1).max(64),
    property: z.enum(propertyNames),
    ...range,
    note: z.string().max(200),
  })
  .refine(ordered, 'Low, likely and high must rise');
export type OwnValue = z.infer<typeof ownValueSchema>;

/** What the builder added to the catalogue and changed in it. */
export const ownMaterialsSchema = z.strictObject({
  added: z
    .array(materialSchema)
    .max(200)
    .refine((list) => new Set(list.map(({ id }) => id)).size === list.length, 'Two materials have the same id'),
  values: z.array(ownValueSchema).max(1000),
});
export type OwnMaterials = z.infer<typeof ownMaterialsSchema>;
