import type { Point, Ring } from '../../geometry/index.ts';
import { baseSize, freeOutline } from '../base.ts';
import { mirroredFootprint, turnedFootprint } from '../footprint.ts';
import { findItem, type Item, isClosed, isPoint, isThing, itemsOf, listOf } from '../items.ts';
import type { BaseShape } from '../schemas/baseSchema.ts';
import type { Project, SectionLine } from '../schemas/schema.ts';
import type { Sheet } from '../schemas/sheetSchema.ts';
import type { Footprint } from '../schemas/thingSchema.ts';

/** Edits are pure: each takes a project and gives another; what is not touched is shared. */

/** The first of `stem-1`, `stem-2`... that no item bears yet. */
export function freeId(stem: string, taken: readonly { id: string }[]): string {
  const ids = new Set(taken.map((item) => item.id));
  for (let n = taken.length + 1; ; n++) if (!ids.has(`${stem}-${n}`)) return `${stem}-${n}`;
}

/** Runs every list of items through a function. */
function mapLists(project: Project, change: <T extends Item>(list: T[]) => T[]): Project {
  return {
    ...project,
    marks: change(project.marks),
    landforms: change(project.landforms),
    laid: change(project.laid),
    things: change(project.things),
    voids: change(project.voids),
    patches: change(project.patches),
    rows: change(project.rows),
  };
}

/** Adds an item to the end of its list: a landform is built last. */
export function addItem(project: Project, item: Item): Project {
  const list = listOf(item);
  return { ...project, [list]: [...project[list], item] };
}

/** Runs every item through a function; a list none of whose items changed is kept as it was. */
const mapItems = (project: Project, change: (item: Item) => Item): Project =>
  mapLists(project, <T extends Item>(list: T[]): T[] => {
    const next = list.map((item) => change(item) as T);
    return next.some((item, k) => item !== list[k]) ? next : list;
  });

export const removeItems = (project: Project, ids: readonly string[]): Project =>
  mapLists(project, (list) => list.filter((item) => !ids.includes(item.id)));

/** Changes fields of one item; the caller gives only fields that its kind has. */
export const changeItem = (project: Project, id: string, change: Readonly<Record<string, unknown>>): Project =>
  mapItems(project, (item) => (item.id === id ? ({ ...item, ...change } as Item) : item));

type Pair = [number, number];
const pair = ([x, y]: Point): Pair => [x, y];

/** Puts one point of an item elsewhere. */
export const movePoint = (project: Project, id: string, index: number, to: Point): Project => {
  const item = findItem(project, id);
  if (!item) return project;
  return changeItem(project, id, { points: item.points.map((point, k) => (k === index ? pair(to) : point)) });
};

/** A new point half way along the stretch that begins at `index`. */
export function splitStretch(project: Project, id: string, index: number): Project {
  const item = findItem(project, id);
  if (!item || isPoint(item)) return project;
  const from = item.points[index];
  const to = item.points[(index + 1) % item.points.length];
  const points = [...item.points];
  points.splice(index + 1, 0, [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]);
  return changeItem(project, id, { points });
}

/** Fewest points an item of this kind can have. */
export const leastPoints = (item: Item): number => (isPoint(item) ? 1 : isClosed(item) ? 3 : 2);

/** Takes one point out of a line; the whole item goes when too few would be left. */
export function removePoint(project: Project, id: string, index: number): Project {
  const item = findItem(project, id);
  if (!item) return project;
  if (item.points.length <= leastPoints(item)) return removeItems(project, [id]);
  return changeItem(project, id, { points: item.points.filter((_, k) => k !== index) });
}

/** Items that a change by hand may touch: those asked for that are not locked. */
const movable = (project: Project, ids: readonly string[]) =>
  itemsOf(project).filter((item) => ids.includes(item.id) && !item.locked);

/** Every point of some items, by a function of the place. */
function reshape(project: Project, ids: readonly string[], place: (point: Point) => Point): Project {
  const moving = new Set(movable(project, ids).map((item) => item.id));
  return mapItems(project, (item) =>
    moving.has(item.id) ? ({ ...item, points: item.points.map((point) => pair(rounded(place(point)))) } as Item) : item,
  );
}

/** Places are kept to a hundredth of a millimetre. */
const rounded = ([x, y]: Point): Point => [Math.round(x * 100) / 100, Math.round(y * 100) / 100];

export const shiftItems = (project: Project, ids: readonly string[], [dx, dy]: Point): Project =>
  reshape(project, ids, ([x, y]) => [x + dx, y + dy]);

/** Mirrors items left to right about an upright line at `x`. Lines run the other way round afterwards, so that left stays the same side. */
export function mirrorItems(project: Project, ids: readonly string[], x: number): Project {
  const moving = new Set(movable(project, ids).map((item) => item.id));
  const mirrored = reshape(project, ids, ([px, py]) => [2 * x - px, py]);
  return mapItems(mirrored, (item) => {
    if (!moving.has(item.id)) return item;
    return sided(item) ? turnedRound(item) : withFootprint(item, mirroredFootprint);
  });
}

/** Kinds for which left and right of the line are not the same. */
const sided = (item: Item): boolean =>
  ['break', 'cliff', 'terraces', 'beach'].includes(item.kind) || (item.kind === 'way' && item.crossfallPercent !== 0);

/** The same line drawn from its other end. */
export function turnedRound(item: Item): Item {
  const points = [...item.points].reverse();
  if ('fromMm' in item) {
    const turned = { ...item, points, fromMm: item.toMm, toMm: item.fromMm } as Item;
    return turned;
  }
  return { ...item, points } as Item;
}

export function turnItems(project: Project, ids: readonly string[], about: Point, degrees: number): Project {
  const c = Math.cos((degrees * Math.PI) / 180);
  const s = Math.sin((degrees * Math.PI) / 180);
  const moving = new Set(movable(project, ids).map((item) => item.id));
  const turned = reshape(project, ids, ([x, y]) => [
    about[0] + (x - about[0]) * c - (y - about[1]) * s,
    about[1] + (x - about[0]) * s + (y - about[1]) * c,
  ]);
  return mapItems(turned, (item) =>
    moving.has(item.id) ? withFootprint(item, (footprint) => turnedFootprint(footprint, degrees)) : item,
  );
}

const withFootprint = (item: Item, change: (footprint: Footprint) => Footprint): Item =>
  isThing(item) && item.footprint ? { ...item, footprint: change(item.footprint) } : item;

/** Copies of items beside them; gives the ids of the copies. */
export function copyItems(project: Project, ids: readonly string[], by: Point): { project: Project; ids: string[] } {
  let next = project;
  const copies: string[] = [];
  for (const item of itemsOf(project).filter(({ id }) => ids.includes(id))) {
    const id = freeId(item.kind, itemsOf(next));
    next = addItem(next, { ...item, id, name: item.name && `${item.name.slice(0, 110)}, copy`, locked: false } as Item);
    copies.push(id);
  }
  return { project: shiftItems(next, copies, by), ids: copies };
}

/** Moves a landform earlier (negative) or later in the order of building; everything else moves in its list. */
export const reorderItem = (project: Project, id: string, by: number): Project =>
  mapLists(project, (list) => {
    const from = list.findIndex((item) => item.id === id);
    if (from < 0) return list;
    const to = Math.min(list.length - 1, Math.max(0, from + by));
    if (to === from) return list;
    const next = [...list];
    next.splice(to, 0, ...next.splice(from, 1));
    return next;
  });

export const changeSheet = (project: Project, id: string, change: Partial<Omit<Sheet, 'id'>>): Project => ({
  ...project,
  sheets: project.sheets.map((sheet) => (sheet.id === id ? { ...sheet, ...change } : sheet)),
});

export const changeSection = (project: Project, id: string, change: Partial<Omit<SectionLine, 'id'>>): Project => ({
  ...project,
  sections: project.sections.map((section) => (section.id === id ? { ...section, ...change } : section)),
});

/** Another shape or size of base. Marks stay where they are; section lines are brought back onto the new box. */
export function changeShape(project: Project, shape: BaseShape): Project {
  const base = { ...project.base, shape };
  const before = baseSize(project.base);
  const { widthMm, depthMm } = baseSize(base);
  // An end on the far edge stays on it.
  const follow = ([x, y]: Point): Pair => [
    Math.max(0, Math.min(x >= before.widthMm ? widthMm : x, widthMm)),
    Math.max(0, Math.min(y >= before.depthMm ? depthMm : y, depthMm)),
  ];
  const sections = project.sections.map((section) => ({
    ...section,
    from: follow(section.from),
    to: follow(section.to),
  }));
  return { ...project, base, sections };
}

/** A closed line as the base: everything drawn, locked or not, moves with it to the corner of its box. Null when it cannot be a base. */
export function baseFromOutline(project: Project, outline: Ring): Project | null {
  const taken = freeOutline(outline);
  if (!taken) return null;
  const [dx, dy] = taken.shift;
  const move = ([x, y]: Point): Pair => pair(rounded([x + dx, y + dy]));
  const moved = mapItems(project, (item) => ({ ...item, points: item.points.map(move) }) as Item);
  const ends = <T extends { from: Pair; to: Pair }>(line: T): T => ({
    ...line,
    from: move(line.from),
    to: move(line.to),
  });
  const { opening, board } = project.base;
  const base = {
    ...project.base,
    ...(opening && { opening: { ...opening, at: move(opening.at) } }),
    board: board.holes ? { ...board, holes: board.holes.map((hole) => ({ ...hole, at: move(hole.at) })) } : board,
  };
  return {
    ...changeShape({ ...moved, base, sections: project.sections.map(ends) }, taken.shape),
    distance: project.distance && ends(project.distance),
  };
}
