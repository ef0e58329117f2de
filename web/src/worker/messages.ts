import type { Grid, PlanReport, Project, Ring } from '@hosket/core';
import { z } from 'zod';

/** Asks for the plan of a project. A later ticket replaces an earlier one. */
export interface PlanRequest {
  ticket: number;
  project: Project;
}

/** What drawings are made from; sent only when it has changed since the last answer. */
export interface Fields {
  ground: Grid;
  target: Grid;
  outline: Ring;
}

export type PlanAnswer = { ticket: number } & (
  | { kind: 'plan'; report: PlanReport; fields: Fields | null; near: boolean }
  | { kind: 'failed'; why: string }
);

/** The envelope is checked at the boundary; the report inside was made by the same build of the core. */
export const answerSchema = z.discriminatedUnion('kind', [
  z.object({
    ticket: z.number(),
    kind: z.literal('plan'),
    report: z.custom<PlanReport>(),
    fields: z.custom<Fields | null>(),
    near: z.boolean(),
  }),
  z.object({ ticket: z.number(), kind: z.literal('failed'), why: z.string() }),
]);
