/** Outlines of layers: isolines of the foam target at the heights where each is cut. */
import {
  clipRings,
  footprints,
  type Grid,
  nestRings,
  outlineHeight,
  type Polygon,
  ringsOf,
  withValues,
} from '../geometry/index.ts';
import type { Ground } from '../ground/index.ts';
import type { AreaMap } from './areas.ts';

/** The outlines of layers, each cut at a height of its own in every area. Yields between layers. */
export function* footprintsOf(
  ground: Ground,
  target: Grid,
  map: AreaMap,
  layers: readonly { outlineAtMm: readonly number[] }[],
): Generator<undefined, Polygon[][]> {
  const { inside } = map;
  const found: Polygon[][] = [];
  for (const { outlineAtMm } of layers) {
    const [pieces] = inside
      ? footprints(withValues(target, reachOf(target, inside, outlineAtMm)), [0])
      : footprints(target, [outlineHeight(outlineAtMm[0])]);
    found.push(ground.coverage ? nestRings(clipRings(ringsOf(pieces), ground.outline)) : pieces);
    yield;
  }
  return found;
}

/** Not less than nothing where a layer lies: in some area, over its height there. */
function reachOf({ values: z }: Grid, inside: readonly Float32Array[], outlineAtMm: readonly number[]): Float64Array {
  const levels = outlineAtMm.map(outlineHeight);
  const reach = new Float64Array(z.length);
  for (let n = 0; n < reach.length; n++) {
    let best = Number.NEGATIVE_INFINITY;
    for (let a = 0; a < levels.length; a++) best = Math.max(best, Math.min(z[n] - levels[a], inside[a][n]));
    reach[n] = best;
  }
  return reach;
}
