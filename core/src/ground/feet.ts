/**
 * How the foot of a hill runs out below its lowest closed lines: by a power law whose power is read from how the lines above it widen. Heights
 * in mm.
 */
import { power as raised } from '../units/index.ts';
import type { Regions, Rule } from './regions.ts';

/** The power of a foot when nothing tells how the lines widen; of a straight fall, which stops at the board with a kink; and of the softest. */
const USUAL = 2;
const STRAIGHT = 1;
const SOFTEST = 3;
/** How much the power grows with the widening: by trial on bells, cones, domes and waves (`planes.test.ts`). */
const BY_WIDENING = 4;

/** How the ground below each foot runs out; null for regions that are none. */
export function feetOf(z: Float64Array, regions: Regions, columns: number): (((height: number) => number) | null)[] {
  let sums: Sums[] | undefined;
  return regions.rules.map((rule) => {
    if (rule.kind !== 'foot' || rule.heightMm <= 0) return null;
    sums ??= sumsOf(z, regions, columns);
    return runningOut(rule.heightMm, powerOf(wideningOf(rule, sums)));
  });
}

/**
 * F(h) = h0 (1 - (h0 - h) / (p h0))^p for what the surface would fall to, h, below the foot's height h0: it leaves the line with the slope it
 * came with (F'(h0) = 1), bends all the way, and comes down to the board p times as far out as a straight fall would (which is p = 1).
 */
function runningOut(heightMm: number, power: number): (height: number) => number {
  return (height) => {
    if (height >= heightMm) return height;
    return heightMm * raised(Math.max(0, 1 - (heightMm - height) / (power * heightMm)), power);
  };
}

function powerOf(widening: number | null): number {
  if (widening === null) return USUAL;
  return Math.min(SOFTEST, Math.max(STRAIGHT, USUAL + BY_WIDENING * widening));
}

/**
 * How the slope falls with height over the two lowest intervals, d ln slope / d ln height: 0 for a cone, above it where the lines widen
 * towards the foot, below it where they close up. The mean slope of an interval is its height times its lines' mean length over its area, by the
 * co-area formula the mean of the gradient over it. Null where there are not two intervals.
 */
function wideningOf({ bands }: Extract<Rule, { kind: 'foot' }>, sums: readonly Sums[]): number | null {
  const [lower, upper] = bands.map((patches) => meanOf(patches, sums));
  if (!lower || !upper || upper.heightMm <= lower.heightMm) return null;
  return Math.log(lower.slope / upper.slope) / Math.log(lower.heightMm / upper.heightMm);
}

/** Of a region between lines: its nodes, and their heights and falls to their neighbours, added up. */
interface Sums {
  nodes: number;
  height: number;
  fall: number;
}

function sumsOf(z: Float64Array, { label, rules }: Regions, columns: number): Sums[] {
  const sums = rules.map(() => ({ nodes: 0, height: 0, fall: 0 }));
  for (let n = 0; n + columns < z.length; n++) {
    if (rules[label[n]].kind !== 'between' || (n + 1) % columns === 0) continue;
    const sum = sums[label[n]];
    sum.nodes++;
    sum.height += z[n];
    sum.fall += Math.hypot(z[n + 1] - z[n], z[n + columns] - z[n]);
  }
  return sums;
}

/** The mean slope and height of some regions; null where none lies between lines or all is level. */
function meanOf(patches: readonly number[], sums: readonly Sums[]): { slope: number; heightMm: number } | null {
  const [nodes, height, fall] = (['nodes', 'height', 'fall'] as const).map((key) =>
    patches.reduce((sum, k) => sum + sums[k][key], 0),
  );
  return fall > 0 ? { slope: fall / nodes, heightMm: height / nodes } : null;
}
