import { z } from 'zod';
import { pointSchema } from './drawn.ts';

const side = z.number().min(2).max(3000);

/** An opening in an upright part, about its middle; it may run over an edge (a door). */
const openingSchema = z.strictObject({
  kind: z.enum(['rectangle', 'round']),
  at: pointSchema,
  widthMm: side,
  /** The same as its width where it is round. */
  heightMm: side,
});
export type Opening = z.infer<typeof openingSchema>;

/** An upright part cut from a sheet beside the layers: a backdrop, a wall of the box, a parapet. Seen from in front, its near left corner at [0, 0]. */
export const panelSchema = z.strictObject({
  id: z.string().min(1).max(60),
  name: z.string().max(120),
  /** Of the sheet that it is cut from. */
  sheetId: z.string().max(60),
  widthMm: side,
  heightMm: side,
  /** Its upper edge, corner by corner from left to right; left out: straight at its height. */
  top: z.array(pointSchema).min(2).max(200).optional(),
  openings: z.array(openingSchema).max(50),
  count: z.number().int().min(1).max(20),
});
export type Panel = z.infer<typeof panelSchema>;
