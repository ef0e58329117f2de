import { baseSize } from './base.ts';
import { untouchedNest } from './cutting.ts';
import { type ClosedTile, type Content, contentKeys, type Project } from './schemas/schema.ts';
import type { EdgeFeature, EdgeProfile, Tile, TileSide } from './schemas/tileSchema.ts';
import { untouchedStack } from './stacking.ts';

/** Close to an edge the ground keeps to its profile over this far, unless told otherwise, mm. */
const USUAL_KEEP_MM = 25;

/** A tile of a set that stands at its near left corner and wears no profiles. */
export const newTile = (id: string, name: string): Tile => ({
  id,
  name,
  place: { column: 0, row: 0, turn: 0, riseMm: 0 },
  sides: { front: null, right: null, back: null, left: null },
  keepMm: USUAL_KEEP_MM,
  bankDegrees: 40,
});

const contentOf = (holder: Content): Content =>
  Object.fromEntries(contentKeys.map((key) => [key, holder[key]])) as Content;

const tileOf = ({ id, name, place, sides, keepMm, bankDegrees }: Tile): Tile => ({
  id,
  name,
  place,
  sides,
  keepMm,
  bankDegrees,
});

/** The tile that lies open, with what is drawn on it, as it is kept when another is opened. */
export const openAsClosed = (project: Project): ClosedTile => ({ ...tileOf(project.tile), ...contentOf(project) });

/** Every tile of the set, in the order in which they were made; the open one stands at `openAt` of it. */
export const tilesOf = (project: Project): ClosedTile[] =>
  [openAsClosed(project), ...project.tiles].sort((a, b) => a.id.localeCompare(b.id, 'en', { numeric: true }));

/** Opens another tile; the one that lay open is kept among the others. */
export function openTile(project: Project, id: string): Project {
  const wanted = project.tiles.find((tile) => tile.id === id);
  if (!wanted) return project;
  const others = project.tiles.map((tile) => (tile.id === id ? openAsClosed(project) : tile));
  return { ...project, ...contentOf(wanted), tile: tileOf(wanted), tiles: others };
}

/** Changes fields of a tile, open or not. */
export const changeTile = (project: Project, id: string, change: Partial<Omit<Tile, 'id'>>): Project =>
  project.tile.id === id
    ? { ...project, tile: { ...project.tile, ...change } }
    : { ...project, tiles: project.tiles.map((tile) => (tile.id === id ? { ...tile, ...change } : tile)) };

/** One more tile, to the right of all others: a copy of the open one, or bare with the same base. Gives its id; the open tile stays open. */
export function addTile(project: Project, bare: boolean): { project: Project; id: string } {
  const all = tilesOf(project);
  let n = all.length + 1;
  while (all.some((tile) => tile.id === `tile-${n}`)) n++;
  const column = Math.max(-1, ...all.map(({ place }) => place?.column ?? -1)) + 1;
  const like = openAsClosed(project);
  const fresh: ClosedTile = {
    ...like,
    id: `tile-${n}`,
    name: `Tile ${n}`,
    place: { column, row: 0, turn: 0, riseMm: 0 },
    // Nothing of a new tile is cut.
    nest: untouchedNest(),
    ...(bare
      ? {
          terrain: null,
          underlay: null,
          marks: [],
          landforms: [],
          laid: [],
          things: [],
          voids: [],
          patches: [],
          rows: [],
          panels: [],
          stack: untouchedStack(),
        }
      : {}),
  };
  return { project: { ...project, tiles: [...project.tiles, fresh] }, id: fresh.id };
}

/** Takes a closed tile out of the set; the open one cannot be taken out. */
export const removeTile = (project: Project, id: string): Project => ({
  ...project,
  tiles: project.tiles.filter((tile) => tile.id !== id),
});

/** Adds, or replaces, a profile. */
export const putProfile = (project: Project, profile: EdgeProfile): Project => ({
  ...project,
  profiles: project.profiles.some(({ id }) => id === profile.id)
    ? project.profiles.map((other) => (other.id === profile.id ? profile : other))
    : [...project.profiles, profile],
});

/** Takes a profile away, from every side that wears it too. */
export function removeProfile(project: Project, profileId: string): Project {
  const bare = (sides: Tile['sides']): Tile['sides'] => {
    const keep = (side: TileSide) => (sides[side]?.profileId === profileId ? null : sides[side]);
    return { front: keep('front'), right: keep('right'), back: keep('back'), left: keep('left') };
  };
  return {
    ...project,
    profiles: project.profiles.filter(({ id }) => id !== profileId),
    tile: { ...project.tile, sides: bare(project.tile.sides) },
    tiles: project.tiles.map((tile) => ({ ...tile, sides: bare(tile.sides) })),
  };
}

/** The length of a side of a tile, before it is turned. */
export function sideLength(base: Content['base'], side: TileSide): number {
  const { widthMm, depthMm } = baseSize(base);
  return side === 'front' || side === 'back' ? widthMm : depthMm;
}

/** A wall's and a channel's sides lean by this much, mm, so that they can be cut and cast. */
const BATTER_MM = 1;

/** How far a place lies inside a feature: 1 on it, 0 beyond it. */
function share({ atMm, widthMm }: EdgeFeature, along: number): number {
  const out = Math.abs(along - atMm) - widthMm / 2;
  return out <= 0 ? 1 : Math.max(0, 1 - out / BATTER_MM);
}

/** Height of a profile so far along it, with what runs over the edge. Beyond its first and last point it runs on level. */
export function profileHeight(profile: EdgeProfile, along: number): number {
  const base = lineHeight(profile, along);
  let height = base;
  for (const feature of profile.features) {
    const on = share(feature, along);
    if (!on) continue;
    if (feature.kind === 'wall') height += on * feature.heightMm;
    else if (feature.kind === 'channel') height -= on * feature.heightMm;
    else height += on * (lineHeight(profile, feature.atMm) - base);
  }
  return Math.max(0, height);
}

function lineHeight({ points }: EdgeProfile, along: number): number {
  const after = points.findIndex(([at]) => at >= along);
  if (after === 0) return points[0][1];
  if (after < 0) return points[points.length - 1][1];
  const [[a, low], [b, high]] = [points[after - 1], points[after]];
  return low + ((high - low) * (along - a)) / (b - a);
}

/** The height that a side's profile wants so far along it; null where it wears none. */
export function sideProfile(project: Pick<Project, 'profiles'>, tile: Tile & Pick<Content, 'base'>, side: TileSide) {
  const worn = tile.sides[side];
  const profile = worn && project.profiles.find(({ id }) => id === worn.profileId);
  if (!worn || !profile) return null;
  const length = sideLength(tile.base, side);
  return (along: number) => profileHeight(profile, worn.flipped ? length - along : along);
}
