/** Paste of a stack zone by zone: volumes (ml) that add up to the stack's, depths (mm) with their areas. */
import type { Grid } from '../geometry/index.ts';
import type { ZoneMap } from '../zones/index.ts';
import type { Land, LayerPlan } from './layers.ts';
import { BIN_MM, type PasteDepth, pasteByPart } from './pasteDepth.ts';
import { roomVolumes } from './roomVolumes.ts';
import { type Wedge, wedgesOf } from './wedges.ts';

/** What paste a zone takes, and how deep it lies there. */
export interface ZonePaste {
  /** Rooms and laid-in things taken off; over all zones they add up to the fill and the skin of the stack. */
  fillMl: number;
  skinMl: number;
  most95Mm: number;
  deepestMm: number;
  deepestAt: readonly [number, number] | null;
  /** Share of the zone's true surface (percent) at which paste is deeper than 0, 1, 2 ... mm. */
  deeperThanPercent: number[];
  /** True surface by depth of paste, from the thinnest up. */
  depths: Depth[];
}

/** So much ground lies under so much paste. */
export interface Depth {
  mm: number;
  areaMm2: number;
}

/** The depth that 95 % of some ground does not exceed, mm. */
export function most95Of(depths: readonly Depth[]): number {
  const rising = [...depths].sort((a, b) => a.mm - b.mm);
  const all = rising.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  let below = 0;
  for (const { mm, areaMm2 } of rising) {
    below += areaMm2;
    if (below >= 0.95 * all) return mm;
  }
  return 0;
}

export interface PasteMap {
  zones: ZonePaste[];
  /** Over all zones together. */
  whole: PasteDepth;
  /** Depth of paste by cell, square to the surface, mm. */
  depthMm: Float32Array;
  /** Wedges of offcut in place of fill; null where none are wanted. */
  wedges: { list: Wedge[]; foamMl: number } | null;
}

/** Paste of a stack, zone by zone. What the cells tell is stretched (by parts of a per cent) to what the solids tell, so that nothing is lost between zones. */
export function* pasteOfZones(
  land: Land,
  plan: LayerPlan,
  skinMl: number,
  zones: ZoneMap,
  count: number,
  wedged: { fromMm: number; skimMm: number } | null = null,
): Generator<undefined, PasteMap> {
  const { ground, target, map, rooms } = land;
  const wedges = wedged ? wedgesOf(land, plan.layers, wedged) : null;
  if (wedges) yield;
  const split = { of: zones.zone, count };
  const { parts, whole, depthMm } = yield* pasteByPart(
    ground.grid,
    target.grid,
    ground.coverage,
    plan.layers,
    map,
    split,
    wedges,
  );
  // What the cells tell of wedges, stretched as the fill is.
  const sumOf = (each: (part: (typeof parts)[number]) => number) => parts.reduce((sum, part) => sum + each(part), 0);
  const [filled, wedgedMl] = [sumOf(({ fillMl }) => fillMl), sumOf(({ wedgeMl }) => wedgeMl)];
  const gapMl = plan.fillMl + plan.rooms.fillMl;
  const wedgeMl = filled + wedgedMl > 0 ? (wedgedMl * gapMl) / (filled + wedgedMl) : 0;
  yield;
  const taken = parts.map(() => ({ fill: 0, skin: 0 }));
  roomVolumes(rooms, ground, target.grid, map, plan.layers, (node, fillMl, roomSkinMl) => {
    const zone = taken[zoneAt(ground.grid, zones, node)];
    if (!zone) return;
    zone.fill += fillMl;
    zone.skin += roomSkinMl;
  });
  yield;
  const fills = shared(
    parts.map(({ fillMl }) => fillMl),
    gapMl - wedgeMl,
    taken.map(({ fill }) => fill),
    Math.max(0, plan.fillMl - wedgeMl),
  );
  const skins = shared(
    parts.map((part) => part.skinMl),
    skinMl,
    taken.map(({ skin }) => skin),
    skinMl - plan.rooms.skinMl,
  );
  return {
    whole,
    depthMm: depthMm ?? new Float32Array(0),
    wedges: wedges && { list: wedges.list, foamMl: wedgeMl },
    zones: parts.map((part, k) => ({
      fillMl: fills[k],
      skinMl: skins[k],
      most95Mm: part.most95Mm,
      deepestMm: part.deepestMm,
      deepestAt: middleOf(ground.grid, part.deepestCell),
      deeperThanPercent: deeperThan(part.byDepthMm2),
      depths: depthsOf(part.byDepthMm2, part.deepestMm),
    })),
  };
}

/** Volumes stretched to add up to `whole`, less what is taken of each, stretched to add up to `left`. */
function shared(volumes: number[], whole: number, taken: number[], left: number): number[] {
  const all = volumes.reduce((sum, ml) => sum + ml, 0);
  const kept = volumes.map((ml, k) => Math.max(0, (all > 0 ? (ml * whole) / all : 0) - taken[k]));
  const rest = kept.reduce((sum, ml) => sum + ml, 0);
  return kept.map((ml) => (rest > 0 ? (ml * Math.max(0, left)) / rest : 0));
}

/** The zone of a node: that of the first cell round it that lies on the base. */
function zoneAt({ columns, rows }: Grid, { zone, columns: across }: ZoneMap, node: number): number {
  const i = node % columns;
  const j = Math.floor(node / columns);
  for (const v of [j, j - 1])
    for (const u of [i, i - 1])
      if (u >= 0 && v >= 0 && u < across && v < rows - 1 && zone[v * across + u] !== 255) return zone[v * across + u];
  return 255;
}

function middleOf({ columns, cellMm, originMm }: Grid, cell: number): [number, number] | null {
  if (cell < 0) return null;
  const across = columns - 1;
  return [originMm[0] + ((cell % across) + 0.5) * cellMm, originMm[1] + (Math.floor(cell / across) + 0.5) * cellMm];
}

function depthsOf(byDepthMm2: Float64Array, deepestMm: number): Depth[] {
  const depths: Depth[] = [];
  byDepthMm2.forEach((areaMm2, bin) => {
    // What is left of the sums of areas that were added and taken away again is no ground.
    if (areaMm2 > 1e-6) depths.push({ mm: Math.min(deepestMm, (bin + 0.5) * BIN_MM), areaMm2 });
  });
  return depths;
}

function deeperThan(byDepthMm2: Float64Array): number[] {
  const all = byDepthMm2.reduce((sum, area) => sum + area, 0);
  if (!(all > 0)) return [];
  const perMm = Math.round(1 / BIN_MM);
  const curve: number[] = [];
  let left = all;
  for (let bin = 0; left > 1e-4 * all; bin++) {
    if (bin % perMm === 0) curve.push((100 * left) / all);
    left -= byDepthMm2[bin] ?? left;
  }
  return [...curve, 0];
}
