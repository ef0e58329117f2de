import { type Grid, insideRing, type Point, type Ring } from '../geometry/index.ts';

/** Low ground from which water cannot run off the base. */
export interface Pool {
  /** Its lowest place. */
  at: Point;
  /** Height at which it would spill, depth there, area and volume when it is full. */
  spillMm: number;
  depthMm: number;
  areaMm2: number;
  volumeMl: number;
}

/** Pools are sought on a lattice of no more nodes than this: every second or third node of a fine one. */
const MOST_NODES = 70_000;
const LEAST_DEPTH_MM = 0.5;
const LEAST_ML = 0.3;

/**
 * Low points that would hold water, the fullest first: the ground filled from its edge inwards (priority flood: Barnes, Lehman and Mulla 2014,
 * Computers and Geosciences 62, from memory) less the ground. Water runs off over the edge of the base. Exact to the thinned lattice.
 */
export function poolsOf(grid: Grid, outline: Ring): Pool[] {
  const thin = thinned(grid);
  const { columns, rows, cellMm, originMm, values: z } = thin;
  const count = columns * rows;
  const spill = new Float64Array(count).fill(Number.POSITIVE_INFINITY);
  const heap = new Heap(spill, count);
  for (let n = 0; n < count; n++) {
    const i = n % columns;
    const j = Math.floor(n / columns);
    const edge = i === 0 || j === 0 || i === columns - 1 || j === rows - 1;
    const off = outline.length > 4 && !insideRing(outline, originMm[0] + i * cellMm, originMm[1] + j * cellMm);
    if (!edge && !off) continue;
    spill[n] = z[n];
    heap.push(n);
  }
  for (let n = heap.pop(); n >= 0; n = heap.pop()) {
    const i = n % columns;
    for (let dj = -1; dj <= 1; dj++)
      for (let di = -1; di <= 1; di++) {
        const m = n + dj * columns + di;
        if (m < 0 || m >= count || i + di < 0 || i + di >= columns || spill[m] !== Number.POSITIVE_INFINITY) continue;
        spill[m] = Math.max(z[m], spill[n]);
        heap.push(m);
      }
  }
  return gather(thin, spill);
}

function thinned(grid: Grid): Grid {
  const stride = Math.max(1, Math.ceil(Math.sqrt((grid.columns * grid.rows) / MOST_NODES)));
  if (stride === 1) return grid;
  const columns = Math.floor((grid.columns - 1) / stride) + 1;
  const rows = Math.floor((grid.rows - 1) / stride) + 1;
  const values = new Float64Array(columns * rows);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) values[j * columns + i] = grid.values[j * stride * grid.columns + i * stride];
  return { columns, rows, cellMm: grid.cellMm * stride, originMm: grid.originMm, values };
}

/** Neighbouring flooded nodes of one spill height make one pool. */
function gather({ columns, rows, cellMm, originMm, values: z }: Grid, spill: Float64Array): Pool[] {
  const seen = new Uint8Array(z.length);
  const pools: Pool[] = [];
  for (let start = 0; start < z.length; start++) {
    if (seen[start] || spill[start] - z[start] < 1e-6) continue;
    const level = spill[start];
    const stack = [start];
    seen[start] = 1;
    let deepest = start;
    let area = 0;
    let volume = 0;
    while (stack.length) {
      const n = stack.pop() ?? 0;
      area += cellMm * cellMm;
      volume += (level - z[n]) * cellMm * cellMm;
      if (z[n] < z[deepest]) deepest = n;
      const i = n % columns;
      for (const [di, step] of [
        [1, 1],
        [-1, -1],
        [0, columns],
        [0, -columns],
      ]) {
        const m = n + step;
        if (i + di < 0 || i + di >= columns || m < 0 || m >= columns * rows || seen[m]) continue;
        if (spill[m] - z[m] < 1e-6 || Math.abs(spill[m] - level) > 1e-9) continue;
        seen[m] = 1;
        stack.push(m);
      }
    }
    const depthMm = level - z[deepest];
    if (depthMm < LEAST_DEPTH_MM || volume / 1000 < LEAST_ML) continue;
    pools.push({
      at: [originMm[0] + (deepest % columns) * cellMm, originMm[1] + Math.floor(deepest / columns) * cellMm],
      spillMm: level,
      depthMm,
      areaMm2: area,
      volumeMl: volume / 1000,
    });
  }
  return pools.sort((a, b) => b.volumeMl - a.volumeMl);
}

/** Node numbers, the one of least key first. */
class Heap {
  private readonly nodes: Int32Array;
  private size = 0;
  private readonly keys: Float64Array;

  constructor(keys: Float64Array, room: number) {
    this.keys = keys;
    this.nodes = new Int32Array(room + 1);
  }

  push(node: number): void {
    const { nodes, keys } = this;
    let at = ++this.size;
    while (at > 1 && keys[nodes[at >> 1]] > keys[node]) {
      nodes[at] = nodes[at >> 1];
      at >>= 1;
    }
    nodes[at] = node;
  }

  /** The least, or -1 when none is left. */
  pop(): number {
    const { nodes, keys } = this;
    if (this.size === 0) return -1;
    const least = nodes[1];
    const last = nodes[this.size--];
    let at = 1;
    for (;;) {
      let child = 2 * at;
      if (child > this.size) break;
      if (child < this.size && keys[nodes[child + 1]] < keys[nodes[child]]) child++;
      if (keys[nodes[child]] >= keys[last]) break;
      nodes[at] = nodes[child];
      at = child;
    }
    nodes[at] = last;
    return least;
  }
}
