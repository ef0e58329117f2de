import { type Grid, insideRing, ringArea } from '../geometry/index.ts';
import type { Contour, Mark } from '../project/index.ts';
import type { Pins } from './lattice.ts';

/** Between which heights each node of a lattice must lie, mm. */
export interface Bounds {
  lower: Float64Array;
  upper: Float64Array;
  /** 1 for the nodes of a flat. */
  flat: Uint8Array;
}

/** A patch of nodes with no line between them, and the marks that touch it. */
interface Patch {
  sample: number;
  marks: Set<number>;
  /** Lines that have this patch on both sides: they end inside it. */
  endingHere: Set<number>;
}

/**
 * The rule that keeps the ground sensible between lines:
 * - inside a level line, and between two lines of one height, the ground is flat at that height;
 * - between lines and spots of different heights it stays between the lowest and the highest of them;
 * - beyond a last line it goes on the way it came (falling below the lowest, rising above the highest) by less than one interval,
 *   since otherwise the builder would have drawn the next line; round the free end of a line it may do either; and it is never below
 *   the top of the baseboard.
 */
export function boundsOfMarks(grid: Grid, marks: readonly Mark[], pins: Pins): Bounds {
  const { columns, rows } = grid;
  const label = labelPatches(columns, rows, pins.blocked);
  const patches = gatherPatches(label, pins);
  const intervals = intervalsOf(marks, patches);
  const limits = patches.map((patch) => limitsOf(patch, grid, marks, intervals, patches));
  const lower = new Float64Array(columns * rows);
  const upper = new Float64Array(columns * rows);
  const flat = new Uint8Array(columns * rows);
  for (let n = 0; n < label.length; n++) {
    [lower[n], upper[n]] = limits[label[n]];
    if (lower[n] === upper[n]) flat[n] = 1;
  }
  // A node that a line runs through has the line's height and nothing else.
  for (let k = 0; k < pins.heights.length; k++) {
    if (marks[pins.marks[k]].kind === 'spot') continue;
    for (let s = 0; s < 4; s++)
      if (pins.weights[4 * k + s] > 1 - 1e-9)
        lower[pins.nodes[4 * k + s]] = upper[pins.nodes[4 * k + s]] = pins.heights[k];
  }
  return { lower, upper, flat };
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
    if (!patches[label[n]]) patches[label[n]] = { sample: n, marks: new Set(), endingHere: new Set() };
  const ends = edgeEnds(pins);
  for (let k = 0; k < pins.heights.length; k++) {
    const [a, b] = [pins.nodes[4 * k], pins.nodes[4 * k + 1]];
    const edge = ends.get(edgeKey(a, b));
    const isEdge = pins.weights[4 * k + 2] === 0 && pins.weights[4 * k + 3] === 0 && edge;
    const touched = isEdge
      ? [...(edge.first === k ? [label[a]] : []), ...(edge.last === k ? [label[b]] : [])]
      : [0, 1, 2, 3].filter((s) => pins.weights[4 * k + s] > 1e-9).map((s) => label[pins.nodes[4 * k + s]]);
    for (const patch of touched) patches[patch].marks.add(pins.marks[k]);
    // A line that only grazes a node has one patch on both sides there without ending in it.
    const t = pins.weights[4 * k + 1];
    const crosses = t > 1e-9 && t < 1 - 1e-9;
    if (isEdge && crosses && touched.length === 2 && touched[0] === touched[1])
      patches[touched[0]].endingHere.add(pins.marks[k]);
  }
  return patches;
}

const edgeKey = (a: number, b: number) => 2 * a + (b === a + 1 ? 0 : 1);

/** Where several lines cross one lattice edge, only the first touches the node it begins at and only the last the node it ends at. */
function edgeEnds(pins: Pins): Map<number, { first: number; last: number }> {
  const ends = new Map<number, { first: number; last: number }>();
  for (let k = 0; k < pins.heights.length; k++) {
    if (pins.weights[4 * k + 2] !== 0 || pins.weights[4 * k + 3] !== 0) continue;
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

/** For each mark, the height step to the nearest other height that shares a patch with it; failing that the nearest height anywhere, or its own. */
function intervalsOf(marks: readonly Mark[], patches: readonly Patch[]): number[] {
  const nearest = (height: number, others: Iterable<number>) => {
    let step = Number.POSITIVE_INFINITY;
    for (const other of others) {
      const apart = Math.abs(marks[other].heightMm - height);
      if (apart > 1e-9 && apart < step) step = apart;
    }
    return step;
  };
  const steps = marks.map(() => Number.POSITIVE_INFINITY);
  for (const patch of patches)
    for (const mark of patch.marks) steps[mark] = Math.min(steps[mark], nearest(marks[mark].heightMm, patch.marks));
  return steps.map((step, k) => {
    if (Number.isFinite(step)) return step;
    const anywhere = nearest(marks[k].heightMm, marks.keys());
    return Number.isFinite(anywhere) ? anywhere : marks[k].heightMm;
  });
}

function limitsOf(
  patch: Patch,
  grid: Grid,
  marks: readonly Mark[],
  intervals: readonly number[],
  patches: readonly Patch[],
): [number, number] {
  const touching = [...patch.marks];
  if (!touching.length) return [0, Math.max(0, ...marks.map((mark) => mark.heightMm))];
  const x = grid.originMm[0] + (patch.sample % grid.columns) * grid.cellMm;
  const y = grid.originMm[1] + Math.floor(patch.sample / grid.columns) * grid.cellMm;
  const levels = touching
    .map((k) => marks[k])
    .filter((mark): mark is Contour => mark.kind === 'contour' && mark.level && insideRing(mark.points, x, y))
    .sort((a, b) => Math.abs(ringArea(a.points)) - Math.abs(ringArea(b.points)));
  if (levels.length) return [levels[0].heightMm, levels[0].heightMm];
  const lowest = touching.reduce((a, b) => (marks[b].heightMm < marks[a].heightMm ? b : a));
  const highest = touching.reduce((a, b) => (marks[b].heightMm > marks[a].heightMm ? b : a));
  const low = marks[lowest].heightMm;
  const high = marks[highest].heightMm;
  const lines = touching.filter((k) => marks[k].kind === 'contour').length;
  const openEnded = patch.endingHere.size > 0;
  if (low === high && (lines === 0 || touching.length > 1) && !openEnded) return [low, low];
  if (low !== high && !openEnded) return [low, high];
  const trend = openEnded ? { above: true, below: true } : beyondLine(patch, lowest, marks, patches);
  const down = trend.above || !trend.below ? intervals[lowest] : 0;
  const up = trend.below || !trend.above ? intervals[highest] : 0;
  return [Math.max(0, low - down), high + up];
}

/** Whether higher or lower ground lies across the one line that borders a patch. */
function beyondLine(
  patch: Patch,
  line: number,
  marks: readonly Mark[],
  patches: readonly Patch[],
): { above: boolean; below: boolean } {
  const heights = patches
    .filter((other) => other !== patch && other.marks.has(line))
    .flatMap((other) => [...other.marks].map((k) => marks[k].heightMm));
  const height = marks[line].heightMm;
  return { above: heights.some((other) => other > height), below: heights.some((other) => other < height) };
}
