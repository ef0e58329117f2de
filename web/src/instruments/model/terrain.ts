import { type Grid, heightAt, insideRing, outlineEdges, type Ring } from '@hosket/core';
import { BufferAttribute, BufferGeometry } from 'three';

/** The model is drawn in mm with x to the right, y up and z towards the viewer. */

/** More nodes than this make the picture no better and a software renderer slow. */
const MOST_NODES = 50_000;

/** The finished ground as a surface of triangles, thinned to what a screen shows; cells whose middle lies off the base are left out. */
export function terrainGeometry(grid: Grid, outline: Ring, depthMm: number): BufferGeometry {
  const stride = Math.max(1, Math.ceil(Math.sqrt((grid.columns * grid.rows) / MOST_NODES)));
  const columns = Math.floor((grid.columns - 1) / stride) + 1;
  const rows = Math.floor((grid.rows - 1) / stride) + 1;
  const step = grid.cellMm * stride;
  const positions = new Float32Array(3 * columns * rows);
  for (let j = 0, p = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, p += 3) {
      positions[p] = i * step;
      positions[p + 1] = grid.values[j * stride * grid.columns + i * stride];
      positions[p + 2] = depthMm - j * step;
    }
  const index: number[] = [];
  const round = outline.length > 4;
  for (let j = 0; j < rows - 1; j++)
    for (let i = 0; i < columns - 1; i++) {
      if (round && !insideRing(outline, (i + 0.5) * step, (j + 0.5) * step)) continue;
      const n = j * columns + i;
      index.push(n, n + 1, n + columns + 1, n, n + columns + 1, n + columns);
    }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  geometry.setIndex(index);
  geometry.computeVertexNormals();
  return geometry;
}

/** The sides of the ground, from its edge down to the board. */
export function skirtGeometry(grid: Grid, outline: Ring, depthMm: number, spacingMm = 2): BufferGeometry {
  const positions: number[] = [];
  for (const [[ax, ay], [bx, by]] of outlineEdges(outline)) {
    const pieces = Math.max(1, Math.ceil(Math.hypot(bx - ax, by - ay) / spacingMm));
    for (let s = 0; s < pieces; s++) {
      const [x, y] = [ax + ((bx - ax) * s) / pieces, ay + ((by - ay) * s) / pieces];
      const [u, v] = [ax + ((bx - ax) * (s + 1)) / pieces, ay + ((by - ay) * (s + 1)) / pieces];
      const a = [x, heightAt(grid, x, y), depthMm - y];
      const b = [u, heightAt(grid, u, v), depthMm - v];
      const c = [x, 0, depthMm - y];
      const d = [u, 0, depthMm - v];
      positions.push(...c, ...d, ...b, ...c, ...b, ...a);
    }
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(Float32Array.from(positions), 3));
  geometry.computeVertexNormals();
  return geometry;
}
