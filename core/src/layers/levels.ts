/** What is to be done at each level that something asks for: carve or fill so many mm, from the joints of a stack. */
import { boundsOf, type Grid, heightAt, insideRing, outlineHeight, type Point, type Ring } from '../geometry/index.ts';
import { type Built, treadsOf } from '../ground/index.ts';
import { type Tolerance, toleranceOf } from '../materials/index.ts';
import {
  type HeightsAre,
  heightIs,
  type Item,
  isClosed,
  type Landform,
  type Mark,
  nameOf,
  type Project,
  runOf,
  type Sheet,
} from '../project/index.ts';
import type { Step, StockClass } from '../stack/index.ts';
import { formatMeasure, type UnitSystem } from '../units/index.ts';
import { type AreaMap, areaAt } from './areas.ts';

/** A height that something on the base asks for. */
export interface LevelPlace {
  itemId: string;
  /** Which of its heights, where it has several: "start", "bed". */
  part: string;
  /** Whether it was drawn as bare foam or as finished ground. */
  heightIs: HeightsAre;
  /** The finished height there. */
  wantedMm: number;
  /** Where foam must end so that the skin brings it there; the middle value along the mark. */
  targetMm: number;
  /** The area it lies in, by its place in the list of areas. */
  area: number;
}

/** What stands at a contour, flat or end of a way, and what is to be done there before the skin. */
export interface Level extends Omit<LevelPlace, 'area'> {
  /** Skin over the foam there, upright. */
  skinMm: number;
  /** Whether it was asked to fall on a joint. */
  onJoint: boolean;
  foamThereMm: number;
  work: 'carve' | 'fill' | 'flush';
  workMm: number;
  /** The layer carved, or the joint filled over; 0 is the board. */
  layer: number;
  /** "carve 7.8 mm from layer 2". */
  instruction: string;
  /** How far the foam there may lie from where it should, mm below and above: if sheets err apart (root-sum-square), and if all err alike. */
  errorMixed: Tolerance;
  errorWorst: Tolerance;
}

/** Less than this is neither carved nor filled on purpose, mm. */
const FLUSH_WORK_MM = 0.3;

/**
 * Every height that items ask for, with where its foam must end; those off the base are left out, as are flats of which nothing is left under
 * what was built on them. Yields between items.
 */
export function* levelPlaces(
  heights: HeightsAre,
  items: readonly (Mark | Landform)[],
  built: readonly Built[],
  ground: Grid,
  target: Grid,
  map: Pick<AreaMap, 'node'>,
): Generator<undefined, LevelPlace[]> {
  const found: LevelPlace[] = [];
  for (const item of items) {
    const is = heightIs(heights, item);
    for (const { part, wantedMm, places, finished } of wantedBy(item, built, is === 'foam' ? target : ground)) {
      const middle = middleOf(places, target);
      if (!middle) continue;
      const over = is === 'foam' && !finished ? middleOf(places, ground) : null;
      found.push({
        itemId: item.id,
        part,
        heightIs: is,
        wantedMm: over?.mm ?? wantedMm,
        targetMm: middle.mm,
        area: areaAt(map, target, middle.at[0], middle.at[1]),
      });
    }
    yield;
  }
  return found;
}

/** The levels table: one row a height that something on the base asks for, highest first. */
export function levelsOf(
  wanted: readonly LevelPlace[],
  onJoint: readonly { itemId: string; part: string }[],
  steps: readonly Step[],
  pools: readonly StockClass[],
  sheets: readonly Sheet[],
): Level[] {
  return wanted
    .map(({ area, ...place }) => {
      const { topMm, layer } = foamTopAt(steps, place.targetMm, area);
      const apart = topMm - place.targetMm;
      const work: Level['work'] = apart > FLUSH_WORK_MM ? 'carve' : apart < -FLUSH_WORK_MM ? 'fill' : 'flush';
      const workMm = Math.abs(apart);
      const tolerances = steps.slice(0, layer).map((step) => toleranceIn(step, pools, sheets));
      const over = (sum: (values: number[]) => number): Tolerance => ({
        minusMm: sum(tolerances.map(({ minusMm }) => minusMm)),
        plusMm: sum(tolerances.map(({ plusMm }) => plusMm)),
      });
      return {
        ...place,
        skinMm: place.wantedMm - place.targetMm,
        onJoint: onJoint.some(({ itemId, part }) => itemId === place.itemId && part === place.part),
        foamThereMm: topMm,
        work,
        workMm,
        layer,
        instruction: sayWork({ work, workMm, layer }),
        errorMixed: over((values) => Math.hypot(...values)),
        errorWorst: over((values) => values.reduce((sum, value) => sum + value, 0)),
      };
    })
    .sort((a, b) => b.wantedMm - a.wantedMm);
}

/** What a level is called: by its item, and which of its heights it is. */
export function levelName(
  { marks, landforms }: Pick<Project, 'marks' | 'landforms'>,
  { itemId, part }: { itemId: string; part: string },
): string {
  const item = [...marks, ...landforms].find(({ id }) => id === itemId);
  const name = item ? nameOf(item) : itemId;
  return part ? `${name}, ${part}` : name;
}

/** The top of the foam at a place where the target stands at `targetMm`, before carving: the highest layer whose outline reaches there. */
export function foamTopAt(
  layers: readonly { topMm: number; outlineAtMm: readonly number[] }[],
  targetMm: number,
  area = 0,
): { topMm: number; layer: number } {
  let layer = 0;
  while (layer < layers.length && targetMm >= outlineHeight(layers[layer].outlineAtMm[area])) layer++;
  return { topMm: layer ? layers[layer - 1].topMm : 0, layer };
}

/** A height that an item asks for, and where along or inside it. */
interface Wanted {
  item: Item;
  part: string;
  wantedMm: number;
  places: Point[];
  /** Its height is finished, however the item was drawn: ends of what was built are. */
  finished?: boolean;
}

/** The heights an item asks for: a line's or a flat's, the ends of a way, the floor of a pit, the bed of a pond or stream, the treads of terraces. */
function wantedBy(item: Item, built: readonly Built[], ground: Grid): Wanted[] {
  const run = runOf(item);
  const one = (wantedMm: number, places: Point[], part = ''): Wanted => ({ item, part, wantedMm, places });
  const flat = (wantedMm: number, ring: Ring, part = ''): Wanted =>
    one(wantedMm, flatPlaces(ring, wantedMm, ground), part);
  switch (item.kind) {
    case 'contour':
      return item.level
        ? [flat(item.heightMm, run)]
        : [one(item.heightMm, ownPlaces(alongPlaces(run, isClosed(item), ground.cellMm), item.heightMm, ground))];
    case 'spot':
      return [one(item.heightMm, [...run])];
    case 'pad':
      return [flat(item.heightMm, run)];
    case 'pit':
      return [flat(item.floorMm, run, 'floor')];
    case 'basin':
      return [flat(Math.max(0, item.waterMm - item.depthMm), run, 'bed')];
    case 'terraces':
      return treadsOf(run, item).map((tread, k) => flat(item.firstMm + k * item.riseMm, tread, `tread ${k + 1}`));
    case 'channel':
    case 'way':
    case 'steps': {
      const ends = built.find(({ id }) => id === item.id)?.ends;
      if (!ends) return [];
      const down = item.kind === 'channel' ? item.depthMm : 0;
      const bed = item.kind === 'channel' ? 'bed at its ' : '';
      return [
        one(Math.max(0, ends.fromMm - down), [run[0]], `${bed}start`),
        one(Math.max(0, ends.toMm - down), [run[run.length - 1]], `${bed}end`),
      ].map((wanted) => ({ ...wanted, finished: true }));
    }
    default:
      return [];
  }
}

/** "carve 7.8 mm from layer 2", with lengths as they are said there. */
export function sayWork(
  { work, workMm, layer }: Pick<Level, 'work' | 'workMm' | 'layer'>,
  mm: (value: number) => string = (value) => formatMeasure('length', value),
): string {
  const amount = mm(workMm);
  if (work === 'flush') return layer ? `flush with the top of layer ${layer}` : 'flush with the board';
  if (work === 'carve') return `carve ${amount} from layer ${layer}`;
  return layer ? `fill ${amount} over joint ${layer}` : `fill ${amount} over the board`;
}

/** "±2.8 mm", or "-2 / +3 mm" where more is allowed one way than the other. */
export function sayTolerance({ minusMm, plusMm }: Tolerance, system: UnitSystem = 'metric'): string {
  const mm = (value: number) => formatMeasure('length', Math.round(value * 10) / 10, system);
  return Math.abs(minusMm - plusMm) < 0.05 ? `±${mm(plusMm)}` : `−${mm(minusMm).replace(/ \w+$/, '')} / +${mm(plusMm)}`;
}

/** The widest tolerance of what a layer is cut from. */
function toleranceIn({ option }: Step, pools: readonly StockClass[], sheets: readonly Sheet[]): Tolerance {
  const wide: Tolerance = { minusMm: 0, plusMm: 0 };
  for (const id of option.pools.flatMap((pool) => pools[pool].sheetIds)) {
    const sheet = sheets.find((candidate) => candidate.id === id);
    if (!sheet) continue;
    // A slice is as true as what is measured: the wire is set by rule.
    const measured = sheet.measuredMm !== null || option.sliceMm !== null;
    const { minusMm, plusMm } = toleranceOf(sheet.tolerance, sheet.toleranceMm, sheet.nominalMm, measured);
    wide.minusMm = Math.max(wide.minusMm, minusMm);
    wide.plusMm = Math.max(wide.plusMm, plusMm);
  }
  return wide;
}

/** The middle height over some places, not below the board, and one of the places where it stands so; null when none of them lies on the base. */
function middleOf(places: readonly Point[], surface: Grid): { mm: number; at: Point } | null {
  const heights = places
    .filter(([x, y]) => onGrid(surface, x, y))
    .map((at) => ({ at, mm: heightAt(surface, at[0], at[1]) }))
    .sort((a, b) => a.mm - b.mm);
  const middle = heights[Math.floor(heights.length / 2)];
  return middle ? { mm: Math.max(0, middle.mm), at: middle.at } : null;
}

function onGrid(grid: Grid, x: number, y: number): boolean {
  return x >= 0 && y >= 0 && x <= (grid.columns - 1) * grid.cellMm && y <= (grid.rows - 1) * grid.cellMm;
}

/** Ground this near to a flat's height is that flat, mm. */
const OWN_MM = 0.05;
/** A line's height is met within this, mm. */
const ON_LINE_MM = 0.3;
/** A flat is looked at more closely until so many places of it are found. */
const PLACES_ENOUGH = 12;

const standsAt = (ground: Grid, [x, y]: Point, heightMm: number, withinMm: number): boolean =>
  onGrid(ground, x, y) && Math.abs(heightAt(ground, x, y) - heightMm) <= withinMm;

/** The places of a line where the ground has its height; all of them where what was built on it leaves none. */
function ownPlaces(places: Point[], heightMm: number, ground: Grid): Point[] {
  const own = places.filter((place) => standsAt(ground, place, heightMm, ON_LINE_MM));
  return own.length ? own : places;
}

/**
 * Places inside an outline where the ground is flat at the height it asks for: not on what stands on it, nor in what was dug into it. First
 * a wide mesh, then finer ones, since of a bench that carries a larger one only a strip is left.
 */
function flatPlaces(ring: Ring, heightMm: number, ground: Grid): Point[] {
  const [x0, y0, x1, y1] = boundsOf(ring);
  const widest = Math.max(2 * ground.cellMm, Math.sqrt(((x1 - x0) * (y1 - y0)) / 400));
  let own: Point[] = [];
  for (let stride = widest; own.length < PLACES_ENOUGH; stride /= 2) {
    own = [];
    for (let y = y0 + stride / 2; y < y1; y += stride)
      for (let x = x0 + stride / 2; x < x1; x += stride)
        if (insideRing(ring, x, y) && standsAt(ground, [x, y], heightMm, OWN_MM)) own.push([x, y]);
    if (stride <= ground.cellMm) break;
  }
  return own;
}

function alongPlaces(points: Ring, closed: boolean, cellMm: number): Point[] {
  const along: Point[] = [];
  const last = closed ? points.length : points.length - 1;
  for (let k = 0; k < last; k++) {
    const [ax, ay] = points[k];
    const [bx, by] = points[(k + 1) % points.length];
    const pieces = Math.max(1, Math.ceil(Math.hypot(bx - ax, by - ay) / (2 * cellMm)));
    for (let s = 0; s < pieces; s++) along.push([ax + ((bx - ax) * s) / pieces, ay + ((by - ay) * s) / pieces]);
  }
  return along;
}
