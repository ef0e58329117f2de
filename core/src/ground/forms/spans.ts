import { type Grid, heightAt, type Point, pointAlong } from '../../geometry/index.ts';
import { type Landform, nameOf, runOf } from '../../project/index.ts';
import type { Built } from './compose.ts';
import { type Beneath, beneaths, nearestOn } from './water.ts';

/** The least room under a span's deck over one thing, and where. */
export interface Clearance {
  overId: string | null;
  over: string;
  roomMm: number;
  at: Point;
}

/** What a deck comes to: room over each way and water it crosses, or over the deepest of the gap where it crosses none. */
export interface SpanRead {
  id: string;
  lengthMm: number;
  fromMm: number;
  toMm: number;
  rooms: Clearance[];
  /** The tightest of them; null for a span off the base. */
  leastMm: number | null;
}

/** The deck over a place, where there is one. */
export interface DeckOver {
  id: string;
  /** Its top there. */
  topMm: number;
  tiltDegrees: number;
  /** From the place to the nearest edge or end of the deck. */
  edgeMm: number;
}

/** The highest deck over a place; null where there is none. */
export function deckOver(
  landforms: readonly Landform[],
  spans: readonly Pick<SpanRead, 'id' | 'lengthMm' | 'fromMm' | 'toMm'>[],
  x: number,
  y: number,
): DeckOver | null {
  let best: DeckOver | null = null;
  for (const form of landforms) {
    const read = spans.find(({ id }) => id === form.id);
    if (form.kind !== 'span' || !read || read.lengthMm <= 0) continue;
    const { distanceMm, alongMm } = nearestOn(runOf(form), x, y);
    const edgeMm = Math.min(form.widthMm / 2 - distanceMm, alongMm, read.lengthMm - alongMm);
    const topMm = read.fromMm + (alongMm / read.lengthMm) * (read.toMm - read.fromMm);
    if (edgeMm <= 0 || (best && best.topMm >= topMm)) continue;
    const tiltDegrees = (Math.atan(Math.abs(read.toMm - read.fromMm) / read.lengthMm) * 180) / Math.PI;
    best = { id: form.id, topMm, tiltDegrees, edgeMm };
  }
  return best;
}

/** The ends of every deck, from what was built. */
export const decksOf = (built: readonly Built[]): Pick<SpanRead, 'id' | 'lengthMm' | 'fromMm' | 'toMm'>[] =>
  built.flatMap(({ id, ends }) => (ends ? [{ id, ...ends }] : []));

/** A way no further than this from a deck's top or underside comes up to it, mm. */
const JOINS_MM = 1;

const STEP_MM = 1;
/** Places across the deck, as shares of its half width. */
const across = [-1, -0.5, 0, 0.5, 1];

/** Reads the clearance of every span on the finished ground: underside of the deck less ground or water, whichever is higher. */
export function readSpans(grid: Grid, landforms: readonly Landform[], built: readonly Built[]): SpanRead[] {
  // A dry pit is ground like other ground: its rim comes near to any deck.
  const things = beneaths(
    landforms.filter((form) => form.kind !== 'pit' || form.waterMm !== null),
    built,
  );
  const nameOfUnder = (id: string | undefined) => {
    const form = landforms.find((one) => one.id === id);
    return form ? nameOf(form) : 'the ground';
  };
  return landforms.flatMap((form): SpanRead[] => {
    const ends = built.find(({ id }) => id === form.id)?.ends;
    if (form.kind !== 'span' || !ends) return [];
    const run = runOf(form);
    const rooms = new Map<string, Clearance>();
    const joined = new Set<string>();
    let deepest: Clearance | null = null;
    const count = Math.max(2, Math.ceil(ends.lengthMm / STEP_MM) + 1);
    for (let k = 0; k < count; k++) {
      const share = k / (count - 1);
      const { at, way } = pointAlong(run, share * ends.lengthMm);
      const under = ends.fromMm + share * (ends.toMm - ends.fromMm) - form.thicknessMm;
      for (const aside of across) {
        const x = at[0] - (way[1] * aside * form.widthMm) / 2;
        const y = at[1] + (way[0] * aside * form.widthMm) / 2;
        if (!onGrid(grid, x, y)) continue;
        const land = heightAt(grid, x, y);
        const over = whatLies(things, x, y);
        // Over water only the water counts: where its bank stands out of it the deck may rest.
        if (over && over.waterMm !== null && over.waterMm <= land) continue;
        if (over?.waterMm === null && Math.abs(land - (under + form.thicknessMm)) < form.thicknessMm + JOINS_MM)
          joined.add(over.thing.id);
        const roomMm = under - Math.max(land, over?.waterMm ?? 0);
        const room = {
          overId: over?.thing.id ?? null,
          over: nameOfUnder(over?.thing.id),
          roomMm,
          at: [x, y] as Point,
        };
        if (over) {
          const known = rooms.get(over.thing.id);
          if (!known || roomMm < known.roomMm) rooms.set(over.thing.id, room);
        } else if (aside === 0 && (!deepest || roomMm > deepest.roomMm)) deepest = room;
      }
    }
    // A way that comes up to the deck goes over it, and not below.
    for (const id of joined) rooms.delete(id);
    const list = rooms.size ? [...rooms.values()].sort((a, b) => a.roomMm - b.roomMm) : deepest ? [deepest] : [];
    return [{ id: form.id, ...ends, rooms: list, leastMm: list[0]?.roomMm ?? null }];
  });
}

/** The thing built last that lies at a place. */
function whatLies(things: readonly Beneath[], x: number, y: number): { thing: Beneath; waterMm: number | null } | null {
  for (let k = things.length - 1; k >= 0; k--) {
    const there = things[k].at(x, y);
    if (there) return { thing: things[k], waterMm: there.waterMm };
  }
  return null;
}

const onGrid = ({ columns, rows, cellMm, originMm }: Grid, x: number, y: number) =>
  x >= originMm[0] &&
  y >= originMm[1] &&
  x <= originMm[0] + (columns - 1) * cellMm &&
  y <= originMm[1] + (rows - 1) * cellMm;
