import { boundsOf, type Grid, offsetLine, type Ring } from '../../geometry/index.ts';
import type { LandformOf } from '../../project/index.ts';
import { forEachNode, gradientOf, heldBetween, type RingField, ringField } from './field.ts';
import { bankReach, landRanges } from './reach.ts';
import type { Put } from './works.ts';

/** How far the banks of an outline at one height reach, mm. */
const reachFrom = (grid: Grid, ring: Ring, heightMm: number, fall: number, rise: number): number =>
  bankReach(landRanges(grid), boundsOf(ring), { lowMm: heightMm, highMm: heightMm, fall, rise });

/** A flat of one height inside an outline, and banks outside that fall and rise with the given gradients. */
function* putFlat(
  grid: Grid,
  ring: Ring,
  heightMm: number,
  fall: number,
  rise: number,
  put: Put,
  edge: Ring,
): Generator<undefined, void> {
  const { window, inside, distance } = yield* ringField(
    grid,
    ring,
    reachFrom(grid, ring, heightMm, fall, rise),
    0,
    edge,
  );
  forEachNode(grid, window, (w, n) => {
    if (inside[w]) put(n, heightMm);
    else if (distance[w] < Number.POSITIVE_INFINITY)
      put(n, heldBetween(grid.values[n], heightMm - distance[w] * fall, heightMm + distance[w] * rise));
  });
}

export function* buildPad(
  grid: Grid,
  ring: Ring,
  pad: LandformOf<'pad'>,
  put: Put,
  edge: Ring,
): Generator<undefined, void> {
  const slope = gradientOf(pad.bankDegrees);
  yield* putFlat(grid, ring, pad.heightMm, slope, slope, put, edge);
}

/** The outlines of a terrace run's treads, the lowest first. */
export function treadsOf(line: Ring, { count, treadMm }: LandformOf<'terraces'>): Ring[] {
  return Array.from({ length: count }, (_, k) => [
    ...offsetLine(line, k * treadMm),
    ...[...offsetLine(line, (k + 1) * treadMm)].reverse(),
  ]);
}

/** One tread: flat, its wall down to what lies before it, the land behind held back at the same slope. Treads are built from the lowest. */
export function* buildTread(
  grid: Grid,
  tread: Ring,
  heightMm: number,
  wallDegrees: number,
  put: Put,
  edge: Ring,
): Generator<undefined, void> {
  const wall = gradientOf(wallDegrees);
  yield* putFlat(grid, tread, heightMm, wall, wall, put, edge);
}

/** Bed below the water, by distance from the shore: an even slope to its depth, or a rounded bowl. */
function bedDepth({ bed, depthMm, bedDegrees }: LandformOf<'basin'>, fromShore: number): number {
  const run = depthMm / gradientOf(bedDegrees);
  const share = Math.min(1, run ? fromShore / run : 1);
  return bed === 'round' ? depthMm * Math.sin((share * Math.PI) / 2) : depthMm * share;
}

export function* buildBasin(
  grid: Grid,
  shore: Ring,
  basin: LandformOf<'basin'>,
  put: Put,
  edge: Ring,
): Generator<undefined, void> {
  const bank = gradientOf(basin.bankDegrees);
  const run = basin.depthMm / gradientOf(basin.bedDegrees);
  const level = basin.waterMm;
  const { window, inside, distance } = yield* ringField(
    grid,
    shore,
    reachFrom(grid, shore, level, bank, bank),
    run,
    edge,
  );
  forEachNode(grid, window, (w, n) => {
    if (inside[w]) put(n, Math.max(0, level - bedDepth(basin, distance[w])));
    else if (distance[w] < Number.POSITIVE_INFINITY)
      put(n, heldBetween(grid.values[n], level - distance[w] * bank, level + distance[w] * bank));
  });
}

/** Distance inside as a share of the deepest place inside, 0 at the outline and 1 there (and wherever the edge leaves nothing to be distant from). */
function inwardShare({ inside, distance }: RingField): (w: number) => number {
  let deepest = 1e-9;
  for (let w = 0; w < inside.length; w++) if (inside[w] && distance[w] > deepest) deepest = distance[w];
  return (w) => distance[w] / deepest;
}

/** How far in from an outline anything can lie. */
const wholeWidth = (ring: Ring): number =>
  Math.max(...ring.map(([x]) => x)) -
  Math.min(...ring.map(([x]) => x)) +
  Math.max(...ring.map(([, y]) => y)) -
  Math.min(...ring.map(([, y]) => y));

export function* buildMound(
  grid: Grid,
  foot: Ring,
  { riseMm }: LandformOf<'mound'>,
  put: Put,
  edge: Ring,
): Generator<undefined, void> {
  const field = yield* ringField(grid, foot, 0, wholeWidth(foot), edge);
  const share = inwardShare(field);
  forEachNode(grid, field.window, (w, n) => {
    // Level at its top and at its foot, so that it meets the land without a crease.
    if (field.inside[w]) put(n, grid.values[n] + (riseMm * (1 - Math.cos(share(w) * Math.PI))) / 2);
  });
}

/** Stands at its angle of repose over the land from its foot; where it is capped, its top follows the land. */
export function* buildHeap(
  grid: Grid,
  foot: Ring,
  { reposeDegrees, mostMm }: LandformOf<'heap'>,
  put: Put,
  edge: Ring,
): Generator<undefined, void> {
  const slope = gradientOf(reposeDegrees);
  const { window, inside, distance } = yield* ringField(
    grid,
    foot,
    0,
    mostMm === null ? wholeWidth(foot) : mostMm / slope,
    edge,
  );
  const most = mostMm ?? Number.POSITIVE_INFINITY;
  forEachNode(grid, window, (w, n) => {
    if (inside[w]) put(n, grid.values[n] + Math.min(most, distance[w] * slope));
  });
}

export function* buildPit(
  grid: Grid,
  rim: Ring,
  { floorMm, wallDegrees }: LandformOf<'pit'>,
  put: Put,
  edge: Ring,
): Generator<undefined, void> {
  const slope = gradientOf(wallDegrees);
  const { window, inside, distance } = yield* ringField(
    grid,
    rim,
    0,
    reachFrom(grid, rim, floorMm, slope, slope),
    edge,
  );
  forEachNode(grid, window, (w, n) => {
    const land = grid.values[n];
    if (inside[w]) put(n, Math.min(land, Math.max(floorMm, land - distance[w] * slope)));
  });
}

export function* buildCrater(
  grid: Grid,
  rim: Ring,
  { depthMm, rimMm, apronMm }: LandformOf<'crater'>,
  put: Put,
  edge: Ring,
): Generator<undefined, void> {
  const field = yield* ringField(grid, rim, apronMm, wholeWidth(rim), edge);
  const share = inwardShare(field);
  forEachNode(grid, field.window, (w, n) => {
    const land = grid.values[n];
    if (field.inside[w]) put(n, Math.max(0, land + rimMm - (rimMm + depthMm) * (1 - (1 - share(w)) ** 2)));
    else if (field.distance[w] < apronMm) put(n, land + rimMm * (1 - field.distance[w] / apronMm) ** 2);
  });
}

export function* buildIsland(
  grid: Grid,
  shore: Ring,
  island: LandformOf<'island'>,
  put: Put,
  edge: Ring,
): Generator<undefined, void> {
  const slope = gradientOf(island.shoreDegrees);
  const [level, rise] = [island.waterMm, island.riseMm];
  const field = yield* ringField(grid, shore, reachFrom(grid, shore, level, slope, 1e6), wholeWidth(shore), edge);
  const share = inwardShare(field);
  forEachNode(grid, field.window, (w, n) => {
    const land = grid.values[n];
    if (field.inside[w]) put(n, Math.max(land, level + rise * Math.sin((share(w) * Math.PI) / 2)));
    else if (field.distance[w] < Number.POSITIVE_INFINITY) put(n, Math.max(land, 0, level - field.distance[w] * slope));
  });
}
