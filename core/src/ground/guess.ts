/** Which nodes of a ground nothing tells the height of, and how much of the base that is. */
import { type Grid, insideRing, type Ring } from '../geometry/index.ts';
import type { Regions } from './regions.ts';

/** Ground that was changed by more than this after the lines were solved was said by what changed it, mm. */
const CHANGED_MM = 0.05;
/** Ground no higher than this is the board, which is there. */
const BOARD_MM = 0.05;

/**
 * Nodes of which nothing says how high they are: beyond the lowest and above the highest line the ground only goes on the way it came. Not
 * where a landform or a tile's profile set it, nor where it has come down to the board. Null where all is said.
 */
export function guessedNodes(
  solved: { grid: Grid; free: { regions: Regions } | null },
  { values }: Grid,
): Uint8Array | null {
  const regions = solved.free?.regions;
  if (!regions?.guessed.includes(1)) return null;
  const { label, guessed, held } = regions;
  const before = solved.grid.values;
  const nodes = new Uint8Array(values.length);
  let any = false;
  for (let n = 0; n < values.length; n++) {
    if (!guessed[label[n]] || held[n] || values[n] <= BOARD_MM || Math.abs(values[n] - before[n]) > CHANGED_MM)
      continue;
    nodes[n] = 1;
    any = true;
  }
  return any ? nodes : null;
}

/** How much of the base is guessed, and the place in the largest guess that lies furthest from what is known, counted in nodes along rows. */
export function guessRead(
  outline: Ring,
  { columns, rows, cellMm, originMm }: Grid,
  guessed: Uint8Array | null,
): { guessed: Uint8Array | null; guess: { share: number; at: readonly [number, number] } | null } {
  if (!guessed) return { guessed, guess: null };
  let [all, some, longest] = [0, 0, 0];
  let at: readonly [number, number] = [0, 0];
  for (let j = 0, n = 0; j < rows; j++) {
    let run = 0;
    for (let i = 0; i < columns; i++, n++) {
      const [x, y] = [originMm[0] + i * cellMm, originMm[1] + j * cellMm];
      const on = outline.length === 4 || insideRing(outline, x, y);
      if (on) all++;
      if (!on) guessed[n] = 0;
      if (!guessed[n]) {
        run = 0;
        continue;
      }
      some++;
      run++;
      if (run > longest) [longest, at] = [run, [x - ((run - 1) * cellMm) / 2, y]];
    }
  }
  return some ? { guessed, guess: { share: some / all, at } } : { guessed: null, guess: null };
}
