import { z } from 'zod';
import { drawn, pointSchema } from './drawn.ts';

export const thingKinds = ['tree', 'figure', 'held', 'stood'] as const;

/** A thing that stands on the ground at its height: round in plan about its one point. */
export const thingSchema = z.strictObject({
  kind: z.enum(thingKinds),
  ...drawn,
  points: z.array(pointSchema).length(1, 'A thing stands at one point'),
  /** Diameter of its foot or base. */
  footMm: z.number().gt(0).max(2000),
  heightMm: z.number().gt(0).max(2000),
  /** Room to be kept free round it. */
  marginMm: z.number().min(0).max(500),
  /** Diameter of a crown wider than the foot; it begins at a third of the height. Null: no wider than the foot. */
  crownMm: z.number().gt(0).max(3000).nullable(),
  /** Held up over the ground by so much. */
  raisedMm: z.number().min(0).max(2000),
  /** Where a deck is over it: it stands below, on the ground; left out: on the deck. */
  under: z.boolean().optional(),
  /** As the builder weighed it, g; left out or null: by its kind and size. */
  massG: z.number().gt(0).max(1e5).nullable().optional(),
});
export type Thing = z.infer<typeof thingSchema>;
