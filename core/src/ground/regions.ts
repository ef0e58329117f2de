/** Parts a lattice into the regions that lines bound (flood fill) and gives each the rule by which its heights are known. */
import { type Grid, insideRing, type Point, ringArea } from '../geometry/index.ts';
import { type Constraints, edgeEnds } from './constraints.ts';
import type { ShapeLine } from './shapeLines.ts';

/** What is known of the heights in one region, the ground between lines. */
export type Rule =
  /** Of one height. */
  | { kind: 'flat'; heightMm: number }
  /** Between the lowest and the highest of what borders it and lies in it. */
  | { kind: 'between'; lowMm: number; highMm: number }
  /** Beyond the last line: it goes on the way it came. */
  | { kind: 'open' }
  /** Round the lowest closed lines of hills: it goes on and runs out softly under the lowest of them (`feet.ts`). */
  | { kind: 'foot'; heightMm: number; bands: readonly (readonly number[])[] }
  /** Inside the last closed lines: a summit or a hollow that rises above the highest or falls below the lowest of them by less than so much. */
  | { kind: 'cap'; lowMm: number; highMm: number; upMm: number; downMm: number };

/** How a lattice falls into regions that lines part from one another. */
export interface Regions {
  /** The region of each node. */
  label: Int32Array;
  rules: readonly Rule[];
  /** Per region: 1 where no line, spot or rule says how high it is. */
  guessed: Uint8Array;
  /** 1 for the nodes of a flat, 2 for a node that a line runs through: it has a height and nothing else. */
  held: Uint8Array;
  /** The heights of held nodes, mm. */
  heightMm: Float64Array;
}

/** Fewer nodes than these between lines are no ground of their own. */
const LEAST_NODES = 12;

/** A hollow keeps some ground over the board: it falls by no more than this share of its rim's height. */
const OVER_THE_BOARD = 0.75;

export const FLAT = 1;
export const ON_LINE = 2;

/** A patch of nodes with no line between them, and the lines that touch it with the heights they have there. */
interface Patch {
  sample: number;
  touches: Map<number, Reach>;
  /** Lines that have this patch on both sides: they end inside it. */
  endingHere: Set<number>;
  /** Whether it reaches the edge of the lattice. */
  atEdge: boolean;
  nodes: number;
}

interface Reach {
  low: number;
  high: number;
}

/** Patches with what lies along each line: which touch it, and the two of them that reach highest and lowest by any of their lines. */
interface Net {
  patches: readonly Patch[];
  byLine: readonly { touching: number[]; highest: Extreme[]; lowest: Extreme[] }[];
}

/** How far up or down a patch reaches. */
interface Extreme {
  patch: Patch;
  mm: number;
}

/** So many patches are given their rule between two yields. */
const PATCHES_EACH = 200;

function netOf(patches: readonly Patch[], lines: number): Net {
  const byLine: Net['byLine'] = Array.from({ length: lines }, () => ({ touching: [], highest: [], lowest: [] }));
  patches.forEach((patch, k) => {
    let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
    for (const reach of patch.touches.values()) {
      low = Math.min(low, reach.low);
      high = Math.max(high, reach.high);
    }
    for (const line of patch.touches.keys()) {
      const { touching, highest, lowest } = byLine[line];
      touching.push(k);
      putExtreme(highest, { patch, mm: high }, (a, b) => b.mm - a.mm);
      putExtreme(lowest, { patch, mm: low }, (a, b) => a.mm - b.mm);
    }
  });
  return { patches, byLine };
}

/** Two are enough: one of them may be the patch that asks. */
function putExtreme(list: Extreme[], one: Extreme, order: (a: Extreme, b: Extreme) => number): void {
  list.push(one);
  list.sort(order);
  if (list.length > 2) list.pop();
}

const widen = (reach: Reach | undefined, height: number): Reach =>
  reach ? { low: Math.min(reach.low, height), high: Math.max(reach.high, height) } : { low: height, high: height };

/**
 * The rule that keeps the ground sensible between lines:
 * - inside a level line, and between two lines of one height of which not all look the same way, the ground is flat at that height;
 * - between lines of different heights it stays between the lowest and the highest of them (and of the spots that lie there);
 * - beyond a last line, and between lines of one height that are all feet or all crests, it goes on the way it came; beyond the lowest closed
 *   lines of hills it runs out softly;
 * - inside a last closed line it does so by less than one interval, since otherwise the builder would have drawn the next line; where spots
 *   or other lines lie inside, it stays between their heights and the line's;
 * - beyond the crest or the foot of a cliff alone it lies at that height.
 * The board stops it, but does not bend it: `rounding.ts` sees to that, as to the interval. Yields between pieces of work.
 */
export function* regionsOf(grid: Grid, lines: readonly ShapeLine[], pins: Constraints): Generator<undefined, Regions> {
  const { columns, rows } = grid;
  const label = labelPatches(columns, rows, pins.blocked);
  yield;
  const patches = gatherPatches(label, pins);
  addFreeEnds(patches, label, grid, lines);
  for (let j = 0, n = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, n++) {
      patches[label[n]].nodes++;
      if (i === 0 || j === 0 || i === columns - 1 || j === rows - 1) patches[label[n]].atEdge = true;
    }
  yield;
  const reaches = reachesOf(lines.length, pins);
  const intervals = intervalsOf(reaches, patches);
  const around = linesAround(grid, lines, reaches);
  const net = netOf(patches, lines.length);
  const found: [Rule, boolean][] = [];
  for (const patch of patches) {
    found.push(ruleOf(patch, grid, lines, intervals, net, around));
    if (found.length % PATCHES_EACH === 0) yield;
  }
  const rules = found.map(([rule]) => rule);
  const held = new Uint8Array(columns * rows);
  const heightMm = new Float64Array(columns * rows);
  for (let n = 0; n < label.length; n++) {
    const rule = rules[label[n]];
    if (rule.kind !== 'flat') continue;
    held[n] = FLAT;
    heightMm[n] = rule.heightMm;
  }
  // A node that a line runs through has the line's height and nothing else.
  for (let k = 0; k < pins.heights.length; k++) {
    if (lines[pins.marks[k]].points.length === 1) continue;
    for (let s = 0; s < 4; s++) {
      const n = pins.nodes[4 * k + s];
      if (pins.weights[4 * k + s] <= 1 - 1e-9) continue;
      heightMm[n] = pins.heights[k];
      if (!held[n]) held[n] = ON_LINE;
    }
  }
  return {
    label,
    rules,
    guessed: Uint8Array.from(found, ([, guessed], k) => (guessed && patches[k].nodes >= LEAST_NODES ? 1 : 0)),
    held,
    heightMm,
  };
}

/** Lowest and highest pin of each line; null for a line that pins nothing. */
function reachesOf(count: number, pins: Constraints): (Reach | null)[] {
  const reaches = new Array<Reach | null>(count).fill(null);
  for (let k = 0; k < pins.heights.length; k++)
    reaches[pins.marks[k]] = widen(reaches[pins.marks[k]] ?? undefined, pins.heights[k]);
  return reaches;
}

/**
 * Numbers the patches of nodes that can be reached without crossing a line, in the order of their first nodes: connected components by one pass
 * along the rows, each node joined to the one before it and the one below it (union by least number), and one pass that numbers them.
 */
function labelPatches(columns: number, rows: number, blocked: Uint8Array): Int32Array {
  const label = new Int32Array(columns * rows);
  // The first node of each part, and what it has been joined to.
  const joined: number[] = [];
  const rootOf = (part: number) => {
    let root = part;
    while (joined[root] !== root) root = joined[root];
    joined[part] = root;
    return root;
  };
  for (let n = 0; n < label.length; n++) {
    const before = n % columns && !(blocked[n - 1] & 1) ? label[n - 1] : -1;
    const below = n >= columns && !(blocked[n - columns] & 2) ? label[n - columns] : -1;
    if (before >= 0) label[n] = before;
    else if (below >= 0) label[n] = below;
    else label[n] = joined.push(joined.length) - 1;
    if (before < 0 || below < 0 || before === below) continue;
    const [one, other] = [rootOf(before), rootOf(below)];
    joined[Math.max(one, other)] = Math.min(one, other);
  }
  let count = 0;
  const numbers = joined.map((root, part) => (root === part ? count++ : -1));
  for (let part = 0; part < joined.length; part++) numbers[part] = numbers[rootOf(part)];
  for (let n = 0; n < label.length; n++) label[n] = numbers[label[n]];
  return label;
}

function gatherPatches(label: Int32Array, pins: Constraints): Patch[] {
  const patches: Patch[] = [];
  for (let n = 0; n < label.length; n++)
    if (!patches[label[n]])
      patches[label[n]] = { sample: n, touches: new Map(), endingHere: new Set(), atEdge: false, nodes: 0 };
  const ends = edgeEnds(pins);
  for (let k = 0; k < pins.heights.length; k++) {
    const [a, b] = [pins.nodes[4 * k], pins.nodes[4 * k + 1]];
    const edge = ends(a, b);
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

/** Lines that end in the midst of a patch have it on both sides, also where they run along nodes and cross no edge that tells. */
function addFreeEnds(patches: Patch[], label: Int32Array, grid: Grid, lines: readonly ShapeLine[]): void {
  const { columns, rows, cellMm, originMm } = grid;
  lines.forEach(({ points, closed, beyond }, line) => {
    if (closed || points.length < 2) return;
    for (const end of [points[0], points[points.length - 1]]) {
      if (beyond.some(([from]) => from === end)) continue;
      const [i, j] = [Math.floor((end[0] - originMm[0]) / cellMm), Math.floor((end[1] - originMm[1]) / cellMm)];
      if (i < 0 || j < 0 || i >= columns - 1 || j >= rows - 1) continue;
      const n = j * columns + i;
      const patch = label[n];
      // Where it ends on another line there are two patches round its end.
      if ([n + 1, n + columns, n + columns + 1].every((m) => label[m] === patch)) patches[patch].endingHere.add(line);
    }
  });
}

/** Closed lines that go round all of the lattice without touching it, the innermost first. */
function linesAround(
  { columns, rows, cellMm, originMm }: Grid,
  lines: readonly ShapeLine[],
  reaches: readonly (Reach | null)[],
): ShapeLine[] {
  const middle: Point = [originMm[0] + ((columns - 1) * cellMm) / 2, originMm[1] + ((rows - 1) * cellMm) / 2];
  return lines
    .filter((line, k) => !reaches[k] && line.closed && line.heights && insideRing(line.points, ...middle))
    .sort(byArea);
}

const byArea = (a: ShapeLine, b: ShapeLine) => Math.abs(ringArea(a.points)) - Math.abs(ringArea(b.points));

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

/** The rule of a patch, and whether its heights are a guess. */
function ruleOf(
  patch: Patch,
  grid: Grid,
  lines: readonly ShapeLine[],
  intervals: readonly number[],
  net: Net,
  around: readonly ShapeLine[],
): [Rule, boolean] {
  const touching = [...patch.touches];
  const [round] = around;
  if (!touching.length)
    // Within a line that goes round the whole base the ground lies at its height: meant so where it is level inside, else as good as known.
    return round?.heights ? [{ kind: 'flat', heightMm: round.heights[0] }, !round.level] : [{ kind: 'open' }, true];
  const x = grid.originMm[0] + (patch.sample % grid.columns) * grid.cellMm;
  const y = grid.originMm[1] + Math.floor(patch.sample / grid.columns) * grid.cellMm;
  const levels = touching
    .map(([k]) => lines[k])
    .filter((line) => line.level && insideRing(line.points, x, y))
    .sort(byArea);
  // Nothing that is drawn within it goes round this patch: it is what lies level inside.
  const within = touching.some(([k]) => lines[k].closed && insideRing(lines[k].points, x, y));
  if (!levels.length && round?.level && !within) levels.push(round);
  if (levels.length && levels[0].heights) return [{ kind: 'flat', heightMm: levels[0].heights[0] }, false];
  const lowMm = Math.min(...touching.map(([, { low }]) => low));
  const highMm = Math.max(...touching.map(([, { high }]) => high));
  const between: Rule = lowMm === highMm ? { kind: 'flat', heightMm: lowMm } : { kind: 'between', lowMm, highMm };
  // The slope of a face tells nothing about the ground beyond its crest or its foot.
  if (touching.every(([k]) => lines[k].face)) return [between, false];
  const border = touching.filter(([k]) => lines[k].points.length > 1 && (!patch.endingHere.has(k) || lines[k].face));
  const inside = touching.length - border.length;
  const [low, high] = [Math.min(...border.map(([, r]) => r.low)), Math.max(...border.map(([, r]) => r.high))];
  if (border.length > 1 && !allAlike(patch, border, lines, net, [x, y])) return [between, false];
  if (!border.length) return [{ kind: 'open' }, touching.length === 1];
  // The board goes on as the board.
  if (high <= 0 && !inside) return [{ kind: 'flat', heightMm: 0 }, false];
  if (patch.atEdge)
    return [inside ? { kind: 'open' } : (footOf(patch, border, lines, net) ?? { kind: 'open' }), !inside];
  if (inside) return [between, false];
  const step = Math.min(...border.map(([k]) => intervals[k]));
  return [{ kind: 'cap', lowMm: low, highMm: high, upMm: step, downMm: Math.min(step, OVER_THE_BOARD * low) }, true];
}

/** The rule of a patch that runs out round hills; null where it is bordered by more than their lowest closed lines. */
function footOf(patch: Patch, border: readonly [number, Reach][], lines: readonly ShapeLine[], net: Net): Rule | null {
  if (border.some(([k, reach]) => !lines[k].closed || lines[k].face || beyondLine(patch, k, reach, net).below))
    return null;
  const heightMm = Math.min(...border.map(([, { low }]) => low));
  const first = across(new Set(border.map(([k]) => k)), new Set([patch]), net);
  const { patches } = net;
  const crests = first.flatMap((k) => [...patches[k].touches]).filter(([k]) => !patch.touches.has(k));
  const second = across(new Set(crests.map(([k]) => k)), new Set([patch, ...first.map((k) => patches[k])]), net);
  return { kind: 'foot', heightMm, bands: [first, second] };
}

/** The patches that touch some of these lines, but for those already known. */
function across(lines: ReadonlySet<number>, known: ReadonlySet<Patch>, { patches, byLine }: Net): number[] {
  const found = new Set([...lines].flatMap((line) => byLine[line].touching));
  return [...found].filter((k) => !known.has(patches[k])).sort((a, b) => a - b);
}

/**
 * Whether all lines round a patch are feet, or all are crests: then the ground goes on beyond each of them. Round the foot of a hill a closed
 * line with nothing in it says nothing to what lies outside.
 */
function allAlike(
  patch: Patch,
  border: readonly [number, Reach][],
  lines: readonly ShapeLine[],
  net: Net,
  [x, y]: Point,
): boolean {
  const trends = border.map(([k, reach]) => ({ k, ...beyondLine(patch, k, reach, net) }));
  const quiet = ({ k, above, below }: (typeof trends)[0]) =>
    patch.atEdge && !above && !below && lines[k].closed && !insideRing(lines[k].points, x, y);
  const telling = trends.filter((trend) => !quiet(trend));
  if (!telling.length) return false;
  const feet = telling.every(({ above, below }) => above && !below);
  return feet || (telling.length === trends.length && telling.every(({ above, below }) => below && !above));
}

/** Whether higher or lower ground lies across a line that borders a patch. */
function beyondLine(
  patch: Patch,
  line: number,
  { low, high }: Reach,
  { byLine }: Net,
): { above: boolean; below: boolean } {
  const { highest, lowest } = byLine[line];
  return {
    above: highest.some((other) => other.patch !== patch && other.mm > high),
    below: lowest.some((other) => other.patch !== patch && other.mm < low),
  };
}
