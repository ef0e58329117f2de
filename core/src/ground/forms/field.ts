import { boundsOf, crossingsAt, type Grid, type Point, type Ring } from '../../geometry/index.ts';
import { AT_EDGE_MM, withoutEdge } from './openings.ts';
import { bankReach, landRanges } from './reach.ts';

/** A part of a lattice: the columns and rows that a landform can reach. */
export interface Window {
  i0: number;
  j0: number;
  columns: number;
  rows: number;
}

/** The nodes within `reachMm` of some points. */
function windowRound(grid: Grid, points: Ring, reachMm: number): Window {
  const [x0, y0, x1, y1] = boundsOf(points);
  const cell = (mm: number, origin: number, most: number) => Math.min(most, Math.max(0, (mm - origin) / grid.cellMm));
  const i0 = Math.floor(cell(x0 - reachMm, grid.originMm[0], grid.columns - 1));
  const j0 = Math.floor(cell(y0 - reachMm, grid.originMm[1], grid.rows - 1));
  const i1 = Math.ceil(cell(x1 + reachMm, grid.originMm[0], grid.columns - 1));
  const j1 = Math.ceil(cell(y1 + reachMm, grid.originMm[1], grid.rows - 1));
  return { i0, j0, columns: i1 - i0 + 1, rows: j1 - j0 + 1 };
}

/** Calls `visit` for every node of a window: its number in the window and on the lattice, and its place. */
export function forEachNode(
  grid: Grid,
  { i0, j0, columns, rows }: Window,
  visit: (w: number, n: number, x: number, y: number) => void,
): void {
  for (let j = 0, w = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, w++)
      visit(
        w,
        (j + j0) * grid.columns + i + i0,
        grid.originMm[0] + (i + i0) * grid.cellMm,
        grid.originMm[1] + (j + j0) * grid.cellMm,
      );
}

/** What is done at a node: distance to the line, place along it, and side. */
type Visit = (w: number, distanceMm: number, alongMm: number, side: number) => void;

/** So many nodes are looked at between two yields. */
const NODES_EACH = 20_000;

/** Walks the stretches of a line over the nodes within reach of each: distance to it, place along the whole line, and which side (left is 1). */
function* overStretches(
  grid: Grid,
  window: Window,
  line: Ring,
  closed: boolean,
  reachOf: (stretch: number) => number,
  visit: Visit,
): Generator<undefined, void> {
  let [along, looked] = [0, 0];
  const last = closed ? line.length : line.length - 1;
  for (let k = 0; k < last; k++) {
    const [ax, ay] = line[k];
    const [bx, by] = line[(k + 1) % line.length];
    const length = Math.hypot(bx - ax, by - ay);
    if (length === 0) continue;
    looked += overStretch(grid, window, line[k], line[(k + 1) % line.length], reachOf(k), along, visit);
    along += length;
    if (looked < NODES_EACH) continue;
    looked = 0;
    yield;
  }
}

/** One stretch of a line, `alongMm` after its start; tells at how many nodes it looked. */
function overStretch(
  grid: Grid,
  window: Window,
  from: Point,
  to: Point,
  reachMm: number,
  alongMm: number,
  visit: Visit,
): number {
  const { cellMm, originMm } = grid;
  const [ax, ay] = from;
  const dx = to[0] - ax;
  const dy = to[1] - ay;
  const length = Math.hypot(dx, dy);
  const within = reachMm * reachMm;
  const lengths = length * length;
  const part = windowRound(grid, [from, to], reachMm);
  const i0 = Math.max(part.i0, window.i0);
  const i1 = Math.min(part.i0 + part.columns, window.i0 + window.columns);
  const j0 = Math.max(part.j0, window.j0);
  const j1 = Math.min(part.j0 + part.rows, window.j0 + window.rows);
  for (let j = j0; j < j1; j++) {
    const py = originMm[1] + j * cellMm - ay;
    for (let i = i0; i < i1; i++) {
      const px = originMm[0] + i * cellMm - ax;
      const foot = (px * dx + py * dy) / lengths;
      const t = foot > 1 ? 1 : foot > 0 ? foot : 0;
      const ex = px - t * dx;
      const ey = py - t * dy;
      const square = ex * ex + ey * ey;
      if (square <= within)
        visit(
          (j - window.j0) * window.columns + i - window.i0,
          Math.sqrt(square),
          alongMm + t * length,
          dx * py - dy * px >= 0 ? 1 : -1,
        );
    }
  }
  return Math.max(0, j1 - j0) * Math.max(0, i1 - i0);
}

/** Distance of each node of a window from an outline, mm (infinite beyond reach), and whether it lies inside. */
export interface RingField {
  window: Window;
  inside: Uint8Array;
  distance: Float64Array;
}

/**
 * `outMm` and `inMm`: how far from the outline distances are wanted, outside and inside. `edge` is the base's outline: what it cuts is open
 * there, so that for what lies inside the parts of the outline along it and beyond it count for no distance: a pond drawn to the edge has no
 * shore there.
 */
export function* ringField(
  grid: Grid,
  ring: Ring,
  outMm: number,
  inMm: number,
  edge: Ring,
): Generator<undefined, RingField> {
  const window = windowRound(grid, ring, outMm);
  const count = window.columns * window.rows;
  const inside = new Uint8Array(count);
  const distance = new Float64Array(count).fill(Number.POSITIVE_INFINITY);
  const open = withoutEdge(ring, edge);
  // Nodes on the edge of the base belong to an outline that was drawn to it: they are looked at from a little further in.
  const inward = (k: number, last: number) => (!open ? 0 : k === 0 ? AT_EDGE_MM : k === last ? -AT_EDGE_MM : 0);
  for (let j = 0; j < window.rows; j++) {
    const y = grid.originMm[1] + (j + window.j0) * grid.cellMm + inward(j + window.j0, grid.rows - 1);
    const crossings = crossingsAt(ring, y);
    for (let i = 0, passed = 0; i < window.columns; i++) {
      const x = grid.originMm[0] + (i + window.i0) * grid.cellMm + inward(i + window.i0, grid.columns - 1);
      while (passed < crossings.length && crossings[passed] < x) passed++;
      inside[j * window.columns + i] = passed % 2;
    }
  }
  const reach = Math.max(outMm, inMm);
  const measure = (line: Ring, closed: boolean, counts: (w: number) => boolean) =>
    overStretches(
      grid,
      window,
      line,
      closed,
      () => reach,
      (w, d) => {
        if (d < distance[w] && counts(w)) distance[w] = d;
      },
    );
  yield* measure(ring, true, open ? (w) => inside[w] === 0 : () => true);
  for (const line of open ?? []) yield* measure(line, false, (w) => inside[w] === 1);
  return { window, inside, distance };
}

/** A strip along a line: its own height where it is, and how low and high its banks let the land be beside it. */
export interface StripField {
  window: Window;
  /** NaN where the strip itself does not lie. */
  core: Float64Array;
  lower: Float64Array;
  upper: Float64Array;
}

/**
 * `core(along, aside)` is the strip's height, aside counted to the left from its middle line. Banks fall and rise from its edges with the given
 * gradients, until they meet the land or one another. Every stretch of the line has its say, so that banks of two legs meet without a jump.
 */
export function* stripField(
  grid: Grid,
  line: Ring,
  halfMm: number,
  core: (alongMm: number, asideMm: number) => number,
  fall: number,
  rise: number,
): Generator<undefined, StripField> {
  const reaches = stretchReaches(grid, line, halfMm, core, fall, rise);
  const window = windowRound(grid, line, halfMm + Math.max(0, ...reaches));
  const count = window.columns * window.rows;
  const field: StripField = {
    window,
    core: new Float64Array(count).fill(Number.NaN),
    lower: new Float64Array(count).fill(Number.NEGATIVE_INFINITY),
    upper: new Float64Array(count).fill(Number.POSITIVE_INFINITY),
  };
  const nearest = new Float64Array(count).fill(Number.POSITIVE_INFINITY);
  const reachOf = (stretch: number) => halfMm + reaches[stretch];
  yield* overStretches(grid, window, line, false, reachOf, (w, distance, along, side) => {
    if (distance <= halfMm) {
      if (distance >= nearest[w]) return;
      nearest[w] = distance;
      field.core[w] = core(along, side * distance);
      return;
    }
    const edge = core(along, side * halfMm);
    const out = distance - halfMm;
    field.lower[w] = Math.max(field.lower[w], edge - out * fall);
    field.upper[w] = Math.min(field.upper[w], edge + out * rise);
  });
  return field;
}

/** How far the banks of each stretch of a strip reach, from its edges, mm. */
function stretchReaches(
  grid: Grid,
  line: Ring,
  halfMm: number,
  core: (alongMm: number, asideMm: number) => number,
  fall: number,
  rise: number,
): number[] {
  const ranges = landRanges(grid);
  const edges = line.map(() => [0, 0] as [number, number]);
  let along = 0;
  for (let k = 0; k < line.length; k++) {
    if (k) along += Math.hypot(line[k][0] - line[k - 1][0], line[k][1] - line[k - 1][1]);
    const [left, right] = [core(along, halfMm), core(along, -halfMm)];
    edges[k] = [Math.min(left, right), Math.max(left, right)];
  }
  const [lowest, highest] = [Math.min(...edges.map(([low]) => low)), Math.max(...edges.map(([, high]) => high))];
  return line.slice(1).map((to, k) => {
    const box = boundsOf([line[k], to]);
    const grown = [box[0] - halfMm, box[1] - halfMm, box[2] + halfMm, box[3] + halfMm] as const;
    const lowMm = Math.min(edges[k][0], edges[k + 1][0]);
    const highMm = Math.max(edges[k][1], edges[k + 1][1]);
    return bankReach(ranges, grown, { lowMm, highMm, fall, rise }, [lowest, highest]);
  });
}

/** Land held between two bounds; where the bounds contradict each other, half way between them. */
export const heldBetween = (land: number, lower: number, upper: number): number =>
  lower > upper ? (lower + upper) / 2 : Math.min(upper, Math.max(lower, land));

/** The gradient of a slope in degrees; a wall is as steep as a number can be. */
export const gradientOf = (degrees: number): number => (degrees >= 89.9 ? 1e6 : Math.tan((degrees * Math.PI) / 180));
