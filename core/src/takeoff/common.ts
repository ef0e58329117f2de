import { coefficient } from '../materials/index.ts';
import type { Coefficient } from '../units/index.ts';
import { touchedMm2, type Worn } from './wornSurface.ts';

/** Least worth squeezing out of one colour, however small the base, ml. */
export const leastPerColour = coefficient('least of one colour', 2, 3, 6, 'ml', 'memory', 'C');

/**
 * What the texture adds to the true surface below the grid's resolution: that of the recipes, by the ground they cover. What a surface of 1.3 has more than a flat one
 * may be 0.4 to 2 times as much.
 */
export function roughnessOf(worn: readonly Worn[]): Coefficient {
  const all = worn.reduce((sum, one) => sum + touchedMm2(one), 0);
  const likely =
    all > 0
      ? worn.reduce((sum, one) => sum + touchedMm2(one) * one.surface.recipe.roughness, 0) / all
      : worn[0].surface.recipe.roughness;
  const more = likely - 1;
  const rounded = (value: number) => Math.round(value * 1000) / 1000;
  return coefficient(
    'roughness of the surface',
    rounded(1 + 0.4 * more),
    rounded(likely),
    rounded(1 + 2 * more),
    '-',
    'memory',
    'C',
  );
}
