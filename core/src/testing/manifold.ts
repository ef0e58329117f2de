import Module, { type CrossSection, type Manifold } from 'manifold-3d';
import { footprints, type Grid, type Polygon, type Ring, ringsOf, withValues } from '../geometry/index.ts';

/** Solids by the `manifold-3d` package: an independent reckoning of volumes. */
export async function solids() {
  const wasm = await Module();
  wasm.setup();
  const flat = (rings: readonly Ring[]): CrossSection =>
    new wasm.CrossSection(
      rings.map((ring) => ring.map(([x, y]) => [x, y] as [number, number])),
      'EvenOdd',
    );

  /** A plate between two heights. */
  const plate = (pieces: readonly Polygon[], fromMm: number, toMm: number): Manifold =>
    flat(ringsOf(pieces))
      .extrude(toMm - fromMm)
      .translate(0, 0, fromMm);

  /** What lies under a field of heights and over 0, within an outline. Two flat triangles a cell, as the core has them. */
  function under({ columns, rows, cellMm, originMm, values }: Grid, outline: Ring): Manifold {
    const nodes = columns * rows;
    const vertices = new Float32Array(6 * nodes);
    for (let n = 0; n < nodes; n++) {
      const x = originMm[0] + (n % columns) * cellMm;
      const y = originMm[1] + Math.floor(n / columns) * cellMm;
      vertices.set([x, y, values[n]], 3 * n);
      vertices.set([x, y, -50], 3 * (nodes + n));
    }
    const triangles: number[] = [];
    for (let j = 0; j < rows - 1; j++)
      for (let i = 0; i < columns - 1; i++) {
        const a = j * columns + i;
        const [b, c, d] = [a + 1, a + columns, a + columns + 1];
        const top = (i + j) & 1 ? [a, b, c, b, d, c] : [a, b, d, a, d, c];
        triangles.push(...top);
        for (let k = 0; k < 6; k += 3) triangles.push(top[k] + nodes, top[k + 2] + nodes, top[k + 1] + nodes);
      }
    const rim: number[] = [];
    for (let i = 0; i < columns - 1; i++) rim.push(i);
    for (let j = 0; j < rows - 1; j++) rim.push(j * columns + columns - 1);
    for (let i = columns - 1; i > 0; i--) rim.push((rows - 1) * columns + i);
    for (let j = rows - 1; j > 0; j--) rim.push(j * columns);
    rim.forEach((from, k) => {
      const to = rim[(k + 1) % rim.length];
      triangles.push(from + nodes, to + nodes, to, from + nodes, to, from);
    });
    const mesh = new wasm.Mesh({ numProp: 3, vertProperties: vertices, triVerts: Uint32Array.from(triangles) });
    return new wasm.Manifold(mesh).intersect(plate([{ outer: outline, holes: [] }], 0, 3000));
  }

  /** A room as slices `stepMm` thick, each cut half way up it. */
  function room(
    grid: Grid,
    within: (x: number, y: number) => { insideMm: number; floorMm: number; roofMm: number },
    lowMm: number,
    highMm: number,
    stepMm = 1,
  ): Manifold {
    const { columns, rows, cellMm, originMm } = grid;
    const places = Array.from({ length: columns * rows }, (_, n) =>
      within(originMm[0] + (n % columns) * cellMm, originMm[1] + Math.floor(n / columns) * cellMm),
    );
    const slices: Manifold[] = [];
    for (let z = lowMm; z < highMm; z += stepMm) {
      const middle = z + stepMm / 2;
      const field = places.map(({ insideMm, floorMm, roofMm }) =>
        Math.min(insideMm, middle - floorMm, roofMm - middle),
      );
      const pieces = footprints(withValues(grid, Float64Array.from(field)), [0])[0];
      if (pieces.length) slices.push(plate(pieces, z, z + stepMm));
    }
    return wasm.Manifold.union(slices);
  }
  return { plate, under, room };
}
