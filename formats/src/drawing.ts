import { boundsOf, type Point } from '@hosket/core';

/** A line or point as it stands in a drawing that was brought in, in the drawing's own units, y away from the viewer. */
export interface DrawnLine {
  /** The layer or group it lies on. */
  layer: string;
  points: Point[];
  closed: boolean;
  /** Its height where the drawing gives one (a z value), in the drawing's own units. */
  elevation: number | null;
  /** What else the drawing says of it. */
  properties: Readonly<Record<string, string | number>>;
}

/** A plan as it was read, before anybody says what it means. */
export interface PlanDrawing {
  lines: DrawnLine[];
  /** Millimetres of one unit of the drawing, where the drawing says so. */
  unitMm: number | null;
  /** What its units are, in words. */
  unit: string;
  /** What was left out or taken in a particular way. */
  notes: string[];
}

/** A height grid as it was read: row by row from the near left corner. */
export interface HeightGrid {
  columns: number;
  rows: number;
  values: Float64Array;
  /** Distance between neighbouring values, in the grid's own unit. */
  cell: number;
  unit: string;
  notes: string[];
}

/** The box round a drawing. */
export const boxOfDrawing = ({ lines }: PlanDrawing): [number, number, number, number] => boxOfLines(lines);

/** The box round lines; nothing at 0, 0 where there is none. */
export function boxOfLines(lines: readonly { points: Point[] }[]): [number, number, number, number] {
  const points = lines.flatMap((line) => line.points);
  return points.length ? boundsOf(points) : [0, 0, 0, 0];
}

/** Points that say nothing new are left out: nearer than `least` to the one before. */
export function thinned(points: readonly Point[], least = 1e-9): Point[] {
  const kept: Point[] = [];
  for (const point of points) {
    const last = kept[kept.length - 1];
    if (!last || Math.hypot(point[0] - last[0], point[1] - last[1]) > least) kept.push(point);
  }
  return kept;
}

/** A line whose end comes back to its start is closed, and its last point is left out. */
export function closedIfItIs(points: readonly Point[]): { points: Point[]; closed: boolean } {
  const kept = thinned(points);
  if (kept.length < 4) return { points: kept, closed: false };
  const [first, last] = [kept[0], kept[kept.length - 1]];
  const [x0, y0, x1, y1] = boundsOf(kept);
  const closed = Math.hypot(first[0] - last[0], first[1] - last[1]) <= 1e-6 * Math.hypot(x1 - x0, y1 - y0);
  return closed ? { points: kept.slice(0, -1), closed } : { points: kept, closed };
}

export const counted = (count: number, one: string, more: string): string => `${count} ${count === 1 ? one : more}`;

/** A plan of more layers than this cannot be told what each is to be. */
const MOST_LAYERS = 150;
const OTHERS = 'all other layers';

/** A drawing with no more layers than can be told apart: those of the fewest lines become one. */
export function withFewLayers(drawing: PlanDrawing): PlanDrawing {
  const counts = new Map<string, number>();
  for (const { layer } of drawing.lines) counts.set(layer, (counts.get(layer) ?? 0) + 1);
  if (counts.size <= MOST_LAYERS) return drawing;
  const kept = new Set(
    [...counts]
      .sort(([, a], [, b]) => b - a)
      .slice(0, MOST_LAYERS - 1)
      .map(([layer]) => layer),
  );
  return {
    ...drawing,
    lines: drawing.lines.map((line) => (kept.has(line.layer) ? line : { ...line, layer: OTHERS })),
    notes: [...drawing.notes, `Of ${counts.size} layers the ${counts.size - kept.size} smallest were taken as one.`],
  };
}
