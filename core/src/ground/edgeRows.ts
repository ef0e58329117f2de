/**
 * Rows of the bending-and-tension matrix that differ from the usual stencil: near the edge of the lattice, where only the differences that
 * lie inside exist, and beside flats, where the ground may fold. A sparse matrix over those nodes.
 */
export interface EdgeRows {
  nodes: Int32Array;
  starts: Int32Array;
  columns: Int32Array;
  weights: Float64Array;
}

/** A row touches nodes at most two steps away: a window of five by five. */
const REACH = 2;
const WINDOW = 5;

interface Lattice {
  columns: number;
  rows: number;
  /** 1 for nodes of a flat: bending does not act across its rim. */
  flat: Uint8Array;
}

export function edgeRows(lattice: Lattice, tension: number): EdgeRows {
  const { columns, rows } = lattice;
  const nodes: number[] = [];
  const starts: number[] = [0];
  const places: number[] = [];
  const weights: number[] = [];
  const special = specialNodes(lattice);
  const window = new Float64Array(WINDOW * WINDOW);
  for (let n = 0; n < columns * rows; n++) {
    if (!special[n]) continue;
    const i = n % columns;
    const j = Math.floor(n / columns);
    window.fill(0);
    addBending(lattice, window, i, j);
    addTension(lattice, window, i, j, tension);
    nodes.push(n);
    for (let w = 0; w < window.length; w++) {
      if (window[w] === 0) continue;
      places.push(n + (Math.floor(w / WINDOW) - REACH) * columns + (w % WINDOW) - REACH);
      weights.push(window[w]);
    }
    starts.push(places.length);
  }
  return {
    nodes: Int32Array.from(nodes),
    starts: Int32Array.from(starts),
    columns: Int32Array.from(places),
    weights: Float64Array.from(weights),
  };
}

/** Nodes within two steps of the lattice's edge, and free nodes within two steps of a flat. */
function specialNodes({ columns, rows, flat }: Lattice): Uint8Array {
  const special = new Uint8Array(columns * rows);
  for (let j = 0, n = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, n++) {
      if (i < REACH || j < REACH || i >= columns - REACH || j >= rows - REACH) special[n] = 1;
      if (!flat[n]) continue;
      for (let dj = -REACH; dj <= REACH; dj++)
        for (let di = -REACH; di <= REACH; di++) {
          const m = n + dj * columns + di;
          if (i + di >= 0 && i + di < columns && j + dj >= 0 && j + dj < rows && !flat[m]) special[m] = 1;
        }
    }
  return special;
}

const at = (di: number, dj: number) => (dj + REACH) * WINDOW + di + REACH;

/** Bending terms that node (i, j) takes part in: second differences across and away, and twists (weight 2), none of which touch a flat. */
function addBending({ columns, rows, flat }: Lattice, window: Float64Array, i: number, j: number): void {
  const free = (di: number, dj: number) =>
    i + di >= 0 && i + di < columns && j + dj >= 0 && j + dj < rows && !flat[(j + dj) * columns + i + di];
  for (let shift = -1; shift <= 1; shift++) {
    const share = shift === 0 ? -2 : 1;
    if (free(shift - 1, 0) && free(shift, 0) && free(shift + 1, 0)) {
      window[at(shift - 1, 0)] += share;
      window[at(shift, 0)] -= 2 * share;
      window[at(shift + 1, 0)] += share;
    }
    if (free(0, shift - 1) && free(0, shift) && free(0, shift + 1)) {
      window[at(0, shift - 1)] += share;
      window[at(0, shift)] -= 2 * share;
      window[at(0, shift + 1)] += share;
    }
  }
  for (let dj = -1; dj <= 1; dj += 2)
    for (let di = -1; di <= 1; di += 2) {
      if (!(free(0, 0) && free(di, 0) && free(0, dj) && free(di, dj))) continue;
      window[at(0, 0)] += 2;
      window[at(di, 0)] -= 2;
      window[at(0, dj)] -= 2;
      window[at(di, dj)] += 2;
    }
}

/** Tension acts on every neighbour inside the lattice, flats included. */
function addTension({ columns, rows }: Lattice, window: Float64Array, i: number, j: number, tension: number): void {
  const pull = (di: number, dj: number) => {
    window[at(0, 0)] += tension;
    window[at(di, dj)] -= tension;
  };
  if (i > 0) pull(-1, 0);
  if (i < columns - 1) pull(1, 0);
  if (j > 0) pull(0, -1);
  if (j < rows - 1) pull(0, 1);
}
