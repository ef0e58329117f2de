/** How laid-in things stand in the ground: their beds and what they take of it. */
import { boundsOf, forEachCell, heightAt, insideRing, ringArea } from '../geometry/index.ts';
import type { Ground } from '../ground/index.ts';
import { type Catalogue, shippedCatalogue } from '../materials/index.ts';
import { type Laid, nameOf, type Project, runOf } from '../project/index.ts';
import type { Target } from './target.ts';

/** How a laid-in thing stands. */
export interface LaidPlace {
  id: string;
  /** Middle height of the ground under it, its underside and its top, mm above the board. */
  groundMm: number;
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

/** Stands every laid-in thing on the finished ground: what it displaces and what it weighs. A thing off the base is left out. */
export function layIn(
  laid: readonly Laid[],
  ground: Ground,
  target: Target,
  catalogue: Catalogue = shippedCatalogue,
): LaidPlace[] {
  return laid.flatMap((thing) => {
    const read = layOne(thing, ground, target, catalogue);
    return read ? [read] : [];
  });
}

/** Laid-in things with their names. */
export const namedLaid = ({ laid }: Pick<Project, 'laid'>, places: readonly LaidPlace[]): LaidRead[] =>
  places.map((place) => {
    const thing = laid.find(({ id }) => id === place.id);
    return { ...place, name: thing ? nameOf(thing) : place.id };
  });

function layOne(thing: Laid, ground: Ground, target: Target, catalogue: Catalogue): LaidPlace | null {
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
  const density = catalogue.need(thing.kind, 'wetKgPerL');
  const solidShare = catalogue.need(thing.kind, 'solidShare');
  const boxL = (Math.abs(ringArea(ring)) * thing.heightMm) / 1e6;
  const mass = (bound: 'low' | 'likely' | 'high') =>
    1000 * boxL * (thing.densityKgL ?? density[bound] * solidShare[bound]);
  return {
    id: thing.id,
    groundMm,
    undersideMm,
    topMm,
    unevenMm: heights[heights.length - 1] - heights[0],
    foamMl: foam / 1000,
    skinMl: skin / 1000,
    massG: { low: mass('low'), likely: mass('likely'), high: mass('high') },
  };
}
