import {
  baseFromOutline,
  baseSize,
  drawItem,
  type ItemKind,
  itemsOf,
  kindWords,
  type Point,
  type Project,
  readNumber,
} from '@hosket/core';
import { boxOfDrawing, type DrawnLine, type PlanDrawing } from './drawing.ts';

export { boxOfDrawing };

/** What the lines of a layer may become. */
export const becomings = [
  'contour',
  'spot',
  'form',
  'break',
  'pad',
  'way',
  'channel',
  'basin',
  'mound',
  'building',
  'rock',
  'patch',
] as const satisfies readonly ItemKind[];
export type Becoming = (typeof becomings)[number] | 'the base' | 'left out';

/** Where a line's height comes from. */
export type HeightFrom =
  | { kind: 'typed'; mm: number }
  | { kind: 'elevation' }
  | { kind: 'name' }
  | { kind: 'property'; key: string };

/** What becomes of one layer. */
export interface LayerMapping {
  layer: string;
  becomes: Becoming;
  height: HeightFrom;
}

export interface PlanMapping {
  layers: LayerMapping[];
  /** Millimetres on the base for one unit of the drawing. */
  mmPerUnit: number;
  /** Millimetres on the base for one unit of height. */
  mmPerHeight: number;
  /** Where the lower left corner of the drawing's box comes to lie on the base. */
  at: Point;
}

/** A layer of a drawing with what it holds. */
export interface LayerSeen {
  layer: string;
  count: number;
  closed: number;
  points: number;
  /** Keys of numbers that its lines carry. */
  keys: string[];
  elevated: boolean;
}

const numberIn = (text: string): number | null => {
  const found = /-?\d+(?:[.,]\d+)?/.exec(text);
  return found ? readNumber(found[0]) : null;
};

export function layersOf({ lines }: PlanDrawing): LayerSeen[] {
  const byLayer = new Map<string, DrawnLine[]>();
  for (const line of lines) {
    const own = byLayer.get(line.layer);
    if (own) own.push(line);
    else byLayer.set(line.layer, [line]);
  }
  return [...byLayer].map(([layer, own]) => {
    const keys = new Set(
      own.flatMap(({ properties }) =>
        Object.keys(properties).filter((key) => numberIn(String(properties[key])) !== null),
      ),
    );
    return {
      layer,
      count: own.length,
      closed: own.filter(({ closed }) => closed).length,
      points: own.reduce((sum, { points }) => sum + points.length, 0),
      keys: [...keys],
      elevated: own.some(({ elevation }) => elevation !== null),
    };
  });
}

/** Words in a layer's name that say what it is. */
const hints: readonly (readonly [RegExp, Becoming])[] = [
  [/contour|height|level|isoline/i, 'contour'],
  [/base|edge of|outline|border/i, 'the base'],
  [/build|house|hut/i, 'building'],
  [/road|track|path|way|rail|lane/i, 'way'],
  [/stream|river|brook|channel|ditch/i, 'channel'],
  [/pond|lake|water|pool|sea/i, 'basin'],
  [/cliff|break|crag/i, 'break'],
  [/rock|boulder/i, 'rock'],
  [/pad|bench|platform/i, 'pad'],
  [/zone|cover|field|wood/i, 'patch'],
];

/** A first guess: by the layer's name, whether its lines are closed, and where a height can be found. */
export function guess(drawing: PlanDrawing, project: Project): PlanMapping {
  const [x0, y0, x1, y1] = boxOfDrawing(drawing);
  const { widthMm, depthMm } = baseSize(project.base);
  const fit = Math.min(widthMm / Math.max(1e-9, x1 - x0), depthMm / Math.max(1e-9, y1 - y0));
  // A drawing in real metres or feet comes down by the scale of the work, where it then fits the base about.
  const real = drawing.unitMm === null ? null : drawing.unitMm / (project.scale ?? 1);
  const own = drawing.unitMm;
  const fits = (mm: number | null): mm is number => mm !== null && mm <= fit * 1.5 && mm >= fit / 20;
  const mmPerUnit = fits(own) ? own : fits(real) ? real : fit;
  return {
    layers: layersOf(drawing).map((seen) => guessLayer(seen)),
    mmPerUnit,
    mmPerHeight: mmPerUnit,
    at: [(widthMm - (x1 - x0) * mmPerUnit) / 2, (depthMm - (y1 - y0) * mmPerUnit) / 2],
  };
}

function guessLayer({ layer, count, closed, points, keys, elevated }: LayerSeen): LayerMapping {
  const hinted = hints.find(([pattern]) => pattern.test(layer))?.[1];
  const becomes =
    points === count
      ? 'spot'
      : (hinted ?? (closed > 0 || elevated || keys.length || numberIn(layer) !== null ? 'contour' : 'form'));
  const key = keys.find((name) => /height|elev|level|ele$|^z$|mm$/i.test(name)) ?? keys[0];
  const height: HeightFrom = elevated
    ? { kind: 'elevation' }
    : key
      ? { kind: 'property', key }
      : numberIn(layer) !== null
        ? { kind: 'name' }
        : { kind: 'typed', mm: 20 };
  return { layer, becomes, height };
}

/** The height of a line on the base, mm; null where its source says none. */
function heightOf(line: DrawnLine, { height }: LayerMapping, mmPerHeight: number): number | null {
  const read =
    height.kind === 'typed'
      ? height.mm
      : height.kind === 'elevation'
        ? line.elevation
        : height.kind === 'name'
          ? numberIn(line.layer)
          : numberIn(String(line.properties[height.key] ?? ''));
  if (read === null || !Number.isFinite(read)) return null;
  return height.kind === 'typed' ? read : read * mmPerHeight;
}

export interface Taken {
  project: Project;
  /** How many lines became something. */
  count: number;
  /** What could not be taken as it was meant. */
  notes: string[];
}

const MOST_ITEMS = 1500;
const MOST_POINTS = 2000;

/** Draws a plan onto a project by a mapping: each line becomes an item, with the usual parameters of its kind at its height. */
export function takeIn(project: Project, drawing: PlanDrawing, mapping: PlanMapping): Taken {
  const [x0, y0] = boxOfDrawing(drawing);
  const { mmPerUnit, mmPerHeight, at } = mapping;
  const hundredth = (mm: number) => Math.round(mm * 100) / 100;
  const onBase = ([x, y]: Point): Point => [
    hundredth(at[0] + (x - x0) * mmPerUnit),
    hundredth(at[1] + (y - y0) * mmPerUnit),
  ];
  const notes: string[] = [];
  let [next, count, noHeight, tooFew, cut] = [project, 0, 0, 0, 0];
  let outline: Point[] | null = null;
  const layers = new Map(mapping.layers.map((layer) => [layer.layer, layer]));
  let items = itemsOf(project).length;
  for (const line of drawing.lines) {
    const layer = layers.get(line.layer);
    if (!layer || layer.becomes === 'left out') continue;
    if (items >= MOST_ITEMS) {
      cut++;
      continue;
    }
    const points = simplified(line.points.map(onBase));
    if (layer.becomes === 'the base') {
      if (!outline || points.length > 2) outline = points;
      continue;
    }
    const kind = layer.becomes;
    const drawn = kindWords[kind].drawn;
    if (points.length < (drawn === 'outline' ? (kind === 'contour' ? 2 : 3) : drawn === 'line' ? 2 : 1)) {
      tooFew++;
      continue;
    }
    const heightMm = heightOf(line, layer, mmPerHeight);
    if (heightMm === null) noHeight++;
    const level = Math.max(0, Math.min(2000, hundredth(heightMm ?? 0)));
    const change = {
      name: nameFor(line, kind, level),
      ...(drawn === 'point' ? {} : { smooth: false }),
      ...levelFields(kind, level),
      ...(kind === 'contour' ? { closed: line.closed && points.length >= 3, level: false } : {}),
    };
    next = drawItem(next, kind, drawn === 'point' ? points.slice(0, 1) : points, level, change).project;
    count++;
    items++;
  }
  if (outline) {
    const taken = baseFromOutline(next, outline);
    if (taken) next = taken;
    else notes.push('The outline for the base crosses itself or is too small or too large; the base stays as it was.');
  }
  if (noHeight) notes.push(`${noHeight} lines had no height where it was looked for; they lie at 0.`);
  if (tooFew) notes.push(`${tooFew} lines had too few points for what they were to become.`);
  if (cut) notes.push(`${cut} lines were left out: ${MOST_ITEMS} things are as many as a plan carries.`);
  return { project: next, count: count + (outline ? 1 : 0), notes };
}

/** The fields of a kind that its height goes into. */
function levelFields(kind: ItemKind, level: number): object {
  if (kind === 'contour' || kind === 'spot' || kind === 'pad') return { heightMm: level };
  if (kind === 'form') return { fromMm: level, toMm: level };
  if (kind === 'basin') return { waterMm: level };
  return {};
}

const nameFor = (line: DrawnLine, kind: ItemKind, level: number): string =>
  String(
    line.properties.name ??
      `${line.layer === '0' ? kindWords[kind].title : line.layer}${kind === 'contour' ? ` ${level}` : ''}`,
  ).slice(0, 120);

/** Leaves out points that lie on the way between their neighbours, coarser and coarser until few enough are left. */
function simplified(points: readonly Point[]): Point[] {
  let kept = [...points];
  for (let tolerance = 0.05; kept.length > MOST_POINTS; tolerance *= 2) kept = straightened(points, tolerance);
  return kept;
}

/** Douglas and Peucker 1973, without recursion. */
function straightened(points: readonly Point[], tolerance: number): Point[] {
  const keep = new Uint8Array(points.length);
  keep[0] = 1;
  keep[points.length - 1] = 1;
  const spans: [number, number][] = [[0, points.length - 1]];
  for (let span = spans.pop(); span; span = spans.pop()) {
    const [from, to] = span;
    const [ax, ay] = points[from];
    const [dx, dy] = [points[to][0] - ax, points[to][1] - ay];
    const length = Math.hypot(dx, dy) || 1e-9;
    let [farthest, at] = [tolerance, -1];
    for (let k = from + 1; k < to; k++) {
      const away = Math.abs(dy * (points[k][0] - ax) - dx * (points[k][1] - ay)) / length;
      if (away > farthest) [farthest, at] = [away, k];
    }
    if (at < 0) continue;
    keep[at] = 1;
    spans.push([from, at], [at, to]);
  }
  return points.filter((_, k) => keep[k]);
}
