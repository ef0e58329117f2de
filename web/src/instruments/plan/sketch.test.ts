import { baseSize, type ItemKind, kindWords, startProject } from '@hosket/core';
import { describe, expect, it } from 'vitest';
import { sketchAt, sketchOver } from './sketch.ts';

const project = startProject('n', '2027-03-01');
const { widthMm, depthMm } = baseSize(project.base);

describe('what a tool puts down in one go', () => {
  it('lies on the base wherever it is put, with points enough for its kind', () => {
    for (const kind of Object.keys(kindWords) as ItemKind[])
      for (const at of [
        [0, 0],
        [widthMm, depthMm],
        [widthMm / 2, depthMm / 2],
      ] as const) {
        const points = sketchAt(kind, at, project);
        expect(points.length).toBeGreaterThanOrEqual({ point: 1, line: 2, outline: 3 }[kindWords[kind].drawn]);
        for (const [x, y] of points) {
          expect(x).toBeGreaterThanOrEqual(0);
          expect(x).toBeLessThanOrEqual(widthMm);
          expect(y).toBeGreaterThanOrEqual(0);
          expect(y).toBeLessThanOrEqual(depthMm);
        }
      }
  });

  it('spans a drag whichever way it goes: corners for what is built, round for the rest, end to end for lines', () => {
    expect(sketchOver('pad', [80, 60], [20, 10])).toEqual([
      [20, 10],
      [80, 10],
      [80, 60],
      [20, 60],
    ]);
    expect(sketchOver('way', [10, 10], [50, 30])).toEqual([
      [10, 10],
      [30, 20],
      [50, 30],
    ]);
    const round = sketchOver('mound', [0, 0], [100, 40]);
    // On the oval of that box.
    for (const [x, y] of round) expect(((x - 50) / 50) ** 2 + ((y - 20) / 20) ** 2).toBeCloseTo(1, 1);
    expect(sketchOver('tree', [0, 0], [9, 9])).toEqual([[9, 9]]);
  });
});
