/** Where foam lies deep under the faces of a stack: the foam target eroded by a ball of the cover, mm. */
import { distanceToEdge, type Grid, insideRing, type Ring, withValues } from '../geometry/index.ts';
import { thinnedTo } from '../ground/index.ts';
import { sampledOn } from './areas.ts';
import { foamTarget } from './foamTarget.ts';

/** A ball this many nodes across is cut from the target; a larger one from a coarser lattice. */
const BALL_NODES = 6;

/**
 * The foam target less `coverMm` in every direction, the sides of the base included: under it foam is that deep inside. Nearer to the edge of the base than that
 * it is below the board. A thick cover is taken on a coarser lattice, good to about a millimetre.
 */
export function deepInside(target: Grid, coverMm: number, outline: Ring): Grid {
  const known = kept.get(target)?.get(coverMm);
  if (known) return known;
  const made = within(target, coverMm, outline);
  kept.set(target, new Map([...(kept.get(target) ?? []), [coverMm, made]]));
  return made;
}

/** Every layer asks anew; a target is never changed in place, so that what was made of it stays good as long as it is there. */
const kept = new WeakMap<Grid, Map<number, Grid>>();

function within(target: Grid, coverMm: number, outline: Ring): Grid {
  const deep = erodedBy(target, coverMm);
  const values = Float64Array.from(deep.values);
  const [x0, y0] = target.originMm;
  for (let n = 0; n < values.length; n++) {
    if (values[n] <= 0) continue;
    const x = x0 + (n % target.columns) * target.cellMm;
    const y = y0 + Math.floor(n / target.columns) * target.cellMm;
    if (!insideRing(outline, x, y) || distanceToEdge(outline, x, y) < coverMm) values[n] = -1;
  }
  return withValues(target, values);
}

function erodedBy(target: Grid, coverMm: number): Grid {
  const stride = Math.max(1, Math.floor(coverMm / target.cellMm / BALL_NODES));
  if (stride === 1) return foamTarget(target, coverMm);
  const coarse = thinnedTo(Math.ceil((target.columns * target.rows) / stride ** 2), target);
  return sampledOn(target, foamTarget(coarse, coverMm));
}
