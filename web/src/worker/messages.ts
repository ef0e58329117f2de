import type {
  Grid,
  HandLayer,
  Judging,
  MovesReport,
  NestJob,
  PlanProgress,
  Project,
  Ring,
  School,
  SchoolReport,
  SetProgress,
  ShoppingList,
  StageTime,
  Suggestion,
  ZoneMap,
} from '@hosket/core';
import { z } from 'zod';
import type { Patch } from './patch.ts';

/** Asks for the plan of a project. A later ticket replaces an earlier one. */
// Messages and not calls (comlink): a plan answers several times, what is drawn first, and an answer that an edit has overtaken is none.
export interface PlanRequest {
  ticket: number;
  project: Project;
  /** Zones by the rules of the trade are asked for, instead of a plan. */
  suggest?: boolean;
  /** Other stacks are to be taken to their days and money, instead of a plan. */
  weigh?: Weighed['asked'];
}

/** Stacks that were asked for, and what they come to; null for one that cannot be laid. */
export interface Weighed {
  asked: { school: School; layers: readonly HandLayer[] }[];
  reports: (SchoolReport | null)[];
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
  /** 1 for nodes of which nothing says how high they are; null where all is said. */
  guessed: Uint8Array | null;
  outline: Ring;
  zones: ZoneMap;
  /** Depth of paste by cell, as the zones lie, mm. */
  pasteMm: Float32Array;
  /** By node, the area of the base that is built in a way of its own; null where there is only one. */
  areas: Uint8Array | null;
}

/** What comes first, as soon as the ground lies. */
export type DrawnFields = Omit<Fields, 'pasteMm' | 'areas'>;

export type PlanAnswer = { ticket: number } & (
  | { kind: 'drawn'; drawn: DrawnFields }
  | {
      kind: 'plan';
      /** From the report of the answer before to this one's. */
      report: Patch;
      rest: Pick<Fields, 'pasteMm' | 'areas'> | null;
      jobs: NestJob[] | null;
      near: boolean;
      stages: readonly StageTime[];
    }
  | { kind: 'moves'; moves: MovesReport | null }
  | { kind: 'suggestion'; suggestion: Suggestion }
  | { kind: 'weighed'; weighed: Weighed }
  | { kind: 'progress'; progress: PlanProgress }
  | { kind: 'failed'; why: string }
);

/** The envelope is checked at the boundary; the report inside was made by the same build of the core. */
export const answerSchema = z.discriminatedUnion('kind', [
  z.object({
    ticket: z.number(),
    kind: z.literal('plan'),
    report: z.custom<Patch>(),
    rest: z.custom<Pick<Fields, 'pasteMm' | 'areas'> | null>(),
    jobs: z.custom<NestJob[] | null>(),
    near: z.boolean(),
    stages: z.custom<readonly StageTime[]>(),
  }),
  z.object({ ticket: z.number(), kind: z.literal('drawn'), drawn: z.custom<DrawnFields>() }),
  z.object({ ticket: z.number(), kind: z.literal('moves'), moves: z.custom<MovesReport | null>() }),
  z.object({ ticket: z.number(), kind: z.literal('suggestion'), suggestion: z.custom<Suggestion>() }),
  z.object({ ticket: z.number(), kind: z.literal('weighed'), weighed: z.custom<Weighed>() }),
  z.object({ ticket: z.number(), kind: z.literal('progress'), progress: z.custom<PlanProgress>() }),
  z.object({ ticket: z.number(), kind: z.literal('failed'), why: z.string() }),
]);

/** Asks for the shopping list of a whole set. A later ticket replaces an earlier one. */
export interface SetRequest {
  ticket: number;
  project: Project;
}

export const setAnswerSchema = z.discriminatedUnion('kind', [
  z.object({ ticket: z.number(), kind: z.literal('progress'), progress: z.custom<SetProgress>() }),
  z.object({ ticket: z.number(), kind: z.literal('list'), list: z.custom<ShoppingList>() }),
  z.object({ ticket: z.number(), kind: z.literal('failed'), why: z.string() }),
]);
export type SetAnswer = z.infer<typeof setAnswerSchema>;
