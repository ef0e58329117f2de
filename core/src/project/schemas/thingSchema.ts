import { z } from 'zod';
import { drawn, pointSchema } from './drawn.ts';

export const thingKinds = ['tree', 'figure', 'vehicle', 'held', 'stood'] as const;

const turnDegrees = z.number().min(-360).max(360);
const long = z.number().gt(0).max(2000);

/** What a foot covers where it is not round, about the thing's one point. Unturned its length runs to the right and away is up. */
const footprintSchema = z.discriminatedUnion('kind', [
  /** A lorry, a boat: as wide as the thing's foot. */
  z.strictObject({ kind: z.literal('oblong'), longMm: long, turnDegrees }),
  /** An aeroplane: two bars across one another, each `armMm` wide; one is as long as this, one as the thing's foot is across. */
  z.strictObject({ kind: z.literal('cross'), longMm: long, armMm: long, turnDegrees }),
  /** Anything else: corners counted from the thing's point. */
  z.strictObject({ kind: z.literal('outline'), points: z.array(pointSchema).min(3).max(200), turnDegrees }),
]);
export type Footprint = z.infer<typeof footprintSchema>;

/** A thing that stands on the ground at its height, about its one point. */
export const thingSchema = z.strictObject({
  kind: z.enum(thingKinds),
  ...drawn,
  points: z.array(pointSchema).length(1, 'A thing stands at one point'),
  /** Diameter of its foot or base; its width where it has a footprint of another shape (an outline has its own). */
  footMm: z.number().gt(0).max(2000),
  /** Left out: round. */
  footprint: footprintSchema.optional(),
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
