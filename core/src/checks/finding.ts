import type { Choice } from '../choice/index.ts';
import type { Cutting } from '../cutting/index.ts';
import type { Days } from '../days/index.ts';
import type { JointWait } from '../drying/index.ts';
import type { Balance, FigureStand, Fit, HouseWay, LimitRead } from '../fit/index.ts';
import type { Grid } from '../geometry/index.ts';
import type { Ground, SpanRead, VoidReads } from '../ground/index.ts';
import type { LaidRead, LayerPlan, Target } from '../layers/index.ts';
import type { Glue, HandLayer, Project, School } from '../project/index.ts';
import type { ShoppingLine } from '../stores/index.ts';
import type { StageTakeoff } from '../takeoff/index.ts';
import type { SetRead } from '../tiles/index.ts';
import type { Said } from '../units/index.ts';
import type { ZoneRead } from '../zones/index.ts';

export const severities = ['stop', 'warn', 'note'] as const;
export const bands = ['brief', 'ground', 'layers', 'cutting', 'surface', 'days', 'stores'] as const;

/** Something a builder should know: what, where, what to do. `stop` means that the plan cannot be built as it stands. */
export interface Finding {
  code: string;
  severity: (typeof severities)[number];
  band: (typeof bands)[number];
  place: string;
  message: string;
  remedy: string;
  /** The same as words and figures, where there are figures: to be said in other units. */
  said?: { message: Said; remedy: Said; place: Said };
  /** Why the trade holds it so. */
  reason?: string;
  itemId?: string;
  /** A place on the base. */
  at?: readonly [number, number];
  /** A step of the take-off, a coat of a recipe. */
  step?: string;
  coat?: { recipe: string; coat: string };
  /** Moving that coat to this place of its recipe mends it. */
  mend?: { recipe: string; coat: string; to: number };
  /** Building in this way mends it, or gluing with this. */
  way?: School;
  glue?: Glue;
  /** Building this stack by hand mends it. */
  stack?: { school: School; layers: readonly HandLayer[] };
  /** Planning in thin sheets mends it. */
  thin?: true;
  /** The builder's own reason to go against it; then it does not count. */
  overruled?: string;
}

/** Something that wants attention on the ground, at a thing that is drawn. */
export const onGround = (itemId: string, place: string, code: string, message: string, remedy: string): Finding => ({
  code,
  severity: 'warn',
  band: 'ground',
  place,
  message,
  remedy,
  itemId,
});

/** A stack that could be built instead, and what the plan comes to with it. */
export interface OtherStack {
  school: School;
  layers: readonly HandLayer[];
  finish: Days['finish'];
  handsOnMin: number;
}

/** What a rule may read. Rules change nothing. */
export interface PlanView {
  project: Project;
  ground: Ground;
  /** The ground that lines and spots make, before landforms. */
  solved: Grid;
  spans: readonly SpanRead[];
  laid: readonly LaidRead[];
  target: Target;
  layers: LayerPlan;
  cutting: Cutting;
  choice: Choice;
  joints: JointWait[];
  takeoff: readonly StageTakeoff[];
  days: Days;
  fit: Fit;
  judgements: { figures: readonly FigureStand[]; houses: readonly HouseWay[] };
  limits: readonly LimitRead[];
  voids: VoidReads;
  set: SetRead;
  zones: readonly ZoneRead[];
  /** Deepest spot of the paste, zone by zone. */
  paste: readonly { id: string | null; name: string; deepestMm: number; deepestAt: readonly [number, number] | null }[];
  shopping: readonly ShoppingLine[];
  balance: Balance | null;
  /** What the whole plan comes to in each way of building: by when it is dry, and minutes at the bench. */
  ways: readonly { school: School; finish: Days['finish']; handsOnMin: number }[];
  /** The same for the layers as they are, with other glues; empty where the deadline is kept. */
  glues: readonly { glue: Glue; finish: Days['finish']; handsOnMin: number }[];
  /** Other stacks; empty where no limit that they could keep is broken. */
  stacks: readonly OtherStack[];
}

export type Rule = (plan: PlanView) => Finding[];
