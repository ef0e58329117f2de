import { z } from 'zod';
import { id, name, pointSchema } from './drawn.ts';

const positiveMm = z.number().gt(0).max(5000);
export const sheetMaterials = ['xps', 'eps', 'card', 'cork', 'own'] as const;

/** How far from its nominal thickness a sheet may be. Classes by EN 13164 (extruded) and EN 13163 (expanded), from memory. */
export const toleranceClasses = [
  'usual',
  'EN 13164 T1',
  'EN 13164 T2',
  'EN 13164 T3',
  'EN 13163 T(1)',
  'EN 13163 T(2)',
  'EN 13163 T1, before 2012',
  'EN 13163 T2, before 2012',
  'own',
] as const;
export type ToleranceClass = (typeof toleranceClasses)[number];

/** Where on the base a kind of sheet may lie. */
const limitSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('anywhere') }),
  /** Only where at least `coverMm` of other foam covers it in every direction. */
  z.strictObject({ kind: z.literal('inside'), coverMm: z.number().min(0).max(200) }),
  /** Only within an area, or only outside it. */
  z.strictObject({ kind: z.literal('area'), areaId: id, within: z.boolean() }),
]);
export type SheetLimit = z.infer<typeof limitSchema>;

/** A kind of sheet in the shed. */
export const sheetSchema = z.strictObject({
  id,
  name,
  material: z.enum(sheetMaterials),
  /** What it is made of, where it is none of the usual stuffs. */
  own: z
    .strictObject({
      name,
      densityKgM3: z.number().gt(0).max(3000),
      vapourResistance: z.number().min(1).max(100000),
    })
    .nullable(),
  nominalMm: positiveMm,
  /** What the rule or caliper says; it wins over the nominal thickness. */
  measuredMm: positiveMm.nullable(),
  tolerance: z.enum(toleranceClasses),
  /** The builder's own tolerance, plus or minus mm; counts where the class is "own". */
  toleranceMm: z.number().min(0).max(20).nullable(),
  widthMm: positiveMm,
  depthMm: positiveMm,
  /** Pieces may lie along it or turned half round, and no other way. */
  grain: z.boolean(),
  count: z.number().int().min(0).max(999),
  /** Of one sheet, in the project's currency. */
  price: z.number().min(0).max(1e6).nullable(),
  /** Whether more than those in the shed can be bought. */
  buyable: z.boolean(),
  /** Where it is kept. */
  place: name,
  limit: limitSchema,
});
export type Sheet = z.infer<typeof sheetSchema>;

/** What is left of a sheet that was cut before. */
export const offcutSchema = z.strictObject({
  id,
  name,
  /** The kind of sheet it was cut from: its stuff and thickness. */
  sheetId: id,
  outline: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('rectangle'), widthMm: positiveMm, depthMm: positiveMm }),
    z.strictObject({
      kind: z.literal('traced'),
      points: z.array(pointSchema).min(3, 'An outline needs at least 3 corners').max(500),
    }),
  ]),
  place: name,
});
export type Offcut = z.infer<typeof offcutSchema>;
