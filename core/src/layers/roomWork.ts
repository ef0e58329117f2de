/** What is done to one layer for a hollow or laid-in thing that reaches into it. */
import { footprints, type Grid, type Ring, ringsOf } from '../geometry/index.ts';
import { laidKinds } from '../project/index.ts';
import { formatMeasure, type UnitSystem } from '../units/index.ts';
import { forEachNode, type Recess, type RoomKind, shareWithin, windowOf } from './rooms.ts';

export const roomWays = ['through', 'from above', 'from below', 'within'] as const;

/** What is done to one layer for a room that reaches into it. */
export interface RoomWork {
  roomId: string;
  kind: RoomKind;
  /** Cut right through; carved into the top (its floor lies in this layer), or into the underside (its roof does), or both within it. */
  how: (typeof roomWays)[number];
  areaMm2: number;
  /** Deepest carving, from the face that is carved, mm; a layer's whole thickness where it is cut through. */
  deepMm: number;
  /** Along a bore, mm; 0 for all else. */
  lengthMm: number;
}

/** The same with what the room is called. */
export interface NamedRoomWork extends RoomWork {
  name: string;
}

/** A floor or roof this near to a face of the layer counts as lying on it, mm. */
const ON_FACE_MM = 0.3;
/** Less than this is not worth telling, mm2. */
const LEAST_MM2 = 4;

interface Slab {
  bottomMm: number;
  topMm: number;
  /** Whether the layer's footprint holds a node. */
  holds: (node: number) => boolean;
}

/** What one room asks of one layer, and the outline of what is cut right through. */
export function roomInLayer(target: Grid, room: Recess, slab: Slab): { works: RoomWork[]; through: Ring[] } {
  const { bottomMm, topMm } = slab;
  const cell = target.cellMm ** 2;
  const ways: Ways = {
    through: { areaMm2: 0, deepMm: 0 },
    'from above': { areaMm2: 0, deepMm: 0 },
    'from below': { areaMm2: 0, deepMm: 0 },
    within: { areaMm2: 0, deepMm: 0 },
  };
  const field = new Float64Array(room.inside.length);
  forEachNode(target, room, (w, node) => {
    const [floor, roof] = [room.floorMm[w], room.roofMm[w]];
    const foamTop = Math.min(topMm, Math.max(bottomMm, target.values[node]));
    field[w] = Math.min(room.inside[w], bottomMm + ON_FACE_MM - floor, roof + ON_FACE_MM - foamTop);
    const share = shareWithin(room.inside[w], target.cellMm);
    if (!share || !slab.holds(node) || floor >= foamTop || roof <= bottomMm) return;
    const fromTop = floor > bottomMm + ON_FACE_MM;
    const fromUnder = roof < foamTop - ON_FACE_MM;
    const way = ways[fromTop ? (fromUnder ? 'within' : 'from above') : fromUnder ? 'from below' : 'through'];
    way.areaMm2 += share * cell;
    way.deepMm = Math.max(way.deepMm, fromTop ? topMm - floor : fromUnder ? roof - bottomMm : topMm - bottomMm);
  });
  const { id: roomId, kind, boreMm } = room;
  if (boreMm) boreThrough(ways, topMm - bottomMm);
  else undercut(ways);
  const works = roomWays.flatMap((how): RoomWork[] => {
    const { areaMm2, deepMm } = ways[how];
    if (areaMm2 < LEAST_MM2 || deepMm < ON_FACE_MM) return [];
    return [{ roomId, kind, how, areaMm2, deepMm, lengthMm: boreMm ? areaMm2 / boreMm : 0 }];
  });
  // A bore is drilled when the layer lies glued: its pieces are cut without it.
  const through = ways.through.areaMm2 && !boreMm ? ringsOf(footprints(windowOf(target, room, field), [0])[0]) : [];
  return { works, through };
}

type Ways = Record<RoomWork['how'], { areaMm2: number; deepMm: number }>;

/** A bore that comes in by one face of a layer and goes out by the other is one slanting hole; one that comes in by a face and ends within is one groove. */
function boreThrough(ways: Ways, thicknessMm: number): void {
  const { through, within } = ways;
  const faces = [ways['from above'], ways['from below']];
  const slanting = faces.every(({ areaMm2 }) => areaMm2 > 0);
  if (!slanting && !within.areaMm2) return;
  const whole = slanting ? through : within;
  for (const part of slanting ? [...faces, within] : faces) {
    whole.areaMm2 += part.areaMm2;
    whole.deepMm = slanting ? thicknessMm : Math.max(whole.deepMm, part.deepMm);
    part.areaMm2 = 0;
  }
}

/** Where a vault comes down within a layer that is carved from a face anyway, it is undercut from that face. */
function undercut(ways: Ways): void {
  const { within } = ways;
  const face = [ways['from above'], ways['from below']].find(({ areaMm2 }) => areaMm2 > within.areaMm2);
  if (!face) return;
  face.areaMm2 += within.areaMm2;
  within.areaMm2 = 0;
}

/** The outline of all that a room takes of a layer, however deep. */
export function roomRegion(target: Grid, room: Recess, bottomMm: number, topMm: number): Ring[] {
  const field = room.inside.map((mm, w) => Math.min(mm, topMm - room.floorMm[w], room.roofMm[w] - bottomMm));
  return ringsOf(footprints(windowOf(target, room, field), [0])[0]);
}

const isLaidKind = (kind: RoomKind) => (laidKinds as readonly string[]).includes(kind);

/** "carve the roof of Cistern into the underside before gluing, to 6 mm". */
export function sayRoomWork(
  { name, kind, how, deepMm, lengthMm }: NamedRoomWork,
  system: UnitSystem = 'metric',
): string {
  const mm = (value: number) => formatMeasure('length', Math.round(value * 10) / 10, system);
  if (kind === 'cable') {
    const along = `, ${mm(Math.round(lengthMm))} long`;
    if (how === 'through') return `bore for ${name} right through${lengthMm > 2 * deepMm ? `, slanting${along}` : ''}`;
    if (how === 'from below') return `groove for ${name} in the underside before gluing, ${mm(deepMm)} deep${along}`;
    return `groove for ${name} in the top, ${mm(deepMm)} deep${along}${how === 'within' ? '; close it over the lead' : ''}`;
  }
  if (isLaidKind(kind)) {
    if (how === 'through') return `cut out the foot of ${name}`;
    return how === 'from above'
      ? `sink ${name} into the top, ${mm(deepMm)} deep`
      : `hollow out for ${name} from the underside, ${mm(deepMm)} deep`;
  }
  if (how === 'through') return `cut ${name} right through`;
  if (how === 'from above') return `carve the floor of ${name} into the top, ${mm(deepMm)} deep`;
  if (how === 'from below') return `carve the roof of ${name} into the underside before gluing, ${mm(deepMm)} high`;
  return `${name} lies wholly within: slice the sheet at its floor, or hollow it from the top, ${mm(deepMm)} deep, and close it over`;
}
