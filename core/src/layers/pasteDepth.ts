import { forEachCell, type Grid, outlineHeight } from '../geometry/index.ts';
import type { Step } from './chooseStack.ts';

/** How deep paste (fill and skin together) lies under the finished ground, square to the surface, mm. */
export interface PasteDepth {
  /** 95 % of the true surface is not deeper than this. */
  most95Mm: number;
  deepestMm: number;
}

const BIN_MM = 0.05;

/**
 * Depth square to the surface = (ground - foam after carving) x cosine of the slope, over the true surface. Each cell is looked at in its
 * four quarters, and where paste fills up to a rising target each quarter's area is spread over the depths it runs through; the deepest spot also where the edge of a layer passes through the cell, since paste lies deepest just outside it.
 */
export function pasteDepth(
  ground: Grid,
  target: Grid,
  coverage: Float32Array | null,
  steps: readonly Step[],
): PasteDepth {
  const z = ground.values;
  const t = target.values;
  const { columns } = ground;
  const bins = new Float64Array(Math.ceil(highestOf(z) / BIN_MM) + 2);
  const edges = Float64Array.from(steps, (step) => outlineHeight(step.outlineAtMm));
  const tops = Float64Array.from(steps, (step) => step.topMm);
  let total = 0;
  let deepestMm = 0;
  forEachCell(ground, coverage, (cell, areaMm2) => {
    const a = cell + Math.floor(cell / (columns - 1));
    const b = a + 1;
    const c = a + columns;
    const d = c + 1;
    const steep = steepness(z[a], z[b], z[c], z[d], lean(cell, columns - 1), ground.cellMm);
    const lowest = Math.min(t[a], t[b], t[c], t[d]);
    const highest = Math.max(t[a], t[b], t[c], t[d]);
    // In a quarter the target runs through half of what it does in the cell.
    const reach = (highest - lowest) / 4 / steep;
    const quarterArea = (areaMm2 * steep) / 4;
    for (let q = 0; q < 4; q++) {
      const x = q & 1 ? 0.75 : 0.25;
      const y = q & 2 ? 0.75 : 0.25;
      const targetMm = blend(t[a], t[b], t[c], t[d], x, y);
      const foamMm = foamLeftAt(edges, tops, targetMm);
      const depth = Math.max(0, (blend(z[a], z[b], z[c], z[d], x, y) - foamMm) / steep);
      spread(bins, depth, foamMm < targetMm ? Math.min(reach, depth) : 0, quarterArea);
      total += quarterArea;
      if (depth > deepestMm) deepestMm = depth;
    }
    for (const edge of edges) {
      if (lowest >= edge || highest < edge) continue;
      const skin = (z[a] + z[b] + z[c] + z[d] - t[a] - t[b] - t[c] - t[d]) / 4;
      const depth = (skin + edge - foamLeftAt(edges, tops, edge - BIN_MM)) / steep;
      if (depth > deepestMm) deepestMm = depth;
    }
  });
  let below = 0;
  for (let bin = 0; bin < bins.length; bin++) {
    below += bins[bin];
    if (below >= 0.95 * total) return { most95Mm: Math.min(deepestMm, (bin + 0.5) * BIN_MM), deepestMm };
  }
  return { most95Mm: deepestMm, deepestMm };
}

/** Foam after carving where the target stands at `targetMm`: the top of the highest layer whose outline reaches there, cut down to the target. */
function foamLeftAt(edges: Float64Array, tops: Float64Array, targetMm: number): number {
  let layer = 0;
  while (layer < edges.length && targetMm >= edges[layer]) layer++;
  return layer === 0 ? 0 : Math.max(0, Math.min(targetMm, tops[layer - 1]));
}

const lean = (cell: number, across: number) => ((cell % across) + Math.floor(cell / across)) & 1;

/** sqrt(1 + gradient^2) of the steeper of a cell's two triangles: on a ridge the mean of both would be too flat. */
function steepness(a: number, b: number, c: number, d: number, leaning: number, cellMm: number): number {
  const first = (b - a) ** 2 + (leaning ? c - a : d - b) ** 2;
  const second = (d - c) ** 2 + (leaning ? d - b : c - a) ** 2;
  return Math.sqrt(1 + Math.max(first, second) / cellMm ** 2);
}

/** Adds an area evenly to the bins from `depth - reach` to `depth + reach`. */
function spread(bins: Float64Array, depth: number, reach: number, area: number): void {
  const from = Math.floor((depth - reach) / BIN_MM);
  const to = Math.min(bins.length - 1, Math.floor((depth + reach) / BIN_MM));
  for (let bin = from; bin <= to; bin++) bins[bin] += area / (to - from + 1);
}

/** Bilinear height in a cell with the corners a b (near) and c d (far), x and y from 0 to 1. */
const blend = (a: number, b: number, c: number, d: number, x: number, y: number) =>
  (1 - y) * (a + x * (b - a)) + y * (c + x * (d - c));

function highestOf(values: ArrayLike<number>): number {
  let highest = 0;
  for (let n = 0; n < values.length; n++) if (values[n] > highest) highest = values[n];
  return highest;
}
