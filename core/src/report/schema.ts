import { z } from 'zod';
import { bands, severities } from '../checks/index.ts';
import { sides } from '../fit/index.ts';
import { glues, operations, parts, schools } from '../project/index.ts';
import { amountSchema, coefficientSchema, measureKinds, rangeSchema } from '../units/index.ts';
import { cuttingReportSchema } from './cuttingSchema.ts';
import {
  builtSchema,
  laidSchema,
  placeSchema,
  poolSchema,
  setSchema,
  spanSchema,
  voidMeetingSchema,
  voidSchema,
  zoneSchema,
} from './landSchema.ts';
import {
  areaReportSchema,
  finishSchema,
  frontSchema,
  handLayerSchema,
  movesSchema,
  schoolSchema,
  stackSchema,
  wedgesSchema,
} from './layersSchema.ts';
import { balanceSchema, partReadSchema, shoppingSchema } from './storesSchema.ts';

/** The whole plan as data, without its grids: what `hosket plan --json` prints and every screen shows. */
const waits = z.enum(['touch', 'coat', 'solvent', 'through']);

const dryingSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('none') }),
  z.strictObject({ kind: z.literal('joints') }),
  z.strictObject({ kind: z.literal('wedges') }),
  z.strictObject({
    kind: z.literal('paste'),
    depthMm: z.number(),
    mostPerCoatMm: z.number(),
    a: coefficientSchema,
    b: coefficientSchema,
    setMin: coefficientSchema,
    sets: z.boolean(),
  }),
  z.strictObject({
    kind: z.literal('hours'),
    touch: coefficientSchema,
    coat: coefficientSchema,
    through: coefficientSchema,
    byAir: z.boolean(),
    what: z.string(),
  }),
]);

const stageSchema = z.strictObject({
  id: z.string(),
  stage: z.enum(['cut', 'glue', 'carve', ...parts]),
  operation: z.enum(operations).nullable(),
  title: z.string(),
  zones: z.array(z.strictObject({ id: z.string().nullable(), name: z.string(), areaMm2: z.number() })),
  areaMm2: z.number(),
  materials: z.array(
    z.strictObject({
      name: z.string(),
      amount: amountSchema,
      material: z.string().optional(),
      which: z.string().optional(),
    }),
  ),
  handsOn: amountSchema,
  /** Bowls no larger than can be spread in time, or patches glued one after another. */
  batches: z
    .strictObject({
      of: z.enum(['bowl', 'patch']),
      count: z.number().int(),
      mlEach: z.number(),
      eachMm2: z.number().nullable(),
      recipe: z.array(z.string()),
      why: z.string(),
    })
    .nullable(),
  coats: z.number().int(),
  coatWord: z.enum(['coat', 'tone', 'ply']),
  drying: dryingSchema,
  after: z.array(z.strictObject({ id: z.string(), wait: waits })),
  /** What stays on the piece when it is dry. */
  dryG: rangeSchema,
  money: z.number().nullable(),
  note: z.string(),
  cautions: z.array(z.string()),
});

/** What a zone wears, and the paste under it. */
const surfaceSchema = z.strictObject({
  id: z.string().nullable(),
  name: z.string(),
  recipe: z.string(),
  trueMm2: z.number(),
  /** By coat of its recipe: the ground that it is meant for, its share not yet taken. */
  coatMm2: z.array(z.number()),
  fillMl: z.number(),
  skinMl: z.number(),
  most95Mm: z.number(),
  deepestMm: z.number(),
  deepestAt: placeSchema.nullable(),
  /** Percent of it where paste lies deeper than 0, 1, 2 ... mm. */
  deeperThanPercent: z.array(z.number()),
});

const fitSchema = z.strictObject({
  things: z.array(
    z.strictObject({
      id: z.string(),
      name: z.string(),
      at: placeSchema,
      groundMm: z.number().nullable(),
      deckId: z.string().nullable(),
      bottomMm: z.number(),
      topMm: z.number(),
      branchesMm: z.number(),
      reachMm: z.number(),
    }),
  ),
  /** The inside of the box in the measures of the base; heights above the top of the baseboard. */
  room: z
    .strictObject({
      x0: z.number(),
      x1: z.number(),
      y0: z.number(),
      y1: z.number(),
      topMm: z.number(),
      floorMm: z.number(),
    })
    .nullable(),
  faces: z.array(z.strictObject({ name: z.string(), areaMm2: z.number() })),
  breaches: z.array(
    z.strictObject({
      id: z.string().nullable(),
      name: z.string(),
      side: z.enum(sides),
      byMm: z.number(),
      at: placeSchema,
    }),
  ),
  meetings: z.array(
    z.strictObject({
      aId: z.string(),
      aName: z.string(),
      bId: z.string(),
      bName: z.string(),
      gapMm: z.number(),
      wantedMm: z.number(),
      at: placeSchema,
    }),
  ),
  tallestMm: z.number(),
});

const judgementsSchema = z.strictObject({
  standing: z.array(z.strictObject({ baseMm: z.number(), percent: z.number() })),
  figures: z.array(
    z.strictObject({
      id: z.string(),
      name: z.string(),
      baseMm: z.number(),
      tiltDegrees: z.number().nullable(),
      unevenMm: z.number().nullable(),
      stands: z.boolean(),
    }),
  ),
  houses: z.array(
    z.strictObject({ id: z.string(), name: z.string(), wayMm: z.number().nullable(), reached: z.boolean() }),
  ),
});

const massSchema = z.strictObject({
  boardG: rangeSchema,
  foamG: rangeSchema,
  pasteG: rangeSchema,
  coverG: rangeSchema,
  glueG: rangeSchema,
  laidG: rangeSchema,
  thingsG: rangeSchema,
  totalG: rangeSchema,
});

const frameSchema = z.strictObject({
  pieces: z.array(
    z.strictObject({
      outerMm: z.number(),
      innerMm: z.number(),
      startDegrees: z.number(),
      endDegrees: z.number(),
    }),
  ),
  bentMm: z.number(),
  lengthMm: z.number(),
});

const waitsSchema = z.strictObject({
  touch: rangeSchema,
  coat: rangeSchema,
  solvent: rangeSchema,
  through: rangeSchema,
  reason: z.string(),
});

const operationSchema = z.strictObject({
  id: z.string(),
  step: z.string(),
  stage: z.string(),
  title: z.string(),
  handsOnMin: rangeSchema,
  waits: waitsSchema,
  needs: z.array(z.strictObject({ operation: z.string(), wait: waits })),
});

const taskSchema = z.strictObject({
  operation: z.string(),
  sessions: z.array(z.strictObject({ from: z.number(), to: z.number() })),
  touchAt: z.number(),
  coatAt: z.number(),
  solventAt: z.number(),
  throughAt: z.number(),
});

/** A sentence with gaps, and the measures that stand in them (mm, mm2, ml, g). */
const saidSchema = z.strictObject({
  text: z.string(),
  quantities: z.array(z.strictObject({ kind: z.enum(measureKinds), value: z.number(), digits: z.number().int() })),
});

const findingSchema = z.strictObject({
  code: z.string(),
  severity: z.enum(severities),
  band: z.enum(bands),
  place: z.string(),
  message: z.string(),
  remedy: z.string(),
  said: z.strictObject({ message: saidSchema, remedy: saidSchema, place: saidSchema }).optional(),
  reason: z.string().optional(),
  itemId: z.string().optional(),
  at: placeSchema.readonly().optional(),
  step: z.string().optional(),
  coat: z.strictObject({ recipe: z.string(), coat: z.string() }).optional(),
  mend: z.strictObject({ recipe: z.string(), coat: z.string(), to: z.number().int() }).optional(),
  way: z.enum(schools).optional(),
  glue: z.enum(glues).optional(),
  stack: z.strictObject({ school: z.enum(schools), layers: z.array(handLayerSchema).readonly() }).optional(),
  thin: z.literal(true).optional(),
  overruled: z.string().optional(),
});

export const planReportSchema = z.strictObject({
  format: z.literal('hosket-plan'),
  version: z.literal(13),
  project: z.string(),
  startDate: z.string(),
  ground: z.strictObject({
    cellMm: z.number(),
    columns: z.number().int(),
    rows: z.number().int(),
    lowestMm: z.number(),
    highestMm: z.number(),
    planMm2: z.number(),
    trueMm2: z.number(),
    meanSlopeDegrees: z.number(),
    volumeMl: z.number(),
    highestAt: placeSchema,
    lowestAt: placeSchema,
    /** Share of the base of which nothing says how high it is, and a place in it; null where all is said. */
    guess: z.strictObject({ share: z.number(), at: placeSchema }).nullable(),
    /** Low ground that would hold water, the fullest first. */
    pools: z.array(poolSchema),
  }),
  landforms: z.array(builtSchema),
  spans: z.array(spanSchema),
  laid: z.array(laidSchema),
  voids: z.array(voidSchema),
  voidMeetings: z.array(voidMeetingSchema),
  /** What covers what; the shares add up to the whole base. */
  zones: z.array(zoneSchema),
  surfaces: z.array(surfaceSchema),
  /** Sides of the base and walls of the box, which may wear a recipe too. */
  dressed: z.array(
    z.strictObject({
      id: z.string(),
      name: z.string(),
      trueMm2: z.number(),
      lengthM: z.number(),
      recipe: z.string().nullable(),
    }),
  ),
  /** What is set in rows. */
  rows: z.array(
    z.strictObject({
      id: z.string(),
      lengthMm: z.number(),
      railMm: z.number(),
      pieces: z.array(
        z.strictObject({ material: z.string(), name: z.string(), count: z.number().int(), how: z.string() }),
      ),
    }),
  ),
  set: setSchema,
  fit: fitSchema,
  judgements: judgementsSchema,
  mass: massSchema,
  balance: balanceSchema.nullable(),
  breakdown: z.array(partReadSchema),
  shopping: z.array(shoppingSchema),
  limits: z.array(
    z.strictObject({
      id: z.string(),
      text: z.string(),
      kept: z.boolean().nullable(),
      why: z.string(),
      /** The two sentences apart from their figures, where they have any. */
      said: z.strictObject({ text: saidSchema, why: saidSchema }).optional(),
    }),
  ),
  frame: frameSchema.nullable(),
  target: z.strictObject({ volumeMl: z.number(), skinMl: z.number(), highestMm: z.number() }),
  chosen: z.enum(schools),
  /** The cheapest stack of each school. */
  schools: z.array(schoolSchema),
  /** The stack that is built. */
  stack: stackSchema,
  /** Stacks that could be built, and which of them are beaten. */
  /** What bringing levels onto joints would save; null where none may be moved, and in a plan that was not asked for it. */
  moves: movesSchema.nullable(),
  front: frontSchema,
  areas: z.array(areaReportSchema),
  cutting: cuttingReportSchema,
  takeoff: z.array(stageSchema),
  joints: z.array(
    z.strictObject({ joint: z.number().int(), between: z.string(), workable: rangeSchema, dry: rangeSchema }),
  ),
  operations: z.array(operationSchema),
  tasks: z.array(taskSchema),
  /** Wedges of offcut for the steps; null where no step is deep enough. */
  wedges: wedgesSchema.nullable(),
  finish: finishSchema,
  findings: z.array(findingSchema),
});

export type PlanReport = z.infer<typeof planReportSchema>;

/** The text of a plan, its fields in the order of the format: the same on every machine, to the last digit. */
export const writePlan = (report: PlanReport): string => `${JSON.stringify(planReportSchema.parse(report), null, 1)}\n`;
export type LandformReport = z.infer<typeof builtSchema>;
export type SpanReport = z.infer<typeof spanSchema>;
export type LaidReport = z.infer<typeof laidSchema>;
export type { BedReport, CuttingReport, PieceReport } from './cuttingSchema.ts';
export type {
  LayerReport,
  MovesReport,
  ProposalReport,
  SchoolReport,
  StackReport,
  WedgesReport,
} from './layersSchema.ts';
export type StageReport = z.infer<typeof stageSchema>;
