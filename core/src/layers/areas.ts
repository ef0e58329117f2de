/** Parts the base into areas that are built in ways of their own: by outline, zone or slope, cell by cell. */
import { distanceTo, forEachCell, type Grid, heightAt, insideRing, smoothed, withValues } from '../geometry/index.ts';
import type { Ground } from '../ground/index.ts';
import { nearestOn } from '../ground/index.ts';
import { type BuildArea, isClosed, type Landform, type Project, runOf } from '../project/index.ts';
import type { ZoneArea, ZoneMap } from '../zones/index.ts';

/** The base parted into areas that are built in different ways; the last one is the rest. Every place belongs to one. */
export interface AreaMap {
  /** Null is the rest of the base. */
  areas: (BuildArea | null)[];
  /** By node: how far inside an area it lies; positive within, about mm near the border. Null where there is only the rest. */
  inside: Float32Array[] | null;
  /** By node, the place of its area in the list; null where there is only the rest. */
  node: Uint8Array | null;
  /** By cell, the share of it that lies on the base and in the area; null is all of it. */
  coverage: (Float32Array | null)[];
}

/** Borders of areas are smoothed over so much, so that they can be cut, mm. */
const SMOOTH_MM = 6;
/** A steep face takes so much ground round it along, so that its edges are made in the same way, mm. */
const ROUND_STEEP_MM = 4;

/** Parts the base. An area of a zone or landform that is not there has no place. */
export function areasOf(
  project: Pick<Project, 'stacking' | 'landforms'>,
  ground: Ground,
  zones: { map: ZoneMap; zones: readonly ZoneArea[] },
): AreaMap {
  const { areas } = project.stacking;
  if (!areas.length) return { areas: [null], inside: null, node: null, coverage: [ground.coverage] };
  const { grid } = ground;
  const shares = areas.map(
    (area) => smoothed(withValues(grid, placesOf(area, project, ground, zones)), SMOOTH_MM).values,
  );
  // Where areas overlap the later one counts, and the rest takes what they leave.
  const nodes = grid.values.length;
  const left = new Float32Array(nodes).fill(1);
  const own: Float32Array[] = [];
  for (let a = areas.length - 1; a >= 0; a--) {
    const share = new Float32Array(nodes);
    for (let n = 0; n < nodes; n++) {
      share[n] = Math.min(left[n], shares[a][n]);
      left[n] -= share[n];
    }
    own.unshift(share);
  }
  own.push(left);
  const node = new Uint8Array(nodes);
  const inside = own.map(() => new Float32Array(nodes));
  for (let n = 0; n < nodes; n++) {
    let [best, second] = [0, -1];
    for (let a = 1; a < own.length; a++)
      if (own[a][n] > own[best][n]) [best, second] = [a, best];
      else if (second < 0 || own[a][n] > own[second][n]) second = a;
    node[n] = best;
    for (let a = 0; a < own.length; a++)
      inside[a][n] = SMOOTH_MM * (own[a][n] - (a === best ? own[second][n] : own[best][n]));
  }
  return { areas: [...areas, null], inside, node, coverage: coverageBy(grid, ground.coverage, inside, node) };
}

/** 1 at every node that lies in an area, 0 elsewhere. */
function placesOf(
  { of }: BuildArea,
  { landforms }: Pick<Project, 'landforms'>,
  ground: Ground,
  { map, zones }: { map: ZoneMap; zones: readonly ZoneArea[] },
): Float64Array {
  const { grid } = ground;
  const { columns, rows } = grid;
  const places = new Float64Array(columns * rows);
  if (of.kind === 'zone') {
    const zone = zones.findIndex(({ id }) => id === of.id);
    if (zone < 0) return places;
    for (let j = 0; j < rows; j++)
      for (let i = 0; i < columns; i++)
        if (map.zone[Math.min(j, map.rows - 1) * map.columns + Math.min(i, map.columns - 1)] === zone)
          places[j * columns + i] = 1;
    return places;
  }
  if (of.kind === 'steeper') return steepPlaces(grid, of.degrees);
  const form = landforms.find(({ id }) => id === of.id);
  return form ? formPlaces(grid, form) : places;
}

function steepPlaces(grid: Grid, degrees: number): Float64Array {
  const across = grid.columns - 1;
  const limit = Math.tan((degrees * Math.PI) / 180);
  const steep = new Uint8Array(grid.values.length);
  forEachCell(grid, null, (cell, _area, _height, slopeX, slopeY) => {
    if (Math.hypot(slopeX, slopeY) >= limit) steep[Math.floor(cell / across) * grid.columns + (cell % across)] = 1;
  });
  return distanceTo(grid, steep).map((mm) => (mm <= ROUND_STEEP_MM ? 1 : 0));
}

/** How far to the sides of its line a landform reaches, mm. */
function halfWidth(form: Landform): number {
  if (form.kind === 'cliff') {
    const rise = Math.abs(form.topMm - form.footMm);
    return ROUND_STEEP_MM + rise / Math.tan((form.faceDegrees * Math.PI) / 180);
  }
  if (form.kind === 'terraces') return form.count * form.treadMm;
  return 'widthMm' in form ? form.widthMm / 2 : ROUND_STEEP_MM;
}

function formPlaces(grid: Grid, form: Landform): Float64Array {
  const { columns, rows, cellMm, originMm } = grid;
  const run = runOf(form);
  const half = isClosed(form) ? 0 : halfWidth(form);
  const xs = run.map(([x]) => x);
  const ys = run.map(([, y]) => y);
  const [x0, x1] = [Math.min(...xs) - half, Math.max(...xs) + half];
  const [y0, y1] = [Math.min(...ys) - half, Math.max(...ys) + half];
  const places = new Float64Array(columns * rows);
  for (let j = 0; j < rows; j++) {
    const y = originMm[1] + j * cellMm;
    if (y < y0 || y > y1) continue;
    for (let i = 0; i < columns; i++) {
      const x = originMm[0] + i * cellMm;
      if (x < x0 || x > x1) continue;
      if (half ? nearestOn(run, x, y).distanceMm <= half : insideRing(run, x, y)) places[j * columns + i] = 1;
    }
  }
  return places;
}

/** Each cell's share on the base, given to the areas by the middles of its quarters. */
function coverageBy(
  { columns, rows }: Grid,
  coverage: Float32Array | null,
  inside: readonly Float32Array[],
  node: Uint8Array,
): Float32Array[] {
  const by = inside.map(() => new Float32Array((columns - 1) * (rows - 1)));
  for (let j = 0, cell = 0; j < rows - 1; j++)
    for (let i = 0; i < columns - 1; i++, cell++) {
      const share = coverage ? coverage[cell] : 1;
      if (share === 0) continue;
      const a = j * columns + i;
      const [b, c, d] = [a + 1, a + columns, a + columns + 1];
      if (node[a] === node[b] && node[a] === node[c] && node[a] === node[d]) {
        by[node[a]][cell] = share;
        continue;
      }
      for (const y of [0.25, 0.75])
        for (const x of [0.25, 0.75]) {
          let best = 0;
          let most = Number.NEGATIVE_INFINITY;
          inside.forEach((field, k) => {
            const value = (1 - y) * ((1 - x) * field[a] + x * field[b]) + y * ((1 - x) * field[c] + x * field[d]);
            if (value > most) [best, most] = [k, value];
          });
          by[best][cell] += share / 4;
        }
    }
  return by;
}

/** The area of a place on the base. */
export function areaAt(
  { node }: Pick<AreaMap, 'node'>,
  { columns, rows, cellMm, originMm }: Grid,
  x: number,
  y: number,
): number {
  if (!node) return 0;
  const i = Math.min(columns - 1, Math.max(0, Math.round((x - originMm[0]) / cellMm)));
  const j = Math.min(rows - 1, Math.max(0, Math.round((y - originMm[1]) / cellMm)));
  return node[j * columns + i];
}

/** Sampled so coarsely a field is read between its nodes. */
export function sampledOn(lattice: Grid, coarse: Grid): Grid {
  const { columns, rows, cellMm, originMm } = lattice;
  const values = new Float64Array(columns * rows);
  for (let j = 0, n = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, n++)
      values[n] = heightAt(coarse, originMm[0] + i * cellMm, originMm[1] + j * cellMm);
  return withValues(lattice, values);
}
