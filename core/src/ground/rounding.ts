/** From the solved surface to ground: summits and hollows rounded over, feet of hills run out, nothing below the board. */
import { power as raised } from '../units/index.ts';
import { feetOf } from './feet.ts';
import type { Regions, Rule } from './regions.ts';

/**
 * What the solved surface does where nothing stops it. A summit inside the highest closed line, or a hollow inside the lowest, goes on as
 * it came and is rounded over below the next interval; the foot of a hill runs out; the board stops what falls on it without bending it.
 * Heights in mm, row by row, `columns` to a row.
 */
export function roundedOver(z: Float64Array, regions: Regions, columns: number): Float64Array {
  const { label, rules } = regions;
  const out = new Float64Array(z.length);
  const caps = capsOf(z, label, rules);
  const feet = feetOf(z, regions, columns);
  for (let n = 0; n < z.length; n++) {
    const bent = caps[label[n]] ?? feet[label[n]];
    const height = bent ? bent(z[n]) : z[n];
    out[n] = height > 0 ? height : 0;
  }
  return out;
}

/** How each summit or hollow is rounded over; nothing for regions that are neither. */
function capsOf(z: Float64Array, label: Int32Array, rules: readonly Rule[]): (((height: number) => number) | null)[] {
  const up = new Float64Array(rules.length);
  const down = new Float64Array(rules.length);
  for (let n = 0; n < z.length; n++) {
    const rule = rules[label[n]];
    if (rule.kind !== 'cap') continue;
    if (z[n] - rule.highMm > up[label[n]]) up[label[n]] = z[n] - rule.highMm;
    if (rule.lowMm - z[n] > down[label[n]]) down[label[n]] = rule.lowMm - z[n];
  }
  return rules.map((rule, k) => {
    if (rule.kind !== 'cap') return null;
    const [rise, fall] = [rounded(up[k], rule.upMm), rounded(down[k], rule.downMm)];
    return (height) => {
      if (height > rule.highMm) return rule.highMm + rise(height - rule.highMm);
      return height < rule.lowMm ? rule.lowMm - fall(rule.lowMm - height) : height;
    };
  });
}

/** A dome is no flatter than this on top: a summit that would have to bend more than that has a kink at its rim instead. */
const FLATTEST = 2;

/**
 * A dome of height `most` brought under `limit`: F(0) = 0, F(most) = m < limit, rising all the way, so that what was highest stays the only
 * highest place. m = most / (1 + (most / limit)^4)^(1/4), all but `most` itself up to half the limit; F(e) = m (1 - (1 - e / most)^p), with
 * p = most / m so that there is no kink at the rim (F'(0) = 1), but at most 2, or the top would be a flat.
 */
function rounded(most: number, limit: number): (above: number) => number {
  if (most <= 0) return (above) => above;
  if (limit <= 0) return () => 0;
  const top = most / Math.sqrt(Math.sqrt(1 + ((most / limit) ** 2) ** 2));
  const power = Math.min(FLATTEST, most / top);
  return (above) => top * (1 - raised(Math.max(0, 1 - above / most), power));
}
