import { type Item, isPoint, type Point } from '@hosket/core';
import type { Placer } from '../handling/paths.ts';

/** A label with the box it takes up in the drawing. */
export interface Label {
  itemId: string;
  text: string;
  x: number;
  y: number;
  width: number;
}

const CHARACTER = 6.7;
const HEIGHT = 14;
const TRIES = 12;
/** Room left round a grip. */
const GRIP = 8;

/** Whether a straight stretch passes within `apart` of a label's box. */
function meets([from, to]: readonly [Point, Point], label: Label, apart: number): boolean {
  const steps = Math.max(1, Math.ceil(Math.hypot(to[0] - from[0], to[1] - from[1]) / 4));
  for (let k = 0; k <= steps; k++) {
    const x = from[0] + ((to[0] - from[0]) * k) / steps;
    const y = from[1] + ((to[1] - from[1]) * k) / steps;
    if (Math.abs(x - label.x) < label.width / 2 + apart && Math.abs(y - (label.y - 4)) < HEIGHT / 2 + apart)
      return true;
  }
  return false;
}

/**
 * Places its words beside each item so that no two labels meet, nor any of the stretches to keep off (in the drawing's units); one with no
 * free place goes without.
 */
export function placeLabels(
  items: readonly Item[],
  text: (item: Item) => string,
  place: Placer,
  room: { width: number; height: number },
  keepOff: readonly (readonly [Point, Point])[] = [],
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
    ) &&
    !keepOff.some((stretch) => meets(stretch, label, stretch[0] === stretch[1] ? GRIP : 1));
  for (const item of items) {
    const { points } = item;
    const words = text(item);
    if (!words) continue;
    for (let attempt = 0; attempt < Math.min(TRIES, points.length); attempt++) {
      const point: Point = points[Math.floor((attempt * points.length) / Math.min(TRIES, points.length))];
      const [x, y] = place(point);
      const label = {
        itemId: item.id,
        text: words,
        x,
        y: isPoint(item) ? y - 9 : y + 4,
        width: words.length * CHARACTER + 6,
      };
      if (!free(label)) continue;
      placed.push(label);
      break;
    }
  }
  return placed;
}
