import { z } from 'zod';
import { id, name, pointSchema } from './drawn.ts';
import { operations } from './recipeSchema.ts';
import { coverSchema } from './zoneSchema.ts';

const inside = z.number().min(10).max(5000);

/** The room that the finished piece must keep to. */
export const envelopeSchema = z.strictObject({
  /** A box or cabinet, measured inside. */
  box: z
    .strictObject({
      widthMm: inside,
      depthMm: inside,
      heightMm: inside,
      /** From the back of the base to the back wall; null stands it in the middle. */
      backMm: z.number().min(0).max(5000).nullable(),
      /** Under the baseboard: feet, a plinth, a turntable. */
      underMm: z.number().min(0).max(1000),
      /** Which inner faces are dressed. */
      backdrop: z.boolean(),
      walls: z.boolean(),
    })
    .nullable(),
  /** What a turntable leaves clear: the diameter of the circle that everything must turn inside. */
  swingMm: inside.nullable(),
});
export type Envelope = z.infer<typeof envelopeSchema>;

/** A second scale for the distance, which begins beyond a line across the base (at the left of it, going from its first point). */
export const distanceSchema = z.strictObject({
  scale: z.number().min(1).max(1e6),
  from: pointSchema,
  to: pointSchema,
});
export type Distance = z.infer<typeof distanceSchema>;

/** When a figure stands, and when a house counts as having a way to it. */
export const judgingSchema = z.strictObject({
  tiltDegrees: z.number().min(1).max(60),
  /** How far the ground may lie over or under the plane of a figure's base. */
  unevenMm: z.number().min(0.1).max(20),
  /** A house is reached by a way no farther than this from its wall. */
  wayMm: z.number().min(0).max(1000),
});
export type Judging = z.infer<typeof judgingSchema>;

export const presences = [
  'water',
  'road',
  'cliff',
  'rock',
  'building',
  'tree',
  'figure',
  'vehicle',
  'span',
  'fence',
  'railway',
] as const;

/** How a rule is ticked: by Hosket where it can, else by hand. */
const ruleCheckSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('by hand'), done: z.boolean() }),
  z.strictObject({ kind: z.literal('footprint'), widthMm: inside, depthMm: inside }),
  z.strictObject({ kind: z.literal('height'), mostMm: inside }),
  z.strictObject({
    kind: z.literal('present'),
    what: z.enum(presences),
    least: z.number().int().min(1).max(1000),
  }),
  z.strictObject({ kind: z.literal('zone'), cover: coverSchema, leastPercent: z.number().min(0).max(100) }),
  /** What is really laid there by the recipes, whatever zones are called. */
  z.strictObject({ kind: z.literal('worn'), operation: z.enum(operations), leastPercent: z.number().min(0).max(100) }),
  z.strictObject({ kind: z.literal('finished by'), date: z.iso.date('Write the date like 2027-03-15') }),
]);
export const ruleKinds = ['by hand', 'footprint', 'height', 'present', 'zone', 'worn', 'finished by'] as const;
export type RuleCheck = z.infer<typeof ruleCheckSchema>;
export type Presence = (typeof presences)[number];

export const limitsSchema = z.strictObject({
  dueDate: z.iso.date('Write the date like 2027-03-15').nullable(),
  /** How sure the builder wants to be of a date, in 100. */
  sureOf: z.number().int().min(50).max(99),
  weightG: z.number().gt(0).max(1e6).nullable(),
  cost: z.number().gt(0).max(1e7).nullable(),
  benchHours: z.number().gt(0).max(1e5).nullable(),
  /** A competition's or a teacher's rules. */
  rules: z.array(z.strictObject({ id, text: name, check: ruleCheckSchema })).max(60),
});
export type Limits = z.infer<typeof limitsSchema>;
export type LimitRule = Limits['rules'][number];
