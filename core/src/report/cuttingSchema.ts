import { z } from 'zod';
import { cutTools } from '../project/index.ts';
import { rangeSchema } from '../units/index.ts';
import { placeSchema } from './landSchema.ts';

/** The part of a plan that is about cutting. */
const ring = z.array(placeSchema);
const outlineSchema = z.strictObject({ outer: ring, holes: z.array(ring) });
const count = z.number().int();

const pieceSchema = z.strictObject({
  id: z.string(),
  /** 0 for a piece of an upright part. */
  layer: count,
  panel: z.string().nullable(),
  thicknessMm: z.number(),
  sheetIds: z.array(z.string()),
  sliceMm: z.number().nullable(),
  /** On the base; holes are cut out of it. */
  outline: outlineSchema,
  areaMm2: z.number(),
  outlineMm: z.number(),
  neck: z.strictObject({ widthMm: z.number(), at: placeSchema }).nullable(),
  insideRadiusMm: z.number().nullable(),
  /** Cut, or cut and put away with its sheet. */
  state: z.enum(['to cut', 'cut', 'put away']),
  /** The sheet or offcut it lies on; null where it lies nowhere. */
  bed: z.string().nullable(),
});
export type PieceReport = z.infer<typeof pieceSchema>;

const bedSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  job: z.string(),
  kind: z.enum(['offcut', 'sheet', 'bought']),
  sheetId: z.string(),
  copy: count,
  sliced: z.boolean(),
  offcutId: z.string().nullable(),
  outline: ring,
  areaMm2: z.number(),
  pieces: z.array(
    z.strictObject({
      piece: z.string(),
      turnDegrees: z.number(),
      xMm: z.number(),
      yMm: z.number(),
      pinned: z.boolean(),
      /** The line that is cut, as it lies on the sheet. */
      lies: outlineSchema,
    }),
  ),
  usedMm2: z.number(),
  /** Offcuts worth keeping when it is cut up. */
  left: z.array(ring),
});
export type BedReport = z.infer<typeof bedSchema>;

export const cuttingReportSchema = z.strictObject({
  pieces: z.array(pieceSchema),
  seams: z.array(
    z.strictObject({
      layer: count,
      points: ring,
      lengthMm: z.number(),
      apartMm: z.number().nullable(),
      keys: count,
    }),
  ),
  dropped: z.array(z.strictObject({ layer: count, count, areaMm2: z.number() })),
  beds: z.array(bedSchema),
  nowhere: z.array(
    z.strictObject({
      piece: z.string(),
      why: z.enum(['none', 'full', 'large']),
      bed: z.string().nullable(),
      overLongMm: z.number(),
      overWideMm: z.number(),
    }),
  ),
  clashes: z.array(z.strictObject({ piece: z.string(), with: z.string().nullable(), areaMm2: z.number() })),
  tools: z.array(z.strictObject({ tool: z.enum(cutTools), lengthMm: z.number(), minutes: rangeSchema })),
  /** Pieces by area of the sheets and offcuts they lie on; what neither is used nor worth keeping is waste. */
  yieldPercent: z.number(),
  piecesMm2: z.number(),
  bedsMm2: z.number(),
  leftMm2: z.number(),
  wasteMm2: z.number(),
  key: z.string(),
  /** The layout was kept from a search, or made by hand; else it is a first one. */
  kept: z.boolean(),
});
export type CuttingReport = z.infer<typeof cuttingReportSchema>;
