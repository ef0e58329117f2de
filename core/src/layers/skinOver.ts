/**
 * Finished ground over bare foam: the foam dilated by a ball of the skin's thickness, the lowest surface that leaves so much room over it in
 * every direction, ground(x) = max over |o| <= r of foam(x + o) + sqrt(r^2 - |o|^2). The mirror image of `foamTarget.ts`. Heights in mm.
 */
import { type Grid, withValues } from '../geometry/index.ts';
import { type Ground, measuredGround } from '../ground/index.ts';
import type { SkinField } from '../recipes/index.ts';
import { boardFlats } from './boardFlats.ts';
import { foamTargetOf } from './foamTarget.ts';

/** The board wears no skin where nothing was drawn on it: there it lies this far below anything that does, mm. */
const FAR_BELOW_MM = 10_000;

/** The finished heights over a grid of foam; `onBoard`: nodes at which the board itself wears a skin. Yields between pieces of work. */
export function* skinOver(
  foam: Grid,
  { thicknessMm, node }: SkinField,
  onBoard: Uint8Array | null = null,
): Generator<undefined, Grid> {
  const below = withValues(
    foam,
    foam.values.map((mm, n) => (mm > 0 || onBoard?.[n] ? -mm : FAR_BELOW_MM)),
  );
  const values = new Float64Array(foam.values.length);
  for (const [k, mm] of thicknessMm.entries()) {
    const over = (yield* foamTargetOf(below, mm)).values;
    for (let n = 0; n < values.length; n++) if (!node || node[n] === k) values[n] = Math.max(0, -over[n]);
  }
  return withValues(foam, values);
}

/** A ground of bare foam with its skin on, measured; `drawn` tells where the board wears one too. */
export function* groundOver(
  foam: Ground,
  skin: SkinField,
  drawn: Parameters<typeof boardFlats>[0],
): Generator<undefined, Ground> {
  const grid = yield* skinOver(foam.grid, skin, boardFlats(drawn, foam.grid));
  yield;
  return yield* measuredGround(foam.outline, grid, foam.built, foam.guessed);
}
