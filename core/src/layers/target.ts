/** The foam target: the ground less its skin, and its curve of heights. */
import { type Grid, type Hypsometry, hypsometryIn, hypsometryOf, volumeAbove, withValues } from '../geometry/index.ts';
import type { Ground } from '../ground/index.ts';
import { toEnd } from '../kernel/index.ts';
import type { SkinField } from '../recipes/index.ts';
import { foamTargetOf } from './foamTarget.ts';

/** The ground less its skin: where foam (and paste in its place) ends. */
export interface Target {
  grid: Grid;
  curve: Hypsometry;
  volumeMl: number;
}

/** Eroded by the skin of each place; where skins of two thicknesses meet there is a step as high as they differ. */
export const targetOf = (ground: Ground, skin: SkinField): Target => toEnd(targetFor(ground, skin));

/** The same, yielding between pieces of work. */
export function* targetFor(ground: Ground, skin: SkinField): Generator<undefined, Target> {
  const grid = yield* eroded(ground.grid, skin);
  yield;
  const curve = yield* hypsometryIn(grid, ground.coverage);
  return { grid, curve, volumeMl: volumeAbove(curve, 0) / 1000 };
}

/** Foam that was drawn as it is to be. */
export function foamItself({ grid, coverage }: Pick<Ground, 'grid' | 'coverage'>): Target {
  const curve = hypsometryOf(grid, coverage);
  return { grid, curve, volumeMl: volumeAbove(curve, 0) / 1000 };
}

/** A skin of one thickness everywhere. */
export const evenSkin = (skinMm: number): SkinField => ({ thicknessMm: [skinMm], node: null });

function* eroded(ground: Grid, { thicknessMm, node }: SkinField): Generator<undefined, Grid> {
  if (!node) return yield* foamTargetOf(ground, thicknessMm[0]);
  const values = new Float64Array(ground.values.length);
  for (const [k, mm] of thicknessMm.entries()) {
    const target = (yield* foamTargetOf(ground, mm)).values;
    for (let n = 0; n < values.length; n++) if (node[n] === k) values[n] = target[n];
  }
  return withValues(ground, values);
}
