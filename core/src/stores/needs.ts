import { catalogueOf, inUnit, type PackUnit } from '../materials/index.ts';
import { doneHere, type Project } from '../project/index.ts';
import { hadFor, type StageTakeoff } from '../takeoff/index.ts';
import { type Range, scaleRange, sum } from '../units/index.ts';

/** What one step needs of a material. */
export interface NeedStep {
  id: string;
  title: string;
  likely: number;
  /** The last day on which it is worked on, ISO. */
  by: string;
}

/** A material that must be to hand for what is still to do, all steps together. */
export interface Need {
  material: string;
  /** Which of its kind: the colour or the grade; empty where there is only one. */
  which: string;
  name: string;
  unit: PackUnit;
  amount: Range;
  /** Of each step, in their order. */
  parts: Range[];
  steps: NeedStep[];
}

type Needing = Pick<Project, 'materials' | 'stores' | 'tile'> & { base: Pick<Project['base'], 'board'> };
type Sort = Pick<Need, 'material' | 'which' | 'name' | 'unit'>;

/** Needs by material and colour. One material needed by volume here and by weight there is told in the unit that it is needed in first; what cannot be brought to one unit stands in lines of its own. */
function gathering(materials: Project['materials']) {
  const catalogue = catalogueOf(materials);
  const needs: Need[] = [];
  const add = ({ material, which, name, unit }: Sort, step: NeedStep, amount: Range): void => {
    for (const need of needs) {
      if (need.material !== material || need.which.toLowerCase() !== which.toLowerCase()) continue;
      const times = inUnit(1, unit, need.unit, material, catalogue);
      if (times === null) continue;
      const part = scaleRange(amount, times);
      const same = need.steps.findIndex(({ id }) => id === step.id);
      if (same < 0) {
        need.parts.push(part);
        need.steps.push({ ...step, likely: part.likely });
        return;
      }
      // The same step once more, on another tile: whoever lays it on thick does so there too.
      const before = need.parts[same];
      need.parts[same] = {
        low: before.low + part.low,
        likely: before.likely + part.likely,
        high: before.high + part.high,
      };
      const { title, likely, by } = need.steps[same];
      need.steps[same] = { id: step.id, title, likely: likely + part.likely, by: by > step.by ? by : step.by };
      return;
    }
    needs.push({ material, which, name, unit, amount, parts: [amount], steps: [step] });
  };
  return {
    add,
    nameOf: (material: string) => catalogue.material(material)?.name ?? material,
    all: () => needs.map((need) => ({ ...need, amount: need.parts.length > 1 ? sum(need.parts) : need.parts[0] })),
  };
}

/** Everything needed for the steps that are not done, by material and colour: amounts add up as independent ranges. `usedBy` says on which day a step is last worked on. */
export function needsOf(project: Needing, takeoff: readonly StageTakeoff[], usedBy: (step: string) => string): Need[] {
  const { add, nameOf, all } = gathering(project.materials);
  const done = new Set(doneHere(project).map(({ step }) => step));
  for (const { id, title, materials } of takeoff) {
    if (done.has(id)) continue;
    const put = (material: string, which: string, unit: PackUnit, amount: Range) =>
      add(
        { material, which, name: nameOf(material), unit },
        { id, title, likely: amount.likely, by: usedBy(id) },
        amount,
      );
    if (id === 'cut') {
      const { board } = project.base;
      put(board.material, `${board.thicknessMm} mm`, 'each', { low: 1, likely: 1, high: 1 });
    }
    // The range alone, without its working.
    for (const { material, which, unit, amount } of hadFor(materials))
      if (amount.high > 0) put(material, which, unit, scaleRange(amount, 1));
  }
  return all();
}

/** What several tiles need together. A step that comes on more than one of them errs alike on all: its ranges add up straight, where those of different steps are independent. */
export function needsTogether(project: Pick<Project, 'materials'>, tiles: readonly (readonly Need[])[]): Need[] {
  const { add, all } = gathering(project.materials);
  for (const need of tiles.flat()) for (const [k, step] of need.steps.entries()) add(need, step, need.parts[k]);
  return all();
}
