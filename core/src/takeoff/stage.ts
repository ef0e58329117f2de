import type { Operation, Part } from '../project/index.ts';
import type { Amount, Coefficient, Range } from '../units/index.ts';

/** The stages of the work: foam, then the parts of the recipes. */
export type StageId = 'cut' | 'glue' | 'carve' | Part;

/** What an operation waits for of an earlier one. */
export type WaitKind = 'touch' | 'coat' | 'solvent' | 'through';

/** What the waits after a stage follow from. */
export type Drying =
  | { kind: 'none' }
  /** The joints of the stack, each with its own time. */
  | { kind: 'joints' }
  /** The glue under wedges, at open edges. */
  | { kind: 'wedges' }
  /** Hours = F a d + b d^2 for the paste of 95 % of the ground; it sets by itself, or dries to be firm. */
  | {
      kind: 'paste';
      depthMm: number;
      mostPerCoatMm: number;
      a: Coefficient;
      b: Coefficient;
      setMin: Coefficient;
      sets: boolean;
    }
  /** Hours at 20 C and 50 %; `byAir` is water that must leave. */
  | { kind: 'hours'; touch: Coefficient; coat: Coefficient; through: Coefficient; byAir: boolean; what: string };

/** A zone that a step is done on, and how much of it. */
export interface StepZone {
  id: string | null;
  name: string;
  areaMm2: number;
}

/** What one step of the work needs: the surface it covers, each material, and the builder's time. */
export interface StageTakeoff {
  /** The same as long as the recipes are. */
  id: string;
  stage: StageId;
  operation: Operation | null;
  title: string;
  zones: StepZone[];
  areaMm2: number;
  materials: TakenMaterial[];
  handsOn: Amount;
  batches: Batches | null;
  coats: number;
  /** How each of several coats is called. */
  coatWord: 'coat' | 'tone' | 'ply';
  drying: Drying;
  /** Steps that must have waited first. */
  after: { id: string; wait: WaitKind }[];
  /** What stays on the piece when it is dry, g. */
  dryG: Range;
  /** Price of what is used, as far as it is priced. */
  money: number | null;
  note: string;
  /** What to mind while it is done. */
  cautions: string[];
}

export interface TakenMaterial {
  name: string;
  amount: Amount;
  /** What must be to hand for it, of the catalogue. Lines without say how it is shared out, mixed or thinned: nothing is counted twice. */
  material?: string;
  /** Which of its kind: the colour, or the grade. */
  which?: string;
}

/** Mixed in bowls no larger than can be spread before they set, or glued in patches no larger than can be covered before the glue skins. */
export interface Batches {
  of: 'bowl' | 'patch';
  count: number;
  mlEach: number;
  /** How much ground each is for, at most, where it goes by that. */
  eachMm2: number | null;
  /** What goes into each. */
  recipe: string[];
  why: string;
}

/** An area as an input of a working, in cm2. */
export const cm2 = (name: string, areaMm2: number) => ({ name, value: areaMm2 / 100, unit: 'cm2' });
