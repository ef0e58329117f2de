import { type Catalogue, catalogueOf } from '../materials/index.ts';
import {
  type Coat,
  fillPasteOf,
  isLooseStone,
  newCoat,
  type Operation,
  operationWords,
  type Project,
} from '../project/index.ts';
import { scaleRange } from '../units/index.ts';
import { coatCautions } from './cautions.ts';
import type { StepAmounts, StepContext } from './context.ts';
import { countedAmounts, fibreAmounts, looseAmounts, panelAmounts } from './coverStep.ts';
import { hadFor, moneyFor, pricesOf } from './money.ts';
import { type Step, stepsOf } from './order.ts';
import { layerWanted, pasteAmounts, plyAmounts, skinWanted } from './pasteStep.ts';
import type { StageTakeoff, WaitKind } from './stage.ts';
import { powderAmounts, thinAmounts } from './thinStep.ts';
import { touchedMm2, type Worn, type WornSurface } from './wornSurface.ts';

type Shelf = Pick<Project, 'materials' | 'recipes' | 'surface' | 'stores'>;

/** Less than this of paste is nothing to mix for, ml. */
const LEAST_FILL_ML = 0.5;

/**
 * All steps of the recipes as they are worn, in working order. A zone whose recipe has no paste gets its steps filled with the paste of the project's own recipe.
 * A coat whose material nobody knows is left out.
 */
export function surfaceStages(project: Shelf, surfaces: readonly WornSurface[], pace: number): StageTakeoff[] {
  const catalogue = catalogueOf(project.materials);
  const priceOf = pricesOf(project);
  const filled = surfaces.map((surface) => withFill(project, catalogue, surface));
  const stages: StageTakeoff[] = [];
  /** The last step that was done on each zone, and whether it was paste. */
  const last = new Map<WornSurface, { id: string; coat: Coat }>();
  /** Steps of static grass so far, on any zone. */
  const grass: string[] = [];
  const ground = stepsOf(filled.filter(({ onFoam }) => onFoam));
  const sides = stepsOf(
    filled.filter(({ onFoam }) => !onFoam),
    ground,
  );
  for (const step of [...ground, ...sides]) {
    const { material, operation } = step.worn[0].coat;
    const context: StepContext = { catalogue, worn: step.worn, material, pace };
    const amounts = amountsOf(project, context, step);
    if (!amounts) continue;
    stages.push({
      id: step.id,
      stage: operationWords[operation].part,
      operation,
      ...amounts,
      zones: step.worn.map((worn) => ({
        id: worn.surface.id,
        name: worn.surface.name,
        areaMm2: touchedMm2(worn),
      })),
      after: [...earlier(catalogue, step.worn, last), ...afterGrass(step, grass), ...edgesLast(step.worn, last)],
      dryG: scaleRange(amounts.dryG, 1),
      money: moneyFor(priceOf, amounts.materials),
      note: catalogue.material(material)?.use ?? '',
      cautions: coatCautions(catalogue, step.worn[0].coat, [
        material,
        ...hadFor(amounts.materials).map((had) => had.material),
      ]),
    });
    if (operation === 'grass') grass.push(step.id);
    for (const worn of step.worn) last.set(worn.surface, { id: step.id, coat: worn.coat });
  }
  return stages;
}

/** Puts a coat of the project's own paste under a recipe that has none, where there are steps to fill. */
function withFill(project: Shelf, catalogue: Catalogue, surface: WornSurface): WornSurface {
  const { recipe, fillMl } = surface;
  if (fillMl < LEAST_FILL_ML || recipe.coats.some((coat) => fills(catalogue, coat))) return surface;
  const fill = newCoat('fill', 'skin', fillPasteOf(project, recipe), { thicknessMm: 0 });
  return {
    ...surface,
    recipe: { ...recipe, coats: [fill, ...recipe.coats] },
    coatMm2: [surface.trueMm2, ...surface.coatMm2],
  };
}

/** Whether a coat is a paste of the skin: the first such coat of a zone fills the steps under it too. */
const fills = (catalogue: Catalogue, { operation, material }: Coat): boolean =>
  operation === 'skin' && catalogue.material(material)?.form === 'paste' && !catalogue.missing(material).length;

const firstPaste = (catalogue: Catalogue, { surface: { recipe } }: Worn): number =>
  recipe.coats.findIndex((coat) => fills(catalogue, coat));

/** A step by the form of its material; null where that does not go with the operation, lacks figures (both are told by the checks), or there is nothing to do. */
function amountsOf(project: Shelf, context: StepContext, { worn }: Step): StepAmounts | null {
  const { catalogue, material } = context;
  const { operation } = worn[0].coat;
  const form = catalogue.material(material)?.form;
  if (!form || !operationWords[operation].forms.includes(form) || catalogue.missing(material).length) return null;
  switch (form) {
    case 'paste': {
      const wanted = worn.map((one) =>
        operation === 'skin' ? skinWanted(project, one, firstPaste(catalogue, one) === one.at) : layerWanted(one),
      );
      const netMl = wanted.reduce((all, { fillMl, layerMl }) => all + fillMl + layerMl, 0);
      return netMl < LEAST_FILL_ML ? null : pasteAmounts(context, wanted);
    }
    case 'ply':
      return plyAmounts(context);
    case 'thin':
      return thinAmounts(context);
    case 'powder':
      return powderAmounts(context);
    case 'loose':
      return looseAmounts(context);
    case 'fibre':
      return fibreAmounts(context);
    case 'counted':
      return countedAmounts(context);
    case 'panel':
      return panelAmounts(context);
    default:
      return null;
  }
}

/** What came before on the zones of a step: paste must be dry through before anything but paste; joints must hold. */
function earlier(
  catalogue: Catalogue,
  worn: readonly Worn[],
  last: ReadonlyMap<WornSurface, { id: string; coat: Coat }>,
): StageTakeoff['after'] {
  const found = new Map<string, WaitKind>();
  const want = (id: string, wait: WaitKind) => {
    if (longer(wait, found.get(id))) found.set(id, wait);
  };
  for (const { surface, coat } of worn) {
    const before = last.get(surface);
    const skin = isSkin(coat.operation);
    if (before) want(before.id, waitFor(catalogue, before.coat, coat));
    if (!surface.onFoam) continue;
    if (skin) {
      want('glue', 'coat');
      want('carve', 'touch');
      want('wedges', 'coat');
      want('voids', 'touch');
    } else if (!before || isSkin(before.coat.operation)) want('glue', 'coat');
  }
  return [...found].map(([id, wait]) => ({ id, wait }));
}

/** Loose stones wait for all grass before them, on whatever zone: the base is tipped and tapped to get loose fibres off. */
const afterGrass = ({ worn: [{ coat }] }: Step, grass: readonly string[]): StageTakeoff['after'] =>
  isLooseStone(coat) ? grass.map((id) => ({ id, wait: 'coat' as const })) : [];

/** Sides come last, when nothing can drip on them any more: after the last step of every zone of the ground. */
function edgesLast(
  worn: readonly Worn[],
  last: ReadonlyMap<WornSurface, { id: string; coat: Coat }>,
): StageTakeoff['after'] {
  if (!worn.some(({ surface }) => surface.lengthM > 0 && !last.has(surface))) return [];
  const ends = [...last].filter(([surface]) => surface.onFoam).map(([, { id }]) => id);
  return [...new Set(ends)].map((id) => ({ id, wait: 'touch' as const }));
}

const isSkin = (operation: Operation) => operationWords[operation].part === 'skin';

const order: readonly WaitKind[] = ['touch', 'coat', 'solvent', 'through'];
const longer = (wait: WaitKind, than: WaitKind | undefined) => !than || order.indexOf(wait) > order.indexOf(than);

function waitFor(catalogue: Catalogue, before: Coat, next: Coat): WaitKind {
  const paste = catalogue.material(before.material)?.form === 'paste' || isSkin(before.operation);
  if (paste) return isSkin(next.operation) ? 'coat' : 'through';
  return catalogue.material(next.material)?.facts.includes('solvent') ? 'solvent' : 'coat';
}

/** A step whose minutes are those of a builder of some skill. */
export const atPace = (stage: StageTakeoff, pace: number, skill: string): StageTakeoff =>
  pace === 1
    ? stage
    : {
        ...stage,
        handsOn: {
          ...stage.handsOn,
          ...scaleRange(stage.handsOn, pace),
          working: {
            ...stage.handsOn.working,
            expression: `${stage.handsOn.working.expression}; x ${pace} for a ${skill} builder`,
          },
        },
      };
