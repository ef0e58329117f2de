import { type Mark, markPoints, type Point } from '@hosket/core';
import type { Placer } from './paths.ts';

/** A label with the box it takes up in the drawing. */
export interface Label {
  markId: string;
  text: string;
  x: number;
  y: number;
  width: number;
}

const CHARACTER = 6.7;
const HEIGHT = 14;
const TRIES = 12;

/** Places a height beside each mark so that no two labels meet; a mark with no free place goes without. */
export function placeLabels(
  marks: readonly Mark[],
  text: (mark: Mark) => string,
  place: Placer,
  room: { width: number; height: number },
): Label[] {
  const placed: Label[] = [];
  const free = (label: Label) =>
    label.x - label.width / 2 > 0 &&
    label.x + label.width / 2 < room.width &&
    label.y > HEIGHT &&
    label.y < room.height &&
    placed.every(
      (other) =>
        Math.abs(other.x - label.x) > (other.width + label.width) / 2 + 2 || Math.abs(other.y - label.y) > HEIGHT,
    );
  for (const mark of marks) {
    const points = markPoints(mark);
    const words = text(mark);
    for (let attempt = 0; attempt < Math.min(TRIES, points.length); attempt++) {
      const point: Point = points[Math.floor((attempt * points.length) / Math.min(TRIES, points.length))];
      const [x, y] = place(point);
      const label = {
        markId: mark.id,
        text: words,
        x,
        y: mark.kind === 'spot' ? y - 9 : y + 4,
        width: words.length * CHARACTER + 6,
      };
      if (!free(label)) continue;
      placed.push(label);
      break;
    }
  }
  return placed;
}
