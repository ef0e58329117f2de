/**
 * Finished ground over bare foam: the foam dilated by a ball of the skin's thickness, the lowest surface that leaves so much room over it in
 * every direction, ground(x) = max over |o| <= r of foam(x + o) + sqrt(r^2 - |o|^2). The mirror image of `foamTarget.ts`. Heights in mm.
 */
import { type Grid, withValues } from '../geometry/index.ts';
import { type Ground, measureGround } from '../ground/index.ts';
import type { SkinField } from '../recipes/index.ts';
import { foamTargetOf } from './foamTarget.ts';

/** The bare board wears no skin: it lies this far below anything that does, mm. */
const FAR_BELOW_MM = 10_000;

/** The finished heights over a grid of foam. Yields between pieces of work. */
export function* skinOver(foam: Grid, { thicknessMm, node }: SkinField): Generator<undefined, Grid> {
  const below = withValues(
    foam,
    foam.values.map((mm) => (mm > 0 ? -mm : FAR_BELOW_MM)),
  );
  const values = new Float64Array(foam.values.length);
  for (const [k, mm] of thicknessMm.entries()) {
    const over = (yield* foamTargetOf(below, mm)).values;
    for (let n = 0; n < values.length; n++) if (!node || node[n] === k) values[n] = Math.max(0, -over[n]);
  }
  return withValues(foam, values);
}

/** A ground of bare foam with its skin on, measured. */
export function* groundOver(foam: Ground, skin: SkinField): Generator<undefined, Ground> {
  const grid = yield* skinOver(foam.grid, skin);
  yield;
  return measureGround(foam.outline, grid, foam.built, foam.guessed);
}
