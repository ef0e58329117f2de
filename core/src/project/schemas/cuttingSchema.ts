import { z } from 'zod';
import { id, name, pointSchema } from './drawn.ts';

export const cutTools = ['knife', 'hot wire', 'fine saw'] as const;
export type CutTool = (typeof cutTools)[number];
export const papers = ['A4', 'A3', 'Letter', 'own'] as const;

/** How layers are cut into pieces and laid on sheets. */
export const cuttingSchema = z.strictObject({
  tool: z.enum(cutTools),
  /** What the tool takes away, mm; null: the usual width of its cut. */
  kerfMm: z.number().min(0).max(10).nullable(),
  /** Outlines are drawn half a kerf outside, so that the piece comes out at its size. */
  offsetKerf: z.boolean(),
  /** Smaller pieces are dropped, mm2. */
  sliverMm2: z.number().min(0).max(10000),
  /** How pieces may be turned on sheets without a grain. */
  turning: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('free') }),
    z.strictObject({ kind: z.literal('steps'), degrees: z.number().min(5).max(180) }),
    z.strictObject({ kind: z.literal('half') }),
  ]),
  /** Left free between pieces, and along the edge of a sheet. */
  gapMm: z.number().min(0).max(50),
  marginMm: z.number().min(0).max(100),
  /** Pieces larger than any sheet are split along seams that keep so far from seams of the layers above and below. */
  split: z.boolean(),
  seam: z.strictObject({ kind: z.enum(['straight', 'keyed']), apartMm: z.number().min(0).max(500) }),
  /** The search for a layout: its seed, and how long it may go on without getting better. */
  search: z.strictObject({ seed: z.number().int().min(0).max(1e6), patienceSeconds: z.number().min(1).max(600) }),
});
export type Turned = z.infer<typeof cuttingSchema>['turning'];

/** What templates are printed on. */
export const paperSchema = z.strictObject({
  size: z.enum(papers),
  /** The builder's own size. */
  widthMm: z.number().min(90).max(2000),
  heightMm: z.number().min(120).max(2000),
  /** What the printer leaves white all round. */
  marginMm: z.number().min(0).max(40),
  /** How far pages reach over each other where they are taped. */
  overlapMm: z.number().min(0).max(50),
  /** What the printed bar of 100 mm measures. */
  barMm: z.number().min(80).max(120),
});
export type Paper = z.infer<typeof paperSchema>;

/** Where a piece lies: on which copy of which sheet or offcut, turned about the middle of its box, which stands at (x, y) of it. */
const placeSchema = z.strictObject({
  piece: name.min(1),
  bed: name.min(1),
  turnDegrees: z.number().min(-360).max(360),
  xMm: z.number().min(-5000).max(10000),
  yMm: z.number().min(-5000).max(10000),
  pinned: z.boolean(),
});
export type NestPlace = z.infer<typeof placeSchema>;

const ringSchema = z.array(pointSchema).min(3).max(5000);

/** A piece that is cut, as it was cut: its outline on the base. */
const cutPieceSchema = z.strictObject({
  piece: name.min(1),
  layer: z.number().int().min(1),
  areaMm2: z.number().min(0),
  /** As it lay on the sheet. */
  outer: ringSchema,
  holes: z.array(ringSchema).max(200),
});

/** The layout of one tile's pieces, and how far its cutting has come. */
export const nestSchema = z.strictObject({
  /** Of which pieces, sheets and settings the places are; of others only what is pinned is kept. */
  key: name,
  places: z.array(placeSchema).max(2000),
  /** Pieces that are cut, while what they are cut from is not yet put away. */
  ticked: z.array(name.min(1)).max(2000),
  /** Sheets and offcuts that are cut up, with what was cut from them; they are no longer in the shed. */
  done: z
    .array(
      z.strictObject({
        name,
        sheetId: id,
        fromOffcut: z.boolean(),
        /** What of it did not go back to the shed, mm2. */
        usedMm2: z.number().min(0),
        outline: ringSchema,
        pieces: z.array(cutPieceSchema).max(500),
      }),
    )
    .max(300),
});
export type DoneBed = z.infer<typeof nestSchema>['done'][number];
