import { z } from 'zod';
import { drawn, give, heightIs, heightMm, lineOf, pointSchema } from './drawn.ts';

const contourSchema = z
  .strictObject({
    kind: z.literal('contour'),
    ...drawn,
    heightIs,
    give,
    heightMm,
    closed: z.boolean(),
    /** A closed line whose inside lies flat at its height (a bench, a pit floor). */
    level: z.boolean(),
    ...lineOf(),
  })
  .refine((line) => !line.closed || line.points.length >= 3, {
    path: ['points'],
    message: 'A closed line needs at least 3 points',
  })
  .refine((line) => line.closed || !line.level, {
    path: ['level'],
    message: 'Only a closed line can lie level inside',
  });

const spotSchema = z.strictObject({
  kind: z.literal('spot'),
  ...drawn,
  heightIs,
  give,
  heightMm,
  points: z.array(pointSchema).length(1, 'A spot height has one point'),
});

/** A line whose height runs evenly from one end to the other: a ridge, a valley, a stream's fall. */
const formSchema = z.strictObject({
  kind: z.literal('form'),
  ...drawn,
  heightIs,
  fromMm: heightMm,
  toMm: heightMm,
  ...lineOf(),
});

/** A line across which the ground may jump: its top is at the left of the way it is drawn, its foot at the right; null as the ground makes it. */
const breakSchema = z.strictObject({
  kind: z.literal('break'),
  ...drawn,
  heightIs,
  topMm: heightMm.nullable(),
  footMm: heightMm.nullable(),
  ...lineOf(),
});

export const markSchema = z.discriminatedUnion('kind', [contourSchema, spotSchema, formSchema, breakSchema]);
export type Mark = z.infer<typeof markSchema>;
export type Contour = Extract<Mark, { kind: 'contour' }>;
