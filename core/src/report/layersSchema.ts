import { z } from 'zod';
import { roomKinds, roomWays } from '../layers/index.ts';
import { schools, wishes } from '../project/index.ts';
import { rangeSchema } from '../units/index.ts';
import { placeSchema } from './landSchema.ts';

/** The part of a plan that is about layers. */
const ring = z.array(placeSchema);
const piecesSchema = z.array(z.strictObject({ outer: ring, holes: z.array(ring) }));
const count = z.number().int();

const roomWorkSchema = z.strictObject({
  roomId: z.string(),
  name: z.string(),
  kind: z.enum(roomKinds),
  how: z.enum(roomWays),
  areaMm2: z.number(),
  deepMm: z.number(),
  lengthMm: z.number(),
});

const layerSchema = z.strictObject({
  index: count,
  sheetId: z.string(),
  sliceMm: z.number().nullable(),
  thicknessMm: z.number(),
  fromMm: z.number(),
  bottomMm: z.number(),
  topMm: z.number(),
  outlineAtMm: z.array(z.number()),
  areaMm2: z.number(),
  cutMl: z.number(),
  contactMm2: z.number(),
  outlineMm: z.number(),
  carveMl: z.number(),
  hollowMl: z.number(),
  fillMl: z.number(),
  foamLeftMl: z.number(),
  pieces: piecesSchema,
  cutOuts: piecesSchema,
  cutOutMl: z.number(),
  parts: z.array(z.strictObject({ sheetIds: z.array(z.string()), areaMm2: z.number(), pieces: piecesSchema })),
  works: z.array(roomWorkSchema),
  dowels: z.array(placeSchema),
  fitsWhole: z.boolean(),
});
export type LayerReport = z.infer<typeof layerSchema>;

const toleranceSchema = z.strictObject({ minusMm: z.number(), plusMm: z.number() });

const levelSchema = z.strictObject({
  itemId: z.string(),
  part: z.string(),
  name: z.string(),
  /** Whether it was drawn as bare foam or as finished ground. */
  heightIs: z.enum(['foam', 'ground']),
  wantedMm: z.number(),
  skinMm: z.number(),
  targetMm: z.number(),
  onJoint: z.boolean(),
  foamThereMm: z.number(),
  work: z.enum(['carve', 'fill', 'flush']),
  workMm: z.number(),
  layer: count,
  instruction: z.string(),
  errorMixed: toleranceSchema,
  errorWorst: toleranceSchema,
});

export const finishSchema = z
  .strictObject({ early: z.string(), likely: z.string(), sure: z.string(), late: z.string() })
  .nullable();

const totalsSchema = z.strictObject({
  layers: count,
  carveMl: z.number(),
  fillMl: z.number(),
  offMm: z.number(),
  flatMm2: z.number(),
  massG: z.number(),
  deepMm: z.number(),
  bought: z.number(),
  tooLowMm: z.number(),
  usedMm2: z.array(z.number()),
});

const roomsSchema = z.strictObject({
  leftMl: z.array(z.number()),
  carveMl: z.array(z.number()),
  fillMl: z.number(),
  glueMl: z.number(),
  skinMl: z.number(),
  wholeMl: z.number(),
});

const schoolFields = {
  school: z.enum(schools),
  layers: z.array(layerSchema),
  costMin: z.number(),
  totals: totalsSchema,
  topMm: z.number(),
  foamCutMl: z.number(),
  carveMl: z.number(),
  hollowMl: z.number(),
  fillMl: z.number(),
  glueLineMl: z.number(),
  foamLeftMl: z.number(),
  cutOutMl: z.number(),
  savedG: z.number(),
  rooms: roomsSchema,
  foamMassG: rangeSchema,
  paste: z.strictObject({ most95Mm: z.number(), deepestMm: z.number() }),
  levels: z.array(levelSchema),
  sheetsUsed: z.array(z.strictObject({ sheetId: z.string(), areaMm2: z.number(), sheets: count, toBuy: count })),
  handsOnMin: z.number(),
  pasteDryHours: rangeSchema,
  finish: finishSchema,
  /** Sheets bought and paste, where they are priced. */
  money: z.number().nullable(),
};
export const schoolSchema = z.strictObject(schoolFields);
export type SchoolReport = z.infer<typeof schoolSchema>;

export const handLayerSchema = z.strictObject({ sheetIds: z.array(z.string()), sliceMm: z.number().nullable() });

export const stackSchema = z.strictObject({
  ...schoolFields,
  byHand: z.boolean(),
  /** Who chose the way of building; and where the plan did, what it spares against the best of the others. */
  way: z.discriminatedUnion('by', [
    z.strictObject({ by: z.literal('builder'), school: z.enum(schools) }),
    z.strictObject({
      by: z.literal('plan'),
      school: z.enum(schools),
      against: z.enum(schools),
      sparesMin: z.number(),
      soonerDays: z.number(),
      near: z.boolean(),
    }),
  ]),
  /** As a project would write it down. */
  written: z.array(handLayerSchema),
  best: z.strictObject({ totals: totalsSchema, costMin: z.number() }),
  /** The search weighed every stack that could have been cheaper. */
  exact: z.boolean(),
  /** How each layer is pinned. */
  pinned: z.array(z.boolean()),
});
export type StackReport = z.infer<typeof stackSchema>;

const proposalSchema = z.strictObject({
  school: z.enum(schools),
  layers: z.array(handLayerSchema),
  totals: totalsSchema,
  costMin: z.number(),
  dryHours: z.number(),
  names: z.array(z.enum(wishes)),
  beaten: z.boolean(),
  /** One of about a dozen that truly differ. */
  shown: z.boolean(),
});
export type ProposalReport = z.infer<typeof proposalSchema>;

export const frontSchema = z.strictObject({ complete: z.boolean(), proposals: z.array(proposalSchema) });

const moveFigures = { layers: count, carveMl: z.number(), fillMl: z.number(), costMin: z.number() };
const solvedFigures = z.strictObject({ ...moveFigures, handsOnMin: z.number(), dryAt: z.string().nullable() });

/** Levels that would be moved onto joints, and what that saves: by the model of evenly stretched ground, and on ground solved with them moved. */
export const movesSchema = z.strictObject({
  school: z.enum(schools),
  moves: z.array(
    z.strictObject({
      itemId: z.string(),
      part: z.string(),
      name: z.string(),
      /** Bare foam, before and after. */
      fromMm: z.number(),
      toMm: z.number(),
      byMm: z.number(),
    }),
  ),
  /** Levels that could be moved but for another at their height, or tied to it. */
  held: z.array(z.strictObject({ itemId: z.string(), part: z.string(), name: z.string(), by: z.string() })),
  exact: z.boolean(),
  model: z.strictObject({ before: z.strictObject(moveFigures), after: z.strictObject(moveFigures) }),
  solved: z.strictObject({ before: solvedFigures, after: solvedFigures }).nullable(),
});
export type MovesReport = z.infer<typeof movesSchema>;

const wedgeFigures = z.strictObject({
  fillMl: z.number(),
  foamMl: z.number(),
  /** Of paste, and of wedges with their glue, dry. */
  massG: z.number(),
  handsOnMin: z.number(),
  dryAt: z.string().nullable(),
});

/** Wedges of offcut in the steps of the stack instead of paste: those there are, or that could be, and what it comes to either way. */
export const wedgesSchema = z.strictObject({
  /** How they are wanted; null while paste fills the steps. */
  on: z.strictObject({ fromMm: z.number(), skimMm: z.number() }).nullable(),
  list: z.array(
    z.strictObject({
      at: placeSchema,
      areaMm2: z.number(),
      longMm: z.number(),
      wideMm: z.number(),
      deepMm: z.number(),
      foamMl: z.number(),
    }),
  ),
  now: wedgeFigures,
  instead: wedgeFigures,
});
export type WedgesReport = z.infer<typeof wedgesSchema>;

export const areaReportSchema = z.strictObject({ id: z.string(), name: z.string(), planMm2: z.number() });
