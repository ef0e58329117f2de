import { boundsOf, forEachCell, insideRing } from '../geometry/index.ts';
import type { Ground } from '../ground/index.ts';
import { toEnd } from '../kernel/index.ts';
import {
  type Askable,
  askables,
  type Between,
  type Cover,
  nameOf,
  type Project,
  recipeOf,
  runOf,
  type Zones,
} from '../project/index.ts';
import { type Reading, readingsFor } from './fields.ts';

/** How much of the base a zone covers. */
export interface ZoneArea {
  /** Of its patch or rule; null for what is left. */
  id: string | null;
  cover: Cover;
  by: 'outline' | 'rule' | 'rest';
  /** Of the recipe that it wears. */
  recipe: string;
  /** Area from above and along the slope, mm2, and the share of the base from above, percent. */
  planMm2: number;
  trueMm2: number;
  percent: number;
}

/** The same with what it is called. */
export interface ZoneRead extends ZoneArea {
  name: string;
}

/** Which zone each cell of the lattice lies in. */
export interface ZoneMap {
  columns: number;
  rows: number;
  cellMm: number;
  /** Place in the list of zones; 255 off the base. */
  zone: Uint8Array;
}

export interface ZonesRead {
  zones: ZoneArea[];
  map: ZoneMap;
}

/** More zones than this cannot be told apart; later ones go with the rest. */
const MOST_ZONES = 250;
export const OFF_BASE = 255;

/** Whether a place is meant. */
export type Ask = (x: number, y: number, z: number, sx: number, sy: number) => boolean;

/** All that a rule or a coat asks for, at once. */
export function asks(when: Record<Askable, Between | null>, readings: (what: Askable) => Reading): Ask {
  const parts = askables.flatMap((what) => {
    const limits = when[what];
    return limits ? [{ ...limits, read: readings(what) }] : [];
  });
  return (x, y, z, sx, sy) =>
    parts.every(({ from, to, read }) => {
      const value = read(x, y, z, sx, sy);
      return (from === null || value >= from) && (to === null || value < to);
    });
}

/** What zones are read from. */
type Zoned = Pick<Project, 'patches' | 'landforms' | 'laid' | 'recipes' | 'surface'> & { zones: Zones };

/**
 * Zones of the finished ground: the last patch that holds a place, else the first rule that holds there, else the rest. Every place of the base lies in
 * one zone and in no other, so that the areas add up to the base.
 */
export const zonesOf = (project: Zoned, ground: Ground): ZonesRead => toEnd(zonesFor(project, ground));

/** So many cells are put into zones between two yields. */
const CELLS_EACH = 8000;

/** The same, yielding between pieces of work. */
export function* zonesFor(project: Zoned, ground: Ground): Generator<undefined, ZonesRead> {
  const { grid, coverage } = ground;
  const across = grid.columns - 1;
  const readings = yield* readingsFor(project, ground, project.zones.rules);
  const patches = project.patches.slice(0, MOST_ZONES / 2).map((patch) => {
    const ring = runOf(patch);
    return { patch, ring, box: boundsOf(ring) };
  });
  const rules = project.zones.rules
    .slice(0, MOST_ZONES - patches.length - 1)
    .map((rule) => ({ rule, holds: asks(rule.when, readings) }));
  const wears = ({ recipe }: { recipe: string | null }) => recipeOf(project, recipe).id;
  const zones: ZoneArea[] = [
    ...patches.map(({ patch }) => zone(patch.id, patch.cover, 'outline', wears(patch))),
    ...rules.map(({ rule }) => zone(rule.id, rule.cover, 'rule', wears(rule))),
    zone(null, project.zones.rest, 'rest', wears({ recipe: null })),
  ];
  const map = new Uint8Array(across * (grid.rows - 1)).fill(OFF_BASE);
  const inPatch = (x: number, y: number) => {
    for (let k = patches.length - 1; k >= 0; k--) {
      const { ring, box } = patches[k];
      if (x >= box[0] && x <= box[2] && y >= box[1] && y <= box[3] && insideRing(ring, x, y)) return k;
    }
    return -1;
  };
  const put = (cell: number, area: number, height: number, sx: number, sy: number) => {
    const x = grid.originMm[0] + ((cell % across) + 0.5) * grid.cellMm;
    const y = grid.originMm[1] + (Math.floor(cell / across) + 0.5) * grid.cellMm;
    let k = inPatch(x, y);
    if (k < 0) {
      const found = rules.findIndex(({ holds }) => holds(x, y, height, sx, sy));
      k = found < 0 ? zones.length - 1 : patches.length + found;
    }
    map[cell] = k;
    zones[k].planMm2 += area;
    zones[k].trueMm2 += area * Math.sqrt(1 + sx * sx + sy * sy);
  };
  const rowsEach = Math.max(1, Math.floor(CELLS_EACH / across));
  for (let row = 0; row < grid.rows - 1; row += rowsEach) {
    forEachCell(grid, coverage, put, row, Math.min(row + rowsEach, grid.rows - 1));
    yield;
  }
  const whole = zones.reduce((sum, { planMm2 }) => sum + planMm2, 0);
  for (const read of zones) read.percent = whole ? (100 * read.planMm2) / whole : 0;
  return { zones, map: { columns: across, rows: grid.rows - 1, cellMm: grid.cellMm, zone: map } };
}

/** Zones with their names. */
export const namedZones = (
  { patches, zones: { rules } }: Pick<Project, 'patches' | 'zones'>,
  areas: readonly ZoneArea[],
): ZoneRead[] =>
  areas.map((area) => {
    const patch = patches.find(({ id }) => area.by === 'outline' && id === area.id);
    const rule = rules.find(({ id }) => area.by === 'rule' && id === area.id);
    return { ...area, name: patch ? nameOf(patch) : rule ? rule.name || rule.cover : 'Everything else' };
  });

const zone = (id: string | null, cover: Cover, by: ZoneArea['by'], recipe: string): ZoneArea => ({
  id,
  cover,
  by,
  recipe,
  planMm2: 0,
  trueMm2: 0,
  percent: 0,
});
