/**
 * A stack measured: every layer with outlines, cut-outs, areas (mm2), volumes (ml) and what is done to it, so that foam cut less carving less
 * cut-outs is the foam left.
 */
import {
  clipRings,
  cutRings,
  type Grid,
  meetRings,
  nestRings,
  type Point,
  type Polygon,
  polygonOutline,
  ringsOf,
} from '../geometry/index.ts';
import type { Ground } from '../ground/index.ts';
import { type Base, boardOutline, type Project, type School } from '../project/index.ts';
import { lineOn, type StackModel, type Step, type StockClass, type Totals, totalsOf } from '../stack/index.ts';
import type { AreaMap } from './areas.ts';
import { dowelsBetween } from './dowels.ts';
import { footprintsOf } from './footprints.ts';
import { cutOutsOf } from './hollowing.ts';
import { type Level, type LevelPlace, levelsOf } from './levels.ts';
import { areaOf, fitsOne, type LayerPart, partsOf } from './parts.ts';
import type { Recess } from './rooms.ts';
import { type RoomVolumes, roomVolumes } from './roomVolumes.ts';
import { type RoomWork, roomInLayer, roomRegion } from './roomWork.ts';
import { type SheetsUsed, takenFrom } from './sheetsUsed.ts';
import type { Target } from './target.ts';

/** One layer as it is cut and glued. Layers count from 1 at the board. */
export interface Layer {
  index: number;
  /** The first kind of sheet it is cut from, and its slice. */
  sheetId: string;
  sliceMm: number | null;
  thicknessMm: number;
  /** The joint it lies on; its glue line is between that and its bottom. */
  fromMm: number;
  bottomMm: number;
  topMm: number;
  /** Height of the foam target that its outline follows, area by area. */
  outlineAtMm: number[];
  /** Footprint, with what is cut out of it. */
  areaMm2: number;
  /** Foam in the pieces as they are cut, before any carving. */
  cutMl: number;
  /** Where glue goes: what lies on the layer below, or on the board. */
  contactMm2: number;
  /** All that is cut: outlines, cut-outs and holes. */
  outlineMm: number;
  carveMl: number;
  /** Carved out of it by hand for rooms, ml. */
  hollowMl: number;
  fillMl: number;
  foamLeftMl: number;
  /** What is cut, holes for rooms and cut-outs left out. */
  pieces: Polygon[];
  cutOuts: Polygon[];
  cutOutMl: number;
  parts: LayerPart[];
  works: RoomWork[];
  /** Dowels in the joint under it. */
  dowels: Point[];
  /** Whether every piece can be cut whole from one sheet. */
  fitsWhole: boolean;
}

/** A stack by one school, with all that the choice between stacks turns on. */
export interface LayerPlan {
  school: School;
  layers: Layer[];
  costMin: number;
  totals: Totals;
  topMm: number;
  foamCutMl: number;
  carveMl: number;
  hollowMl: number;
  /** Paste under the skin; rooms take none. */
  fillMl: number;
  glueLineMl: number;
  foamLeftMl: number;
  /** Foam that rings or a core save, and its mass. */
  cutOutMl: number;
  savedG: number;
  /** What rooms take of foam, paste and skin. */
  rooms: RoomVolumes;
  foamMassG: { low: number; likely: number; high: number };
  levels: Level[];
  sheetsUsed: SheetsUsed[];
}

/** What layers are cut in. */
export interface Land {
  ground: Ground;
  target: Target;
  map: AreaMap;
  rooms: readonly Recess[];
  levels: readonly LevelPlace[];
}

type Shed = Pick<Project, 'base' | 'sheets' | 'offcuts' | 'stacking' | 'stack' | 'nest'>;

/** Everything that is to be measured on a stack: outlines, cut-outs, rooms, volumes, paste, levels. Yields between layers. */
export function* layerPlan(
  project: Shed,
  land: Land,
  model: StackModel,
  school: School,
  steps: readonly Step[],
  costMin: number,
): Generator<undefined, LayerPlan> {
  const { ground, target, map, rooms } = land;
  const volumes = roomVolumes(rooms, ground, target.grid, map, steps);
  yield;
  const layers = yield* layersOf(project, land, model, steps, volumes);
  const sum = (pick: (layer: Layer) => number) => layers.reduce((total, layer) => total + pick(layer), 0);
  const totals = totalsOf(model, steps);
  const massG = { low: 0, likely: 0, high: 0 };
  let savedG = 0;
  layers.forEach((layer, k) => {
    const shares = densityShares(steps[k], model.stock);
    savedG += (layer.cutOutMl * shares) / 1000;
    const { low, high } = densitySpread(steps[k], model.stock);
    massG.low += (layer.foamLeftMl * shares * low) / 1000;
    massG.likely += (layer.foamLeftMl * shares) / 1000;
    massG.high += (layer.foamLeftMl * shares * high) / 1000;
  });
  const glueLineMl = sum(({ areaMm2, fromMm }) => (areaMm2 * lineOn(model, fromMm)) / 1000);
  return {
    school,
    layers,
    costMin,
    totals,
    topMm: steps.at(-1)?.topMm ?? 0,
    foamCutMl: sum((layer) => layer.cutMl),
    carveMl: sum((layer) => layer.carveMl),
    hollowMl: sum((layer) => layer.hollowMl),
    fillMl: Math.max(0, totals.fillMl - volumes.fillMl),
    glueLineMl,
    foamLeftMl: sum((layer) => layer.foamLeftMl),
    cutOutMl: sum((layer) => layer.cutOutMl),
    savedG,
    rooms: volumes,
    foamMassG: massG,
    levels: levelsOf(land.levels, project.stack.onJoint, steps, model.stock, project.sheets),
    sheetsUsed: takenFrom(project, model.stock, totals.usedMm2),
  };
}

/** Where the lowest layer touches the board, mm2: not where it hangs over, nor over holes. */
function onBoard(base: Base, pieces: readonly Polygon[]): number {
  const board = boardOutline(base);
  if (!board) return 0;
  const { beyondMm = 0, holes = [], wave } = base.board;
  const touches = beyondMm < 0 || wave ? nestRings(clipRings(ringsOf(pieces), board)) : pieces;
  const over = holes.reduce((sum, { acrossMm }) => sum + (Math.PI / 4) * acrossMm ** 2, 0);
  return Math.max(0, areaOf(touches) - over);
}

/** Mean density of what a layer is cut from, kg/m3: by the area that each kind gives. */
function densityShares({ option, fromPoolMm2, areaMm2 }: Step, pools: readonly StockClass[]): number {
  return option.pools.reduce((sum, pool, k) => sum + (pools[pool].densityKgM3 * fromPoolMm2[k]) / areaMm2, 0);
}

/** How far the density of what a layer is cut from may lie from the likely one, as shares of it. */
function densitySpread({ option }: Step, pools: readonly StockClass[]): { low: number; high: number } {
  const { densityKgM3, densityLowKgM3, densityHighKgM3 } = pools[option.pools[0]];
  return { low: densityLowKgM3 / densityKgM3, high: densityHighKgM3 / densityKgM3 };
}

function* layersOf(
  project: Shed,
  { ground, target, map, rooms }: Land,
  model: StackModel,
  steps: readonly Step[],
  volumes: RoomVolumes,
): Generator<undefined, Layer[]> {
  const outlines = yield* footprintsOf(ground, target.grid, map, steps);
  const asked: ReturnType<typeof roomInLayer>[][] = [];
  for (const step of steps) {
    const slab = { bottomMm: step.bottomMm, topMm: step.topMm, holds: holdsOf(target.grid, map, step) };
    asked.push(rooms.map((room) => roomInLayer(target.grid, room, slab)));
    if (rooms.length) yield;
  }
  yield;
  const hollow = project.stacking.hollow;
  const cutOuts = yield* cutOutsOf(
    target.grid,
    ground.outline,
    steps.map((step, k) => ({
      footprint: outlines[k],
      topMm: step.topMm,
      rooms:
        hollow.kind === 'solid'
          ? []
          : rooms.flatMap((room) => roomRegion(target.grid, room, step.bottomMm, step.topMm)),
    })),
    hollow,
  );
  yield;
  const kept: Polygon[][] = [];
  for (const [k, outline] of outlines.entries()) {
    const gone = [...ringsOf(cutOuts[k]), ...asked[k].flatMap(({ through }) => through)];
    kept.push(gone.length ? nestRings(cutRings(ringsOf(outline), gone)) : outline);
    if (gone.length) yield;
  }
  const layers: Layer[] = [];
  for (const [k, step] of steps.entries()) {
    yield;
    const { option, thicknessMm, areaMm2, carveMl } = { ...step, thicknessMm: step.option.thicknessMm };
    const pieces = kept[k];
    const cutOutMl = (areaOf(cutOuts[k]) * thicknessMm) / 1000;
    // The curve of heights gives the footprint's area, outlines what is missing from it: so what is cut, carved and left adds up exactly.
    const cutMl = ((areaMm2 - (areaOf(outlines[k]) - areaOf(pieces))) * thicknessMm) / 1000;
    const foamLeftMl = (areaMm2 * thicknessMm) / 1000 - carveMl - cutOutMl - volumes.leftMl[k];
    const netCarveMl = Math.max(0, carveMl - volumes.carveMl[k]);
    const parts = partsOf(project.sheets, target.grid, ground.outline, map, model.stock, step, pieces);
    yield;
    const contactMm2 = k ? areaOf(touching(kept[k - 1], pieces)) : onBoard(project.base, pieces);
    yield;
    const dowels = k ? yield* dowelsBetween(kept[k - 1], pieces, project.stacking.dowel) : [];
    yield;
    layers.push({
      index: k + 1,
      sheetId: model.stock[option.pools[0]].sheetIds[0],
      sliceMm: option.sliceMm,
      thicknessMm,
      fromMm: step.fromMm,
      bottomMm: step.bottomMm,
      topMm: step.topMm,
      outlineAtMm: step.outlineAtMm,
      areaMm2,
      cutMl,
      contactMm2,
      outlineMm: pieces.reduce((length, piece) => length + polygonOutline(piece), 0),
      carveMl: netCarveMl,
      hollowMl: asked[k].some(({ works }) => works.length) ? Math.max(0, cutMl - netCarveMl - foamLeftMl) : 0,
      fillMl: step.fillMl,
      foamLeftMl,
      pieces,
      cutOuts: cutOuts[k],
      cutOutMl,
      parts,
      works: asked[k].flatMap(({ works }) => works),
      dowels,
      fitsWhole: parts.every((part) => part.pieces.every((piece) => fitsOne(piece, part, project.sheets))),
    });
  }
  return layers;
}

/** What two layers have in common; where the lower one is whole that is the upper one. */
const touching = (lower: readonly Polygon[], upper: Polygon[]): Polygon[] =>
  lower.some(({ holes }) => holes.length) ? nestRings(meetRings(ringsOf(lower), ringsOf(upper))) : upper;

/** Whether a layer's footprint holds a node. */
function holdsOf(target: Grid, map: AreaMap, { outlineAtMm }: Step): (node: number) => boolean {
  return (node) => target.values[node] >= outlineAtMm[map.node ? map.node[node] : 0] - 0.01;
}
