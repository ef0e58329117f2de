import type { Depth } from '../layers/index.ts';
import type { Coat, Recipe } from '../project/index.ts';

/** A zone (or the sides of the base, or the walls of the box) with what it wears and all that its amounts follow from. */
export interface WornSurface {
  id: string | null;
  name: string;
  recipe: Recipe;
  trueMm2: number;
  /** By coat of the recipe: the ground that it is meant for, its share not yet taken. */
  coatMm2: number[];
  fillMl: number;
  skinMl: number;
  /** Its ground by the depth of the paste on it, fill and skin together. */
  depths: readonly Depth[];
  /** Length along which panels are fitted. */
  lengthM: number;
  /** It lies on the stack, whose joints must dry before it is shut in. */
  onFoam: boolean;
}

/** One coat on one zone. */
export interface Worn {
  surface: WornSurface;
  coat: Coat;
  /** Its place in the recipe. */
  at: number;
}

/** Ground that a coat really touches, mm2. */
export const touchedMm2 = ({ surface, coat, at }: Worn): number => (surface.coatMm2[at] * coat.sharePercent) / 100;

export const touchedBy = (worn: readonly Worn[]): number => worn.reduce((sum, one) => sum + touchedMm2(one), 0);
