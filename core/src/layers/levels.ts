import { boundsOf, type Grid, heightAt, insideRing, type Point } from '../geometry/index.ts';
import { usualToleranceMm } from '../materials/index.ts';
import { type Mark, markPoints, type Sheet } from '../project/index.ts';
import { formatMeasure, type UnitSystem } from '../units/index.ts';
import { foamTopAt, type Step } from './chooseStack.ts';

/** What stands at a contour or spot height, and what is to be done there before the skin. */
export interface Level {
  markId: string;
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

/** The levels table: one row a mark that lies on the base, highest first. */
export function levelsOf(
  marks: readonly Mark[],
  target: Grid,
  steps: readonly Step[],
  sheets: readonly Sheet[],
): Level[] {
  return marks
    .map((mark) => ({ mark, targetMm: middleTarget(mark, target) }))
    .filter((row): row is { mark: Mark; targetMm: number } => row.targetMm !== null)
    .map(({ mark, targetMm }) => {
      const { topMm, layer } = foamTopAt(steps, targetMm);
      const apart = topMm - targetMm;
      const work = apart > FLUSH_WORK_MM ? 'carve' : apart < -FLUSH_WORK_MM ? 'fill' : 'flush';
      const workMm = Math.abs(apart);
      const tolerances = steps.slice(0, layer).map((step) => toleranceOf(step, sheets));
      return {
        markId: mark.id,
        name: mark.name,
        wantedMm: mark.heightMm,
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

/** The middle foam target along a line, inside a level outline, or at a spot; null when the mark lies off the base. */
function middleTarget(mark: Mark, target: Grid): number | null {
  const heights = samplePoints(mark, target.cellMm)
    .filter(([x, y]) => onGrid(target, x, y))
    .map(([x, y]) => heightAt(target, x, y))
    .sort((a, b) => a - b);
  return heights.length ? Math.max(0, heights[Math.floor(heights.length / 2)]) : null;
}

function onGrid(grid: Grid, x: number, y: number): boolean {
  return x >= 0 && y >= 0 && x <= (grid.columns - 1) * grid.cellMm && y <= (grid.rows - 1) * grid.cellMm;
}

function samplePoints(mark: Mark, cellMm: number): Point[] {
  const points = markPoints(mark);
  if (mark.kind === 'spot') return [...points];
  if (mark.level) {
    const [x0, y0, x1, y1] = boundsOf(mark.points);
    const stride = Math.max(2 * cellMm, Math.sqrt(((x1 - x0) * (y1 - y0)) / 400));
    const inside: Point[] = [];
    for (let y = y0 + stride / 2; y < y1; y += stride)
      for (let x = x0 + stride / 2; x < x1; x += stride) if (insideRing(mark.points, x, y)) inside.push([x, y]);
    if (inside.length) return inside;
  }
  const along: Point[] = [];
  const last = mark.closed ? points.length : points.length - 1;
  for (let k = 0; k < last; k++) {
    const [ax, ay] = points[k];
    const [bx, by] = points[(k + 1) % points.length];
    const pieces = Math.max(1, Math.ceil(Math.hypot(bx - ax, by - ay) / (2 * cellMm)));
    for (let s = 0; s < pieces; s++) along.push([ax + ((bx - ax) * s) / pieces, ay + ((by - ay) * s) / pieces]);
  }
  return along;
}
