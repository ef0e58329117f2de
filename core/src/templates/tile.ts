import type { Point } from '../geometry/index.ts';
import type { Paper } from '../project/index.ts';
import { clipStroke, type Drawing, inOneLine, type Page, type Stroke, type Words, wordsWide } from './page.ts';
import { BAR_MM, paperSize, printFactor } from './paper.ts';

/** Room at the top of a page for its title, and at its foot for the bar, mm. */
const HEAD_MM = 11;
const FOOT_MM = 10;
/** The widest that the map of pages may be, mm. */
const MAP_MM = 30;
/** Half the size of a join mark. */
const CROSS_MM = 4;

/** One page's window on a drawing. */
interface Window {
  column: number;
  row: number;
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** How a drawing is parted over pages: the way round of the paper that needs fewer. */
export interface Parting {
  widthMm: number;
  heightMm: number;
  columns: number;
  rows: number;
  windows: Window[];
}

/** How much of a page is left for a drawing, mm of the model. */
export function roomOn(paper: Paper, landscape: boolean): { widthMm: number; heightMm: number } {
  const { widthMm: w, heightMm: h } = paperSize(paper);
  const [widthMm, heightMm] = landscape ? [h, w] : [w, h];
  const f = printFactor(paper);
  return {
    widthMm: (widthMm - 2 * paper.marginMm) / f,
    heightMm: (heightMm - 2 * paper.marginMm - HEAD_MM - FOOT_MM) / f,
  };
}

/** Parts a drawing over pages that reach over each other by the overlap. */
export function partingOf({ x0, y0, widthMm, heightMm }: Drawing, paper: Paper): Parting {
  const size = paperSize(paper);
  const ways = [false, true].map((landscape) => {
    const room = roomOn(paper, landscape);
    const count = (length: number, holds: number) =>
      length <= holds + 1e-6 ? 1 : Math.ceil((length - paper.overlapMm) / Math.max(1, holds - paper.overlapMm) - 1e-6);
    return { landscape, room, columns: count(widthMm, room.widthMm), rows: count(heightMm, room.heightMm) };
  });
  const [{ landscape, room, columns, rows }] = ways.sort((a, b) => a.columns * a.rows - b.columns * b.rows);
  const windows: Window[] = [];
  const stepX = room.widthMm - paper.overlapMm;
  const stepY = room.heightMm - paper.overlapMm;
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const x = x0 + column * stepX;
      const y = y0 + row * stepY;
      windows.push({ column, row, x0: x, y0: y, x1: x + room.widthMm, y1: y + room.heightMm });
    }
  return {
    widthMm: landscape ? size.heightMm : size.widthMm,
    heightMm: landscape ? size.widthMm : size.heightMm,
    columns,
    rows,
    windows,
  };
}

/** Whether a place belongs to a page: of those that reach over it the one on whose side of the join it lies. */
function isOn(
  [x, y]: Point,
  { column, row, x0, y0, x1, y1 }: Window,
  { columns, rows }: Parting,
  halfMm: number,
): boolean {
  const low = (edge: number, first: boolean) => (first ? edge : edge + halfMm);
  const high = (edge: number, last: boolean) => (last ? edge : edge - halfMm);
  return (
    x >= low(x0, column === 0) &&
    x < high(x1, column === columns - 1) + (column === columns - 1 ? 1e-6 : 0) &&
    y >= low(y0, row === 0) &&
    y < high(y1, row === rows - 1) + (row === rows - 1 ? 1e-6 : 0)
  );
}

/** Pages are named by column and row: A1 is the near left one. */
const pageName = (column: number, row: number): string => `${String.fromCharCode(65 + (column % 26))}${row + 1}`;

/** The pages of a drawing. Empty ones are left out, and the map on each says which. */
export function pagesOf(drawing: Drawing, paper: Paper): Page[] {
  const parting = partingOf(drawing, paper);
  const f = printFactor(paper);
  const filled = parting.windows.map((window) => {
    const box = [window.x0, window.y0, window.x1, window.y1] as const;
    const strokes = drawing.strokes.flatMap((stroke) => clipStroke(stroke, box));
    const words = drawing.words.filter(({ at, home = at }) => isOn(home, window, parting, paper.overlapMm / 2));
    return { window, strokes, words };
  });
  const kept = filled.filter(({ strokes }) => strokes.length);
  const many = kept.length > 1;
  return kept.map(({ window, strokes, words }) => {
    const onPaper = ([x, y]: Point): Point => [
      paper.marginMm + (x - window.x0) * f,
      paper.marginMm + FOOT_MM + (y - window.y0) * f,
    ];
    const neighbours = kept.map((other) => other.window);
    const marks = many ? joinMarks(window, neighbours, paper) : { strokes: [], words: [] };
    const name = pageName(window.column, window.row);
    const title = many ? `${drawing.title} (page ${name} of ${kept.length})` : drawing.title;
    const page: Page = {
      kind: drawing.kind,
      title,
      widthMm: parting.widthMm,
      heightMm: parting.heightMm,
      strokes: [...strokes, ...marks.strokes].map((stroke) => ({ ...stroke, points: stroke.points.map(onPaper) })),
      words: [...words, ...marks.words].map((word) => ({ ...word, at: onPaper(word.at) })),
    };
    addBar(page, paper);
    addHead(page, drawing.note, paper);
    if (many) addMap(page, window, neighbours, paper);
    return page;
  });
}

/** Lines at which pages are laid over each other, and crosses that must fall on those of the neighbour. */
function joinMarks(
  window: Window,
  all: readonly Window[],
  { overlapMm }: Paper,
): { strokes: Stroke[]; words: Words[] } {
  const strokes: Stroke[] = [];
  const words: Words[] = [];
  const cross = (x: number, y: number, text: string, right = false) => {
    strokes.push({
      pen: 'mark',
      points: [
        [x - CROSS_MM, y],
        [x + CROSS_MM, y],
      ],
      closed: false,
    });
    strokes.push({
      pen: 'mark',
      points: [
        [x, y - CROSS_MM],
        [x, y + CROSS_MM],
      ],
      closed: false,
    });
    // At the right edge the words stand to the left, or they would run off the page.
    words.push({ at: [x + (right ? -13 : 1.5), y + 1.2], text, sizeMm: 3, align: 'left', strong: false });
  };
  const has = (column: number, row: number) => all.some((other) => other.column === column && other.row === row);
  const { x0, y0, x1, y1, column, row } = window;
  const half = overlapMm / 2;
  const thirds = (a: number, b: number) => [a + (b - a) * 0.25, a + (b - a) * 0.75];
  for (const [dx, x, name] of [
    [-1, x0, pageName(column - 1, row) + pageName(column, row)],
    [1, x1, pageName(column, row) + pageName(column + 1, row)],
  ] as const) {
    if (!has(column + dx, row)) continue;
    const at = x - dx * half;
    strokes.push({
      pen: 'page',
      points: [
        [at, y0],
        [at, y1],
      ],
      closed: false,
    });
    thirds(y0, y1).forEach((y, k) => {
      cross(at, y, `${name}.${k + 1}`, dx > 0);
    });
  }
  for (const [dy, y, name] of [
    [-1, y0, pageName(column, row - 1) + pageName(column, row)],
    [1, y1, pageName(column, row) + pageName(column, row + 1)],
  ] as const) {
    if (!has(column, row + dy)) continue;
    const at = y - dy * half;
    strokes.push({
      pen: 'page',
      points: [
        [x0, at],
        [x1, at],
      ],
      closed: false,
    });
    thirds(x0, x1).forEach((x, k) => {
      cross(x, at, `${name}.${k + 1}`);
    });
  }
  return { strokes, words };
}

/** The bar of 100 mm at the foot of a page (half of it on the narrowest paper), larger or smaller as the printer needs it. */
function addBar(page: Page, paper: Paper): void {
  const f = printFactor(paper);
  const x = paper.marginMm;
  const y = paper.marginMm + 3;
  const roomMm = page.widthMm - 2 * x;
  const tenths = BAR_MM * f <= roomMm ? 10 : 5;
  const end = x + (BAR_MM * f * tenths) / 10;
  const mark = (points: Point[]) => page.strokes.push({ pen: 'mark', points, closed: false });
  mark([
    [x, y],
    [end, y],
  ]);
  for (let k = 0; k <= tenths; k++) {
    const at = x + (BAR_MM * f * k) / 10;
    mark([
      [at, y - (k % 5 ? 1 : 2)],
      [at, y + (k % 5 ? 1 : 2)],
    ]);
  }
  const corrected = paper.barMm === BAR_MM ? '' : `, corrected for ${paper.barMm} mm`;
  const text = `${tenths * 10} mm${tenths < 10 ? ', half of the bar' : ''}: measure before cutting${corrected}`;
  const beside = wordsWide(text, 2.8) <= page.widthMm - x - end - 3;
  page.words.push({
    ...(beside ? { text, sizeMm: 2.8 } : inOneLine(text, 2.4, 1.8, roomMm)),
    at: beside ? [end + 3, y - 1] : [x, y + 3],
    align: 'left',
    strong: false,
  });
}

function addHead(page: Page, note: string, paper: Paper): void {
  const y = page.heightMm - paper.marginMm;
  const roomMm = page.widthMm - 2 * paper.marginMm;
  const line = { align: 'left', strong: false } as const;
  const title = inOneLine(page.title, 4.2, 2.8, roomMm - MAP_MM);
  page.words.push({ ...line, ...title, at: [paper.marginMm, y - 4], strong: true });
  if (note) page.words.push({ ...line, ...inOneLine(note, 2.8, 2, roomMm), at: [paper.marginMm, y - 9] });
}

/** Which page of the drawing this is, at its upper right corner. */
function addMap(page: Page, here: Window, all: readonly Window[], paper: Paper): void {
  const columns = Math.max(...all.map(({ column }) => column)) + 1;
  const rows = Math.max(...all.map(({ row }) => row)) + 1;
  const each = Math.min(4, 7 / rows, MAP_MM / columns / 1.4);
  const x = page.widthMm - paper.marginMm - columns * each * 1.4;
  const y = page.heightMm - paper.marginMm - rows * each;
  for (const { column, row } of all) {
    const [a, b] = [x + column * each * 1.4, y + row * each];
    const box: Point[] = [
      [a, b],
      [a + each * 1.4, b],
      [a + each * 1.4, b + each],
      [a, b + each],
    ];
    page.strokes.push({ pen: 'page', points: box, closed: true });
    if (column === here.column && row === here.row) {
      page.strokes.push({ pen: 'mark', points: [box[0], box[2]], closed: false });
      page.strokes.push({ pen: 'mark', points: [box[1], box[3]], closed: false });
    }
  }
}
