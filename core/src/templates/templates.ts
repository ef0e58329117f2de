import { boundsOf, outlineRings, type Point, type Polygon, ringsOf } from '../geometry/index.ts';
import type { Project } from '../project/index.ts';
import { decimals } from '../units/index.ts';
import { boardDrawing } from './board.ts';
import { type Drawing, inLines, NOTES_APART, type Page, ringAround, type Stroke, type Words } from './page.ts';
import { pieceDrawing, roomiest } from './pieceDrawings.ts';
import { contourDrawing, profileDrawings } from './profiles.ts';
import type { TemplateLayer, TemplateSource } from './source.ts';
import { pagesOf, partingOf, roomOn } from './tile.ts';

export const templateKinds = ['pieces', 'guide', 'contours', 'profiles', 'board'] as const;
export type TemplateKind = (typeof templateKinds)[number];

/** Between small pieces that share a page, mm. */
const BETWEEN_MM = 4;

/** Every page of the templates that are wanted, in the order in which they are used. */
export function templatePages(project: Project, source: TemplateSource, kinds: readonly TemplateKind[]): Page[] {
  const drawings: Drawing[] = [];
  if (kinds.includes('guide')) for (const layer of source.layers) drawings.push(guideDrawing(project, source, layer));
  if (kinds.includes('pieces'))
    drawings.push(
      ...shared(
        project,
        source.pieces.map((piece) => pieceDrawing(project, source, piece)),
      ),
    );
  if (kinds.includes('contours')) drawings.push(contourDrawing(source));
  if (kinds.includes('profiles')) drawings.push(...profileDrawings(project, source));
  const board = kinds.includes('board') ? boardDrawing(project) : null;
  if (board) drawings.push(board);
  return drawings.flatMap((drawing) => pagesOf(drawing, project.paper));
}

/** Pieces that fit on one page share pages: row by row, in their order. */
function shared({ paper }: Project, drawings: readonly Drawing[]): Drawing[] {
  const room = roomOn(paper, false);
  const large = drawings.filter((drawing) => partingOf(drawing, paper).windows.length > 1 || !fits(drawing, room));
  const small = drawings.filter((drawing) => !large.includes(drawing)).sort((a, b) => b.heightMm - a.heightMm);
  const pages: { drawing: Drawing; at: Point }[][] = [];
  let x = 0;
  let y = 0;
  let rowMm = 0;
  for (const drawing of small) {
    if (x > 0 && x + drawing.widthMm > room.widthMm) [x, y, rowMm] = [0, y + rowMm + BETWEEN_MM, 0];
    if (!pages.length || y + drawing.heightMm > room.heightMm) {
      pages.push([]);
      [x, y, rowMm] = [0, 0, 0];
    }
    pages[pages.length - 1].push({ drawing, at: [x, y] });
    x += drawing.widthMm + BETWEEN_MM;
    rowMm = Math.max(rowMm, drawing.heightMm);
  }
  return [...large, ...pages.map((page) => (page.length === 1 ? page[0].drawing : together(page, room)))];
}

const fits = ({ widthMm, heightMm }: Drawing, room: { widthMm: number; heightMm: number }): boolean =>
  widthMm <= room.widthMm && heightMm <= room.heightMm;

function together(
  page: readonly { drawing: Drawing; at: Point }[],
  room: { widthMm: number; heightMm: number },
): Drawing {
  const moved = page.map(({ drawing, at }) => {
    const by: Point = [at[0] - drawing.x0, at[1] - drawing.y0];
    const move = ([x, y]: Point): Point => [x + by[0], y + by[1]];
    return {
      strokes: drawing.strokes.map((stroke) => ({ ...stroke, points: stroke.points.map(move) })),
      words: drawing.words.map((word) => ({ ...word, at: move(word.at) })),
    };
  });
  return {
    kind: 'pieces',
    title: `Pieces ${page.map(({ drawing }) => drawing.title.replace('Piece ', '')).join(', ')}`,
    note: ['Each says its layer and its sheet', ...sharedNotes(page.map(({ drawing }) => drawing.note))].join(
      NOTES_APART,
    ),
    x0: 0,
    y0: 0,
    ...room,
    strokes: moved.flatMap(({ strokes }) => strokes),
    words: moved.flatMap(({ words }) => words),
  };
}

/** What is noted of all of some pieces. */
function sharedNotes([first, ...others]: readonly string[]): string[] {
  return first.split(NOTES_APART).filter((note) => others.every((other) => other.split(NOTES_APART).includes(note)));
}

/** Reductions that a stacking guide is drawn at: 1 : n. */
const REDUCTIONS = [1, 2, 2.5, 4, 5, 10, 20];
/** Room left beside the drawing of a guide, for what is written under it, mm on the paper. */
const WRITTEN_MM = 26;

/** A layer at reduced size on one page: what lies under it, where it goes, what follows, what is to be done in it. */
function guideDrawing(project: Project, source: TemplateSource, layer: TemplateLayer): Drawing {
  const { outline, layers } = source;
  const [x0, y0, x1, y1] = boundsOf(outline);
  const wide = (x1 - x0) / (y1 - y0) > 1;
  const room = roomOn(project.paper, wide);
  const scale =
    REDUCTIONS.find((n) => (x1 - x0) / n <= room.widthMm - 4 && (y1 - y0) / n <= room.heightMm - WRITTEN_MM) ?? 20;
  const small = ([x, y]: Point): Point => [(x - x0) / scale, (y - y0) / scale + WRITTEN_MM];
  const strokes: Stroke[] = [];
  const draw = (pen: Stroke['pen'], pieces: readonly Polygon[]) => {
    for (const ring of ringsOf(pieces)) strokes.push({ pen, points: ring.map(small), closed: true });
  };
  for (const ring of outlineRings(outline)) strokes.push({ pen: 'outline', points: ring.map(small), closed: true });
  const below = layers.find(({ index }) => index === layer.index - 1);
  const next = layers.find(({ index }) => index === layer.index + 1);
  if (below) draw('below', below.pieces);
  const mine = source.pieces.filter((piece) => piece.layer === layer.index);
  draw(
    'cut',
    mine.map((piece) => piece.outline),
  );
  if (next) draw('next', next.pieces);
  for (const seam of source.seams.filter((each) => each.layer === layer.index))
    strokes.push({ pen: 'seam', points: seam.points.map(small), closed: false });
  for (const at of layer.dowels) strokes.push({ pen: 'pin', points: ringAround(small(at), 1.2), closed: true });
  const words: Words[] = mine.map((piece) => ({
    at: small(roomiest(piece.outline).at),
    text: piece.id,
    sizeMm: 4,
    align: 'middle',
    strong: true,
  }));
  const lines = [
    `${layer.thicknessMm} mm thick, from ${decimals(layer.bottomMm, 1)} to ${decimals(layer.topMm, 1)} mm of foam over the baseboard`,
    `Pieces: ${mine.map((piece) => `${piece.id}${piece.bedName ? ` (${piece.bedName})` : ''}`).join(', ')}`,
    `${layer.dowels.length ? `${layer.dowels.length} dowels into the layer below. ` : ''}${layer.works.join('. ')}`,
    'Thick line: this layer. Dashed: the layer above. Thin: the layer below. The back of the base is up.',
  ].filter((line) => line);
  // Five lines at their usual size; where there is more to say, it is set smaller.
  const usual = lines.flatMap((line) => inLines(line, 2.8, room.widthMm));
  const [sizeMm, apartMm, most] = usual.length > 5 ? [2.1, 3.3, 7] : [2.8, 4.6, 5];
  const set = usual.length > 5 ? lines.flatMap((line) => inLines(line, sizeMm, room.widthMm)) : usual;
  if (set.length > most) set.splice(most - 1, set.length, `${set[most - 1].slice(0, -2)} …`);
  set.forEach((text, k) => {
    words.push({ at: [0, WRITTEN_MM - 6 - k * apartMm], text, sizeMm, align: 'left', strong: false });
  });
  return {
    kind: 'guide',
    title: `Stacking guide, layer ${layer.index} of ${layers.length}`,
    note: `Drawn at 1 : ${scale}; not a template`,
    x0: 0,
    y0: 0,
    widthMm: room.widthMm,
    heightMm: room.heightMm,
    strokes,
    words,
  };
}
