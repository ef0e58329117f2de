import { z } from 'zod';
import { packUnits } from '../materials/index.ts';
import { pieceParts } from '../stores/index.ts';
import { rangeSchema } from '../units/index.ts';

const tripleSchema = z.tuple([z.number(), z.number(), z.number()]);

/** How the finished piece stands or hangs: centre of gravity (right, back, over the underside of the board). */
export const balanceSchema = z.strictObject({
  massG: z.number(),
  at: tripleSchema,
  on: z.enum(['its board', 'a plinth', 'a wall']),
  tip: z.strictObject({ towards: z.string(), degrees: z.number() }).nullable(),
  hooks: z.strictObject({ carriesN: z.number(), pulledN: z.number(), overMm: z.number() }).nullable(),
  safe: z.boolean(),
});

/** What each part of the piece weighs, costs and takes. */
export const partReadSchema = z.strictObject({
  part: z.enum(pieceParts),
  massG: rangeSchema,
  money: z.number().nullable(),
  minutes: z.number(),
});

const purchaseSchema = z.strictObject({
  of: z.array(
    z.strictObject({
      offer: z.strictObject({
        amount: z.number(),
        unit: z.enum(packUnits),
        price: z.number().nullable(),
        supplier: z.string(),
        own: z.boolean(),
      }),
      count: z.number().int(),
    }),
  ),
  packs: z.number().int(),
  amount: z.number(),
  cost: z.number().nullable(),
});

/** One material that is needed, what of it is there, and what to buy. */
export const shoppingSchema = z.strictObject({
  material: z.string(),
  which: z.string(),
  name: z.string(),
  unit: z.enum(packUnits),
  amount: rangeSchema,
  parts: z.array(rangeSchema),
  steps: z.array(z.strictObject({ id: z.string(), title: z.string(), likely: z.number(), by: z.string() })),
  likely: z.number(),
  wanted: z.number(),
  inStock: z.number(),
  pastDate: z.number(),
  short: z.number(),
  buy: purchaseSchema.nullable(),
  others: z.array(purchaseSchema),
  left: z.number(),
});
