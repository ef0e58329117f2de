import { type Waits, waitsOf } from '../drying/index.ts';
import type { LayerPlan } from '../layers/index.ts';
import type { Project } from '../project/index.ts';
import type { StageId, StageTakeoff } from '../takeoff/index.ts';
import { scaleRange } from '../units/index.ts';
import type { Operation, WaitKind } from './schedule.ts';

/** What each stage waits for. Carving and skin want joints that hold; the seal wants joints and paste dry through; soil may be grassed after hours. */
const needs: Record<StageId, { stage: StageId; wait: WaitKind }[]> = {
  cut: [],
  glue: [],
  carve: [{ stage: 'glue', wait: 'coat' }],
  skin: [{ stage: 'glue', wait: 'coat' }],
  seal: [
    { stage: 'glue', wait: 'through' },
    { stage: 'skin', wait: 'through' },
  ],
  base: [
    { stage: 'seal', wait: 'coat' },
    { stage: 'skin', wait: 'through' },
  ],
  'dry-brush': [{ stage: 'base', wait: 'coat' }],
  soil: [
    { stage: 'dry-brush', wait: 'coat' },
    { stage: 'base', wait: 'coat' },
    { stage: 'skin', wait: 'through' },
  ],
  grass: [
    { stage: 'soil', wait: 'coat' },
    { stage: 'base', wait: 'coat' },
    { stage: 'skin', wait: 'through' },
  ],
};

/** The stages of the take-off as operations, coat by coat. */
export function operationsOf(project: Project, plan: LayerPlan, takeoff: readonly StageTakeoff[]): Operation[] {
  const operations: Operation[] = [];
  for (const stage of takeoff) {
    const waits = waitsOf(stage.stage, project, plan);
    const coats = stage.stage === 'glue' ? 1 : stage.coats;
    for (let coat = 1; coat <= coats; coat++) {
      const own: Operation['needs'] = coat > 1 ? [{ operation: `${stage.stage}-${coat - 1}`, wait: 'coat' }] : [];
      const earlier = needs[stage.stage].flatMap(({ stage: before, wait }) => {
        const last = operations.filter((operation) => operation.stage === before).at(-1);
        return last ? [{ operation: last.id, wait }] : [];
      });
      operations.push({
        id: `${stage.stage}-${coat}`,
        stage: stage.stage,
        title:
          coats > 1
            ? `${stage.title.split(',')[0]}, ${stage.stage === 'dry-brush' ? 'tone' : 'coat'} ${coat} of ${coats}`
            : stage.title,
        handsOnMin: scaleRange(stage.handsOn, 1 / coats),
        waits: waitsOfCoat(waits, stage.stage, coat, coats),
        needs: [...own, ...earlier],
      });
    }
  }
  return operations;
}

/** Paste that gets another coat has only to set; the last coat carries the drying of the whole depth. */
const waitsOfCoat = (waits: Waits, stage: StageId, coat: number, coats: number): Waits =>
  stage === 'skin' && coat < coats ? { ...waits, through: waits.coat, reason: 'set enough for the next coat' } : waits;
