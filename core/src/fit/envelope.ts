import { boundsOf, type Point, type Ring } from '../geometry/index.ts';
import { baseSize, footprintOf, type Project, tilesOf, underMm } from '../project/index.ts';
import { placesOf, type ReadTile } from '../tiles/index.ts';
import { type Body, boxOf, farthestFrom, type Part } from './bodies.ts';

export const sides = ['top', 'left', 'right', 'front', 'back', 'swing', 'storey'] as const;

/** Something that does not keep to the room there is. */
export interface Breach {
  /** Of the thing to blame; null for the base or the ground itself. */
  id: string | null;
  name: string;
  side: (typeof sides)[number];
  /** By how much it is too far out, its margin included, mm. */
  byMm: number;
  at: [number, number];
}

/** The inside of the box in the base's own measures: x and y on the plan, heights above the top of the baseboard. */
export interface Enclosure {
  x0: number;
  x1: number;
  y0: number;
  y1: number;
  topMm: number;
  floorMm: number;
}

/** The box round the whole set in the measures of the open tile, and how far that is lifted; just the base where there is no set or the tile is turned. */
function setBox(project: Project): { x0: number; x1: number; y1: number; y0: number; riseMm: number } {
  const { widthMm, depthMm } = baseSize(project.base);
  const places = placesOf(tilesOf(project));
  const own = places.find(({ id }) => id === project.tile.id);
  const riseMm = own?.riseMm ?? 0;
  if (own?.turn !== 0) return { x0: 0, y0: 0, x1: widthMm, y1: depthMm, riseMm };
  return {
    x0: Math.min(...places.map(({ xMm }) => xMm)) - own.xMm,
    y0: Math.min(...places.map(({ yMm }) => yMm)) - own.yMm,
    x1: Math.max(...places.map((tile) => tile.xMm + tile.widthMm)) - own.xMm,
    y1: Math.max(...places.map((tile) => tile.yMm + tile.depthMm)) - own.yMm,
    riseMm,
  };
}

/** Where the box stands round the base (or the set): in its middle from left to right, and as far from its back wall as asked for. */
export function roomOf(project: Project): Enclosure | null {
  const { base, envelope } = project;
  const { box } = envelope;
  if (!box) return null;
  const set = setBox(project);
  const out = base.frame ? base.frame.widthMm - base.frame.lapMm : 0;
  const x0 = (set.x0 + set.x1 - box.widthMm) / 2;
  const y1 = box.backMm === null ? (set.y0 + set.y1 + box.depthMm) / 2 : set.y1 + out + box.backMm;
  const floorMm = -underMm(base) - box.underMm - set.riseMm;
  return { x0, x1: x0 + box.widthMm, y0: y1 - box.depthMm, y1, floorMm, topMm: floorMm + box.heightMm };
}

/** The other tiles of the set, above all storeys, that are too tall for the box. */
export function tallTiles(project: Project, set: readonly ReadTile[]): Breach[] {
  const room = roomOf(project);
  const own = set.find(({ id }) => id === project.tile.id);
  if (!room || !own) return [];
  const { widthMm, depthMm } = baseSize(project.base);
  return set.flatMap((tile): Breach[] => {
    const byMm = tile.riseMm - own.riseMm + tile.tallestMm - room.topMm;
    if (tile.id === own.id || byMm <= SLACK_MM) return [];
    return [{ id: null, name: tile.name, side: 'top', byMm, at: [widthMm / 2, depthMm / 2] }];
  });
}

/** Underside of the storey above the open tile, mm above its board; null where there is none. */
function ceilingOf(project: Project): number | null {
  const tiles = tilesOf(project);
  const own = project.tile.place;
  const above = tiles
    .filter(({ place }) => own && place && place.column === own.column && place.row === own.row)
    .map(({ place, base }) => ({ riseMm: place?.riseMm ?? 0, board: underMm(base) }))
    .filter(({ riseMm }) => own && riseMm > own.riseMm)
    .sort((a, b) => a.riseMm - b.riseMm)[0];
  return own && above ? above.riseMm - above.board - own.riseMm : null;
}

/** Less than this is not worth telling, mm. */
const SLACK_MM = 0.05;

/** The piece as a part: what it covers, from under its board to its highest place, and the frame round it. */
function groundPart(project: Project, highestMm: number): Part {
  const { base } = project;
  const out = base.frame ? Math.max(0, base.frame.widthMm - base.frame.lapMm) : 0;
  const covered = footprintOf(base);
  const [x0, y0, x1, y1] = boundsOf(covered);
  const ring: Ring = out
    ? [
        [x0 - out, y0 - out],
        [x1 + out, y0 - out],
        [x1 + out, y1 + out],
        [x0 - out, y1 + out],
      ]
    : covered;
  return { kind: 'outline', ring, bottomMm: -underMm(project.base), topMm: highestMm };
}

/** What leaves the box or the circle that a turntable leaves clear, with margins; the worst first. */
export function breachesOf(project: Project, bodies: readonly Body[], highestMm: number): Breach[] {
  const room = roomOf(project);
  const { swingMm } = project.envelope;
  const ceiling = ceilingOf(project);
  const { widthMm, depthMm } = baseSize(project.base);
  const pivot: Point = [widthMm / 2, depthMm / 2];
  const ground = { id: null, name: 'The base', marginMm: 0, parts: [groundPart(project, highestMm)] };
  const breaches: Breach[] = [];
  for (const body of [ground, ...bodies]) {
    const over: Partial<Record<Breach['side'], number>> = {};
    const boxes = body.parts.map(boxOf);
    const most = (side: Breach['side'], byMm: number) => {
      if (byMm > SLACK_MM) over[side] = Math.max(over[side] ?? 0, byMm);
    };
    body.parts.forEach((part, k) => {
      const [x0, y0, x1, y1] = boxes[k];
      if (room) {
        most('top', part.topMm + body.marginMm - room.topMm);
        most('left', room.x0 - (x0 - body.marginMm));
        most('right', x1 + body.marginMm - room.x1);
        most('front', room.y0 - (y0 - body.marginMm));
        most('back', y1 + body.marginMm - room.y1);
      }
      if (ceiling !== null) most('storey', part.topMm + body.marginMm - ceiling);
      if (swingMm !== null) most('swing', farthestFrom(part, pivot) + body.marginMm - swingMm / 2);
    });
    const [x0, y0, x1, y1] = boxes[0];
    for (const [side, byMm] of Object.entries(over) as [Breach['side'], number][])
      breaches.push({ id: body.id, name: body.name, side, byMm, at: [(x0 + x1) / 2, (y0 + y1) / 2] });
  }
  return breaches.sort((a, b) => b.byMm - a.byMm);
}
