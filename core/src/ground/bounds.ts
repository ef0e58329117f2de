import { type Grid, insideRing, ringArea } from '../geometry/index.ts';
import type { Pins } from './lattice.ts';
import type { ShapeLine } from './shapeLines.ts';

/** Between which heights each node of a lattice must lie, mm. */
export interface Bounds {
  lower: Float64Array;
  upper: Float64Array;
  /** 1 for the nodes of a flat. */
  flat: Uint8Array;
}

/** A patch of nodes with no line between them, and the lines that touch it with the heights they have there. */
interface Patch {
  sample: number;
  touches: Map<number, Reach>;
  /** Lines that have this patch on both sides: they end inside it. */
  endingHere: Set<number>;
}

interface Reach {
  low: number;
  high: number;
}

const widen = (reach: Reach | undefined, height: number): Reach =>
  reach ? { low: Math.min(reach.low, height), high: Math.max(reach.high, height) } : { low: height, high: height };

/**
 * The rule that keeps the ground sensible between lines:
 * - inside a level line, and between two lines of one height, the ground is flat at that height;
 * - between lines and spots of different heights it stays between the lowest and the highest of them;
 * - beyond a last line it goes on the way it came (falling below the lowest, rising above the highest) by less than one interval,
 *   since otherwise the builder would have drawn the next line; round the free end of a line it may do either; and it is never below
 *   the top of the baseboard;
 * - beyond the crest or the foot of a cliff alone it lies at that height.
 */
export function boundsOfLines(grid: Grid, lines: readonly ShapeLine[], pins: Pins): Bounds {
  const { columns, rows } = grid;
  const label = labelPatches(columns, rows, pins.blocked);
  const patches = gatherPatches(label, pins);
  const reaches = reachesOf(lines.length, pins);
  const intervals = intervalsOf(reaches, patches);
  const limits = patches.map((patch) => limitsOf(patch, grid, lines, reaches, intervals, patches));
  const lower = new Float64Array(columns * rows);
  const upper = new Float64Array(columns * rows);
  const flat = new Uint8Array(columns * rows);
  const low = Float64Array.from(limits, (limit) => limit[0]);
  const high = Float64Array.from(limits, (limit) => limit[1]);
  for (let n = 0; n < label.length; n++) {
    lower[n] = low[label[n]];
    upper[n] = high[label[n]];
    if (lower[n] === upper[n]) flat[n] = 1;
  }
  // A node that a line runs through has the line's height and nothing else.
  for (let k = 0; k < pins.heights.length; k++) {
    if (lines[pins.marks[k]].points.length === 1) continue;
    for (let s = 0; s < 4; s++)
      if (pins.weights[4 * k + s] > 1 - 1e-9)
        lower[pins.nodes[4 * k + s]] = upper[pins.nodes[4 * k + s]] = pins.heights[k];
  }
  return { lower, upper, flat };
}

/** Lowest and highest pin of each line; null for a line that pins nothing. */
function reachesOf(count: number, pins: Pins): (Reach | null)[] {
  const reaches = new Array<Reach | null>(count).fill(null);
  for (let k = 0; k < pins.heights.length; k++)
    reaches[pins.marks[k]] = widen(reaches[pins.marks[k]] ?? undefined, pins.heights[k]);
  return reaches;
}

/** Numbers the patches of nodes that can be reached without crossing a line. */
function labelPatches(columns: number, rows: number, blocked: Uint8Array): Int32Array {
  const label = new Int32Array(columns * rows).fill(-1);
  const stack = new Int32Array(columns * rows);
  let count = 0;
  for (let start = 0; start < label.length; start++) {
    if (label[start] >= 0) continue;
    let depth = 0;
    stack[depth++] = start;
    label[start] = count;
    while (depth) {
      const n = stack[--depth];
      const i = n % columns;
      for (let side = 0; side < 4; side++) {
        let other = -1;
        if (side === 0 && i + 1 < columns && !(blocked[n] & 1)) other = n + 1;
        if (side === 1 && i > 0 && !(blocked[n - 1] & 1)) other = n - 1;
        if (side === 2 && n + columns < label.length && !(blocked[n] & 2)) other = n + columns;
        if (side === 3 && n >= columns && !(blocked[n - columns] & 2)) other = n - columns;
        if (other < 0 || label[other] >= 0) continue;
        label[other] = count;
        stack[depth++] = other;
      }
    }
    count++;
  }
  return label;
}

function gatherPatches(label: Int32Array, pins: Pins): Patch[] {
  const patches: Patch[] = [];
  for (let n = 0; n < label.length; n++)
    if (!patches[label[n]]) patches[label[n]] = { sample: n, touches: new Map(), endingHere: new Set() };
  const ends = edgeEnds(pins);
  for (let k = 0; k < pins.heights.length; k++) {
    const [a, b] = [pins.nodes[4 * k], pins.nodes[4 * k + 1]];
    const edge = ends.get(edgeKey(a, b));
    const isEdge = pins.weights[4 * k + 2] === 0 && pins.weights[4 * k + 3] === 0 && a !== b && edge;
    const touched = isEdge
      ? [...(edge.first === k ? [label[a]] : []), ...(edge.last === k ? [label[b]] : [])]
      : [0, 1, 2, 3].filter((s) => pins.weights[4 * k + s] > 1e-9).map((s) => label[pins.nodes[4 * k + s]]);
    const line = pins.marks[k];
    for (const patch of touched) {
      const { touches } = patches[patch];
      touches.set(line, widen(touches.get(line), pins.heights[k]));
    }
    // A line that only grazes a node has one patch on both sides there without ending in it.
    const t = pins.weights[4 * k + 1];
    const crosses = t > 1e-9 && t < 1 - 1e-9;
    if (isEdge && crosses && touched.length === 2 && touched[0] === touched[1])
      patches[touched[0]].endingHere.add(line);
  }
  return patches;
}

const edgeKey = (a: number, b: number) => 2 * a + (b === a + 1 ? 0 : 1);

/** Where several lines cross one lattice edge, only the first touches the node it begins at and only the last the node it ends at. */
function edgeEnds(pins: Pins): Map<number, { first: number; last: number }> {
  const ends = new Map<number, { first: number; last: number }>();
  for (let k = 0; k < pins.heights.length; k++) {
    const loose = pins.weights[4 * k + 2] !== 0 || pins.weights[4 * k + 3] !== 0;
    if (loose || pins.nodes[4 * k] === pins.nodes[4 * k + 1]) continue;
    const key = edgeKey(pins.nodes[4 * k], pins.nodes[4 * k + 1]);
    const end = ends.get(key);
    const t = pins.weights[4 * k + 1];
    if (!end) ends.set(key, { first: k, last: k });
    else {
      if (t < pins.weights[4 * end.first + 1]) end.first = k;
      if (t > pins.weights[4 * end.last + 1]) end.last = k;
    }
  }
  return ends;
}

/** The least gap in height between one reach and others that are not the same; infinite where there is none. */
function nearestGap(reach: Reach, others: Iterable<Reach | null>): number {
  let gap = Number.POSITIVE_INFINITY;
  for (const other of others) {
    if (!other) continue;
    const apart = Math.max(other.low - reach.high, reach.low - other.high);
    if (apart > 1e-9 && apart < gap) gap = apart;
  }
  return gap;
}

/** For each line, the height step to the nearest other height that shares a patch with it; failing that the nearest height anywhere, or its own. */
function intervalsOf(reaches: readonly (Reach | null)[], patches: readonly Patch[]): number[] {
  const gaps = reaches.map(() => Number.POSITIVE_INFINITY);
  for (const { touches } of patches)
    for (const [line, reach] of touches) gaps[line] = Math.min(gaps[line], nearestGap(reach, touches.values()));
  return gaps.map((gap, k) => {
    const reach = reaches[k];
    if (Number.isFinite(gap) || !reach) return Number.isFinite(gap) ? gap : 0;
    const anywhere = nearestGap(reach, reaches);
    return Number.isFinite(anywhere) ? anywhere : reach.high;
  });
}

function limitsOf(
  patch: Patch,
  grid: Grid,
  lines: readonly ShapeLine[],
  reaches: readonly (Reach | null)[],
  intervals: readonly number[],
  patches: readonly Patch[],
): [number, number] {
  const touching = [...patch.touches];
  if (!touching.length) return [0, Math.max(0, ...reaches.map((reach) => reach?.high ?? 0))];
  const x = grid.originMm[0] + (patch.sample % grid.columns) * grid.cellMm;
  const y = grid.originMm[1] + Math.floor(patch.sample / grid.columns) * grid.cellMm;
  const levels = touching
    .map(([k]) => lines[k])
    .filter((line) => line.level && insideRing(line.points, x, y))
    .sort((a, b) => Math.abs(ringArea(a.points)) - Math.abs(ringArea(b.points)));
  if (levels.length && levels[0].heights) return [levels[0].heights[0], levels[0].heights[0]];
  const [lowest, { low }] = touching.reduce((a, b) => (b[1].low < a[1].low ? b : a));
  const [highest, { high }] = touching.reduce((a, b) => (b[1].high > a[1].high ? b : a));
  const drawnLines = touching.filter(([k]) => lines[k].points.length > 1).length;
  const openEnded = patch.endingHere.size > 0;
  // The slope of a face tells nothing about the ground beyond its crest or its foot.
  if (touching.every(([k]) => lines[k].fold || lines[k].sides)) return [low, high];
  if (low === high && (drawnLines === 0 || touching.length > 1) && !openEnded) return [low, low];
  if (low !== high && touching.length > 1 && !openEnded) return [low, high];
  const trend = openEnded ? { above: true, below: true } : beyondLine(patch, lowest, { low, high }, patches);
  const down = trend.above || !trend.below ? intervals[lowest] : 0;
  const up = trend.below || !trend.above ? intervals[highest] : 0;
  return [Math.max(0, low - down), high + up];
}

/** Whether higher or lower ground lies across the one line that borders a patch. */
function beyondLine(
  patch: Patch,
  line: number,
  { low, high }: Reach,
  patches: readonly Patch[],
): { above: boolean; below: boolean } {
  const across = patches
    .filter((other) => other !== patch && other.touches.has(line))
    .flatMap((other) => [...other.touches.values()]);
  return { above: across.some((reach) => reach.high > high), below: across.some((reach) => reach.low < low) };
}
