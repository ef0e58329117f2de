/** Depth of paste over a stack, square to the surface, mm: cell by cell from ground, target and foam, as a histogram. */
import { type Grid, outlineHeight } from '../geometry/index.ts';
import type { AreaMap } from './areas.ts';

export type Laid = { topMm: number; outlineAtMm: readonly number[] };

/** How deep paste (fill and skin together) lies under the finished ground, square to the surface, mm. */
export interface PasteDepth {
  /** 95 % of the true surface is not deeper than this. */
  most95Mm: number;
  deepestMm: number;
}

/** The base parted by cell: `of[cell]` from 0 to `count` - 1, anything else is not counted. */
export interface Split {
  of: Uint8Array;
  count: number;
}

/** Where wedges of foam take the place of fill, but for a skim of paste over them: 1 by cell. */
export interface WedgeCells {
  cells: Uint8Array;
  skimMm: number;
}

/** The paste of one part of the base. */
export interface PartPaste extends PasteDepth {
  deepestCell: number;
  /** True surface by depth, mm2: bin k is from k to k + 1 times `BIN_MM`. */
  byDepthMm2: Float64Array;
  /** Upright, from the foam up to the target and from there to the ground, as the cells tell it. */
  fillMl: number;
  skinMl: number;
  /** Foam of wedges where there would be fill. */
  wedgeMl: number;
}

export const BIN_MM = 0.05;

/** So many rows are looked at between two yields. */
const ROWS_EACH = 24;

/** Where a cell is looked at: its middle, or the middles of its quarters. */
const WHOLE: readonly (readonly [number, number])[] = [[0.5, 0.5]];
const QUARTERS: readonly (readonly [number, number])[] = [
  [0.25, 0.25],
  [0.75, 0.25],
  [0.25, 0.75],
  [0.75, 0.75],
];

/**
 * Paste part by part (one part where the base is not parted), over all parts together, and for a parted base the mean depth of each cell, mm.
 *
 * Depth square to the surface = (ground - foam after carving) x cosine of the slope, over the true surface. A cell through which an outline or
 * a top runs is looked at in its four quarters; where paste fills up to a rising target the area is spread over the depths it runs through; the deepest spot also where the edge of a layer passes through the cell, since paste lies deepest just outside it.
 */
export function* pasteByPart(
  ground: Grid,
  target: Grid,
  coverage: Float32Array | null,
  steps: readonly Laid[],
  { node, areas }: Pick<AreaMap, 'node' | 'areas'>,
  split: Split | null,
  wedges: WedgeCells | null = null,
): Generator<undefined, { parts: PartPaste[]; whole: PasteDepth; depthMm: Float32Array | null }> {
  const z = ground.values;
  const t = target.values;
  const { columns, rows } = ground;
  const bins = Math.ceil(highestOf(z) / BIN_MM) + 3;
  const sums = Array.from({ length: split?.count ?? 1 }, () => ({
    rises: new Float64Array(bins),
    total: 0,
    deepestMm: 0,
    deepestCell: -1,
    fill: 0,
    skin: 0,
    wedge: 0,
  }));
  const depthMm = split ? new Float32Array((columns - 1) * (rows - 1)) : null;
  const rules = areas.map((_, area) => foamRule(steps, area));
  for (let j = 0, cell = 0; j < rows - 1; j++) {
    if (j % ROWS_EACH === ROWS_EACH - 1) yield;
    for (let i = 0; i < columns - 1; i++, cell++) {
      const areaMm2 = (coverage ? coverage[cell] : 1) * ground.cellMm * ground.cellMm;
      const sum = sums[split ? split.of[cell] : 0];
      if (areaMm2 === 0 || !sum) continue;
      const a = j * columns + i;
      const [za, zb, zc, zd] = [z[a], z[a + 1], z[a + columns], z[a + columns + 1]];
      const [ta, tb, tc, td] = [t[a], t[a + 1], t[a + columns], t[a + columns + 1]];
      const foam = rules[node ? node[a] : 0];
      const steep = steepness(za, zb, zc, zd, (i + j) & 1, ground.cellMm);
      const lowest = Math.min(ta, tb, tc, td);
      const highest = Math.max(ta, tb, tc, td);
      const above = layersUpTo(foam, lowest);
      const foamTop = above === 0 ? 0 : foam.tops[above - 1];
      const oneTop = foam.edges[above] === undefined || foam.edges[above] > highest;
      const area = areaMm2 * steep;
      // Most cells lie wholly under one top, or wholly over it: no outline and no top runs through them.
      const parts = oneTop && (highest <= foamTop || lowest >= foamTop) ? WHOLE : QUARTERS;
      const reach = (highest - lowest) / (parts === WHOLE ? 2 : 4) / steep;
      for (const [x, y] of parts) {
        const targetMm = blend(ta, tb, tc, td, x, y);
        const layersMm = foamLeftAt(foam, targetMm);
        const foamMm = wedges?.cells[cell] ? Math.max(layersMm, targetMm - wedges.skimMm) : layersMm;
        sum.wedge += (areaMm2 * (foamMm - layersMm)) / parts.length;
        const depth = Math.max(0, (blend(za, zb, zc, zd, x, y) - foamMm) / steep);
        spread(sum.rises, depth, foamMm < targetMm ? Math.min(reach, depth) : 0, area / parts.length);
        sum.fill += (areaMm2 * Math.max(0, targetMm - foamMm)) / parts.length;
        if (depthMm) depthMm[cell] += depth / parts.length;
        if (depth > sum.deepestMm) {
          sum.deepestMm = depth;
          sum.deepestCell = cell;
        }
      }
      sum.skin += (areaMm2 * (za + zb + zc + zd - Math.max(0, ta + tb + tc + td))) / 4;
      sum.total += area;
      for (let k = above; k < foam.edges.length && foam.edges[k] <= highest; k++) {
        const skin = (za + zb + zc + zd - ta - tb - tc - td) / 4;
        const depth = (skin + foam.edges[k] - foamLeftAt(foam, foam.edges[k] - BIN_MM)) / steep;
        if (depth > sum.deepestMm && !wedges?.cells[cell]) {
          sum.deepestMm = depth;
          sum.deepestCell = cell;
        }
      }
    }
  }
  yield;
  const parts = sums.map(({ rises, total, deepestMm, deepestCell, fill, skin, wedge }): PartPaste => {
    // From here on `rises` holds the area of each bin.
    for (let bin = 1; bin < rises.length; bin++) rises[bin] += rises[bin - 1];
    return {
      ...depthsIn([rises], total, deepestMm),
      deepestCell,
      byDepthMm2: rises,
      fillMl: fill / 1000,
      skinMl: skin / 1000,
      wedgeMl: wedge / 1000,
    };
  });
  const whole = depthsIn(
    parts.map(({ byDepthMm2 }) => byDepthMm2),
    sums.reduce((all, { total }) => all + total, 0),
    Math.max(0, ...parts.map(({ deepestMm }) => deepestMm)),
  );
  return { parts, whole, depthMm };
}

/** The fill of a stack by cell, upright at its middle, mm; 0 off the base. */
export function fillByCell(
  target: Grid,
  coverage: Float32Array | null,
  steps: readonly Laid[],
  { node, areas }: Pick<AreaMap, 'node' | 'areas'>,
): Float32Array {
  const { columns, rows, values: t } = target;
  const fill = new Float32Array((columns - 1) * (rows - 1));
  const rules = areas.map((_, area) => foamRule(steps, area));
  for (let j = 0, cell = 0; j < rows - 1; j++)
    for (let i = 0; i < columns - 1; i++, cell++) {
      if (coverage && coverage[cell] === 0) continue;
      const a = j * columns + i;
      const targetMm = (t[a] + t[a + 1] + t[a + columns] + t[a + columns + 1]) / 4;
      fill[cell] = Math.max(0, targetMm - foamLeftAt(rules[node ? node[a] : 0], targetMm));
    }
  return fill;
}

/** Of areas by depth, taken together: the depth that 95 % of them do not exceed. */
function depthsIn(byDepthMm2: readonly Float64Array[], totalMm2: number, deepestMm: number): PasteDepth {
  let below = 0;
  for (let bin = 0; bin < (byDepthMm2[0]?.length ?? 0); bin++) {
    for (const area of byDepthMm2) below += area[bin];
    if (below >= 0.95 * totalMm2) return { most95Mm: Math.min(deepestMm, (bin + 0.5) * BIN_MM), deepestMm };
  }
  return { most95Mm: deepestMm, deepestMm };
}

/** The heights at which the layers' outlines are cut, from below, their tops, and how many outlines lie at or under the foot of each bin. */
interface FoamRule {
  edges: Float64Array;
  tops: Float64Array;
  table: Uint8Array;
}

function foamRule(steps: readonly Laid[], area: number): FoamRule {
  const edges = Float64Array.from(steps, (step) => outlineHeight(step.outlineAtMm[area]));
  const tops = Float64Array.from(steps, (step) => step.topMm);
  const table = new Uint8Array(Math.ceil((edges.at(-1) ?? 0) / BIN_MM) + 1);
  for (let bin = 0, layer = 0; bin < table.length; bin++) {
    while (layer < edges.length && bin * BIN_MM >= edges[layer]) layer++;
    table[bin] = layer;
  }
  return { edges, tops, table };
}

/** How many layers' outlines reach a height of the target. */
function layersUpTo({ edges, table }: FoamRule, targetMm: number): number {
  const bin = Math.floor(targetMm / BIN_MM);
  let layer = bin < 0 ? 0 : table[Math.min(bin, table.length - 1)];
  while (layer < edges.length && targetMm >= edges[layer]) layer++;
  return layer;
}

/** Foam after carving where the target stands at `targetMm`: the top of the highest layer whose outline reaches there, cut down to the target. */
function foamLeftAt(foam: FoamRule, targetMm: number): number {
  const layer = layersUpTo(foam, targetMm);
  return layer === 0 ? 0 : Math.max(0, Math.min(targetMm, foam.tops[layer - 1]));
}

/** sqrt(1 + gradient^2) of the steeper of a cell's two triangles: on a ridge the mean of both would be too flat. */
function steepness(a: number, b: number, c: number, d: number, leaning: number, cellMm: number): number {
  const first = (b - a) ** 2 + (leaning ? c - a : d - b) ** 2;
  const second = (d - c) ** 2 + (leaning ? d - b : c - a) ** 2;
  return Math.sqrt(1 + Math.max(first, second) / cellMm ** 2);
}

/** Adds an area evenly to the bins from `depth - reach` to `depth + reach`: `rises` holds by how much each bin has more than the one before. */
function spread(rises: Float64Array, depth: number, reach: number, area: number): void {
  const from = Math.floor((depth - reach) / BIN_MM);
  const to = Math.min(rises.length - 2, Math.floor((depth + reach) / BIN_MM));
  if (to < from) return;
  const share = area / (to - from + 1);
  rises[from] += share;
  rises[to + 1] -= share;
}

/** Bilinear height in a cell with the corners a b (near) and c d (far), x and y from 0 to 1. */
const blend = (a: number, b: number, c: number, d: number, x: number, y: number) =>
  (1 - y) * (a + x * (b - a)) + y * (c + x * (d - c));

function highestOf(values: ArrayLike<number>): number {
  let highest = 0;
  for (let n = 0; n < values.length; n++) if (values[n] > highest) highest = values[n];
  return highest;
}
