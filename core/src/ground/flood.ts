/** Fills a ground from its edge inwards (priority flood): where water would stand, and the way it comes. */
import { type Grid, insideRing, type Ring } from '../geometry/index.ts';
import { toEnd } from '../kernel/index.ts';

/** A grid filled from its edge inwards. */
export interface Flood {
  /** Height at which water on each node would run off, mm: its own, or that of the lowest sill on its way out. */
  spill: Float64Array;
  /** The nodes in the order in which the flood reached them, lowest first; those off the base are among the first. */
  order: Int32Array;
  /** From which node the flood came: where water goes that has no lower neighbour. -1 for nodes at the edge. */
  from: Int32Array;
}

/**
 * Priority flood (Barnes, Lehman and Mulla 2014, Computers and Geosciences 62, from memory): water runs off over the edge of the base, an
 * outline of more than four corners being taken node by node.
 */
export const flood = (grid: Grid, outline: Ring): Flood => toEnd(floodIn(grid, outline));

/** So many nodes are reached between two yields. */
const NODES_EACH = 20_000;

/** The same, yielding between pieces of work. */
export function* floodIn(
  { columns, rows, cellMm, originMm, values: z }: Grid,
  outline: Ring,
): Generator<undefined, Flood> {
  const count = columns * rows;
  const spill = new Float64Array(count).fill(Number.POSITIVE_INFINITY);
  const order = new Int32Array(count);
  const from = new Int32Array(count).fill(-1);
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
  yield;
  let reached = 0;
  for (let n = heap.pop(); n >= 0; n = heap.pop()) {
    order[reached++] = n;
    if (reached % NODES_EACH === 0) yield;
    const i = n % columns;
    for (let dj = -1; dj <= 1; dj++)
      for (let di = -1; di <= 1; di++) {
        const m = n + dj * columns + di;
        if (m < 0 || m >= count || i + di < 0 || i + di >= columns || spill[m] !== Number.POSITIVE_INFINITY) continue;
        spill[m] = Math.max(z[m], spill[n]);
        from[m] = n;
        heap.push(m);
      }
  }
  return { spill, order, from };
}

/** Every second or third node of a fine grid, so that no more than `most` are left. */
export function thinnedTo(most: number, grid: Grid): Grid {
  const stride = Math.max(1, Math.ceil(Math.sqrt((grid.columns * grid.rows) / most)));
  if (stride === 1) return grid;
  const columns = Math.floor((grid.columns - 1) / stride) + 1;
  const rows = Math.floor((grid.rows - 1) / stride) + 1;
  const values = new Float64Array(columns * rows);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) values[j * columns + i] = grid.values[j * stride * grid.columns + i * stride];
  return { columns, rows, cellMm: grid.cellMm * stride, originMm: grid.originMm, values };
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
