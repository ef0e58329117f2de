import { z } from 'zod';
import { name, pointSchema } from './drawn.ts';

/** Heights that came from a grid: unsigned 16-bit numbers, row by row from the near left corner, low byte first, in base 64. */
export const terrainSchema = z.strictObject({
  /** Where it came from, in the builder's words. */
  name,
  columns: z.number().int().min(2).max(600),
  rows: z.number().int().min(2).max(600),
  data: z.string().max(1_000_000),
  /** What the lowest and the highest number of the data stand for in the grid that was read, in its own unit. */
  from: z.strictObject({
    low: z.number().min(-1e9).max(1e9),
    high: z.number().min(-1e9).max(1e9),
    cell: z.number().gt(0).max(1e9),
  }),
  /** The part of the grid that is used, as shares of its width and depth. */
  crop: z
    .strictObject({
      left: z.number().min(0).max(1),
      right: z.number().min(0).max(1),
      near: z.number().min(0).max(1),
      far: z.number().min(0).max(1),
    })
    .refine(({ left, right, near, far }) => right - left > 0.01 && far - near > 0.01, {
      message: 'Nothing is left of the grid',
    }),
  /** Turned counter-clockwise before it is laid over the base, degrees. */
  turnDegrees: z.number().min(-360).max(360),
  /** Heights on the base for the lowest and the highest place of the part that is used. */
  lowMm: z.number().min(0).max(2000),
  highMm: z.number().min(0).max(2000),
  /** Roughness finer than this is smoothed away, mm. */
  smoothMm: z.number().min(0).max(100),
  /** How far a mark bends the terrain round it, mm. */
  reachMm: z.number().min(1).max(500),
});
export type Terrain = z.infer<typeof terrainSchema>;

const pinSchema = z.strictObject({
  px: z.tuple([z.number().min(-1e6).max(1e6), z.number().min(-1e6).max(1e6)]),
  mm: pointSchema,
});

/** A scan or photo under the plan, placed by two of its points. */
export const underlaySchema = z.strictObject({
  name,
  picture: z.strictObject({
    type: z.enum(['image/png', 'image/jpeg', 'image/webp']),
    widthPx: z.number().int().min(1).max(20_000),
    heightPx: z.number().int().min(1).max(20_000),
    /** The picture's bytes in base 64. */
    data: z.string().max(16_000_000),
  }),
  /** Where two places of the picture (px from its upper left corner) lie on the base (mm). */
  pins: z.tuple([pinSchema, pinSchema]),
  /** How much of it shows, percent. */
  strengthPercent: z.number().min(0).max(100),
  hidden: z.boolean(),
});
export type Underlay = z.infer<typeof underlaySchema>;
