/**
 * Wedges of offcut foam in the steps of a stack: connected parts of the base (flood of cells) where the fill is deeper than a skim of paste and
 * somewhere deep enough to be worth a wedge. Measures in mm and ml.
 */
import type { Grid } from '../geometry/index.ts';
import type { Land } from './layers.ts';
import { fillByCell, type Laid, type WedgeCells } from './pasteDepth.ts';

/** One wedge: it ends at nothing where the fill is no deeper than the skim. */
export interface Wedge {
  at: [number, number];
  areaMm2: number;
  /** As a strip with its area and its outline. */
  longMm: number;
  wideMm: number;
  deepMm: number;
  foamMl: number;
}

/** All wedges of a stack. */
interface Wedges extends WedgeCells {
  list: Wedge[];
}

/** Smaller ones are not worth cutting, mm2 and ml (common practice, no source). */
const LEAST_MM2 = 150;
const LEAST_ML = 1;
/** An outline told by the sides of cells is longer than the line itself, whichever way it runs: by 4 / pi on the average. */
const BY_CELLS = Math.PI / 4;

/** The wedges that a stack asks for, the largest first. */
export function wedgesOf(
  { ground, target, map }: Pick<Land, 'ground' | 'target' | 'map'>,
  layers: readonly Laid[],
  { fromMm, skimMm }: { fromMm: number; skimMm: number },
): Wedges {
  const { grid, coverage } = ground;
  const fill = fillByCell(target.grid, coverage, layers, map);
  const across = grid.columns - 1;
  const cells = new Uint8Array(fill.length);
  const seen = new Uint8Array(fill.length);
  const list: Wedge[] = [];
  for (let start = 0; start < fill.length; start++) {
    if (seen[start] || fill[start] <= fromMm) continue;
    const { part, sides } = flood(fill, across, skimMm, start, seen);
    const wedge = measured(grid, coverage, fill, part, sides, skimMm);
    if (wedge.areaMm2 < LEAST_MM2 || wedge.foamMl < LEAST_ML) continue;
    for (const cell of part) cells[cell] = 1;
    list.push(wedge);
  }
  return { cells, skimMm, list: list.sort((a, b) => b.foamMl - a.foamMl) };
}

/** The cells deeper than `skimMm` that are joined to one by their sides, and how many of their sides border others. */
function flood(fill: Float32Array, across: number, skimMm: number, start: number, seen: Uint8Array) {
  const part = [start];
  let sides = 0;
  seen[start] = 1;
  for (let k = 0; k < part.length; k++) {
    const cell = part[k];
    const column = cell % across;
    for (const [step, there] of [
      [-1, column > 0],
      [1, column < across - 1],
      [-across, cell >= across],
      [across, cell + across < fill.length],
    ] as const) {
      const next = cell + step;
      if (!there || fill[next] <= skimMm) sides++;
      else if (!seen[next]) {
        seen[next] = 1;
        part.push(next);
      }
    }
  }
  return { part, sides };
}

function measured(
  { columns, cellMm, originMm }: Grid,
  coverage: Float32Array | null,
  fill: Float32Array,
  part: readonly number[],
  sides: number,
  skimMm: number,
): Wedge {
  const across = columns - 1;
  let [areaMm2, foam, deepMm, deepest] = [0, 0, 0, part[0]];
  for (const cell of part) {
    const area = (coverage ? coverage[cell] : 1) * cellMm ** 2;
    areaMm2 += area;
    foam += (fill[cell] - skimMm) * area;
    if (fill[cell] > deepMm) [deepMm, deepest] = [fill[cell], cell];
  }
  // A strip l long and w wide has the area l w and the outline 2 (l + w).
  const half = (BY_CELLS * sides * cellMm) / 2;
  const root = Math.sqrt(Math.max(0, half * half - 4 * areaMm2));
  const longMm = (half + root) / 2;
  return {
    at: [
      originMm[0] + ((deepest % across) + 0.5) * cellMm,
      originMm[1] + (Math.floor(deepest / across) + 0.5) * cellMm,
    ],
    areaMm2,
    longMm,
    wideMm: areaMm2 / longMm,
    deepMm: deepMm - skimMm,
    foamMl: foam / 1000,
  };
}
