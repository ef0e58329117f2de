import { z } from 'zod';
import { pointSchema } from './drawn.ts';

const side = z.number().min(20).max(3000);

export const baseKinds = ['rectangle', 'round', 'oval', 'polygon', 'outline'] as const;

/** The outline of the base. Widths and depths are those of the box round it, whose near left corner is [0, 0]. */
const baseShapeSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('rectangle'), widthMm: side, depthMm: side }),
  z.strictObject({ kind: z.literal('round'), diameterMm: side }),
  z.strictObject({ kind: z.literal('oval'), widthMm: side, depthMm: side }),
  z.strictObject({
    kind: z.literal('polygon'),
    sides: z.number().int().min(3).max(24),
    /** The length of one side. */
    sideMm: z.number().min(10).max(1500),
  }),
  z.strictObject({
    kind: z.literal('outline'),
    points: z.array(pointSchema).min(3, 'An outline needs at least 3 points').max(5000),
  }),
]);
export type BaseShape = z.infer<typeof baseShapeSchema>;

/** What a board may be of; `none`: the foam is its own base. */
const boardMaterials = [
  'fibreboard',
  'plywood',
  'hardboard',
  'solid wood',
  'acrylic',
  'cast plaster',
  'cork',
  'foam-cored card',
  'card',
  'other',
  'none',
] as const;
export const boards = boardMaterials;

const boardSchema = z
  .strictObject({
    material: z.enum(boardMaterials),
    /** 0 without a board. */
    thicknessMm: z.number().min(0).max(60),
    /** Stood on battens or feet, so that air reaches its underside and joints can dry through it. */
    airBelow: z.boolean(),
    /** Of the builder's own, kg/L; left out: the usual one of the material. */
    densityKgL: z.number().gt(0).max(20).optional(),
    /** How far it stands out round the ground on all sides; below 0 the slab hangs over it. Left out: flush. */
    beyondMm: z.number().min(-300).max(300).optional(),
    /** Its edge sawn in waves: how far they swing out and back, and how long each is. Left out: plain. */
    wave: z.strictObject({ deepMm: z.number().gt(0).max(50), longMm: z.number().min(5).max(1000) }).optional(),
    /** Holes through it from below, and so far up into the foam. */
    holes: z
      .array(
        z.strictObject({
          id: z.string().min(1).max(60),
          at: pointSchema,
          acrossMm: z.number().min(0.5).max(500),
          upMm: z.number().min(0).max(2000),
        }),
      )
      .max(100)
      .optional(),
  })
  .refine(({ material, thicknessMm }) => (material === 'none') === (thicknessMm === 0), {
    message: 'A board has a thickness, and only no board has none',
    path: ['thicknessMm'],
  });
export type BoardHole = NonNullable<z.infer<typeof boardSchema>['holes']>[number];

export const baseSchema = z.strictObject({
  shape: baseShapeSchema,
  board: boardSchema,
  /** A frame round the base. `lapMm` is how far it reaches in over the base. */
  frame: z
    .strictObject({
      widthMm: z.number().gt(0).max(200),
      heightMm: z.number().gt(0).max(300),
      lapMm: z.number().min(0).max(100),
      /** A panel under the board, within the frame: how thick it is. Left out: open below. */
      bottomMm: z.number().gt(0).max(30).optional(),
    })
    .nullable(),
  /** Open in the middle, right through the board, about a place. Left out: whole. */
  opening: z
    .strictObject({
      kind: z.enum(['round', 'oblong']),
      at: pointSchema,
      widthMm: z.number().min(5).max(2900),
      depthMm: z.number().min(5).max(2900),
    })
    .optional(),
  /** The slope of the ground's own sides, degrees from the level; left out: upright. */
  bevelDegrees: z.number().min(20).max(89).optional(),
  /** Feet under it. Left out: it lies flat. */
  feet: z
    .strictObject({
      count: z.number().int().min(3).max(12),
      heightMm: z.number().gt(0).max(200),
      acrossMm: z.number().gt(0).max(200),
    })
    .optional(),
});
export type Base = z.infer<typeof baseSchema>;
