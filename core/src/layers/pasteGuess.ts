import { outlineHeight } from '../geometry/index.ts';
import type { Slopes } from './stackModel.ts';

/**
 * How deep paste lies under a stack, read from the curve of heights alone: 95 % of the true surface is not deeper, square to it, mm. What is found on the lattice
 * itself (`pasteByPart`) lies within a few tenths of it where the slope at a height is much alike, further off where steep and flat ground share a height.
 */
export function most95Guess(
  { binMm, planMm2, trueMm2, skinMm3 }: Slopes,
  layers: readonly { topMm: number; outlineAtMm: readonly number[] }[],
): number {
  const depths: { mm: number; area: number }[] = [];
  let whole = 0;
  trueMm2.forEach((bins, area) => {
    let layer = 0;
    for (let bin = 0; bin < bins.length; bin++) {
      if (!bins[bin]) continue;
      const height = (bin + 0.5) * binMm;
      while (layer < layers.length && height >= outlineHeight(layers[layer].outlineAtMm[area])) layer++;
      const foam = layer ? Math.min(height, layers[layer - 1].topMm) : 0;
      depths.push({ mm: ((height - foam) * planMm2[area][bin] + skinMm3[area][bin]) / bins[bin], area: bins[bin] });
      whole += bins[bin];
    }
  });
  depths.sort((a, b) => a.mm - b.mm);
  let reached = 0;
  for (const { mm, area } of depths) {
    reached += area;
    if (reached >= 0.95 * whole) return mm;
  }
  return 0;
}
