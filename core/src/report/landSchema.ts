import { z } from 'zod';
import { covers, tileSides, voidKinds } from '../project/index.ts';
import { rangeSchema } from '../units/index.ts';

/** What a plan reports of the land and of what lies in and on it. */
export const placeSchema = z.tuple([z.number(), z.number()]);

export const builtSchema = z.strictObject({
  id: z.string(),
  kind: z.string(),
  name: z.string(),
  /** Heights at its two ends, its length, and its gradient with the limit it has, for what runs along a line. */
  fromMm: z.number().nullable(),
  toMm: z.number().nullable(),
  lengthMm: z.number().nullable(),
  gradientPercent: z.number().nullable(),
  limitPercent: z.number().nullable(),
  areaMm2: z.number(),
  cutMl: z.number(),
  fillMl: z.number(),
  steepestDegrees: z.number(),
});

const roomSchema = z.strictObject({
  overId: z.string().nullable(),
  over: z.string(),
  roomMm: z.number(),
  at: placeSchema,
});

export const spanSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  lengthMm: z.number(),
  fromMm: z.number(),
  toMm: z.number(),
  wantedMm: z.number(),
  leastMm: z.number().nullable(),
  rooms: z.array(roomSchema),
});

export const laidSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  /** Of the ground, or of the deck, under it. */
  groundMm: z.number(),
  deckId: z.string().nullable(),
  overDeck: z.boolean(),
  undersideMm: z.number(),
  topMm: z.number(),
  unevenMm: z.number(),
  foamMl: z.number(),
  skinMl: z.number(),
  massG: rangeSchema,
});

export const poolSchema = z.strictObject({
  at: placeSchema,
  spillMm: z.number(),
  depthMm: z.number(),
  areaMm2: z.number(),
  volumeMl: z.number(),
});

export const voidSchema = z.strictObject({
  id: z.string(),
  kind: z.enum(voidKinds),
  name: z.string(),
  floorMm: z.number().nullable(),
  roofMm: z.number().nullable(),
  areaMm2: z.number(),
  volumeMl: z.number(),
  thinnestMm: z.number().nullable(),
  thinnestAt: placeSchema.nullable(),
  openings: z.array(z.strictObject({ at: placeSchema, acrossMm: z.number() })),
  atEdge: z.boolean(),
  /** Where the two ends of a cable run lie. */
  ends: z.array(
    z.strictObject({
      at: placeSchema,
      where: z.enum(['at the edge', 'in a void', 'at the surface', 'in the ground', 'off the base']),
      inId: z.string().nullable(),
      deepMm: z.number(),
    }),
  ),
});

export const voidMeetingSchema = z.strictObject({
  aId: z.string(),
  aName: z.string(),
  bId: z.string(),
  bName: z.string(),
  wallMm: z.number(),
  wantedMm: z.number(),
  at: placeSchema,
});

export const zoneSchema = z.strictObject({
  id: z.string().nullable(),
  name: z.string(),
  cover: z.enum(covers),
  by: z.enum(['outline', 'rule', 'rest']),
  recipe: z.string(),
  planMm2: z.number(),
  trueMm2: z.number(),
  percent: z.number(),
});

const sideSchema = z.enum(tileSides);
export const setSchema = z.strictObject({
  tiles: z.array(
    z.strictObject({
      id: z.string(),
      name: z.string(),
      column: z.number().int(),
      row: z.number().int(),
      turn: z.number(),
      riseMm: z.number(),
      xMm: z.number(),
      yMm: z.number(),
      widthMm: z.number(),
      depthMm: z.number(),
      tallestMm: z.number(),
    }),
  ),
  joints: z.array(
    z.strictObject({
      aId: z.string(),
      aName: z.string(),
      aSide: sideSchema,
      bId: z.string(),
      bName: z.string(),
      bSide: sideSchema,
      mostMm: z.number(),
      atMm: z.number(),
      longerMm: z.number(),
      meets: z.boolean(),
    }),
  ),
  storeys: z.array(
    z.strictObject({
      belowId: z.string(),
      belowName: z.string(),
      aboveId: z.string(),
      aboveName: z.string(),
      roomMm: z.number(),
      tallestMm: z.number(),
    }),
  ),
  /** With which sides each side would meet. */
  mates: z.array(
    z.strictObject({
      id: z.string(),
      side: sideSchema,
      with: z.array(z.strictObject({ id: z.string(), side: sideSchema })),
    }),
  ),
});
