import { forEachCellIn } from '../geometry/index.ts';
import type { Ground } from '../ground/index.ts';
import { askables, bulkMm, type Coat, type Project, recipeOf, type When } from '../project/index.ts';
import { type Ask, asks, OFF_BASE, readingsFor, type ZonesRead } from '../zones/index.ts';

/** How thick the skin is where: `thicknessMm[k]` at the nodes of class k; `node` is null where it is the same everywhere. */
export interface SkinField {
  thicknessMm: number[];
  node: Uint8Array | null;
}

/** A zone with the id of what it wears, and how much of the true surface each coat is meant for, mm2 (its share not yet taken). */
export interface WornZone {
  id: string | null;
  recipe: string;
  planMm2: number;
  trueMm2: number;
  coatMm2: number[];
}

export interface Worn {
  zones: WornZone[];
  skin: SkinField;
}

type Wearer = Pick<Project, 'patches' | 'landforms' | 'laid' | 'recipes' | 'surface' | 'materials'>;

const unlimited = (when: When) => askables.every((what) => when[what] === null);

/**
 * Recipes on the ground: one pass over its cells finds for each zone how much ground each of its coats is meant for, and how thick the skin is there. Skins of
 * more than eight thicknesses are rounded until eight are left.
 */
export function* wornOf(project: Wearer, ground: Ground, { zones, map }: ZonesRead): Generator<undefined, Worn> {
  const coats = zones.flatMap((zone) => recipeOf(project, zone.recipe).coats);
  const readings = yield* readingsFor(project, ground, coats);
  const everything: Ask = () => true;
  const worn = zones.map((zone): WornZone & { holds: Ask[]; bulk: number[]; limited: boolean } => {
    const recipe = recipeOf(project, zone.recipe);
    const holds = recipe.coats.map(({ when }) => (unlimited(when) ? everything : asks(when, readings)));
    return {
      id: zone.id,
      recipe: recipe.id,
      planMm2: zone.planMm2,
      trueMm2: zone.trueMm2,
      coatMm2: recipe.coats.map(() => 0),
      holds,
      bulk: recipe.coats.map((coat: Coat) => bulkMm(project, coat)),
      limited: holds.some((hold) => hold !== everything),
    };
  });
  const whole = worn.map(({ bulk }) => bulk.reduce((sum, mm) => sum + mm, 0));
  const { grid, coverage } = ground;
  const across = grid.columns - 1;
  const thickness = new Float32Array(map.zone.length).fill(Number.NaN);
  const some = worn.some(({ limited }) => limited);
  for (let k = 0; k < worn.length; k++) if (!worn[k].limited) worn[k].coatMm2.fill(worn[k].trueMm2);
  if (some)
    yield* forEachCellIn(grid, coverage, (cell, area, height, sx, sy) => {
      const zone = worn[map.zone[cell]];
      if (!zone?.limited) return;
      const x = grid.originMm[0] + ((cell % across) + 0.5) * grid.cellMm;
      const y = grid.originMm[1] + (Math.floor(cell / across) + 0.5) * grid.cellMm;
      const sloped = area * Math.sqrt(1 + sx * sx + sy * sy);
      let mm = 0;
      for (let k = 0; k < zone.holds.length; k++)
        if (zone.holds[k](x, y, height, sx, sy)) {
          zone.coatMm2[k] += sloped;
          mm += zone.bulk[k];
        }
      thickness[cell] = mm;
    });
  for (let cell = 0; cell < thickness.length; cell++) {
    const zone = map.zone[cell];
    if (zone !== OFF_BASE && Number.isNaN(thickness[cell])) thickness[cell] = whole[zone];
  }
  yield;
  const rest = whole[whole.length - 1] ?? 0;
  return {
    zones: worn.map(({ holds: _, bulk: __, limited: ___, ...zone }) => zone),
    skin: skinField(thickness, grid.columns, grid.rows, rest),
  };
}

/** Skins told apart: more would take an erosion of the ground each. */
const MOST_SKINS = 8;

/** Thickness by node from that by cell: a node has that of the first cell round it that lies on the base. */
function skinField(cells: Float32Array, columns: number, rows: number, restMm: number): SkinField {
  const { thicknessMm, classOf } = classes(cells);
  if (thicknessMm.length <= 1) return { thicknessMm: thicknessMm.length ? thicknessMm : [restMm], node: null };
  const across = columns - 1;
  const node = new Uint8Array(columns * rows);
  const rest = classOf(restMm);
  for (let j = 0, n = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, n++) {
      node[n] = rest;
      search: for (const v of [j, j - 1])
        for (const u of [i, i - 1]) {
          if (u < 0 || v < 0 || u >= across || v >= rows - 1) continue;
          const mm = cells[v * across + u];
          if (Number.isNaN(mm)) continue;
          node[n] = classOf(mm);
          break search;
        }
    }
  return { thicknessMm, node };
}

function classes(cells: Float32Array): { thicknessMm: number[]; classOf: (mm: number) => number } {
  for (let step = 0.01; ; step *= 2) {
    const found = new Map<number, number>();
    const thicknessMm: number[] = [];
    let before = Number.NaN;
    for (const mm of cells) {
      if (mm === before || Number.isNaN(mm)) continue;
      before = mm;
      const rounded = Math.round(mm / step);
      if (found.has(rounded)) continue;
      found.set(rounded, thicknessMm.length);
      thicknessMm.push(Math.round(rounded * step * 1000) / 1000);
      if (thicknessMm.length > MOST_SKINS) break;
    }
    if (thicknessMm.length <= MOST_SKINS)
      return { thicknessMm, classOf: (mm) => found.get(Math.round(mm / step)) ?? 0 };
  }
}
