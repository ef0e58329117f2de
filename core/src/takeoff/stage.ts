import type { Amount } from '../units/index.ts';

export type StageId = 'cut' | 'glue' | 'carve' | 'skin' | 'seal' | 'base' | 'dry-brush' | 'soil' | 'grass';

/** What one stage of the work needs: the surface it covers, each material, and the builder's time. */
export interface StageTakeoff {
  stage: StageId;
  title: string;
  areaMm2: number;
  materials: { name: string; amount: Amount }[];
  handsOn: Amount;
  batches: Batches | null;
  coats: number;
  note: string;
}

/** Compound is mixed in bowls no larger than can be spread before they set. */
export interface Batches {
  count: number;
  mlEach: number;
  why: string;
}

/** An area as an input of a working, in cm2. */
export const cm2 = (name: string, areaMm2: number) => ({ name, value: areaMm2 / 100, unit: 'cm2' });
