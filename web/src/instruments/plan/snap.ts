import {
  baseOutline,
  type Item,
  isClosed,
  itemsOf,
  outlineEdges,
  outlineRings,
  type Point,
  type Project,
  runOf,
} from '@hosket/core';

/** What a point has taken hold of, and where that puts it. */
export interface Snap {
  at: Point;
  /** "corner of Bench 2", "edge of the base", "grid of 5 mm"; null when it took hold of nothing. */
  what: string | null;
}

/** Grid steps that make sense at the bench, mm. */
const steps = [1, 2, 5, 10, 20, 50];
/** A grid line must be at least so far from the next on the screen, pixels; and a hold is taken from within so many. */
const GRID_PX = 14;
const REACH_PX = 7;

const gridStep = (pxPerMm: number): number => steps.find((step) => step * pxPerMm >= GRID_PX) ?? 50;

/** Nearest point of a stretch. */
function onStretch([ax, ay]: Point, [bx, by]: Point, [x, y]: Point): Point {
  const [dx, dy] = [bx - ax, by - ay];
  const length2 = dx * dx + dy * dy;
  const t = length2 ? Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / length2)) : 0;
  return [ax + t * dx, ay + t * dy];
}

/**
 * Takes hold of what is near a place, the nearest corner first, then an edge, then the grid. `leaveOut`: things that are being moved themselves.
 */
export function snapPoint(project: Project, at: Point, pxPerMm: number, leaveOut: readonly string[]): Snap {
  const reach = REACH_PX / pxPerMm;
  const others = itemsOf(project).filter((item) => !item.hidden && !leaveOut.includes(item.id));
  const base = baseOutline(project.base);
  const far = (point: Point) => Math.hypot(point[0] - at[0], point[1] - at[1]);
  let best: Snap | null = null;
  let least = reach;
  const offer = (point: Point, what: string) => {
    const distance = far(point);
    if (distance > least) return;
    least = distance;
    best = { at: point, what };
  };
  for (const item of others) for (const point of item.points) offer(point, `corner of ${item.name || item.id}`);
  if (project.base.shape.kind === 'rectangle')
    for (const point of outlineRings(base)[0]) offer(point, 'corner of the base');
  if (best) return best;
  for (const item of others)
    for (const [a, b] of edgesOf(item)) offer(onStretch(a, b, at), `edge of ${item.name || item.id}`);
  for (const [a, b] of outlineEdges(base)) offer(onStretch(a, b, at), 'edge of the base');
  if (best) return best;
  const step = gridStep(pxPerMm);
  const onGrid: Point = [Math.round(at[0] / step) * step, Math.round(at[1] / step) * step];
  return far(onGrid) <= reach ? { at: onGrid, what: `grid of ${step} mm` } : { at, what: null };
}

function edgesOf(item: Item): [Point, Point][] {
  const run = runOf(item);
  return run.slice(0, isClosed(item) ? undefined : -1).map((point, k) => [point, run[(k + 1) % run.length]]);
}
