import { tenth } from '../units/index.ts';
import { changeItem } from './edits/edits.ts';
import { findItem, type Item } from './items.ts';
import type { Project } from './schemas/schema.ts';

/** A height of an item that can be taken hold of: the field that holds it, and where along the item it counts. */
export interface HeightPart {
  key: string;
  label: string;
  /** Held as a height of its own, or as a rise over (or a depth under) the land. */
  sense: 'height' | 'rise' | 'depth';
}

const part = (key: string, label: string, sense: HeightPart['sense'] = 'height'): HeightPart => ({ key, label, sense });
const both = [part('fromMm', 'start'), part('toMm', 'end')];

/** The heights that make an item, in the order in which they are asked for. */
export function heightParts(item: Item): readonly HeightPart[] {
  switch (item.kind) {
    case 'contour':
    case 'spot':
    case 'pad':
      return [part('heightMm', 'height')];
    case 'form':
    case 'way':
    case 'steps':
    case 'channel':
    case 'span':
      return both;
    case 'break':
    case 'cliff':
      return [part('topMm', 'top'), part('footMm', 'foot')];
    case 'terraces':
      return [part('firstMm', 'first tread')];
    case 'basin':
    case 'island':
    case 'beach':
      return [part('waterMm', 'water')];
    case 'pit':
      return [part('floorMm', 'floor')];
    case 'mound':
      return [part('riseMm', 'rise', 'rise')];
    case 'crater':
      return [part('depthMm', 'depth', 'depth')];
    case 'heap':
      return [part('mostMm', 'top', 'rise')];
    case 'tree':
    case 'figure':
    case 'vehicle':
    case 'held':
    case 'stood':
      return [part('raisedMm', 'held up', 'rise')];
    default:
      return [part('beddedMm', 'bedding', 'depth')];
  }
}

/**
 * Raises an item by `byMm` as if the ground line had been taken hold of there: the given heights for a line that runs from one to another
 * (`nowMm` gives those that the land has set so far), its one height else. A rise grows, a depth shrinks. Nothing goes below the board.
 */
export function raiseItem(
  project: Project,
  id: string,
  byMm: number,
  nowMm: Readonly<Record<string, number>> = {},
  only?: string,
): Project {
  const item = findItem(project, id);
  if (!item || item.locked) return project;
  const fields = item as unknown as Record<string, number | null>;
  const change: Record<string, number> = {};
  for (const { key, sense } of heightParts(item)) {
    if (only && key !== only) continue;
    const now = fields[key] ?? nowMm[key];
    if (now === undefined || now === null) continue;
    const least = sense === 'height' ? 0 : 0.5;
    change[key] = Math.max(least, tenth(sense === 'depth' ? now - byMm : now + byMm));
  }
  return Object.keys(change).length ? changeItem(project, id, change) : project;
}
