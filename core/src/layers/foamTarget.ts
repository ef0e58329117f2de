import { type Grid, withValues } from '../geometry/index.ts';
import { toEnd } from '../kernel/index.ts';

/**
 * The foam target: the ground eroded by a ball of the skin's thickness, the highest surface that leaves `skinMm` of room in every
 * direction (below 0 where the skin alone is thicker than the ground). target(x) = min over |o| <= r of z(x + o) - sqrt(r^2 - |o|^2).
 * Taken at the lattice nodes within reach, and exactly on each flat triangle of the ground between them (where the ball touches a plane
 * of gradient g, its centre lies r g / sqrt(1 + g^2) to the side of the touching point and r / sqrt(1 + g^2) below it). Beyond the edge the
 * ground runs on as it met it.
 */
export const foamTarget = (ground: Grid, skinMm: number): Grid => toEnd(foamTargetOf(ground, skinMm));

/** Work between two yields, in nodes times what is done at each. */
const PIECE = 600_000;
/** What a face costs beside a node. */
const FACE_WORK = 16;

/** The same, yielding between pieces of work. */
export function* foamTargetOf(ground: Grid, skinMm: number): Generator<undefined, Grid> {
  if (skinMm <= 0) return ground;
  const reach = Math.ceil(skinMm / ground.cellMm - 1e-9);
  const wide = runOn(ground, reach);
  const target = new Float64Array(ground.values.length);
  for (let n = 0; n < target.length; n++) target[n] = ground.values[n] - skinMm;
  yield* touchNodes(ground, wide, reach, skinMm, target);
  yield* touchFaces(ground, wide, reach, skinMm, target);
  return withValues(ground, target);
}

/** The ground continued `reach` nodes past each edge with the slope of its last cell. */
function runOn(ground: Grid, reach: number): Grid {
  const columns = ground.columns + 2 * reach;
  const rows = ground.rows + 2 * reach;
  const values = new Float64Array(columns * rows);
  for (let j = 0; j < ground.rows; j++) {
    const row = (j + reach) * columns;
    values.set(ground.values.subarray(j * ground.columns, (j + 1) * ground.columns), row + reach);
    const first = row + reach;
    const last = first + ground.columns - 1;
    for (let k = 1; k <= reach; k++) {
      values[first - k] = values[first] + k * (values[first] - values[first + 1]);
      values[last + k] = values[last] + k * (values[last] - values[last - 1]);
    }
  }
  for (let i = 0; i < columns; i++)
    for (let k = 1; k <= reach; k++) {
      const near = reach * columns + i;
      const far = (rows - reach - 1) * columns + i;
      values[near - k * columns] = values[near] + k * (values[near] - values[near + columns]);
      values[far + k * columns] = values[far] + k * (values[far] - values[far - columns]);
    }
  return { ...ground, columns, rows, values };
}

function* touchNodes(
  ground: Grid,
  wide: Grid,
  reach: number,
  skinMm: number,
  target: Float64Array,
): Generator<undefined, void> {
  const { columns, rows, cellMm } = ground;
  const between = Math.max(1, Math.floor(PIECE / target.length));
  let passes = 0;
  for (let dj = -reach; dj <= reach; dj++)
    for (let di = -reach; di <= reach; di++) {
      const room = skinMm ** 2 - (di * di + dj * dj) * cellMm ** 2;
      if (room < 0) continue;
      const drop = Math.sqrt(room);
      for (let j = 0; j < rows; j++) {
        const from = (j + reach + dj) * wide.columns + reach + di;
        const to = j * columns;
        for (let i = 0; i < columns; i++) {
          const low = wide.values[from + i] - drop;
          if (low < target[to + i]) target[to + i] = low;
        }
      }
      if (++passes % between === 0) yield;
    }
}

/** Each triangle lowers the nodes above its shifted self: a node at x is touched when x + o lies in the triangle. */
function* touchFaces(
  ground: Grid,
  wide: Grid,
  reach: number,
  skinMm: number,
  target: Float64Array,
): Generator<undefined, void> {
  const { columns, rows, cellMm } = ground;
  const between = Math.max(1, Math.floor(PIECE / (FACE_WORK * wide.columns)));
  const z = wide.values;
  for (let j = 0; j < wide.rows - 1; j++) {
    if (j % between === between - 1) yield;
    for (let i = 0; i < wide.columns - 1; i++) {
      const n = j * wide.columns + i;
      const a = z[n];
      const b = z[n + 1];
      const c = z[n + wide.columns];
      const d = z[n + wide.columns + 1];
      const lean = (i + j) & 1;
      for (let half = 0; half < 2; half++) {
        // Gradient in mm per cell of the two triangles: corners a b d / a d c, or a b c / b d c.
        const gx = half === 0 ? b - a : d - c;
        const gy = half === 0 ? (lean ? c - a : d - b) : lean ? d - b : c - a;
        const steep = Math.sqrt(1 + (gx * gx + gy * gy) / cellMm ** 2);
        const shiftX = (skinMm * gx) / (cellMm * steep * cellMm);
        const shiftY = (skinMm * gy) / (cellMm * steep * cellMm);
        // In cells, the triangle seen from the node: node = point on triangle + shift.
        const px = i - reach + shiftX;
        const py = j - reach + shiftY;
        for (let v = Math.ceil(py); v <= py + 1; v++)
          for (let u = Math.ceil(px); u <= px + 1; u++) {
            if (u < 0 || v < 0 || u >= columns || v >= rows) continue;
            const s = u - px;
            const t = v - py;
            const inside = lean
              ? half === 0
                ? s + t <= 1 + 1e-9
                : s + t >= 1 - 1e-9
              : half === 0
                ? s >= t - 1e-9
                : s <= t + 1e-9;
            if (!inside) continue;
            const corner = lean && half === 1 ? d - gx * (1 - s) - gy * (1 - t) : a + gx * s + gy * t;
            const low = corner - skinMm / steep;
            if (low < target[v * columns + u]) target[v * columns + u] = low;
          }
      }
    }
  }
}
