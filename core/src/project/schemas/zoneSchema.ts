import { z } from 'zod';
import { drawn, id, name, outlineOf } from './drawn.ts';

export const covers = [
  'rock',
  'scree',
  'bare soil',
  'mud',
  'sand',
  'dry grass',
  'grass',
  'lush grass',
  'heather',
  'moss',
  'leaf litter',
  'road',
  'paving',
  'water bed',
  'snow',
] as const;
export const coverSchema = z.enum(covers);
export type Cover = z.infer<typeof coverSchema>;

/** The recipe that a zone wears; null: that of the whole project. */
const wornRecipe = id.nullable();

/** A zone by its outline. Of patches that overlap the later one counts; every patch goes before every rule. */
export const patchSchema = z.strictObject({
  kind: z.literal('patch'),
  ...drawn,
  ...outlineOf(2000),
  cover: coverSchema,
  recipe: wornRecipe,
});
export type Patch = z.infer<typeof patchSchema>;

/** From so much (included) to so much (not included); null leaves that end open. */
const between = z
  .strictObject({ from: z.number().min(0).max(1e5).nullable(), to: z.number().min(0).max(1e5).nullable() })
  .refine(({ from, to }) => from === null || to === null || from < to, {
    path: ['to'],
    message: 'The end must lie above the beginning',
  });
export type Between = z.infer<typeof between>;

/**
 * What a rule may ask of a place: slope (degrees), height (mm), distance to water, to walls, to rock, to ways (mm, 0 on them) and to the edge of
 * the base, wetness index, and how much it lies in shade (percent).
 */
export const askables = ['slope', 'height', 'water', 'wall', 'rock', 'way', 'wetness', 'shade', 'edge'] as const;
export type Askable = (typeof askables)[number];

/** Everything that may be asked at once; what is null is not asked. */
export const whenSchema = z.strictObject({
  slope: between.nullable(),
  height: between.nullable(),
  water: between.nullable(),
  wall: between.nullable(),
  rock: between.nullable(),
  way: between.nullable(),
  wetness: between.nullable(),
  shade: between.nullable(),
  edge: between.nullable(),
});
export type When = z.infer<typeof whenSchema>;

/** Asks for nothing: holds everywhere. */
export const everywhere = (): When => ({
  slope: null,
  height: null,
  water: null,
  wall: null,
  rock: null,
  way: null,
  wetness: null,
  shade: null,
  edge: null,
});

/** A zone by a rule: wherever all that it asks for holds. The first rule that holds counts. */
const zoneRuleSchema = z.strictObject({
  id,
  name,
  cover: coverSchema,
  recipe: wornRecipe,
  when: whenSchema,
});
export type ZoneRule = z.infer<typeof zoneRuleSchema>;

export const zonesSchema = z.strictObject({
  rules: z.array(zoneRuleSchema).max(60),
  /** What covers the ground that no patch and no rule takes. */
  rest: coverSchema,
});
export type Zones = z.infer<typeof zonesSchema>;
