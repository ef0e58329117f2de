import type { Grid, Judging, PlanReport, Project, Ring, Suggestion, ZoneMap } from '@hosket/core';
import { z } from 'zod';

/** Asks for the plan of a project. A later ticket replaces an earlier one. */
export interface PlanRequest {
  ticket: number;
  project: Project;
  /** Zones by the rules of the trade are asked for, instead of a plan. */
  suggest?: boolean;
}

/** A project as workers need it: without the picture under the plan, which is large and changes nothing. */
export const bare = (project: Project): Project => ({
  ...project,
  underlay: null,
  tiles: project.tiles.map((tile) => (tile.underlay ? { ...tile, underlay: null } : tile)),
});

/** A ground to be read for the tint of the plan. */
export interface ReadRequest {
  what: 'wet' | 'standing';
  grid: Grid;
  outline: Ring;
  figureMm: number;
  judging: Judging;
}

/** What drawings are made from; sent only when it has changed since the last answer. */
export interface Fields {
  ground: Grid;
  target: Grid;
  outline: Ring;
  zones: ZoneMap;
}

export type PlanAnswer = { ticket: number } & (
  | { kind: 'plan'; report: PlanReport; fields: Fields | null; near: boolean }
  | { kind: 'suggestion'; suggestion: Suggestion }
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
  z.object({ ticket: z.number(), kind: z.literal('suggestion'), suggestion: z.custom<Suggestion>() }),
  z.object({ ticket: z.number(), kind: z.literal('failed'), why: z.string() }),
]);
