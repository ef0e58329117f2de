import { bad, good, type Point, type Result } from '@hosket/core';
import { XMLParser } from 'fast-xml-parser';
import svgpath from 'svgpath';
import { boxOfLines, closedIfItIs, counted, type DrawnLine, type PlanDrawing, withFewLayers } from './drawing.ts';
import { MOST_DEPTH, MOST_POINTS, tooDeep, tooManyPoints } from './limits.ts';

/** Millimetres of the units of CSS lengths (CSS Values and Units 3: 96 px to the inch). */
const cssMm: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  q: 0.25,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  px: 25.4 / 96,
  '': 25.4 / 96,
};

/** An element as the parser gives it when order is kept: its name with its children, and its attributes under ':@'. */
type Node = Record<string, unknown>;

const shapes = ['path', 'line', 'polyline', 'polygon', 'rect', 'circle', 'ellipse'];
const harmful = ['script', 'foreignObject', 'iframe', 'animate', 'set'];
const silent = ['defs', 'symbol', 'clipPath', 'mask', 'pattern', 'marker', 'metadata', 'title', 'desc', 'style'];
const layerName = ['inkscape:label', 'label', 'id'];
/** Pieces that a curve is broken into. */
const PIECES = 12;

/** Reads the shapes of an SVG drawing as lines. Nothing of the file is ever put into a page: only numbers and names are taken. */
export function readSvg(text: string): Result<PlanDrawing> {
  let nodes: Node[];
  try {
    nodes = new XMLParser({
      preserveOrder: true,
      ignoreAttributes: false,
      attributeNamePrefix: '',
      processEntities: false,
    }).parse(text, true);
  } catch (error) {
    return bad(
      'svg',
      '(whole file)',
      `The file is no readable SVG: ${(error as Error).message}.`,
      'Save it again as plain SVG.',
    );
  }
  const root = nodes.find((node) => 'svg' in node);
  if (!root) return bad('svg', '(whole file)', 'There is no drawing in the file.', 'Save it again as plain SVG.');
  const attributes = attributesOf(root);
  const notes: string[] = [];
  const { unitMm, unit } = sizeOf(attributes, notes);
  const walk: Walk = { lines: [], points: 0, left: new Map(), scripts: 0, deep: false };
  gather(root.svg as Node[], '', '', walk, 0);
  if (walk.deep) return tooDeep('svg');
  if (walk.points > MOST_POINTS) return tooManyPoints('svg');
  if (!walk.lines.length)
    return bad(
      'empty',
      'svg',
      'There is no line or shape in the drawing.',
      'Turn text and pictures into paths, and save it again.',
    );
  if (walk.scripts)
    notes.push(`${counted(walk.scripts, 'script or action', 'scripts or actions')} left out: only shapes are read.`);
  for (const [name, count] of walk.left) notes.push(`${counted(count, `${name} was`, `${name} were`)} left out.`);
  // Drawings run downwards; a plan runs away from the viewer.
  const bottom = boxOfLines(walk.lines)[3];
  const lines = walk.lines.map((line) => ({ ...line, points: line.points.map(([x, y]): Point => [x, bottom - y]) }));
  return good(withFewLayers({ lines, unitMm, unit, notes }));
}

interface Walk {
  lines: DrawnLine[];
  points: number;
  left: Map<string, number>;
  scripts: number;
  /** Whether groups stood deeper in one another than can be followed. */
  deep: boolean;
}

const attributesOf = (node: Node) => (node[':@'] ?? {}) as Record<string, string>;
const nameOf = (node: Node) => Object.keys(node).find((key) => key !== ':@') ?? '';

/** What one unit of the drawing is: by its width in real units and its view box. */
function sizeOf(attributes: Record<string, string>, notes: string[]) {
  const box = (attributes.viewBox ?? '').split(/[\s,]+/).map(Number);
  const read = /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*([a-z%]*)\s*$/i.exec(attributes.width ?? '');
  const mm = read ? cssMm[read[2].toLowerCase()] : undefined;
  if (read && mm === undefined)
    notes.push(`The width is given in "${read[2]}", which is no length: say how large it is to be.`);
  if (!read) notes.push('The drawing does not say how wide it is: say how large it is to be.');
  const userWide = box.length === 4 && box[2] > 0 ? box[2] : read ? Number(read[1]) : 0;
  const unitMm = read && mm !== undefined && userWide > 0 ? (Number(read[1]) * mm) / userWide : null;
  return {
    unitMm,
    unit:
      unitMm === null ? 'unit of the drawing' : unitMm === 1 ? 'millimetre' : `step of ${Number(unitMm.toFixed(4))} mm`,
  };
}

function gather(nodes: readonly Node[], transform: string, layer: string, walk: Walk, depth: number): void {
  if (depth > MOST_DEPTH) {
    walk.deep = true;
    return;
  }
  for (const node of nodes) {
    if (walk.points > MOST_POINTS) return;
    const name = nameOf(node);
    const attributes = attributesOf(node);
    if (Object.keys(attributes).some((key) => /^on/i.test(key))) walk.scripts++;
    if (harmful.includes(name)) {
      walk.scripts++;
      continue;
    }
    if (silent.includes(name) || name === '#text' || name === '#comment' || name.startsWith('?')) continue;
    const moved = `${transform} ${attributes.transform ?? ''}`.trim();
    if (name === 'g' || name === 'svg' || name === 'a') {
      const label = layerName.map((key) => attributes[key]).find((text) => text) ?? layer;
      gather(node[name] as Node[], moved, label, walk, depth + 1);
    } else if (shapes.includes(name)) addShape(name, attributes, moved, layer, walk);
    else walk.left.set(name, (walk.left.get(name) ?? 0) + 1);
  }
}

function addShape(
  name: string,
  attributes: Record<string, string>,
  transform: string,
  layer: string,
  walk: Walk,
): void {
  const path = pathOf(name, attributes);
  const runs = path ? runsOf(path, transform) : [];
  if (!runs.length) {
    walk.left.set(name, (walk.left.get(name) ?? 0) + 1);
    return;
  }
  const named = attributes['inkscape:label'] ?? attributes.id ?? '';
  const data = Object.entries(attributes).filter(([key]) => key.startsWith('data-'));
  for (const { points, closed } of runs) {
    walk.points += points.length;
    walk.lines.push({
      layer: layer || named || name,
      points,
      closed,
      elevation: null,
      properties: {
        ...(named ? { name: named } : {}),
        ...Object.fromEntries(
          data.map(([key, value]) => [key.slice(5), Number.isFinite(Number(value)) ? Number(value) : value]),
        ),
      },
    });
  }
}

/** Every shape as a path. */
function pathOf(name: string, attributes: Record<string, string>): string | null {
  const n = (key: string) => Number.parseFloat(attributes[key] ?? '0') || 0;
  switch (name) {
    case 'path':
      return attributes.d ?? null;
    case 'line':
      return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`;
    case 'polyline':
    case 'polygon': {
      const numbers = (attributes.points ?? '').trim().split(/[\s,]+/);
      return numbers.length >= 4 ? `M${numbers.join(' ')}${name === 'polygon' ? 'Z' : ''}` : null;
    }
    case 'rect':
      return `M${n('x')} ${n('y')}h${n('width')}v${n('height')}h${-n('width')}Z`;
    default: {
      const [rx, ry] = name === 'circle' ? [n('r'), n('r')] : [n('rx'), n('ry')];
      if (!(rx > 0 && ry > 0)) return null;
      return `M${n('cx') - rx} ${n('cy')}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`;
    }
  }
}

/** The parts of a path as lines of points, curves broken into pieces. */
function runsOf(path: string, transform: string): { points: Point[]; closed: boolean }[] {
  const whole = svgpath(path).transform(transform).abs().unarc().unshort();
  const runs: Point[][] = [];
  const closedRuns = new Set<Point[]>();
  whole.iterate(([kind, ...values], _k, x, y) => {
    const n = values as number[];
    const run = runs[runs.length - 1];
    if (kind === 'M') runs.push([[n[0], n[1]]]);
    else if (!run) return;
    else if (kind === 'L') run.push([n[0], n[1]]);
    else if (kind === 'H') run.push([n[0], y]);
    else if (kind === 'V') run.push([x, n[0]]);
    else if (kind === 'C') curve(run, [x, y], [n[0], n[1]], [n[2], n[3]], [n[4], n[5]]);
    else if (kind === 'Q') {
      const lift = (a: number, b: number) => a + (2 / 3) * (b - a);
      const [c, e]: [Point, Point] = [
        [n[0], n[1]],
        [n[2], n[3]],
      ];
      curve(run, [x, y], [lift(x, c[0]), lift(y, c[1])], [lift(e[0], c[0]), lift(e[1], c[1])], e);
    } else if (kind === 'Z') closedRuns.add(run);
  });
  return runs.flatMap((run) => {
    const shut = closedIfItIs(run);
    const closed = shut.closed || closedRuns.has(run);
    if (shut.points.length < 2 || !shut.points.every(([x, y]) => Number.isFinite(x) && Number.isFinite(y))) return [];
    return [{ points: shut.points, closed: closed && shut.points.length >= 3 }];
  });
}

function curve(run: Point[], a: Point, b: Point, c: Point, d: Point): void {
  for (let k = 1; k <= PIECES; k++) {
    const t = k / PIECES;
    const s = 1 - t;
    const at = (axis: 0 | 1) =>
      s * s * s * a[axis] + 3 * s * s * t * b[axis] + 3 * s * t * t * c[axis] + t * t * t * d[axis];
    run.push([at(0), at(1)]);
  }
}
