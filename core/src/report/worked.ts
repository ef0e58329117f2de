import type { Days } from '../days/index.ts';
import type { LayerPlan, PasteMap } from '../layers/index.ts';
import type { StageTakeoff } from '../takeoff/index.ts';

/** One school's stack with what follows from it. */
export interface Worked {
  plan: LayerPlan;
  /** How deep paste lies on it. */
  paste: PasteMap['whole'];
  /** Wedges of offcut that take the place of fill in it. */
  wedges: PasteMap['wedges'];
  /** What goes on the stack, before what the stack itself needs. */
  above: StageTakeoff[];
  takeoff: StageTakeoff[];
  days: Days;
}
