import type { Days } from '../days/index.ts';
import type { JointWait } from '../drying/index.ts';
import type { Ground } from '../ground/index.ts';
import type { LayerPlan, Target } from '../layers/index.ts';
import type { Project } from '../project/index.ts';

export const severities = ['stop', 'warn', 'note'] as const;
export const bands = ['brief', 'ground', 'layers', 'surface', 'days'] as const;

/** Something a builder should know: what, where, what to do. `stop` means that the plan cannot be built as it stands. */
export interface Finding {
  code: string;
  severity: (typeof severities)[number];
  band: (typeof bands)[number];
  place: string;
  message: string;
  remedy: string;
  markId?: string;
}

/** What a rule may read. Rules change nothing. */
export interface PlanView {
  project: Project;
  ground: Ground;
  target: Target;
  layers: LayerPlan;
  joints: JointWait[];
  days: Days;
}

export type Rule = (plan: PlanView) => Finding[];
