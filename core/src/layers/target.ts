import { type Grid, type Hypsometry, hypsometryOf, volumeAbove } from '../geometry/index.ts';
import type { Ground } from '../ground/index.ts';
import { foamTarget } from './foamTarget.ts';

/** The ground less its skin: where foam (and paste in its place) ends. */
export interface Target {
  grid: Grid;
  curve: Hypsometry;
  volumeMl: number;
}

export function targetOf(ground: Ground, skinMm: number): Target {
  const grid = foamTarget(ground.grid, skinMm);
  const curve = hypsometryOf(grid, ground.coverage);
  return { grid, curve, volumeMl: volumeAbove(curve, 0) / 1000 };
}
