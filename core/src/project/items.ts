import { curveThrough, type Point, type Ring } from '../geometry/index.ts';
import type { Laid, Landform } from './schemas/landformSchema.ts';
import type { Mark } from './schemas/markSchema.ts';
import { type Row, rowKinds } from './schemas/rowSchema.ts';
import type { Project } from './schemas/schema.ts';
import { type Thing, thingKinds } from './schemas/thingSchema.ts';
import { type Void, voidKinds } from './schemas/voidSchema.ts';
import type { Patch } from './schemas/zoneSchema.ts';

/** Anything drawn on the plan. */
export type Item = Mark | Landform | Laid | Thing | Void | Patch | Row;

/** The lists of a project that hold items, in the order in which they are read out. */
export const itemLists = ['marks', 'landforms', 'laid', 'things', 'voids', 'patches', 'rows'] as const;
export type ItemList = (typeof itemLists)[number];

export const itemsOf = (project: Pick<Project, ItemList>): Item[] => itemLists.flatMap((list): Item[] => project[list]);

/** The list that an item belongs to. */
export function listOf(item: Item): ItemList {
  if (isMark(item)) return 'marks';
  if (isLaid(item)) return 'laid';
  if (isThing(item)) return 'things';
  if (isVoid(item)) return 'voids';
  if (isRow(item)) return 'rows';
  return item.kind === 'patch' ? 'patches' : 'landforms';
}

export const findItem = (project: Project, id: string | null): Item | undefined =>
  id === null ? undefined : itemsOf(project).find((item) => item.id === id);

const outlines = [
  'pad',
  'basin',
  'mound',
  'heap',
  'pit',
  'crater',
  'island',
  'rock',
  'bark',
  'slate',
  'cast',
  'building',
  'cave',
  'bay',
  'chamber',
  'patch',
];

/** Whether an item's points run round an area. */
export const isClosed = (item: Item): boolean =>
  item.kind === 'contour' ? item.closed : item.kind === 'fence' ? item.ends === 'closed' : outlines.includes(item.kind);

export const isLandform = (item: Item): item is Landform => listOf(item) === 'landforms';
export const isMark = (item: Item): item is Mark => ['contour', 'spot', 'form', 'break'].includes(item.kind);
/** Items of one point. */
export const isPoint = (item: Item): item is Extract<Item, { kind: 'spot' }> | Thing =>
  item.kind === 'spot' || isThing(item);
export const isThing = (item: Item): item is Thing => (thingKinds as readonly string[]).includes(item.kind);
export const isRow = (item: Item): item is Row => (rowKinds as readonly string[]).includes(item.kind);
export const isVoid = (item: Item): item is Void => (voidKinds as readonly string[]).includes(item.kind);
export const isLaid = (item: Item): item is Laid => 'beddedMm' in item;

/** Curves of items; an item is never changed in place, so its curve stays good as long as it is there. */
const curves = new WeakMap<Item, Ring>();

/** The line as it runs on the ground: through its points, straight or as a curve. */
export function runOf(item: Item): Ring {
  if (isPoint(item) || !item.smooth) return item.points;
  const known = curves.get(item);
  if (known) return known;
  const run = curveThrough(item.points, isClosed(item));
  curves.set(item, run);
  return run;
}

export const nameOf = (item: Item): string => item.name || item.id;

/** The middle of an item's box: where a turn or a mirror is taken about. */
export function middleOf(points: readonly Point[]): Point {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  return [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
}

/** Whether anything says how high the ground is or what lies on it: a drawing, or heights brought in. */
export const hasGround = (project: Project): boolean => project.terrain !== null || itemsOf(project).length > 0;
