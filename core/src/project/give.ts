/** Levels that may be moved so that they fall on joints: which may, by how much, and the project with them moved. Heights in mm. */
import { changeItem } from './edits/edits.ts';
import { findItem, type Item, isLandform, isMark, itemsOf } from './items.ts';
import type { Landform } from './schemas/landformSchema.ts';
import type { Mark } from './schemas/markSchema.ts';
import type { Project } from './schemas/schema.ts';

type Drawn = Mark | Landform;

/** The fields that hold the heights an item asks for of itself; those that the land sets are none. A bed is moved under its water. */
const heightFields = (item: Drawn): readonly string[] => {
  switch (item.kind) {
    case 'contour':
    case 'spot':
    case 'pad':
      return ['heightMm'];
    case 'pit':
      return ['floorMm'];
    case 'basin':
      return ['depthMm'];
    case 'terraces':
      return ['firstMm'];
    case 'way':
    case 'steps':
    case 'channel':
      return (['fromMm', 'toMm'] as const).filter((key) => item[key] !== null);
    default:
      return [];
  }
};

/** Whether an item has heights that could be given room to move. */
export const canGive = (item: Item): item is Drawn =>
  (isMark(item) || isLandform(item)) && heightFields(item).length > 0;

/** How far down and up an item's heights may be moved; one that is locked stays. */
export const giveOfItem = (item: Item): { downMm: number; upMm: number } => {
  if (!canGive(item) || item.locked || !('give' in item) || !item.give) return { downMm: 0, upMm: 0 };
  // A bed cannot come up to its water.
  const upMm = item.kind === 'basin' ? Math.min(item.give.upMm, item.depthMm - 0.5) : item.give.upMm;
  return { downMm: item.give.downMm, upMm: Math.max(0, upMm) };
};

/** Which of an item's levels stand at a height of its own: the ends of a way that the land sets do not. */
export function asksFor(item: Drawn, part: string): boolean {
  if (item.kind !== 'way' && item.kind !== 'steps' && item.kind !== 'channel') return true;
  return part.endsWith('start') ? item.fromMm !== null : item.toMm !== null;
}

const hundredth = (mm: number) => Math.round(mm * 100) / 100;

/** The project with the heights of some items moved, each as a whole; nothing goes below the board. */
export function moveItems(project: Project, moves: readonly { itemId: string; byMm: number }[]): Project {
  return moves.reduce((moved, { itemId, byMm }) => {
    const item = findItem(moved, itemId);
    if (!item || !canGive(item)) return moved;
    const now = item as unknown as Record<string, number>;
    const by = item.kind === 'basin' ? -byMm : byMm;
    const least = item.kind === 'basin' ? 0.5 : 0;
    const change = Object.fromEntries(
      heightFields(item).map((key) => [key, Math.max(least, hundredth(now[key] + by))]),
    );
    return changeItem(moved, itemId, change);
  }, project);
}

/** The same give for everything that can have one; none where both are 0. */
export const giveAll = (project: Project, downMm: number, upMm: number): Project =>
  itemsOf(project)
    .filter(canGive)
    .reduce((given, { id }) => changeItem(given, id, { give: downMm || upMm ? { downMm, upMm } : undefined }), project);
