import { type Waits, waitsOf } from '../drying/index.ts';
import type { LayerPlan } from '../layers/index.ts';
import type { Project } from '../project/index.ts';
import type { StageTakeoff } from '../takeoff/index.ts';
import { scaleRange } from '../units/index.ts';
import type { Operation } from './schedule.ts';

/** The stages of the take-off as operations, coat by coat: each coat waits for the one before it, the first for what comes before the stage. */
export function operationsOf(
  project: Project,
  layers: LayerPlan['layers'],
  takeoff: readonly StageTakeoff[],
): Operation[] {
  const operations: Operation[] = [];
  const lastOf = new Map<string, string>();
  for (const stage of takeoff) {
    const waits = waitsOf(stage.drying, project, layers);
    const { coats } = stage;
    for (let coat = 1; coat <= coats; coat++) {
      const needs: Operation['needs'] =
        coat > 1
          ? [{ operation: `${stage.id}-${coat - 1}`, wait: 'coat' }]
          : stage.after.flatMap(({ id, wait }) => {
              const last = lastOf.get(id);
              return last ? [{ operation: last, wait }] : [];
            });
      operations.push({
        id: `${stage.id}-${coat}`,
        step: stage.id,
        stage: stage.stage,
        title:
          coats > 1 ? `${stage.title.split(`, ${coats} `)[0]}, ${stage.coatWord} ${coat} of ${coats}` : stage.title,
        handsOnMin: scaleRange(stage.handsOn, 1 / coats),
        waits: waitsOfCoat(waits, stage, coat),
        needs,
      });
    }
    lastOf.set(stage.id, `${stage.id}-${coats}`);
  }
  return operations;
}

/** Paste that sets has only to set before another coat, and the last coat carries the drying of the whole depth; what only dries does so coat by coat. */
const waitsOfCoat = (waits: Waits, { drying, coats }: StageTakeoff, coat: number): Waits =>
  drying.kind === 'paste' && drying.sets && coat < coats
    ? { ...waits, solvent: waits.coat, through: waits.coat, reason: 'set enough for the next coat' }
    : waits;
