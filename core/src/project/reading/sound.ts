/**
 * What no field can tell by itself: whether an outline encloses anything, whether a frame fits its base, whether lines wander further than any ground
 * of that size can follow. Asked of every file that is read and of every edit.
 */
import { boundsOf, lineLength, type Ring, ringArea } from '../../geometry/index.ts';
import type { Fault } from '../../units/index.ts';
import { baseSize, crossesItself } from '../base.ts';
import { type Item, type ItemList, isClosed, itemLists } from '../items.ts';
import type { Base } from '../schemas/baseSchema.ts';
import type { Project } from '../schemas/schema.ts';

/** What a tile holds, open or closed. */
type Content = Pick<Project, 'base' | ItemList>;

/** An outline of less than this encloses nothing, mm2. */
const LEAST_MM2 = 0.01;
/** So many times as long as half way round the base may one line be, and all lines together: more than a lattice can tell apart. */
const LONGEST_LINE = 400;
const LONGEST_LINES = 1200;

const fault = (place: string, message: string, remedy: string): Fault => ({ code: 'value', place, message, remedy });

/** The first thing that is wrong with a project, or null. `before`: what is the same there is not looked at again. */
export function faultOfWhole(project: Project, before?: Project): Fault | null {
  const tiles = [
    { content: project as Content, was: before as Content | undefined, place: '' },
    ...project.tiles.map((tile, k) => ({
      content: tile as Content,
      was: before?.tiles.find(({ id }) => id === tile.id) as Content | undefined,
      place: `tiles[${k}].`,
    })),
  ];
  for (const { content, was, place } of tiles) {
    const found = faultOfContent(content, was, place);
    if (found) return found;
  }
  return null;
}

function faultOfContent(content: Content, was: Content | undefined, place: string): Fault | null {
  const wrong = content.base === was?.base ? null : faultOfBase(content.base, `${place}base`);
  if (wrong) return wrong;
  const { widthMm, depthMm } = baseSize(content.base);
  const around = widthMm + depthMm;
  let all = 0;
  for (const list of itemLists) {
    const known = content.base === was?.base ? new Set<Item>(was?.[list]) : null;
    for (const [k, item] of (content[list] as readonly Item[]).entries()) {
      const length = lineLength(item.points, isClosed(item));
      all += length;
      if (known?.has(item)) continue;
      const found = faultOfItem(item, length, around, `${place}${list}[${k}].points`);
      if (found) return found;
    }
  }
  // What was too long before may be made shorter.
  if (all <= LONGEST_LINES * around || (was && all <= lengthOf(was))) return null;
  return fault(
    `${place}marks`,
    `All lines together are ${metres(all)} m long: more than ground of this size can follow.`,
    'Leave some out.',
  );
}

const lengthOf = (content: Content): number =>
  itemLists.reduce(
    (sum, list) =>
      (content[list] as readonly Item[]).reduce((all, item) => all + lineLength(item.points, isClosed(item)), sum),
    0,
  );

function faultOfBase(base: Base, place: string): Fault | null {
  const { shape, frame } = base;
  if (shape.kind === 'outline') {
    const [x0, y0, x1, y1] = boundsOf(shape.points);
    if (Math.abs(ringArea(shape.points)) < 1 || Math.min(x1 - x0, y1 - y0) < 20 || Math.max(x1 - x0, y1 - y0) > 3000)
      return fault(
        `${place}.shape.points`,
        'The outline of the base encloses nothing, or is smaller than 20 mm or larger than 3000 mm.',
        'Give it at least three corners that do not lie in one line.',
      );
    if (crossesItself(shape.points))
      return fault(`${place}.shape.points`, 'The outline of the base crosses itself.', 'Put its corners in order.');
  }
  if (!frame) return null;
  const { widthMm, depthMm } = baseSize(base);
  const least = Math.min(widthMm, depthMm);
  if (frame.widthMm > least || 2 * frame.lapMm >= least)
    return fault(
      `${place}.frame.${frame.widthMm > least ? 'widthMm' : 'lapMm'}`,
      `The frame is wider than its base, which is ${Math.round(least)} mm at its narrowest.`,
      'Choose a narrower one.',
    );
  return null;
}

function faultOfItem(item: Item, length: number, around: number, place: string): Fault | null {
  if (
    isClosed(item) &&
    item.points.length > 2 &&
    Math.abs(ringArea(item.points)) < LEAST_MM2 &&
    !crossesMaybe(item.points)
  )
    return fault(place, 'The outline encloses nothing: its corners lie in one line.', 'Move one of them aside.');
  if (length <= LONGEST_LINE * around) return null;
  return fault(
    place,
    `The line is ${metres(length)} m long, on a base of ${Math.round(around)} mm from corner to corner along its sides.`,
    'It goes to and fro more often than ground can follow: draw it anew, or leave points out.',
  );
}

/** A figure of eight has no area, but has one as soon as it is put right: it is told in the checks. */
function crossesMaybe(ring: Ring): boolean {
  const [x0, y0, x1, y1] = boundsOf(ring);
  return Math.min(x1 - x0, y1 - y0) > 0.1 && ring.length > 3;
}

const metres = (mm: number) => Math.round(mm / 1000);
