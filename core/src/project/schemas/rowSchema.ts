import { z } from 'zod';
import { drawn, id, lineOf, name } from './drawn.ts';

const mm = (least: number, most: number) => z.number().min(least).max(most);
const row = { ...drawn, ...lineOf(500) };

/** Things set in a row along a line: posts with rails, houses along a street, sleepers under rails. */
export const rowSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('fence'),
    ...row,
    /** From post to post at most: every stretch between corners is parted evenly. */
    pitchMm: mm(1, 500),
    rails: z.number().int().min(0).max(12),
    ends: z.enum(['open', 'closed']),
  }),
  z.strictObject({
    kind: z.literal('street'),
    ...row,
    frontageMm: mm(1, 2000),
    gapMm: mm(0, 2000),
    sides: z.enum(['one side', 'both sides']),
  }),
  z.strictObject({
    kind: z.literal('track'),
    ...row,
    /** From sleeper to sleeper. */
    pitchMm: mm(0.5, 200),
  }),
]);
export type Row = z.infer<typeof rowSchema>;
export const rowKinds = ['fence', 'street', 'track'] as const;

/** What is counted without being drawn: stones round a ring, tiles on a face, fibre for smoke. */
export const countSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('ring'),
    id,
    name: name.min(1),
    insideMm: mm(1, 2000),
    /** From the inside out. */
    deepMm: mm(0.5, 500),
    /** Width wanted at the inside. */
    wideMm: mm(0.5, 200),
    jointMm: mm(0, 20),
    sweepDegrees: mm(5, 360),
  }),
  z.strictObject({
    kind: z.literal('tiling'),
    id,
    name: name.min(1),
    widthMm: mm(1, 5000),
    heightMm: mm(1, 5000),
    tileMm: mm(0.5, 500),
    /** From course to course: what is seen of a tile. */
    gaugeMm: mm(0.5, 500),
    jointMm: mm(0, 20),
    faces: z.number().int().min(1).max(100),
  }),
  z.strictObject({
    kind: z.literal('fill'),
    id,
    name: name.min(1),
    volumeMl: mm(1, 1e6),
  }),
]);
export type Count = z.infer<typeof countSchema>;
