import { boughtAs, type Catalogue, type Property } from '../materials/index.ts';
import { type Coefficient, exactly, product, type Range, scaleRange } from '../units/index.ts';
import { amountOf, lost, type Part, times } from './amounts.ts';
import { cm2, type Drying, type StageTakeoff, type TakenMaterial } from './stage.ts';
import { withSetUp } from './withSetUp.ts';
import { touchedBy, type Worn } from './wornSurface.ts';

/** What the amounts of a step are worked out from. */
export interface StepContext {
  catalogue: Catalogue;
  worn: readonly Worn[];
  material: string;
  /** Against a practised builder. */
  pace: number;
}

/** What the forms of material differ in; the rest of a step is the same for all. */
export type StepAmounts = Pick<
  StageTakeoff,
  'title' | 'areaMm2' | 'materials' | 'handsOn' | 'batches' | 'coats' | 'coatWord' | 'drying' | 'dryG'
>;

export const zeroG: Range = exactly(0);

/** A figure as part of a product, or nothing where the material has none. */
export const maybe = (
  { catalogue, material }: StepContext,
  property: Property,
  as: (coefficient: Coefficient) => Part = times,
): Part[] => {
  const value = catalogue.figure(material, property);
  return value ? [as(value)] : [];
};

export const lossOf = (context: StepContext): Part[] => maybe(context, 'lossPercent', lost);

/** Minutes at the bench: ground times pace, and what it takes to begin and to wash up, so many times. */
export function handsOnOf(context: StepContext, areaMm2: number, setUps: number, property: Property = 'paceMin') {
  const pace = maybe(context, property);
  const setUp = context.catalogue.figure(context.material, 'setUpMin');
  const work = amountOf('min', areaMm2 / 1e4, 'ground x pace', [cm2('ground, every coat', areaMm2)], pace);
  return withSetUp(work, setUp, setUps);
}

/** Waits written in hours; where nothing is known of them there are none. */
export function hoursOf({ catalogue, material }: StepContext, what: string): Drying {
  const through = catalogue.figure(material, 'throughH');
  if (!through) return { kind: 'none' };
  return {
    kind: 'hours',
    touch: catalogue.figure(material, 'touchH') ?? through,
    coat: catalogue.figure(material, 'coatH') ?? through,
    through,
    byAir: !catalogue.material(material)?.facts.includes('solvent'),
    what,
  };
}

/** Ground that a step covers, as its own input. */
export const covered = (context: StepContext) => {
  const areaMm2 = touchedBy(context.worn);
  return { areaMm2, hundreds: areaMm2 / 1e4, inputs: [cm2('covered', areaMm2)] };
};

/** What of the catalogue is to be had for a step, and in which colour. */
export const hadOf = ({ material, worn }: StepContext): Pick<TakenMaterial, 'material' | 'which'> => {
  const { colour } = worn[0].coat;
  return { material: boughtAs(material), ...(colour && { which: colour }) };
};

/** Mass of a volume that dries to so much a litre. */
export const dryMass = (ml: Range, context: StepContext, property: Property = 'dryKgPerL'): Range => {
  const kgPerL = context.catalogue.figure(context.material, property);
  return kgPerL ? product(ml.likely, [{ range: scaleRange(ml, 1 / (ml.likely || 1)) }, { range: kgPerL }]) : zeroG;
};
