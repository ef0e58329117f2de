import { z } from 'zod';
import { id, name } from './drawn.ts';
import { whenSchema } from './zoneSchema.ts';

/** What is done with a material, in the order in which it usually comes. */
export const operations = [
  'set',
  'skin',
  'seal',
  'paint',
  'wash',
  'dry-brush',
  'powder',
  'scatter',
  'grass',
  'spread',
  'plant',
  'varnish',
  'face',
] as const;
export type Operation = (typeof operations)[number];

/** The parts of a recipe, each of which may be done in one way or another. */
export const parts = ['skin', 'seal', 'colour', 'cover', 'edge'] as const;
export type Part = (typeof parts)[number];

export const tools = [
  'spatula',
  'brush',
  'sponge',
  'airbrush',
  'spray can',
  'sieve',
  'spoon',
  'applicator',
  'tweezers',
  'hand',
] as const;
export type Tool = (typeof tools)[number];

/** One coat of a recipe. */
export const coatSchema = z.strictObject({
  id,
  operation: z.enum(operations),
  /** Of the catalogue. */
  material: z.string().min(1).max(64),
  /** What colour, where that matters: coats of one colour on several zones are one pot. */
  colour: z.string().max(60),
  /** Finished thickness, all its coats together; null where the material has a thickness of its own, or none. */
  thicknessMm: z.number().min(0).max(60).nullable(),
  /** How many times it goes on (tones of a dry-brush, plies); paste takes more where it lies too deep for that. */
  coats: z.number().int().min(1).max(12),
  /** Of the ground that it is meant for, how much it touches. */
  sharePercent: z.number().min(0).max(100),
  /** Water to one part by volume; null as the material usually has it. */
  thinParts: z.number().min(0).max(50).nullable(),
  tool: z.enum(tools),
  /** Pieces on 100 cm2, and how far apart at least. */
  per100Cm2: z.number().min(0).max(1000).nullable(),
  apartMm: z.number().min(0).max(500).nullable(),
  /** Only where all this holds. */
  when: whenSchema,
});
export type Coat = z.infer<typeof coatSchema>;

/** What a zone wears: its coats from the foam up. */
export const recipeSchema = z.strictObject({
  id,
  name: name.min(1),
  note: z.string().max(1000),
  /** How much more surface there is than the plan of the ground says, below its grid: 1 is smooth. */
  roughness: z.number().min(1).max(3),
  coats: z
    .array(coatSchema)
    .max(40)
    .refine((list) => new Set(list.map((coat) => coat.id)).size === list.length, 'Two coats have the same id'),
});
export type Recipe = z.infer<typeof recipeSchema>;
