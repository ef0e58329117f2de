import { catalogueOf, inUnit, type PackUnit } from '../materials/index.ts';
import { doneHere, type Project } from '../project/index.ts';
import { hadFor, type StageTakeoff } from '../takeoff/index.ts';
import { type Range, scaleRange, sum } from '../units/index.ts';

/** A material that must be to hand for what is still to do, all steps together. */
export interface Need {
  material: string;
  /** Which of its kind: the colour or the grade; empty where there is only one. */
  which: string;
  name: string;
  unit: PackUnit;
  amount: Range;
  /** Of each step. */
  parts: Range[];
  steps: { id: string; title: string; likely: number }[];
}

type Needing = Pick<Project, 'materials' | 'stores' | 'tile'> & { base: Pick<Project['base'], 'board'> };

/**
 * Everything needed for the steps that are not done, by material and colour: amounts add up as independent ranges. One material needed by volume here and by weight
 * there is told in the unit that it is needed in first; what cannot be brought to one unit stands in lines of its own.
 */
export function needsOf(project: Needing, takeoff: readonly StageTakeoff[]): Need[] {
  const catalogue = catalogueOf(project.materials);
  const done = new Set(doneHere(project).map(({ step }) => step));
  const needs: Need[] = [];
  const add = (
    step: Pick<StageTakeoff, 'id' | 'title'>,
    { material, which, unit }: { material: string; which: string; unit: PackUnit },
    amount: Range,
  ) => {
    const known = catalogue.material(material);
    for (const need of needs) {
      if (need.material !== material || need.which.toLowerCase() !== which.toLowerCase()) continue;
      const times = inUnit(1, unit, need.unit, material, catalogue);
      if (times === null) continue;
      need.parts.push(scaleRange(amount, times));
      need.steps.push({ id: step.id, title: step.title, likely: amount.likely * times });
      return;
    }
    needs.push({
      material,
      which,
      name: known?.name ?? material,
      unit,
      amount,
      parts: [amount],
      steps: [{ id: step.id, title: step.title, likely: amount.likely }],
    });
  };
  for (const stage of takeoff) {
    if (done.has(stage.id)) continue;
    if (stage.id === 'cut') {
      const { board } = project.base;
      const one = { low: 1, likely: 1, high: 1 };
      add(stage, { material: board.material, which: `${board.thicknessMm} mm`, unit: 'each' }, one);
    }
    for (const had of hadFor(stage.materials))
      if (had.amount.high > 0)
        // The range alone, without its working.
        add(stage, { material: had.material, which: had.which, unit: had.unit }, scaleRange(had.amount, 1));
  }
  return needs.map((need) => (need.parts.length > 1 ? { ...need, amount: sum(need.parts) } : need));
}
