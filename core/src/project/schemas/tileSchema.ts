import { z } from 'zod';
import { id, name } from './drawn.ts';

export const featureKinds = ['lane', 'wall', 'channel'] as const;

/** What runs over an edge: a flat lane, a wall raised over the profile, a channel sunk into it. */
const featureSchema = z.strictObject({
  kind: z.enum(featureKinds),
  /** Its middle, along the edge. */
  atMm: z.number().min(0).max(3000),
  widthMm: z.number().gt(0).max(1000),
  /** Height of a wall, depth of a channel; a lane has none. */
  heightMm: z.number().min(0).max(500),
});
export type EdgeFeature = z.infer<typeof featureSchema>;

/**
 * The height of the ground along an edge, shared by every tile that wears it: straight between its points, from left to right along the front and the
 * back of a tile, from front to back along its left and right side.
 */
export const profileSchema = z.strictObject({
  id,
  name,
  points: z
    .array(z.tuple([z.number().min(0).max(3000), z.number().min(0).max(2000)]))
    .min(2, 'A profile needs at least 2 points')
    .max(200)
    .refine((points) => points.every(([at], k) => k === 0 || at > points[k - 1][0]), {
      message: 'Each point of a profile lies farther along than the one before',
    }),
  features: z.array(featureSchema).max(20),
});
export type EdgeProfile = z.infer<typeof profileSchema>;

export const tileSides = ['front', 'right', 'back', 'left'] as const;
export type TileSide = (typeof tileSides)[number];

/** The profile that a side wears, perhaps turned end for end. Null: the ground runs over it as it likes. */
const wornSchema = z.strictObject({ profileId: id, flipped: z.boolean() }).nullable();

export const turns = [0, 90, 180, 270] as const;

/** What a tile is within its set. */
export const tileFields = {
  id,
  name: name.min(1),
  /** Where it stands in the set: column from the left, row from the front, turned counter-clockwise; `riseMm` lifts the top of its board (a storey). */
  place: z
    .strictObject({
      column: z.number().int().min(0).max(30),
      row: z.number().int().min(0).max(30),
      turn: z.union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)]),
      riseMm: z.number().min(0).max(3000),
    })
    .nullable(),
  sides: z.strictObject({ front: wornSchema, right: wornSchema, back: wornSchema, left: wornSchema }),
  /** How far in from a side the ground keeps to its profile, and how steeply it runs out from there. */
  keepMm: z.number().min(0).max(200),
  bankDegrees: z.number().min(5).max(90),
};
export const tileSchema = z.strictObject(tileFields);
export type Tile = z.infer<typeof tileSchema>;
