/** What the shed lacks for a stack, and the joints nearest to a height. */
import { LEVEL_STEP_MM } from '../geometry/index.ts';
import { cheapest, type Weights } from './cheapest.ts';
import { type Graph, graphOf } from './graph.ts';
import { type StackModel, type Step, usedOf } from './model.ts';

/** What the shed lacks of one class of stock. */
export interface Shortage {
  pool: number;
  /** Pieces that it cannot give, mm2. */
  mm2: number;
}

/** What a stack takes beyond what the shed holds and what can be bought. */
export const shortagesOf = (model: StackModel, steps: readonly Step[]): Shortage[] =>
  usedOf(steps, model.stock).flatMap((mm2, pool) => {
    const { ownedMm2, buyable } = model.stock[pool];
    return !buyable && mm2 > ownedMm2 + 1 ? [{ pool, mm2: mm2 - ownedMm2 }] : [];
  });

/** What would have to be there for the cheapest stack, were there sheets enough of every kind that the project knows. */
export function missingFor(model: StackModel, weights: Weights): { steps: Step[]; shortages: Shortage[] } {
  const plenty: StackModel = {
    ...model,
    stock: model.stock.map((pool) => ({ ...pool, ownedMm2: 1e12, buyable: false })),
  };
  const { steps } = cheapest(graphOf(plenty), weights);
  return { steps, shortages: shortagesOf(model, steps) };
}

/** The joints next below and next above a height, of all that any stack of these sheets reaches. */
export function nearestJoints({ nodes }: Graph, heightMm: number): { belowMm: number; aboveMm: number | null } {
  let belowMm = 0;
  for (const { heightMm: joint } of nodes) {
    if (joint > heightMm + LEVEL_STEP_MM / 2) return { belowMm, aboveMm: joint };
    belowMm = joint;
  }
  return { belowMm, aboveMm: null };
}
