import type { Project } from '../project/index.ts';
import { baseSize, type ClosedTile, type TileSide, tileSides, tilesOf } from '../project/index.ts';
import { EDGE_STEP_MM, type TileRead } from './tileRead.ts';

/** Edges that differ by no more than this meet, mm. */
const MEETS_MM = 0.5;

/** Where a tile stands in its set: the near left corner and the size of its box as it is turned. */
export interface SetTile {
  id: string;
  name: string;
  column: number;
  row: number;
  turn: number;
  riseMm: number;
  xMm: number;
  yMm: number;
  widthMm: number;
  depthMm: number;
}

/** Two sides that lie against one another. */
export interface Joint {
  aId: string;
  aName: string;
  aSide: TileSide;
  bId: string;
  bName: string;
  bSide: TileSide;
  /** The largest step between them, and how far along it lies (from the left or from the front), mm. */
  mostMm: number;
  atMm: number;
  /** By how much one is longer. */
  longerMm: number;
  meets: boolean;
}

/** Room between a storey and the one above it. */
export interface StoreyRoom {
  belowId: string;
  belowName: string;
  aboveId: string;
  aboveName: string;
  /** From the top of the lower board to the underside of the upper one. */
  roomMm: number;
  /** The tallest of the lower storey. */
  tallestMm: number;
}

/** With which sides of the set (its own tile's too) a side would meet, tiles being turned as needed. */
export interface Mates {
  id: string;
  side: TileSide;
  with: { id: string; side: TileSide }[];
}

/** A tile of a set with the highest place of all that stands on it, mm above its board; 0 where it was not read. */
export interface ReadTile extends SetTile {
  tallestMm: number;
}

export interface SetRead {
  tiles: ReadTile[];
  joints: Joint[];
  storeys: StoreyRoom[];
  mates: Mates[];
}

/** Sides of a tile as they lie after turning it counter-clockwise: the side that comes to lie at each side of the set, and whether it runs the other way. */
const worldSides: readonly TileSide[] = ['front', 'right', 'back', 'left'];

/** The side of a tile that lies at a side of the set, and whether its own direction runs against the set's. */
export function sideAt(turn: number, at: TileSide): { side: TileSide; reversed: boolean } {
  const quarter = turn / 90;
  const side = worldSides[(worldSides.indexOf(at) - quarter + 4) % 4];
  // Counter-clockwise round a tile its front and right run with their own direction, its back and left against it; turning keeps that order.
  const against = (name: TileSide) => name === 'back' || name === 'left';
  return { side, reversed: against(side) !== against(at) };
}

/** Where the tiles of a set stand. Columns are as wide and rows as deep as their largest tile. */
export function placesOf(tiles: readonly Pick<ClosedTile, 'id' | 'name' | 'place' | 'base'>[]): SetTile[] {
  const placed = tiles.flatMap(({ id, name, place, base }) => {
    if (!place) return [];
    const { widthMm, depthMm } = baseSize(base);
    const across = place.turn % 180 === 0;
    return [{ ...place, id, name, widthMm: across ? widthMm : depthMm, depthMm: across ? depthMm : widthMm }];
  });
  const before = (key: 'column' | 'row', size: 'widthMm' | 'depthMm', at: number) => {
    let sum = 0;
    for (let k = 0; k < at; k++)
      sum += Math.max(0, ...placed.filter((tile) => tile[key] === k).map((tile) => tile[size]));
    return sum;
  };
  return placed.map((tile) => ({
    ...tile,
    xMm: before('column', 'widthMm', tile.column),
    yMm: before('row', 'depthMm', tile.row),
  }));
}

/** Heights along the side of a tile that lies at a side of the set, in the set's direction. */
function heightsAt(read: TileRead, turn: number, at: TileSide): { side: TileSide; heights: Float64Array } {
  const { side, reversed } = sideAt(turn, at);
  const heights = read.edges[side];
  return { side, heights: reversed ? heights.slice().reverse() : heights };
}

/** The largest step between two edges, and where. */
function stepBetween(a: Float64Array, b: Float64Array): { mostMm: number; atMm: number; longerMm: number } {
  let [mostMm, at] = [0, 0];
  for (let k = 0; k < Math.min(a.length, b.length); k++)
    if (Math.abs(a[k] - b[k]) > mostMm) [mostMm, at] = [Math.abs(a[k] - b[k]), k];
  return { mostMm, atMm: at * EDGE_STEP_MM, longerMm: Math.abs(a.length - b.length) * EDGE_STEP_MM };
}

/** How the tiles of a set meet. `reads` by the tiles' ids. */
export function readSet(project: Project, reads: ReadonlyMap<string, TileRead>): SetRead {
  const tiles = placesOf(tilesOf(project)).map(
    (tile): ReadTile => ({ ...tile, tallestMm: reads.get(tile.id)?.tallestMm ?? 0 }),
  );
  const boards = new Map(tilesOf(project).map(({ id, base }) => [id, base.board.thicknessMm]));
  const joints = tiles.flatMap((a) => [
    ...jointAt(a, 'right', beside(tiles, a, 1, 0), 'left', reads),
    ...jointAt(a, 'back', beside(tiles, a, 0, 1), 'front', reads),
  ]);
  const storeys = tiles.flatMap((below): StoreyRoom[] => {
    const above = tiles
      .filter(({ column, row, riseMm }) => column === below.column && row === below.row && riseMm > below.riseMm)
      .sort((a, b) => a.riseMm - b.riseMm)[0];
    if (!above) return [];
    return [
      {
        belowId: below.id,
        belowName: below.name,
        aboveId: above.id,
        aboveName: above.name,
        roomMm: above.riseMm - below.riseMm - (boards.get(above.id) ?? 0),
        tallestMm: reads.get(below.id)?.tallestMm ?? 0,
      },
    ];
  });
  return { tiles, joints, storeys, mates: tiles.length > 1 ? matesOf(tiles, reads) : [] };
}

const beside = (tiles: readonly SetTile[], { column, row, riseMm }: SetTile, across: number, away: number) =>
  tiles.find((tile) => tile.column === column + across && tile.row === row + away && tile.riseMm === riseMm);

function jointAt(
  a: SetTile,
  aAt: TileSide,
  b: SetTile | undefined,
  bAt: TileSide,
  reads: ReadonlyMap<string, TileRead>,
): Joint[] {
  const [readA, readB] = [reads.get(a.id), b && reads.get(b.id)];
  if (!b || !readA || !readB) return [];
  const left = heightsAt(readA, a.turn, aAt);
  const right = heightsAt(readB, b.turn, bAt);
  const step = stepBetween(left.heights, right.heights);
  return [
    {
      aId: a.id,
      aName: a.name,
      aSide: left.side,
      bId: b.id,
      bName: b.name,
      bSide: right.side,
      ...step,
      meets: step.mostMm <= MEETS_MM && step.longerMm < EDGE_STEP_MM,
    },
  ];
}

/** Round a tile counter-clockwise; against another tile's side the way is the other way round. */
const roundTile = (read: TileRead, side: TileSide): Float64Array =>
  side === 'front' || side === 'right' ? read.edges[side] : read.edges[side].slice().reverse();

function matesOf(tiles: readonly SetTile[], reads: ReadonlyMap<string, TileRead>): Mates[] {
  const edges = tiles.flatMap(({ id }) => {
    const read = reads.get(id);
    return read ? tileSides.map((side) => ({ id, side, heights: roundTile(read, side) })) : [];
  });
  return edges.map((edge) => ({
    id: edge.id,
    side: edge.side,
    with: edges
      .filter((other) => {
        const { mostMm, longerMm } = stepBetween(edge.heights, other.heights.slice().reverse());
        return other.id !== edge.id && mostMm <= MEETS_MM && longerMm < EDGE_STEP_MM;
      })
      .map(({ id, side }) => ({ id, side })),
  }));
}
