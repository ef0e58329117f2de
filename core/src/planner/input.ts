import { stagesOf } from '../kernel/index.ts';
import type { Base, Project } from '../project/index.ts';

/** What every plan is worked out from. */
export interface Input {
  project: Project;
  /** The cell of the ground's lattice on a base, mm. */
  cell: (base: Base) => number;
}

export const stage = stagesOf<Input>();
