/** What hollows come to: where they open, how thin their roofs are, how much they hold. */
import { distanceToEdge, type Grid, heightAt, insideRing, type Point, type Ring } from '../geometry/index.ts';
import { nameOf, runOf, type Void } from '../project/index.ts';
import { meetingOf, type VoidMeeting } from './voidMeetings.ts';
import { placeIn, type VoidField, type VoidShape, voidField, voidShape } from './voids.ts';

/** One place where a void opens on the ground. */
export interface Opening {
  at: Point;
  /** How far it reaches, corner to corner, mm. */
  acrossMm: number;
}

export type EndPlace = 'at the edge' | 'in a void' | 'at the surface' | 'in the ground' | 'off the base';

/** Where a cable run ends. */
export interface CableEnd {
  at: Point;
  where: EndPlace;
  /** The void it ends in. */
  inId: string | null;
  /** Ground over its middle there, mm. */
  deepMm: number;
}

/** How a void lies in the finished ground. */
export interface VoidRead {
  id: string;
  kind: Void['kind'];
  name: string;
  /** Lowest floor and highest roof, mm above the board; null when nothing of it lies in the ground. */
  floorMm: number | null;
  roofMm: number | null;
  areaMm2: number;
  volumeMl: number;
  /** The thinnest roof away from its openings, and where. */
  thinnestMm: number | null;
  thinnestAt: Point | null;
  /** Where the ground does not close over it, the largest first. */
  openings: Opening[];
  /** Whether it reaches the edge of the base. */
  atEdge: boolean;
  ends: CableEnd[];
}

/** Ground this little over a roof is none, mm. */
const NOTHING_MM = 0.05;
/** Roofs are thin by nature this near to an opening, in roofs of the thinnest kind allowed. */
const NEAR_OPENING = 2;

export interface VoidReads {
  voids: VoidRead[];
  meetings: VoidMeeting[];
}

/** Reads every void against the finished ground, and against the others. Yields between voids. */
export function* readVoids(ground: Grid, outline: Ring, hollows: readonly Void[]): Generator<undefined, VoidReads> {
  const laid = hollows.map((hollow) => {
    const shape = voidShape(hollow);
    return { hollow, shape, field: voidField(ground, shape) };
  });
  const shapes = laid.map(({ shape }) => shape);
  const voids: VoidRead[] = [];
  const meetings: VoidMeeting[] = [];
  for (const [k, { hollow, field }] of laid.entries()) {
    yield;
    voids.push(readOne(ground, outline, hollow, field, shapes));
    for (const other of laid.slice(k + 1)) {
      yield;
      meetings.push(...meetingOf(ground, hollow, field, other.hollow, other.field));
    }
  }
  return { voids, meetings };
}

function readOne(ground: Grid, outline: Ring, hollow: Void, field: VoidField, shapes: readonly VoidShape[]): VoidRead {
  const { columns, cellMm, values: z } = ground;
  const open: number[] = [];
  const roofed: number[] = [];
  let [lowest, highest, nodes, volume] = [Number.POSITIVE_INFINITY, 0, 0, 0];
  let atEdge = false;
  for (let w = 0; w < field.floorMm.length; w++) {
    const floor = field.floorMm[w];
    if (Number.isNaN(floor)) continue;
    const i = field.i0 + (w % field.columns);
    const j = field.j0 + Math.floor(w / field.columns);
    const [x, y] = placeIn(ground, field, w);
    if (!onBase(outline, x, y)) {
      atEdge = true;
      continue;
    }
    if (i === 0 || j === 0 || i === columns - 1 || j === ground.rows - 1) atEdge = true;
    const height = z[j * columns + i];
    // Where the ground lies under its floor the void is air already.
    if (height <= floor + NOTHING_MM) continue;
    const roof = field.roofMm[w];
    nodes++;
    lowest = Math.min(lowest, floor);
    highest = Math.max(highest, Math.min(roof, height));
    volume += Math.min(roof, height) - floor;
    if (height <= roof + NOTHING_MM) open.push(w);
    else roofed.push(w);
  }
  const thin = thinnest(ground, hollow, field, roofed, open);
  return {
    id: hollow.id,
    kind: hollow.kind,
    name: nameOf(hollow),
    floorMm: nodes ? lowest : null,
    roofMm: nodes ? highest : null,
    areaMm2: nodes * cellMm * cellMm,
    volumeMl: (volume * cellMm * cellMm) / 1000,
    thinnestMm: thin?.mm ?? null,
    thinnestAt: thin?.at ?? null,
    openings: openingsOf(ground, field, open),
    atEdge,
    ends: hollow.kind === 'cable' ? endsOf(ground, outline, hollow, shapes) : [],
  };
}

/** The very edge of the base belongs to it. */
const onBase = (outline: Ring, x: number, y: number) =>
  insideRing(outline, x, y) || distanceToEdge(outline, x, y) < 0.01;

/** The thinnest roof; beside an opening that is meant to be there it may run out to nothing. */
function thinnest(ground: Grid, hollow: Void, field: VoidField, roofed: readonly number[], open: readonly number[]) {
  // A cable comes up to its lamp.
  const meant = hollow.kind === 'cable' || ('opens' in hollow && hollow.opens);
  const reach = meant ? (NEAR_OPENING * hollow.roofLeastMm) / ground.cellMm : 0;
  const near = new Uint8Array(field.floorMm.length);
  if (reach > 0)
    for (const w of open) {
      const [i, j] = [w % field.columns, Math.floor(w / field.columns)];
      for (let v = Math.max(0, Math.ceil(j - reach)); v <= Math.min(field.rows - 1, j + reach); v++)
        for (let u = Math.max(0, Math.ceil(i - reach)); u <= Math.min(field.columns - 1, i + reach); u++)
          if ((u - i) ** 2 + (v - j) ** 2 <= reach * reach) near[v * field.columns + u] = 1;
    }
  let best: { mm: number; at: Point } | null = null;
  for (const w of roofed) {
    if (near[w]) continue;
    const [i, j] = [field.i0 + (w % field.columns), field.j0 + Math.floor(w / field.columns)];
    const mm = ground.values[j * ground.columns + i] - field.roofMm[w];
    if (!best || mm < best.mm) best = { mm, at: placeIn(ground, field, w) };
  }
  return best;
}

/** Open nodes that touch one another make one opening. */
function openingsOf(ground: Grid, field: VoidField, open: readonly number[]): Opening[] {
  const left = new Set(open);
  const openings: Opening[] = [];
  for (const first of open) {
    if (!left.delete(first)) continue;
    const found = [first];
    for (let k = 0; k < found.length; k++) {
      const column = found[k] % field.columns;
      for (let dj = -1; dj <= 1; dj++)
        for (let di = -1; di <= 1; di++) {
          const next = found[k] + dj * field.columns + di;
          if (column + di >= 0 && column + di < field.columns && left.delete(next)) found.push(next);
        }
    }
    const places = found.map((w) => placeIn(ground, field, w));
    const xs = places.map(([x]) => x);
    const ys = places.map(([, y]) => y);
    const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    openings.push({
      at: [(x0 + x1) / 2, (y0 + y1) / 2],
      acrossMm: Math.hypot(x1 - x0 + ground.cellMm, y1 - y0 + ground.cellMm),
    });
  }
  return openings.sort((a, b) => b.acrossMm - a.acrossMm);
}

function endsOf(
  ground: Grid,
  outline: Ring,
  cable: Extract<Void, { kind: 'cable' }>,
  shapes: readonly VoidShape[],
): CableEnd[] {
  const run = runOf(cable);
  const half = cable.boreMm / 2;
  return [
    { at: run[0], level: cable.fromMm },
    { at: run[run.length - 1], level: cable.toMm },
  ].map(({ at, level }) => {
    const [x, y] = at;
    const deepMm = heightAt(ground, x, y) - level;
    const inside = shapes.find((shape) => {
      const hollow = shape.id === cable.id ? null : shape.at(x, y);
      return hollow && level + half > hollow.floorMm && level - half < hollow.roofMm;
    });
    const fromEdge = distanceToEdge(outline, x, y);
    const where: EndPlace = inside
      ? 'in a void'
      : fromEdge <= half + 1
        ? 'at the edge'
        : !insideRing(outline, x, y)
          ? 'off the base'
          : deepMm <= half
            ? 'at the surface'
            : 'in the ground';
    return { at, where, inId: inside?.id ?? null, deepMm };
  });
}
