import { type Point, parseMeasure, type UnitSystem } from '@hosket/core';

/** Keys that may be part of a number written while dragging: digits, signs, fractions, units and what stands between two numbers. */
export const isTyped = (key: string): boolean => /^[0-9.,;+\-/ a-z"']$/i.test(key);

/** One measure, in the builder's units unless another is written; null when it is not one. */
export function typedMeasure(text: string, units: UnitSystem): number | null {
  const read = parseMeasure('length', text.trim(), units);
  return read.ok ? read.value : null;
}

/** "120; 45" or "120 45": a place. One measure alone: so far from where the drag began, on the way it has taken. Null when it is neither. */
export function typedPoint(text: string, from: Point, to: Point, units: UnitSystem): Point | null {
  const parts = text.includes(';') ? text.split(';') : text.trim().split(/\s+(?=[-+\d.])(?!\d+\/)/);
  const numbers = parts.map((part) => typedMeasure(part, units));
  if (numbers.some((number) => number === null)) return null;
  const [x, y] = numbers as number[];
  if (numbers.length === 2) return [x, y];
  if (numbers.length !== 1) return null;
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  if (length === 0) return null;
  const along = (a: number, b: number) => Math.round((a + ((b - a) * x) / length) * 100) / 100;
  return [along(from[0], to[0]), along(from[1], to[1])];
}
