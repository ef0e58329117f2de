/** The marks and cliffs of a project as polylines with heights (mm) for the solver, and which of them changed. */
import { boundsOf, insideRing, offsetLine, type Point, type Ring } from '../geometry/index.ts';
import { type Item, isClosed, type Landform, type Mark, runOf } from '../project/index.ts';

/** A line or spot as the solver knows it. */
export interface ShapeLine {
  itemId: string;
  points: Ring;
  closed: boolean;
  /** Flat inside, at its height. */
  level: boolean;
  /** Heights at its two ends, running evenly between; null for a break whose sides are given below or by the ground. */
  heights: readonly [number, number] | null;
  /** Whether the ground may fold along it: bending does not act across. */
  fold: boolean;
  /** The crest or foot of a cliff, or a break: its slope tells nothing of the ground beyond. */
  face: boolean;
  /** A line across which the ground may jump, and its heights at left and right of the way it is drawn. */
  sides: { left: number | null; right: number | null } | null;
  /** Where an end reaches the base's edge, the way it would go on: it parts the ground there too, without a height. */
  beyond: readonly (readonly [Point, Point])[];
}

/** A cliff whose foot lies nearer to its top edge than this is drawn as a jump, mm. */
const JUMP_MM = 1;

const plain = { closed: false, level: false, fold: false, face: false, sides: null, beyond: [] };

/** What shapes the solved ground: all marks, and the cliffs among the landforms. */
export function shapeLines(marks: readonly Mark[], landforms: readonly Landform[]): ShapeLine[] {
  return [...marks.flatMap(linesOf), ...landforms.flatMap(linesOf)];
}

function linesOf(item: Item): ShapeLine[] {
  const points = runOf(item);
  const itemId = item.id;
  switch (item.kind) {
    case 'contour':
      return [
        {
          ...plain,
          itemId,
          points,
          closed: isClosed(item),
          level: item.level,
          heights: [item.heightMm, item.heightMm],
        },
      ];
    case 'spot':
      return [{ ...plain, itemId, points, heights: [item.heightMm, item.heightMm] }];
    case 'form':
      return [{ ...plain, itemId, points, heights: [item.fromMm, item.toMm], fold: true }];
    case 'break':
      return [{ ...plain, itemId, points, heights: null, face: true, sides: { left: item.topMm, right: item.footMm } }];
    case 'cliff': {
      const reach =
        item.faceDegrees >= 89.5
          ? 0
          : Math.abs(item.topMm - item.footMm) / Math.tan((item.faceDegrees * Math.PI) / 180);
      if (reach < JUMP_MM)
        return [
          { ...plain, itemId, points, heights: null, face: true, sides: { left: item.topMm, right: item.footMm } },
        ];
      const foot = offsetLine(points, -reach);
      return [
        { ...plain, itemId, points, heights: [item.topMm, item.topMm], fold: true, face: true },
        { ...plain, itemId, points: foot, heights: [item.footMm, item.footMm], fold: true, face: true },
      ];
    }
    default:
      return [];
  }
}

/** An end this near to the base's edge was drawn to it, mm. */
const TO_EDGE_MM = 3;

/** Lines with what lies beyond those ends that reach the base's edge, or stop just short of it. */
export function reachingOut(lines: readonly ShapeLine[], edge: Ring): ShapeLine[] {
  const [x0, y0, x1, y1] = boundsOf(edge);
  const far = x1 - x0 + y1 - y0;
  return lines.map((line) => {
    const { points, closed } = line;
    const last = points.length - 1;
    if (closed || last < 1) return line;
    const ends: [Point, Point][] = [
      [points[0], points[1]],
      [points[last], points[last - 1]],
    ];
    const beyond = ends.flatMap(([end, next]): [Point, Point][] => {
      const length = Math.hypot(end[0] - next[0], end[1] - next[1]) || 1;
      const on = (mm: number): Point => [
        end[0] + ((end[0] - next[0]) * mm) / length,
        end[1] + ((end[1] - next[1]) * mm) / length,
      ];
      return insideRing(edge, ...on(TO_EDGE_MM)) ? [] : [[end, on(far)]];
    });
    return beyond.length ? { ...line, beyond } : line;
  });
}

/** The box round lines that are in one list and not in the other: where an edit changed something. Null when nothing did. */
export function changedBox(
  before: readonly ShapeLine[],
  after: readonly ShapeLine[],
): [number, number, number, number] | null {
  const [old, fresh] = [before, after].map((lines) => new Map(lines.map((line) => [JSON.stringify(line), line])));
  const touched = [...old, ...fresh].filter(([key]) => !(old.has(key) && fresh.has(key))).map(([, line]) => line);
  const points = touched.flatMap((line) => line.points);
  if (!points.length) return null;
  const box: [number, number, number, number] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of points) {
    box[0] = Math.min(box[0], x);
    box[1] = Math.min(box[1], y);
    box[2] = Math.max(box[2], x);
    box[3] = Math.max(box[3], y);
  }
  return box;
}
