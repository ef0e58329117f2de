import { covers, formatMeasure, type UnitSystem } from '@hosket/core';
import type { Band, Tint } from '../textures/band.ts';
import { coverBands } from '../textures/covers.ts';

export const shadings = ['relief', 'slope', 'height', 'wet', 'standing', 'cover', 'paste'] as const;
/** What the tint of the plan tells: nothing but light and shade, how steep the ground is, how high, how wet, where a figure stands, what covers it, or how deep paste lies. */
export type Shading = (typeof shadings)[number];

/** From light to dark, so that the order reads without colour. */
const ramp: readonly Tint[] = [
  [252, 248, 236],
  [233, 219, 184],
  [214, 178, 124],
  [186, 128, 88],
  [150, 84, 66],
  [110, 58, 60],
];

const plain: readonly Band[] = [{ upTo: Number.POSITIVE_INFINITY, tint: [246, 240, 228] }];

/** Steps that mean something at the bench: a figure stands to about 10, slides from about 20, scatter hardly holds beyond 40. */
const slopeLimits = [5, 10, 20, 40, 60, Number.POSITIVE_INFINITY];
/** Depth of paste, mm: one thin coat, one good coat, two, three and more. */
const pasteLimits = [2, 4, 8, 12, 18, Number.POSITIVE_INFINITY];
/** Wetness index: from where water leaves to where it gathers (common practice, no source). */
const wetLimits = [3, 4, 5, 6, 7.5, Number.POSITIVE_INFINITY];
const wetRamp: readonly Tint[] = [
  [246, 240, 222],
  [222, 224, 200],
  [186, 203, 180],
  [140, 176, 172],
  [88, 140, 156],
  [44, 98, 120],
];
const wetWords = ['dry', 'rather dry', 'fresh', 'moist', 'wet', 'water gathers'];

/** Stands, rocks, slides, reaches over the edge. */
const standingTints: readonly Tint[] = [
  [236, 240, 222],
  [226, 194, 130],
  [196, 110, 84],
  [150, 146, 140],
];
const standingWords = ['stands', 'rocks', 'slides', 'over the edge'];

const roundSteps = [1, 2, 5, 10, 20, 25, 50, 100, 200, 500];

export function bandsOf(shading: Shading, highestMm: number): readonly Band[] {
  if (shading === 'relief') return plain;
  if (shading === 'cover') return coverBands;
  if (shading === 'wet') return wetLimits.map((upTo, k) => ({ upTo, tint: wetRamp[k] }));
  if (shading === 'standing') return standingTints.map((tint, k) => ({ upTo: k + 0.5, tint }));
  if (shading === 'paste') return pasteLimits.map((upTo, k) => ({ upTo, tint: ramp[k] }));
  if (shading === 'slope') return slopeLimits.map((upTo, k) => ({ upTo, tint: ramp[k] }));
  const step = roundSteps.find((mm) => highestMm / mm <= ramp.length) ?? highestMm / ramp.length;
  const count = Math.max(1, Math.ceil(highestMm / step - 1e-9));
  return Array.from({ length: count }, (_, k) => ({
    upTo: k === count - 1 ? Number.POSITIVE_INFINITY : (k + 1) * step,
    tint: ramp[Math.min(k, ramp.length - 1)],
  }));
}

/** The bands in words: "5–10°", "over 60°", "20–40 mm". */
export function bandWords(bands: readonly Band[], shading: Shading, units: UnitSystem): string[] {
  if (shading === 'cover') return [...covers];
  if (shading === 'wet') return wetWords;
  if (shading === 'standing') return standingWords;
  const say = (value: number) => (shading === 'slope' ? `${value}°` : formatMeasure('length', value, units));
  const bare = (value: number) =>
    say(value)
      .replace(/[^\d./ ]+$/, '')
      .trim();
  return bands.map(({ upTo }, k) => {
    const from = k ? bands[k - 1].upTo : 0;
    return upTo === Number.POSITIVE_INFINITY ? `over ${say(from)}` : `${bare(from)}–${say(upTo)}`;
  });
}
