import { type Cover, covers, type Grid, type PlanReport, type ZoneMap } from '@hosket/core';
import type { Band, Tint } from './band.ts';

/** Lightness of a place of a picture, by its column and row: each cover has a texture of its own, so that it reads without colour. */
type Grain = (i: number, j: number) => number;

const plain: Grain = () => 1;
const every = (n: number, dark: number, at: (i: number, j: number) => number): Grain => {
  return (i, j) => (at(i, j) % n === 0 ? dark : 1);
};
const dots = (n: number, dark: number): Grain => {
  return (i, j) => ((i + (Math.floor(j / n) % 2) * (n >> 1)) % n === 0 && j % n === 0 ? dark : 1);
};

const looks: Readonly<Record<Cover, { tint: Tint; grain: Grain }>> = {
  rock: { tint: [176, 172, 166], grain: every(7, 0.72, (i, j) => i + 2 * j) },
  scree: { tint: [198, 190, 176], grain: dots(3, 0.66) },
  'bare soil': { tint: [164, 132, 98], grain: dots(5, 0.7) },
  mud: { tint: [122, 102, 84], grain: every(5, 0.82, (_, j) => j) },
  sand: { tint: [232, 214, 166], grain: dots(6, 0.78) },
  'dry grass': { tint: [206, 190, 112], grain: every(6, 0.82, (i) => i) },
  grass: { tint: [150, 172, 98], grain: every(5, 0.86, (i) => i) },
  'lush grass': { tint: [98, 142, 74], grain: every(3, 0.84, (i) => i) },
  heather: { tint: [158, 118, 140], grain: dots(4, 0.7) },
  moss: { tint: [84, 110, 58], grain: dots(2, 0.8) },
  'leaf litter': { tint: [182, 124, 76], grain: every(4, 0.84, (i, j) => i + j) },
  road: { tint: [214, 208, 196], grain: plain },
  paving: { tint: [190, 186, 184], grain: (i, j) => (i % 6 === 0 || j % 6 === 0 ? 0.76 : 1) },
  'water bed': { tint: [112, 152, 168], grain: every(6, 0.8, (_, j) => j) },
  snow: { tint: [250, 250, 252], grain: plain },
};

/** One step of the tint scale for each cover, in their order. */
export const coverBands: readonly Band[] = covers.map((cover, k) => ({
  upTo: k + 0.5,
  tint: looks[cover].tint,
  grain: looks[cover].grain,
}));

/** The texture of a cover for drawings made of lines: its tint, and the places of a square of `GRAIN` that are darker. */
export const GRAIN = 12;
export function coverGrain(cover: Cover): { tint: string; dark: [number, number, number][] } {
  const { tint, grain } = looks[cover];
  const dark: [number, number, number][] = [];
  for (let j = 0; j < GRAIN; j++)
    for (let i = 0; i < GRAIN; i++) if (grain(i, j) < 1) dark.push([i, j, 1 - grain(i, j)]);
  return { tint: `rgb(${tint.join(' ')})`, dark };
}

/** The covers that lie on the base at all. */
export const coversThere = (report: PlanReport | null): ReadonlySet<string> =>
  new Set(report?.zones.filter(({ percent }) => percent > 0).map(({ cover }) => cover));

/** Which cover lies where, as a lattice of their numbers. */
export function coverGrid(map: ZoneMap, report: PlanReport): Grid {
  const numbers = report.zones.map(({ cover }) => covers.indexOf(cover));
  const values = Float32Array.from(map.zone, (zone) => numbers[zone] ?? 0);
  return { columns: map.columns, rows: map.rows, cellMm: map.cellMm, originMm: [0, 0], values };
}
