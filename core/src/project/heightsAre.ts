/**
 * What a drawn height means: bare foam (skin and cover come on top of it) or finished ground; and the same heights brought into one of the two,
 * by the thickness of the skin on level ground. Heights in mm.
 */
import { heightParts } from './heights.ts';
import { type Item, isLandform, isMark } from './items.ts';
import type { Landform } from './schemas/landformSchema.ts';
import type { Mark } from './schemas/markSchema.ts';
import type { Project } from './schemas/schema.ts';
import type { EdgeProfile } from './schemas/tileSchema.ts';

export type HeightsAre = Project['heights'];
type Drawn = Mark | Landform;

/** Whether an item is one whose heights are of foam or of finished ground: a mark or a landform that has heights of its own. */
export const hasHeights = (item: Item): item is Drawn =>
  (isMark(item) || isLandform(item)) && heightParts(item).some(({ sense }) => sense === 'height');

/** Waters, decks and what trains run on are built to their finished height, whatever else is drawn as foam. */
function finishedByNature(item: Drawn): boolean {
  switch (item.kind) {
    case 'basin':
    case 'island':
    case 'beach':
    case 'channel':
    case 'span':
      return true;
    case 'way':
      return item.use === 'track' || item.use === 'roadbed';
    default:
      return false;
  }
}

/** Whether an item's heights are of bare foam or of finished ground: its own word, else that of the project. */
export function heightIs(heights: HeightsAre, item: Drawn): HeightsAre {
  if (item.heightIs) return item.heightIs;
  return heights === 'ground' || finishedByNature(item) ? 'ground' : 'foam';
}

const KEYS = ['heightMm', 'fromMm', 'toMm', 'topMm', 'footMm', 'firstMm', 'floorMm', 'waterMm'] as const;

/** What is no part of a shape: looked up only by who asks for it, so that a renamed item is not built anew. */
const NO_SHAPE = new Set(['name', 'hidden', 'locked']);

/** An item with its heights moved by `byMm`; nothing is moved below the board. Those that the land sets stay so. */
function moved<T extends Drawn>(item: T, byMm: (key: (typeof KEYS)[number]) => number): T {
  const from = item as Record<string, unknown>;
  const next: Record<string, unknown> = {};
  for (const key of Object.keys(item)) {
    if (NO_SHAPE.has(key)) Object.defineProperty(next, key, { enumerable: true, get: () => from[key] });
    else next[key] = from[key];
  }
  for (const key of KEYS) {
    const now = next[key];
    if (typeof now === 'number') next[key] = Math.max(0, now + byMm(key));
  }
  return next as T;
}

/**
 * An item with all its heights meant as `as`. On level ground skin of `skinMm` lies between the two; on a slope more (`skinMm` square to it),
 * which is left out. The water in a pit is finished in any case.
 */
export function heightsMeantAs<T extends Drawn>(as: HeightsAre, heights: HeightsAre, item: T, skinMm: number): T {
  const is = heightIs(heights, item);
  const by = is === as ? 0 : as === 'foam' ? -skinMm : skinMm;
  const ofWater = item.kind === 'pit' && as === 'foam' ? -skinMm : item.kind === 'pit' ? 0 : by;
  if (by === 0 && (ofWater === 0 || (item.kind === 'pit' && item.waterMm === null))) return item;
  return moved(item, (key) => (key === 'waterMm' ? ofWater : by));
}

/** What a ground is drawn from, its heights all meant as the project's are. The skin's thickness is only asked for where something is not. */
export function drawnAlike<C extends Pick<Project, 'marks' | 'landforms'>>(
  heights: HeightsAre,
  content: C,
  skinMm: () => number,
): C {
  const alike = <T extends Drawn>(item: T): T => {
    const odd = heightIs(heights, item) !== heights || (heights === 'foam' && item.kind === 'pit');
    return odd ? heightsMeantAs(heights, heights, item, skinMm()) : item;
  };
  return { ...content, marks: content.marks.map(alike), landforms: content.landforms.map(alike) };
}

/** Profiles of sides, which are finished ground, meant as the project's heights are. */
export const profilesAlike = (heights: HeightsAre, profiles: EdgeProfile[], skinMm: () => number): EdgeProfile[] =>
  heights === 'ground'
    ? profiles
    : profiles.map((profile) => ({
        ...profile,
        points: profile.points.map(([at, mm]): [number, number] => [at, Math.max(0, mm - skinMm())]),
      }));
