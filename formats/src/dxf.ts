import { bad, good, type Point, type Result } from '@hosket/core';
import DxfParser from 'dxf-parser';
import { closedIfItIs, counted, type DrawnLine, type PlanDrawing, thinned, withFewLayers } from './drawing.ts';
import { MOST_POINTS, tooManyPoints } from './limits.ts';

/** Millimetres of one unit by the header's $INSUNITS (DXF reference, from memory). */
const units: Readonly<Record<number, { name: string; mm: number }>> = {
  1: { name: 'inch', mm: 25.4 },
  2: { name: 'foot', mm: 304.8 },
  3: { name: 'mile', mm: 1_609_344 },
  4: { name: 'millimetre', mm: 1 },
  5: { name: 'centimetre', mm: 10 },
  6: { name: 'metre', mm: 1000 },
  7: { name: 'kilometre', mm: 1e6 },
  9: { name: 'thousandth of an inch', mm: 0.0254 },
  10: { name: 'yard', mm: 914.4 },
  13: { name: 'micrometre', mm: 0.001 },
  14: { name: 'decimetre', mm: 100 },
};

interface Vertex {
  x: number;
  y: number;
  z?: number;
  bulge?: number;
}
interface Entity {
  type: string;
  layer?: string;
  shape?: boolean;
  closed?: boolean;
  elevation?: number;
  vertices?: Vertex[];
  fitPoints?: Vertex[];
  controlPoints?: Vertex[];
  center?: Vertex;
  position?: Vertex;
  radius?: number;
  startAngle?: number;
  endAngle?: number;
  majorAxisEndPoint?: Vertex;
  axisRatio?: number;
}

/** Chords of curves stay this near to them, as a share of the radius. */
const STEPS_PER_TURN = 72;

/** What the values of group codes may be (DXF reference, group code value types, from memory). */
const knownCode = (code: number): boolean =>
  (code >= 0 && code <= 149) ||
  (code >= 160 && code <= 179) ||
  (code >= 210 && code <= 239) ||
  (code >= 270 && code <= 481) ||
  code === 999 ||
  (code >= 1000 && code <= 1071) ||
  (code >= -5 && code < 0);

/** Place, widths and bulge of a corner of a LWPOLYLINE. */
const CORNER_CODES = [10, 20, 30, 40, 41, 42];

/**
 * Looks through the pairs of a DXF before it is parsed: pairs out of step send a parser round in circles, and a vertex count that promises too much
 * makes it wait for what never comes. Gives a drawing of the unit and the entities alone, with each count as it is.
 */
function checkedDxf(text: string): Result<string> {
  const lines = text.split(/\r\n|\r|\n/g);
  const header = ['0', 'SECTION', '2', 'HEADER'];
  const entities = ['0', 'SECTION', '2', 'ENTITIES'];
  let section = '';
  let variable = '';
  let [countAt, points, all, polyline] = [-1, 0, 0, false];
  const settle = () => {
    if (countAt >= 0) entities[countAt] = String(points);
    [countAt, points] = [-1, 0];
  };
  for (let k = 0; k + 1 < lines.length; k += 2) {
    const [word, value] = [lines[k].trim(), lines[k + 1].trim()];
    const code = Number(word);
    if (word === '' || !Number.isInteger(code) || !knownCode(code))
      return bad(
        'dxf',
        `line ${k + 1}`,
        `"${word.slice(0, 40)}" stands where a group code belongs.`,
        'The file is damaged or no text DXF: save it again.',
      );
    if (code === 0 && value === 'EOF') {
      settle();
      return good([...header, '0', 'ENDSEC', ...entities, '0', 'ENDSEC', '0', 'EOF'].join('\n'));
    }
    if (code === 0 && (value === 'SECTION' || value === 'ENDSEC')) {
      settle();
      section = '';
    } else if (code === 2 && section === '') section = value;
    else if (section === 'HEADER') {
      if (code === 9) variable = value;
      else if (variable === '$INSUNITS' && code === 70) header.push('9', '$INSUNITS', '70', value);
    } else if (section === 'ENTITIES') {
      if (code === 0) {
        settle();
        polyline = value === 'LWPOLYLINE';
      } else if (code === 10) {
        points++;
        if (++all > MOST_POINTS) return tooManyPoints('ENTITIES');
      } else if (code === 90 && polyline && points === 0) countAt = entities.length + 1;
      // The parser goes back for ever to a corner that anything else follows.
      if (polyline && points > 0 && !CORNER_CODES.includes(code)) continue;
      entities.push(word, lines[k + 1]);
    }
  }
  return bad(
    'dxf',
    '(whole file)',
    'The DXF file ends before its end (no EOF).',
    'It may be cut short: save it again.',
  );
}

/** Reads the lines, curves and points of a DXF drawing; units from its header. */
export function readDxf(text: string): Result<PlanDrawing> {
  const checked = checkedDxf(text);
  if (!checked.ok) return checked;
  let document: ReturnType<DxfParser['parseSync']>;
  try {
    document = new DxfParser().parseSync(checked.value);
  } catch (error) {
    return bad(
      'dxf',
      '(whole file)',
      `The file is no readable DXF: ${(error as Error).message}.`,
      'Save it again as a text DXF.',
    );
  }
  const entities = (document?.entities ?? []) as unknown as Entity[];
  if (!document || !entities.length)
    return bad(
      'empty',
      'ENTITIES',
      'There is nothing drawn in the DXF file.',
      'Explode blocks, or save it again as a text DXF.',
    );
  const skipped = new Map<string, number>();
  const lines = entities.flatMap((entity): DrawnLine[] => {
    const read = lineOf(entity);
    if (read) return [read];
    skipped.set(entity.type, (skipped.get(entity.type) ?? 0) + 1);
    return [];
  });
  if (!lines.length)
    return bad(
      'empty',
      'ENTITIES',
      `The DXF file holds only ${[...skipped.keys()].join(', ')}: no lines or points.`,
      'Explode blocks and save it again.',
    );
  const code = Number(document.header?.$INSUNITS ?? 0);
  const unit = units[code];
  const notes = [...skipped].map(([type, count]) => `${counted(count, `${type} was`, `${type} were`)} left out.`);
  if (!unit) notes.push('The drawing does not say what its units are: say how large it is to be.');
  else if (unit.mm !== 1) notes.push(`The drawing is in units of one ${unit.name}, which is ${unit.mm} mm.`);
  return good(withFewLayers({ lines, unitMm: unit?.mm ?? null, unit: unit?.name ?? 'unit of the drawing', notes }));
}

function lineOf(entity: Entity): DrawnLine | null {
  const made = (points: Point[], closed: boolean, elevation: number | null): DrawnLine | null =>
    points.length && points.every(([x, y]) => Number.isFinite(x) && Number.isFinite(y))
      ? { layer: entity.layer ?? '0', points, closed, elevation, properties: {} }
      : null;
  switch (entity.type) {
    case 'LINE':
    case 'LWPOLYLINE':
    case 'POLYLINE': {
      const vertices = entity.vertices ?? [];
      const closed = entity.shape === true || entity.closed === true;
      const run = bulged(vertices, closed);
      const shut = closed ? { points: thinned(run), closed } : closedIfItIs(run);
      return shut.points.length < 2 ? null : made(shut.points, shut.closed, heightOf(entity, vertices));
    }
    case 'SPLINE': {
      // Its fit points lie on it; without them a line through its control points comes near.
      const points = (entity.fitPoints?.length ? entity.fitPoints : (entity.controlPoints ?? [])) as Vertex[];
      const shut = closedIfItIs(points.map(({ x, y }): Point => [x, y]));
      return shut.points.length < 2
        ? null
        : made(shut.points, shut.closed || entity.closed === true, heightOf(entity, points));
    }
    case 'CIRCLE':
      return entity.center && entity.radius
        ? made(arc(entity.center, entity.radius, 0, 2 * Math.PI).slice(0, -1), true, heightOf(entity, [entity.center]))
        : null;
    case 'ARC':
      return entity.center && entity.radius
        ? made(
            arc(entity.center, entity.radius, entity.startAngle ?? 0, entity.endAngle ?? 2 * Math.PI),
            false,
            heightOf(entity, [entity.center]),
          )
        : null;
    case 'ELLIPSE':
      return ellipse(entity, made);
    case 'POINT': {
      const at = entity.position;
      return at ? made([[at.x, at.y]], false, at.z ?? null) : null;
    }
    default:
      return null;
  }
}

/** A height that all of a line shares; 0 stands for none, since drawings that are flat say 0 everywhere. */
function heightOf(entity: Entity, vertices: readonly Vertex[]): number | null {
  const z = entity.elevation ?? vertices[0]?.z ?? 0;
  return z !== 0 && vertices.every((vertex) => vertex.z === undefined || vertex.z === 0 || vertex.z === z) ? z : null;
}

function arc({ x, y }: Vertex, radius: number, from: number, to: number): Point[] {
  const sweep = to > from ? to - from : to - from + 2 * Math.PI;
  const steps = Math.max(2, Math.ceil((sweep / (2 * Math.PI)) * STEPS_PER_TURN));
  return Array.from({ length: steps + 1 }, (_, k): Point => {
    const turn = from + (sweep * k) / steps;
    return [x + radius * Math.cos(turn), y + radius * Math.sin(turn)];
  });
}

function ellipse(
  { center, majorAxisEndPoint: major, axisRatio = 1, startAngle = 0, endAngle = 2 * Math.PI }: Entity,
  made: (points: Point[], closed: boolean, elevation: number | null) => DrawnLine | null,
): DrawnLine | null {
  if (!center || !major) return null;
  const whole = Math.abs(endAngle - startAngle) >= 2 * Math.PI - 1e-6;
  const unit = arc({ x: 0, y: 0 }, 1, startAngle, endAngle);
  const points = unit.map(
    ([c, s]): Point => [
      center.x + c * major.x - s * axisRatio * major.y,
      center.y + c * major.y + s * axisRatio * major.x,
    ],
  );
  return made(whole ? points.slice(0, -1) : points, whole, null);
}

/** Vertices with their bulges as arcs: a bulge is the tangent of a quarter of the arc's angle, counter-clockwise where positive. */
function bulged(vertices: readonly Vertex[], closed: boolean): Point[] {
  const points: Point[] = [];
  vertices.forEach((a, k) => {
    points.push([a.x, a.y]);
    const b = vertices[(k + 1) % vertices.length];
    if (!a.bulge || (k === vertices.length - 1 && !closed)) return;
    const angle = 4 * Math.atan(a.bulge);
    const chord = Math.hypot(b.x - a.x, b.y - a.y);
    if (chord === 0) return;
    const radius = chord / 2 / Math.sin(angle / 2);
    const toMiddle = radius * Math.cos(angle / 2);
    const [ux, uy] = [(b.x - a.x) / chord, (b.y - a.y) / chord];
    const [cx, cy] = [(a.x + b.x) / 2 - uy * toMiddle, (a.y + b.y) / 2 + ux * toMiddle];
    const from = Math.atan2(a.y - cy, a.x - cx);
    const steps = Math.max(2, Math.ceil((Math.abs(angle) / (2 * Math.PI)) * STEPS_PER_TURN));
    for (let s = 1; s < steps; s++) {
      const turn = from + (angle * s) / steps;
      points.push([cx + Math.abs(radius) * Math.cos(turn), cy + Math.abs(radius) * Math.sin(turn)]);
    }
  });
  return points;
}
