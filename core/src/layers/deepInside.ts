import type { Grid } from '../geometry/index.ts';
import { thinnedTo } from '../ground/index.ts';
import { sampledOn } from './areas.ts';
import { foamTarget } from './foamTarget.ts';

/** A ball this many nodes across is cut from the target; a larger one from a coarser lattice. */
const BALL_NODES = 6;

/** The foam target less `coverMm` in every direction: under it foam is that deep inside. A thick cover is taken on a coarser lattice, good to about a millimetre. */
export function deepInside(target: Grid, coverMm: number): Grid {
  const stride = Math.max(1, Math.floor(coverMm / target.cellMm / BALL_NODES));
  if (stride === 1) return foamTarget(target, coverMm);
  const coarse = thinnedTo(Math.ceil((target.columns * target.rows) / stride ** 2), target);
  return sampledOn(target, foamTarget(coarse, coverMm));
}
