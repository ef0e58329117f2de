import { z } from 'zod';
import { bands, severities } from './checks/index.ts';
import { sides } from './fit/index.ts';
import { schools } from './project/index.ts';
import { cuttingReportSchema } from './reportCutting.ts';
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
} from './reportLand.ts';
import { areaReportSchema, finishSchema, frontSchema, schoolSchema, stackSchema } from './reportLayers.ts';
import { amountSchema, rangeSchema } from './units/index.ts';

/** The whole plan as data, without its grids: what `hosket plan --json` prints and every screen shows. */
const stageSchema = z.strictObject({
  stage: z.string(),
  title: z.string(),
  areaMm2: z.number(),
  materials: z.array(z.strictObject({ name: z.string(), amount: amountSchema })),
  handsOn: amountSchema,
  batches: z.strictObject({ count: z.number().int(), mlEach: z.number(), why: z.string() }).nullable(),
  coats: z.number().int(),
  note: z.string(),
});

const fitSchema = z.strictObject({
  things: z.array(
    z.strictObject({
      id: z.string(),
      name: z.string(),
      at: placeSchema,
      groundMm: z.number().nullable(),
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
  laidG: rangeSchema,
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

const waitsSchema = z.strictObject({ touch: rangeSchema, coat: rangeSchema, through: rangeSchema, reason: z.string() });

const operationSchema = z.strictObject({
  id: z.string(),
  stage: z.string(),
  title: z.string(),
  handsOnMin: rangeSchema,
  waits: waitsSchema,
  needs: z.array(z.strictObject({ operation: z.string(), wait: z.enum(['touch', 'coat', 'through']) })),
});

const taskSchema = z.strictObject({
  operation: z.string(),
  sessions: z.array(z.strictObject({ from: z.number(), to: z.number() })),
  touchAt: z.number(),
  coatAt: z.number(),
  throughAt: z.number(),
});

const findingSchema = z.strictObject({
  code: z.string(),
  severity: z.enum(severities),
  band: z.enum(bands),
  place: z.string(),
  message: z.string(),
  remedy: z.string(),
  itemId: z.string().optional(),
});

export const planReportSchema = z.strictObject({
  format: z.literal('hosket-plan'),
  version: z.literal(6),
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
  set: setSchema,
  fit: fitSchema,
  judgements: judgementsSchema,
  mass: massSchema,
  limits: z.array(z.strictObject({ id: z.string(), text: z.string(), kept: z.boolean().nullable(), why: z.string() })),
  frame: frameSchema.nullable(),
  target: z.strictObject({ volumeMl: z.number(), skinMl: z.number(), highestMm: z.number() }),
  chosen: z.enum(schools),
  /** The cheapest stack of each school. */
  schools: z.array(schoolSchema),
  /** The stack that is built. */
  stack: stackSchema,
  /** Stacks that could be built, and which of them are beaten. */
  front: frontSchema,
  areas: z.array(areaReportSchema),
  cutting: cuttingReportSchema,
  takeoff: z.array(stageSchema),
  joints: z.array(
    z.strictObject({ joint: z.number().int(), between: z.string(), workable: rangeSchema, dry: rangeSchema }),
  ),
  operations: z.array(operationSchema),
  tasks: z.array(taskSchema),
  finish: finishSchema,
  findings: z.array(findingSchema),
});

export type PlanReport = z.infer<typeof planReportSchema>;
export type LandformReport = z.infer<typeof builtSchema>;
export type SpanReport = z.infer<typeof spanSchema>;
export type LaidReport = z.infer<typeof laidSchema>;
export type { BedReport, CuttingReport, PieceReport } from './reportCutting.ts';
export type { LayerReport, ProposalReport, SchoolReport, StackReport } from './reportLayers.ts';
export type StageReport = z.infer<typeof stageSchema>;
