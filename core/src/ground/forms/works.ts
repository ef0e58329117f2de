import { type Grid, heightAt, lineLength, type Ring } from '../../geometry/index.ts';
import type { LandformOf } from '../../project/index.ts';
import { forEachNode, gradientOf, heldBetween, type StripField, stripField } from './field.ts';

/** Sets the height of a node. */
export type Put = (n: number, heightMm: number) => void;

/** The heights that a line landform has come to at its ends, and its length. */
export interface Ends {
  fromMm: number;
  toMm: number;
  lengthMm: number;
}

/** Given heights of a line's ends, or the land's as it is when the line is built. */
export function endsOf(grid: Grid, line: Ring, given: { fromMm: number | null; toMm: number | null }): Ends {
  const [x0, y0] = line[0];
  const [x1, y1] = line[line.length - 1];
  return {
    fromMm: given.fromMm ?? heightAt(grid, x0, y0),
    toMm: given.toMm ?? heightAt(grid, x1, y1),
    lengthMm: lineLength(line, false),
  };
}

const between = ({ fromMm, toMm, lengthMm }: Ends, along: number): number =>
  fromMm + (toMm - fromMm) * (lengthMm ? Math.min(1, along / lengthMm) : 0);

function putStrip(grid: Grid, { window, core, lower, upper }: StripField, put: Put): void {
  forEachNode(grid, window, (w, n) => {
    if (!Number.isNaN(core[w])) put(n, core[w]);
    else if (upper[w] < Number.POSITIVE_INFINITY) put(n, heldBetween(grid.values[n], lower[w], upper[w]));
  });
}

/** An even gradient from end to end, tilted by its crossfall, with embankments below and cuttings above. */
export function* buildWay(grid: Grid, line: Ring, way: LandformOf<'way'>, put: Put): Generator<undefined, Ends> {
  const ends = endsOf(grid, line, way);
  const half = way.widthMm / 2;
  const tilt = way.crossfallPercent / 100;
  const [fall, rise] = [gradientOf(way.bankDegrees), gradientOf(way.cutDegrees)];
  const core = (along: number, aside: number) => between(ends, along) + tilt * aside;
  putStrip(grid, yield* stripField(grid, line, half, core, fall, rise), put);
  return ends;
}

/** A flight: each step flat, the last at the height of the end. */
export function* buildSteps(grid: Grid, line: Ring, steps: LandformOf<'steps'>, put: Put): Generator<undefined, Ends> {
  const ends = endsOf(grid, line, steps);
  const { fromMm, toMm, lengthMm } = ends;
  const tread = lengthMm / steps.count;
  const core = (along: number) =>
    fromMm + ((toMm - fromMm) * Math.min(steps.count, Math.floor(along / tread + 1e-9) + 1)) / steps.count;
  const slope = gradientOf(steps.bankDegrees);
  putStrip(grid, yield* stripField(grid, line, steps.widthMm / 2, core, slope, slope), put);
  return ends;
}

/** Height of a channel's bed along it: its banks' fall less its depth, raised where the ford is. */
function bedOf(channel: LandformOf<'channel'>, ends: Ends): (alongMm: number) => number {
  const { ford, depthMm, waterMm } = channel;
  return (along) => {
    const bed = between(ends, along) - depthMm;
    if (!ford) return Math.max(0, bed);
    const off = Math.abs(along - ford.share * ends.lengthMm);
    const ramp = Math.max(1, ford.lengthMm / 4);
    const raised = Math.min(1, Math.max(0, (ford.lengthMm / 2 + ramp - off) / ramp));
    const crossing = Math.max(bed, bed + waterMm - ford.waterMm);
    return Math.max(0, bed + raised * (crossing - bed));
  };
}

/** The water line of a channel, mm above the board: it falls as its banks do. */
export const waterLineOf =
  (channel: LandformOf<'channel'>, ends: Ends): ((alongMm: number) => number) =>
  (along) =>
    Math.max(0, between(ends, along) - channel.depthMm) + channel.waterMm;

export function* buildChannel(
  grid: Grid,
  line: Ring,
  channel: LandformOf<'channel'>,
  put: Put,
): Generator<undefined, Ends> {
  const ends = endsOf(grid, line, channel);
  const slope = gradientOf(channel.bankDegrees);
  putStrip(grid, yield* stripField(grid, line, channel.widthMm / 2, bedOf(channel, ends), slope, slope), put);
  return ends;
}

/** An even slope through the water's edge: the land at its left rises, its right runs out under water. */
export function* buildBeach(grid: Grid, line: Ring, beach: LandformOf<'beach'>, put: Put): Generator<undefined, Ends> {
  const tilt = gradientOf(beach.slopeDegrees);
  const slope = gradientOf(beach.bankDegrees);
  const core = (_: number, aside: number) => Math.max(0, beach.waterMm + tilt * aside);
  putStrip(grid, yield* stripField(grid, line, beach.widthMm, core, slope, slope), put);
  return { fromMm: beach.waterMm, toMm: beach.waterMm, lengthMm: lineLength(line, false) };
}
