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

const boardMaterials = ['fibreboard', 'plywood', 'hardboard', 'cork', 'foam-cored card'] as const;
export const boards = boardMaterials;

export const baseSchema = z.strictObject({
  shape: baseShapeSchema,
  board: z.strictObject({
    material: z.enum(boardMaterials),
    thicknessMm: z.number().gt(0).max(60),
    /** Stood on battens, so that air reaches its underside and joints can dry through it. */
    airBelow: z.boolean(),
  }),
  /** A frame round the base. `lapMm` is how far it reaches in over the base. */
  frame: z
    .strictObject({
      widthMm: z.number().gt(0).max(200),
      heightMm: z.number().gt(0).max(300),
      lapMm: z.number().min(0).max(100),
    })
    .nullable(),
});
export type Base = z.infer<typeof baseSchema>;
