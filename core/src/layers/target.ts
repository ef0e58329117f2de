import { type Grid, type Hypsometry, hypsometryOf, volumeAbove, withValues } from '../geometry/index.ts';
import type { Ground } from '../ground/index.ts';
import type { SkinField } from '../recipes/index.ts';
import { foamTarget } from './foamTarget.ts';

/** The ground less its skin: where foam (and paste in its place) ends. */
export interface Target {
  grid: Grid;
  curve: Hypsometry;
  volumeMl: number;
}

/** Eroded by the skin of each place; where skins of two thicknesses meet there is a step as high as they differ. */
export function targetOf(ground: Ground, skin: SkinField): Target {
  const grid = eroded(ground.grid, skin);
  const curve = hypsometryOf(grid, ground.coverage);
  return { grid, curve, volumeMl: volumeAbove(curve, 0) / 1000 };
}

/** A skin of one thickness everywhere. */
export const evenSkin = (skinMm: number): SkinField => ({ thicknessMm: [skinMm], node: null });

function eroded(ground: Grid, { thicknessMm, node }: SkinField): Grid {
  if (!node) return foamTarget(ground, thicknessMm[0]);
  const values = new Float64Array(ground.values.length);
  thicknessMm.forEach((mm, k) => {
    const target = foamTarget(ground, mm).values;
    for (let n = 0; n < values.length; n++) if (node[n] === k) values[n] = target[n];
  });
  return withValues(ground, values);
}
