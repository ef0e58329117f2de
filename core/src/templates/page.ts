import type { Point } from '../geometry/index.ts';

/** What a line on a template means; each has a look of its own. */
export const pens = [
  'cut',
  'hole',
  'seam',
  'next',
  'below',
  'pin',
  'void',
  'outline',
  'contour',
  'ground',
  'joint',
  'mark',
  'page',
] as const;
export type Pen = (typeof pens)[number];

/** A line in mm of the model, or of the paper. */
export interface Stroke {
  pen: Pen;
  points: readonly Point[];
  closed: boolean;
}

/** Words at a place; `sizeMm` is the height of a line of them. */
export interface Words {
  at: Point;
  text: string;
  sizeMm: number;
  align: 'left' | 'middle';
  strong: boolean;
  /** Which page of several they stand on: that of this place; else that of their own. */
  home?: Point;
  /** Turned counter-clockwise, degrees. */
  turn?: number;
}

/** A drawing at full size (or at `scale`), larger than a page or not. */
export interface Drawing {
  kind: 'pieces' | 'profiles' | 'contours' | 'guide' | 'board';
  title: string;
  /** Printed small under the title. */
  note: string;
  x0: number;
  y0: number;
  widthMm: number;
  heightMm: number;
  strokes: Stroke[];
  words: Words[];
}

/** A page of paper: x to the right, y up from its lower left corner, mm on the paper. */
export interface Page {
  kind: Drawing['kind'] | 'map' | 'bench';
  title: string;
  widthMm: number;
  heightMm: number;
  strokes: Stroke[];
  words: Words[];
}

/** Between the notes under a title. */
export const NOTES_APART = ' · ';

/** How wide a letter of the templates' face is, by its size (all are the same). */
const LETTER = 0.6;

export const wordsWide = (text: string, sizeMm: number): number => text.length * sizeMm * LETTER;

/** A text in lines that are no wider than there is room; one that is a single word too wide is cut off. */
export function inLines(text: string, sizeMm: number, roomMm: number): string[] {
  const most = Math.max(4, Math.floor(roomMm / (sizeMm * LETTER) + 1e-6));
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= most) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word.length > most ? `${word.slice(0, most - 1)}…` : word);
  }
  return lines;
}

/** One line, set smaller down to `leastMm` where there is little room, then cut off. */
export function inOneLine(
  text: string,
  sizeMm: number,
  leastMm: number,
  roomMm: number,
): { text: string; sizeMm: number } {
  const fits = Math.max(leastMm, Math.min(sizeMm, roomMm / Math.max(1, wordsWide(text, 1))));
  const most = Math.floor(roomMm / (fits * LETTER) + 1e-6);
  return { text: text.length > most ? `${text.slice(0, Math.max(1, most - 1))}…` : text, sizeMm: fits };
}

/** Circle as a closed stroke. */
export const ringAround = ([x, y]: Point, radiusMm: number, corners = 24): Point[] =>
  Array.from({ length: corners }, (_, k): Point => {
    const a = (k / corners) * 2 * Math.PI;
    return [x + radiusMm * Math.cos(a), y + radiusMm * Math.sin(a)];
  });

/** The parts of a line that lie in a window (Liang and Barsky 1984, stretch by stretch); a closed line that lies in it whole stays closed. */
export function clipStroke(stroke: Stroke, [x0, y0, x1, y1]: readonly [number, number, number, number]): Stroke[] {
  const inside = stroke.points.every(([x, y]) => x >= x0 && x <= x1 && y >= y0 && y <= y1);
  if (inside) return [stroke];
  const points = stroke.closed ? [...stroke.points, stroke.points[0]] : stroke.points;
  const runs: Point[][] = [];
  for (let k = 1; k < points.length; k++) {
    const [ax, ay] = points[k - 1];
    const [dx, dy] = [points[k][0] - ax, points[k][1] - ay];
    let from = 0;
    let to = 1;
    let out = false;
    for (const [p, q] of [
      [-dx, ax - x0],
      [dx, x1 - ax],
      [-dy, ay - y0],
      [dy, y1 - ay],
    ]) {
      if (p === 0) out ||= q < 0;
      else if (p < 0) from = Math.max(from, q / p);
      else to = Math.min(to, q / p);
    }
    if (out || from > to) continue;
    const a: Point = [ax + from * dx, ay + from * dy];
    const b: Point = [ax + to * dx, ay + to * dy];
    const last = runs.at(-1);
    const end = last?.at(-1);
    if (last && end && Math.hypot(end[0] - a[0], end[1] - a[1]) < 1e-9) last.push(b);
    else runs.push([a, b]);
  }
  return runs.map((run) => ({ pen: stroke.pen, points: run, closed: false }));
}
