/** What a tool puts down in one go: an outline or a line of a sensible size about a place, or as far as a drag spans it. */
import { baseSize, type ItemKind, kindWords, type Point, type Project } from '@hosket/core';

/** What is built by people has corners; all else is round. */
const SQUARE: readonly ItemKind[] = ['pad', 'building', 'bay', 'chamber', 'patch'];

/** Shares of the base's lesser side: how wide and deep an outline is, how long a line. */
const WIDE = 0.3;
const DEEP = 0.22;
const LONG = 0.5;
/** Points of a round outline: enough to be bent by hand, few enough to keep hold of. */
const ROUND = 8;

const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/** About a place, moved onto the base where it would stick out; mm. */
export function sketchAt(kind: ItemKind, at: Point, { base }: Pick<Project, 'base'>): Point[] {
  const { widthMm, depthMm } = baseSize(base);
  const side = Math.min(widthMm, depthMm);
  const line = kindWords[kind].drawn === 'line';
  const [w, d] = line ? [LONG * side, 0] : [WIDE * side, DEEP * side];
  const within = (value: number, half: number, all: number) => Math.min(Math.max(value, half), all - half);
  const x = within(at[0], w / 2, widthMm);
  const y = within(at[1], d / 2, depthMm);
  if (kindWords[kind].drawn === 'point') return [at];
  return sketchOver(kind, [x - w / 2, y - d / 2], [x + w / 2, y + d / 2]);
}

/** From where a drag began to where it ends: corner to corner for outlines, end to end for lines; mm. */
export function sketchOver(kind: ItemKind, from: Point, to: Point): Point[] {
  const between = (share: number): Point => [
    tenth(from[0] + share * (to[0] - from[0])),
    tenth(from[1] + share * (to[1] - from[1])),
  ];
  const { drawn } = kindWords[kind];
  if (drawn === 'point') return [between(1)];
  if (drawn === 'line') return [between(0), between(0.5), between(1)];
  const [x0, x1] = [Math.min(from[0], to[0]), Math.max(from[0], to[0])];
  const [y0, y1] = [Math.min(from[1], to[1]), Math.max(from[1], to[1])];
  if (SQUARE.includes(kind))
    return [
      [x0, y0],
      [x1, y0],
      [x1, y1],
      [x0, y1],
    ].map(([x, y]): Point => [tenth(x), tenth(y)]);
  return Array.from({ length: ROUND }, (_, k): Point => {
    const turn = (2 * Math.PI * k) / ROUND;
    return [
      tenth((x0 + x1) / 2 + ((x1 - x0) / 2) * Math.cos(turn)),
      tenth((y0 + y1) / 2 + ((y1 - y0) / 2) * Math.sin(turn)),
    ];
  });
}
