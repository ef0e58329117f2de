import type { Grid, Point } from '@hosket/core';
import earcut from 'earcut';

/** A closed body: corners, and triangles that run counter-clockwise seen from outside. */
export interface Solid {
  name: string;
  corners: [number, number, number][];
  faces: [number, number, number][];
}

interface Outline {
  outer: readonly Point[];
  holes: readonly (readonly Point[])[];
}

/** Outlines without corners that repeat or lie on a straight line: caps and walls must have the same corners, and the triangulator leaves such corners out. */
function bare(ring: readonly Point[]): Point[] {
  const kept = [...ring];
  for (let k = 0; k < kept.length && kept.length > 3; ) {
    const a = kept[(k + kept.length - 1) % kept.length];
    const b = kept[k];
    const c = kept[(k + 1) % kept.length];
    const turn = (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
    if (Math.abs(turn) > 1e-9) k++;
    else {
      kept.splice(k, 1);
      k = Math.max(0, k - 1);
    }
  }
  return kept;
}

const signed = (ring: readonly Point[]): number =>
  ring.reduce((sum, [x, y], k) => {
    const [u, v] = ring[(k + 1) % ring.length];
    return sum + x * v - u * y;
  }, 0);

/** A piece of a layer: its outline with its holes, from one height to another. */
export function extruded(name: string, { outer, holes }: Outline, fromMm: number, toMm: number): Solid {
  const turned = (ring: readonly Point[], left: boolean) =>
    signed(ring) > 0 === left ? [...ring] : [...ring].reverse();
  const rings = [turned(bare(outer), true), ...holes.map((hole) => turned(bare(hole), false))];
  const flat = rings.flat();
  const starts: number[] = [];
  let at = 0;
  for (const ring of rings) {
    starts.push(at);
    at += ring.length;
  }
  const caps = earcut(flat.flat(), starts.slice(1));
  const n = flat.length;
  const corners: Solid['corners'] = [
    ...flat.map(([x, y]): [number, number, number] => [x, y, fromMm]),
    ...flat.map(([x, y]): [number, number, number] => [x, y, toMm]),
  ];
  const faces: Solid['faces'] = [];
  for (let k = 0; k < caps.length; k += 3) {
    const [a, b, c] = [caps[k], caps[k + 1], caps[k + 2]];
    const up = signed([flat[a], flat[b], flat[c]]) > 0;
    const [p, q] = up ? [b, c] : [c, b];
    faces.push([a + n, p + n, q + n], [a, q, p]);
  }
  rings.forEach((ring, r) => {
    ring.forEach((_, k) => {
      const a = starts[r] + k;
      const b = starts[r] + ((k + 1) % ring.length);
      faces.push([a, b, b + n], [a, b + n, a + n]);
    });
  });
  return { name, corners, faces };
}

/**
 * The finished ground as a body on its board: the lattice on top, walls along the edge of the base, flat underneath at `bottomMm`. Each half cell is cut where the
 * base's edge runs through it (marching triangles on `inside`, the distance inside the edge at every node), so neighbours share their corners exactly.
 */
export function groundSolid(name: string, grid: Grid, inside: ArrayLike<number>, bottomMm: number): Solid {
  const { columns, rows, cellMm, originMm, values } = grid;
  const corners: Solid['corners'] = [];
  const faces: Solid['faces'] = [];
  const known = new Map<number, number>();
  /** A node, or the place on the edge between two nodes where the base ends; as a pair of corners, on top and underneath. */
  const cornerAt = (a: number, b: number): number => {
    const [low, high] = a < b ? [a, b] : [b, a];
    const key = low * columns * rows + high;
    const found = known.get(key);
    if (found !== undefined) return found;
    const t = low === high ? 0 : inside[low] / (inside[low] - inside[high]);
    const of = (node: number) => [
      originMm[0] + (node % columns) * cellMm,
      originMm[1] + Math.floor(node / columns) * cellMm,
      values[node],
    ];
    const [p, q] = [of(low), of(high)];
    const [x, y, z] = p.map((v, k) => v + t * (q[k] - v));
    const index = corners.length;
    corners.push([x, y, Math.max(z, bottomMm + LEAST_THICK_MM)], [x, y, bottomMm]);
    known.set(key, index);
    return index;
  };
  const rim = new Map<string, [number, number]>();
  const triangle = (nodes: readonly [number, number, number]) => {
    const run: number[] = [];
    for (let k = 0; k < 3; k++) {
      const [a, b] = [nodes[k], nodes[(k + 1) % 3]];
      if (inside[a] >= 0) run.push(cornerAt(a, a));
      if (inside[a] >= 0 !== inside[b] >= 0 && inside[a] !== 0 && inside[b] !== 0) run.push(cornerAt(a, b));
    }
    for (let k = 2; k < run.length; k++) {
      faces.push([run[0], run[k - 1], run[k]], [run[0] + 1, run[k] + 1, run[k - 1] + 1]);
    }
    if (run.length < 3) return;
    // An edge that no neighbour runs along the other way is part of the rim.
    run.forEach((from, k) => {
      const to = run[(k + 1) % run.length];
      if (!rim.delete(`${to} ${from}`)) rim.set(`${from} ${to}`, [from, to]);
    });
  };
  for (let j = 0; j + 1 < rows; j++)
    for (let i = 0; i + 1 < columns; i++) {
      const n = j * columns + i;
      triangle([n, n + 1, n + columns + 1]);
      triangle([n, n + columns + 1, n + columns]);
    }
  for (const [from, to] of rim.values()) faces.push([from, from + 1, to + 1], [from, to + 1, to]);
  return { name, corners, faces };
}

/** Where the ground lies on the board itself a body still needs some thickness, mm. */
const LEAST_THICK_MM = 0.05;

/** Bodies as binary STL, mm. */
export function writeStl(solids: readonly Solid[]): Uint8Array {
  const count = solids.reduce((sum, { faces }) => sum + faces.length, 0);
  const bytes = new Uint8Array(84 + 50 * count);
  const view = new DataView(bytes.buffer);
  new TextEncoder().encodeInto('Hosket, millimetres', bytes);
  view.setUint32(80, count, true);
  let at = 84;
  for (const { corners, faces } of solids)
    for (const face of faces) {
      const [a, b, c] = face.map((k) => corners[k]);
      const u = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
      const v = [c[0] - a[0], c[1] - a[1], c[2] - a[2]];
      const normal = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
      const long = Math.hypot(...normal) || 1;
      for (const value of [...normal.map((n) => n / long), ...a, ...b, ...c]) {
        view.setFloat32(at, value, true);
        at += 4;
      }
      at += 2;
    }
  return bytes;
}
