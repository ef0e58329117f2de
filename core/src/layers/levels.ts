import { boundsOf, type Grid, heightAt, insideRing, type Point, type Ring } from '../geometry/index.ts';
import type { Built } from '../ground/index.ts';
import { usualToleranceMm } from '../materials/index.ts';
import { type Item, isClosed, nameOf, runOf, type Sheet } from '../project/index.ts';
import { formatMeasure, type UnitSystem } from '../units/index.ts';
import { foamTopAt, type Step } from './chooseStack.ts';

/** What stands at a contour or spot height, and what is to be done there before the skin. */
export interface Level {
  itemId: string;
  name: string;
  /** Finished height asked for. */
  wantedMm: number;
  /** Where foam must end so that the skin brings it there; the middle value along the mark. */
  targetMm: number;
  foamThereMm: number;
  work: 'carve' | 'fill' | 'flush';
  workMm: number;
  /** The layer carved, or the joint filled over; 0 is the board. */
  layer: number;
  /** "carve 7.8 mm from layer 2". */
  instruction: string;
  /** How far the joint there may lie from where it should, mm: if errors mix, and if all sheets err alike. */
  errorMixedMm: number;
  errorWorstMm: number;
}

/** Less than this is neither carved nor filled on purpose, mm. */
const FLUSH_WORK_MM = 0.3;

/** A height that an item asks for, and where along or inside it. */
interface Wanted {
  item: Item;
  /** Which of its heights, where it has several. */
  part: string;
  wantedMm: number;
  places: Point[];
}

/** The levels table: one row a height that something on the base asks for, highest first. */
export function levelsOf(
  items: readonly Item[],
  built: readonly Built[],
  target: Grid,
  steps: readonly Step[],
  sheets: readonly Sheet[],
): Level[] {
  return items
    .flatMap((item) => wantedBy(item, built, target.cellMm))
    .map((wanted) => ({ ...wanted, targetMm: middleTarget(wanted.places, target) }))
    .filter((row): row is Wanted & { targetMm: number } => row.targetMm !== null)
    .map(({ item, part, wantedMm, targetMm }) => {
      const { topMm, layer } = foamTopAt(steps, targetMm);
      const apart = topMm - targetMm;
      const work = apart > FLUSH_WORK_MM ? 'carve' : apart < -FLUSH_WORK_MM ? 'fill' : 'flush';
      const workMm = Math.abs(apart);
      const tolerances = steps.slice(0, layer).map((step) => toleranceOf(step, sheets));
      return {
        itemId: item.id,
        name: part ? `${nameOf(item)}, ${part}` : nameOf(item),
        wantedMm,
        targetMm,
        foamThereMm: topMm,
        work,
        workMm,
        layer,
        instruction: sayWork({ work, workMm, layer }),
        errorMixedMm: Math.sqrt(tolerances.reduce((sum, tolerance) => sum + tolerance ** 2, 0)),
        errorWorstMm: tolerances.reduce((sum, tolerance) => sum + tolerance, 0),
      } satisfies Level;
    })
    .sort((a, b) => b.wantedMm - a.wantedMm || a.name.localeCompare(b.name));
}

/** The heights an item asks for: a line's or a flat's, the ends of a way, the floor of a pit, the bed of a pond. */
function wantedBy(item: Item, built: readonly Built[], cellMm: number): Wanted[] {
  const run = runOf(item);
  const one = (wantedMm: number, places: Point[], part = ''): Wanted => ({ item, part, wantedMm, places });
  switch (item.kind) {
    case 'contour':
      return [one(item.heightMm, item.level ? insidePlaces(run, cellMm) : alongPlaces(run, isClosed(item), cellMm))];
    case 'spot':
      return [one(item.heightMm, [...run])];
    case 'pad':
      return [one(item.heightMm, insidePlaces(run, cellMm))];
    case 'pit':
      return [one(item.floorMm, insidePlaces(run, cellMm), 'floor')];
    case 'basin':
      return [one(Math.max(0, item.waterMm - item.depthMm), insidePlaces(run, cellMm), 'bed')];
    case 'way':
    case 'steps': {
      const ends = built.find(({ id }) => id === item.id)?.ends;
      return ends ? [one(ends.fromMm, [run[0]], 'start'), one(ends.toMm, [run[run.length - 1]], 'end')] : [];
    }
    default:
      return [];
  }
}

/** "carve 7.8 mm from layer 2", in the builder's units. */
export function sayWork(
  { work, workMm, layer }: Pick<Level, 'work' | 'workMm' | 'layer'>,
  system: UnitSystem = 'metric',
): string {
  const amount = system === 'metric' ? `${workMm.toFixed(1)} mm` : formatMeasure('length', workMm, system);
  if (work === 'flush') return layer ? `flush with the top of layer ${layer}` : 'flush with the board';
  if (work === 'carve') return `carve ${amount} from layer ${layer}`;
  return layer ? `fill ${amount} over joint ${layer}` : `fill ${amount} over the board`;
}

function toleranceOf(step: Step, sheets: readonly Sheet[]): number {
  const sheet = sheets.find((candidate) => candidate.id === step.kind.id);
  if (!sheet) return 0;
  return sheet.toleranceMm ?? usualToleranceMm(sheet.nominalMm, sheet.measuredMm !== null);
}

/** The middle foam target over some places; null when none of them lies on the base. */
function middleTarget(places: readonly Point[], target: Grid): number | null {
  const heights = places
    .filter(([x, y]) => onGrid(target, x, y))
    .map(([x, y]) => heightAt(target, x, y))
    .sort((a, b) => a - b);
  return heights.length ? Math.max(0, heights[Math.floor(heights.length / 2)]) : null;
}

function onGrid(grid: Grid, x: number, y: number): boolean {
  return x >= 0 && y >= 0 && x <= (grid.columns - 1) * grid.cellMm && y <= (grid.rows - 1) * grid.cellMm;
}

function insidePlaces(ring: Ring, cellMm: number): Point[] {
  const [x0, y0, x1, y1] = boundsOf(ring);
  const stride = Math.max(2 * cellMm, Math.sqrt(((x1 - x0) * (y1 - y0)) / 400));
  const inside: Point[] = [];
  for (let y = y0 + stride / 2; y < y1; y += stride)
    for (let x = x0 + stride / 2; x < x1; x += stride) if (insideRing(ring, x, y)) inside.push([x, y]);
  return inside.length ? inside : alongPlaces(ring, true, cellMm);
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
