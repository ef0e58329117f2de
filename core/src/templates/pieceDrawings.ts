import { cutLineOf } from '../cutting/index.ts';
import {
  boundsOf,
  distanceToStretch,
  insideRing,
  type Point,
  type Polygon,
  type Ring,
  ringsOf,
} from '../geometry/index.ts';
import type { Project } from '../project/index.ts';
import { decimals } from '../units/index.ts';
import { type Drawing, NOTES_APART, ringAround, type Stroke, type Words } from './page.ts';
import type { TemplateLayer, TemplatePiece, TemplateSource } from './source.ts';

/** What is drawn round a piece, mm. */
const RIM_MM = 4;

const holds = ({ outer, holes }: Polygon, [x, y]: Point): boolean =>
  insideRing(outer, x, y) && !holes.some((hole) => insideRing(hole, x, y));

/** The stretches of a line that lie in a piece; it is looked at every 2 mm. */
export function withinPiece(piece: Polygon, line: readonly Point[], closed: boolean): Point[][] {
  const points = closed ? [...line, line[0]] : line;
  const runs: Point[][] = [];
  let open: Point[] | null = null;
  for (let k = 1; k < points.length; k++) {
    const [a, b] = [points[k - 1], points[k]];
    const steps = Math.max(1, Math.ceil(Math.hypot(b[0] - a[0], b[1] - a[1]) / 2));
    for (let s = 0; s < steps; s++) {
      const at = (t: number): Point => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
      if (!holds(piece, at((s + 0.5) / steps))) {
        open = null;
        continue;
      }
      if (!open) {
        open = [at(s / steps)];
        runs.push(open);
      }
      open.push(at((s + 1) / steps));
    }
  }
  return runs;
}

/** The place in a piece that is farthest from its outlines, of a lattice of places: where its label goes. */
export function roomiest(piece: Polygon): { at: Point; roomMm: number } {
  const [x0, y0, x1, y1] = boundsOf(piece.outer);
  const rings = ringsOf([piece]);
  let best = { at: [(x0 + x1) / 2, (y0 + y1) / 2] as Point, roomMm: 0 };
  const places = 22;
  for (let i = 1; i < places; i++)
    for (let j = 1; j < places; j++) {
      const at: Point = [x0 + ((x1 - x0) * i) / places, y0 + ((y1 - y0) * j) / places];
      if (!holds(piece, at)) continue;
      let roomMm = Number.POSITIVE_INFINITY;
      for (const ring of rings) {
        for (let k = 0, l = ring.length - 1; k < ring.length && roomMm > best.roomMm; l = k++)
          roomMm = Math.min(roomMm, distanceToStretch(at, ring[l], ring[k]));
        if (roomMm <= best.roomMm) break;
      }
      if (roomMm > best.roomMm) best = { at, roomMm };
    }
  return best;
}

/** A piece at full size, with all that helps to cut it and to lay the next layer on it. */
export function pieceDrawing(project: Project, source: TemplateSource, piece: TemplatePiece): Drawing {
  const cut = cutLineOf(project, piece.outline);
  const { outline } = piece;
  const layer = source.layers.find(({ index }) => index === piece.layer);
  const next = piece.panel === null ? source.layers.find(({ index }) => index === piece.layer + 1) : undefined;
  const [x0, y0, x1, y1] = boundsOf(cut.outer);
  const strokes: Stroke[] = [
    { pen: 'cut', points: cut.outer, closed: true },
    ...cut.holes.map((hole): Stroke => ({ pen: 'hole', points: hole, closed: true })),
  ];
  const inside = (pen: Stroke['pen'], rings: readonly Ring[], closed = true) => {
    for (const ring of rings)
      for (const points of withinPiece(outline, ring, closed)) strokes.push({ pen, points, closed: false });
  };
  if (next) inside('next', ringsOf(next.pieces));
  for (const seam of source.seams.filter(({ layer: of }) => of === piece.layer))
    if (isOnRim(outline.outer, seam.points[0])) strokes.push({ pen: 'seam', points: seam.points, closed: false });
  const names: Words[] = [];
  for (const room of source.rooms.filter(({ layers }) => layers.includes(piece.layer))) {
    inside('void', room.rings);
    const at = room.rings.flat().find((point) => holds(outline, point));
    if (at && room.name) names.push({ at, text: room.name, sizeMm: 2.6, align: 'left', strong: false });
  }
  for (const at of [...(layer?.dowels ?? []), ...(next?.dowels ?? [])])
    if (holds(outline, at)) {
      const r = project.stacking.dowel.diameterMm / 2;
      strokes.push({ pen: 'pin', points: ringAround(at, r), closed: true });
      strokes.push({
        pen: 'pin',
        points: [
          [at[0] - r - 2, at[1]],
          [at[0] + r + 2, at[1]],
        ],
        closed: false,
      });
      strokes.push({
        pen: 'pin',
        points: [
          [at[0], at[1] - r - 2],
          [at[0], at[1] + r + 2],
        ],
        closed: false,
      });
    }
  return {
    kind: 'pieces',
    title: `Piece ${piece.id}`,
    note: noteOf(layer, piece, project.cutting.offsetKerf),
    x0: x0 - RIM_MM,
    y0: y0 - RIM_MM,
    widthMm: x1 - x0 + 2 * RIM_MM,
    heightMm: y1 - y0 + 2 * RIM_MM,
    strokes: [...strokes, ...compass(outline)],
    words: [...labels(piece), ...backWord(outline, piece.panel === null ? 'back' : 'top'), ...names],
  };
}

const noteOf = (layer: TemplateLayer | undefined, piece: TemplatePiece, offset: boolean): string =>
  [
    `${piece.panel ?? `Layer ${piece.layer}`}, ${piece.thicknessMm} mm`,
    piece.bedName,
    ...(layer ? [`lies from ${decimals(layer.bottomMm, 1)} to ${decimals(layer.topMm, 1)} mm`] : []),
    ...(offset ? ['cut on the line: half the kerf is added'] : []),
  ].join(NOTES_APART);

/** Whether a place lies on an outline, near enough. */
const isOnRim = (ring: Ring, at: Point): boolean =>
  ring.some((point, k) => distanceToStretch(at, point, ring[(k + 1) % ring.length]) < 0.5);

/** The label, as large as there is room for. */
function labels({ id, outline, layer, bedName }: TemplatePiece): Words[] {
  const { at, roomMm } = roomiest(outline);
  const sizeMm = Math.max(3, Math.min(9, roomMm / 2.2));
  const small = Math.max(2.2, Math.min(3.2, sizeMm / 2.2));
  const under = (n: number): Point => [at[0], at[1] - n * small * 1.45];
  const line = { sizeMm: small, align: 'middle' as const, strong: false, home: at };
  const words: Words[] = [{ at, text: id, sizeMm, align: 'middle', strong: true }];
  if (roomMm > 10) {
    words.push({ ...line, at: under(1), text: `layer ${layer} · this side up` });
    if (bedName) words.push({ ...line, at: under(2), text: bedName });
  }
  return words;
}

/** Where the arrow to the back of the base stands, above the label; null where there is no room for one. */
function arrowOf(outline: Polygon): { x: number; y: number; long: number } | null {
  const { at, roomMm } = roomiest(outline);
  if (roomMm < 12) return null;
  return { x: at[0], y: at[1] + Math.max(4, Math.min(10, roomMm / 2.2)), long: Math.min(14, roomMm * 0.5) };
}

function backWord(outline: Polygon, text: 'back' | 'top'): Words[] {
  const arrow = arrowOf(outline);
  return arrow
    ? [{ at: [arrow.x + 3, arrow.y + arrow.long - 3], text, sizeMm: 2.8, align: 'left', strong: false }]
    : [];
}

/** The arrow itself. */
function compass(outline: Polygon): Stroke[] {
  const arrow = arrowOf(outline);
  if (!arrow) return [];
  const { x, y, long } = arrow;
  return [
    {
      pen: 'mark',
      points: [
        [x, y],
        [x, y + long],
      ],
      closed: false,
    },
    {
      pen: 'mark',
      points: [
        [x - 2, y + long - 4],
        [x, y + long],
        [x + 2, y + long - 4],
      ],
      closed: false,
    },
  ];
}
