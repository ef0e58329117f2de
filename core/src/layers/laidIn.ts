/** How laid-in things stand in the ground: their beds and what they take of it. */
import { boundsOf, centroidOf, forEachCell, heightAt, insideRing, type Point, ringArea } from '../geometry/index.ts';
import { type DeckOver, deckOver, decksOf, type Ground } from '../ground/index.ts';
import { type Catalogue, shippedCatalogue } from '../materials/index.ts';
import { type Laid, nameOf, type Project, runOf } from '../project/index.ts';
import type { Target } from './target.ts';

/** How a laid-in thing stands. */
export interface LaidPlace {
  id: string;
  /** Middle height of the ground under it, its underside and its top, mm above the board. */
  groundMm: number;
  /** The deck that it stands on, whose top is what is under it; null on the ground. */
  deckId: string | null;
  /** On a deck: it reaches over an edge or an end of it. */
  overDeck: boolean;
  undersideMm: number;
  topMm: number;
  /** How much the ground under it rises from its lowest to its highest place, mm. */
  unevenMm: number;
  /** Room it takes from the ground, ml: from foam, and from the skin (or fill) over it. */
  foamMl: number;
  skinMl: number;
  massG: { low: number; likely: number; high: number };
}

/** The same with what it is called. */
export interface LaidRead extends LaidPlace {
  name: string;
}

/**
 * Stands every laid-in thing on the finished ground, or on the deck over its middle: what it displaces and what it weighs. A thing off the
 * base is left out.
 */
export function layIn(
  { laid, landforms }: Pick<Project, 'laid' | 'landforms'>,
  ground: Ground,
  target: Target,
  catalogue: Catalogue = shippedCatalogue,
): LaidPlace[] {
  const decks = decksOf(ground.built);
  return laid.flatMap((thing) => {
    const [x, y] = centroidOf(runOf(thing));
    const deck = thing.under ? null : deckOver(landforms, decks, x, y);
    const overHere = (at: Point) => deckOver(landforms, decks, ...at)?.id === deck?.id;
    const place = deck ? onDeck(thing, deck, overHere) : inGround(thing, ground, target);
    return place ? [{ id: thing.id, ...place, massG: massOf(thing, catalogue) }] : [];
  });
}

/** Laid-in things with their names. */
export const namedLaid = ({ laid }: Pick<Project, 'laid'>, places: readonly LaidPlace[]): LaidRead[] =>
  places.map((place) => {
    const thing = laid.find(({ id }) => id === place.id);
    return { ...place, name: thing ? nameOf(thing) : place.id };
  });

/** So much over the edge of a deck is not over it, mm. */
const EDGE_MM = 1;

type Place = Omit<LaidPlace, 'id' | 'massG'>;

/** On a deck nothing is bedded and nothing makes room. */
function onDeck(thing: Laid, { id, topMm, tiltDegrees }: DeckOver, isOver: (at: Point) => boolean): Place {
  const ring = runOf(thing);
  const [x0, y0, x1, y1] = boundsOf(ring);
  const [mx, my] = centroidOf(ring);
  /** A corner a little further in: a house as wide as its deck stands on it. */
  const inward = ([x, y]: Point): Point => {
    const share = Math.min(1, EDGE_MM / (Math.hypot(mx - x, my - y) || 1));
    return [x + share * (mx - x), y + share * (my - y)];
  };
  const unevenMm = Math.tan((tiltDegrees * Math.PI) / 180) * Math.hypot(x1 - x0, y1 - y0);
  return {
    deckId: id,
    overDeck: !ring.every((at) => isOver(inward(at))),
    groundMm: topMm,
    undersideMm: topMm,
    topMm: topMm + thing.heightMm,
    unevenMm,
    foamMl: 0,
    skinMl: 0,
  };
}

function inGround(thing: Laid, ground: Ground, target: Target): Place | null {
  const ring = runOf(thing);
  const { cellMm, originMm, columns } = ground.grid;
  const across = columns - 1;
  const [x0, y0, x1, y1] = boundsOf(ring);
  const heights: number[] = [];
  const cells: { areaMm2: number; landMm: number; foamMm: number }[] = [];
  forEachCell(ground.grid, ground.coverage, (cell, areaMm2, landMm) => {
    const x = originMm[0] + ((cell % across) + 0.5) * cellMm;
    const y = originMm[1] + (Math.floor(cell / across) + 0.5) * cellMm;
    if (x < x0 || x > x1 || y < y0 || y > y1 || !insideRing(ring, x, y)) return;
    heights.push(landMm);
    cells.push({ areaMm2, landMm, foamMm: Math.max(0, heightAt(target.grid, x, y)) });
  });
  if (!heights.length) return null;
  heights.sort((a, b) => a - b);
  const groundMm = heights[Math.floor(heights.length / 2)];
  const undersideMm = Math.max(0, groundMm - thing.beddedMm);
  const topMm = undersideMm + thing.heightMm;
  let foam = 0;
  let skin = 0;
  for (const { areaMm2, landMm, foamMm } of cells) {
    foam += Math.max(0, Math.min(foamMm, topMm) - undersideMm) * areaMm2;
    skin += Math.max(0, Math.min(landMm, topMm) - Math.max(foamMm, undersideMm)) * areaMm2;
  }
  return {
    deckId: null,
    overDeck: false,
    groundMm,
    undersideMm,
    topMm,
    unevenMm: heights[heights.length - 1] - heights[0],
    foamMl: foam / 1000,
    skinMl: skin / 1000,
  };
}

function massOf(thing: Laid, catalogue: Catalogue): LaidPlace['massG'] {
  const density = catalogue.need(thing.kind, 'wetKgPerL');
  const solidShare = catalogue.need(thing.kind, 'solidShare');
  const boxL = (Math.abs(ringArea(runOf(thing))) * thing.heightMm) / 1e6;
  const mass = (bound: 'low' | 'likely' | 'high') =>
    1000 * boxL * (thing.densityKgL ?? density[bound] * solidShare[bound]);
  return { low: mass('low'), likely: mass('likely'), high: mass('high') };
}
