import { applyStiffness } from './stiffness.ts';
import type { Storey } from './storeys.ts';

/** Ground that leaves its bounds by less than this is put back without solving again, mm. */
const SLACK_MM = 0.1;

/** Why a node is held: it has one height only, or the ground presses it against a bound. */
const FIXED = 1;
const PRESSED = 2;

/** Holds what has one height, and what lies at a bound where the coarser lattice, already at rest, was held too. */
export function holdAsBefore({ bounds, level, lattice }: Storey, coarse: Storey | undefined, z: Float64Array): void {
  const { lower, upper } = bounds;
  for (let j = 0, n = 0; j < lattice.rows; j++)
    for (let i = 0; i < lattice.columns; i++, n++) {
      level.held[n] = lower[n] === upper[n] ? FIXED : 0;
      if (level.held[n] || !coarse?.pressed || (z[n] > lower[n] && z[n] < upper[n])) continue;
      if (coarse.pressed[(j >> 1) * coarse.lattice.columns + (i >> 1)] === PRESSED) level.held[n] = PRESSED;
    }
}

/** Holds what has one height, and whatever else lies at a bound. */
export function holdAtBounds({ bounds: { lower, upper }, level }: Storey, z: Float64Array): void {
  for (let n = 0; n < z.length; n++)
    level.held[n] = lower[n] === upper[n] ? FIXED : z[n] <= lower[n] || z[n] >= upper[n] ? PRESSED : 0;
}

/** Lets go what its bounds would no longer hold, and holds what has left them. False when nothing has changed. */
export function changeHolds({ bounds, level }: Storey, z: Float64Array): boolean {
  const { lower, upper } = bounds;
  const { stiffness, held, rest: gradient } = level;
  applyStiffness(stiffness, z, gradient);
  let changed = false;
  for (let n = 0; n < z.length; n++) {
    if (held[n] === FIXED) continue;
    const before = held[n];
    if (before) {
      const g = gradient[n] - stiffness.force[n];
      if (!((z[n] <= lower[n] && g > 0) || (z[n] >= upper[n] && g < 0))) held[n] = 0;
    } else if (z[n] < lower[n] - SLACK_MM || z[n] > upper[n] + SLACK_MM) {
      held[n] = PRESSED;
      z[n] = z[n] < lower[n] ? lower[n] : upper[n];
    }
    if (held[n] !== before) changed = true;
  }
  return changed;
}

/** A coarse node is held where it cannot move itself, and beside anything that its bounds press on the fine lattice. */
export function thinHolds(fine: Storey, coarse: Storey): void {
  const { columns, rows } = fine.lattice;
  for (let j = 0, n = 0; j < coarse.lattice.rows; j++)
    for (let i = 0; i < coarse.lattice.columns; i++, n++) {
      let now = coarse.bounds.lower[n] === coarse.bounds.upper[n] ? FIXED : 0;
      if (!now)
        for (let y = Math.max(0, 2 * j - 1); y <= Math.min(rows - 1, 2 * j + 1); y++)
          for (let x = Math.max(0, 2 * i - 1); x <= Math.min(columns - 1, 2 * i + 1); x++)
            if (fine.level.held[y * columns + x] === PRESSED) now = PRESSED;
      coarse.level.held[n] = now;
    }
}
