import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  coverageOf,
  distanceToEdge,
  gridOver,
  insideRing,
  keyholed,
  outlineEdges,
  outlineRings,
  type Ring,
  ringArea,
} from './index.ts';

const oblong = (x: number, y: number, w: number, d: number): Ring => [
  [x, y],
  [x + w, y],
  [x + w, y + d],
  [x, y + d],
];
const disc = (x: number, y: number, r: number, n = 60): Ring =>
  Array.from({ length: n }, (_, k) => {
    const turn = (2 * Math.PI * k) / n;
    return [x + r * Math.cos(turn), y + r * Math.sin(turn)] as const;
  });

/** A base of any of three shapes with an opening of either kind well within it, either of them drawn either way round. */
const opened = fc
  .record({
    w: fc.double({ min: 60, max: 500, noNaN: true }),
    d: fc.double({ min: 60, max: 500, noNaN: true }),
    size: fc.double({ min: 0.05, max: 0.6, noNaN: true }),
    turn: fc.double({ min: 0, max: 6.28, noNaN: true }),
    round: fc.boolean(),
    hole: fc.boolean(),
    backwards: fc.boolean(),
    holeBackwards: fc.boolean(),
  })
  .map(({ w, d, size, turn, round, hole, backwards, holeBackwards }) => {
    const outer = round ? disc(w / 2, w / 2, w / 2) : oblong(0, 0, w, d);
    const [mx, my] = round ? [w / 2, w / 2] : [w / 2, d / 2];
    const least = round ? w : Math.min(w, d);
    const r = (size * least) / 2;
    const room = 0.8 * (least / 2 - r * Math.SQRT2);
    const [x, y] = [mx + Math.max(0, room) * Math.cos(turn), my + Math.max(0, room) * Math.sin(turn)];
    const inner = hole ? disc(x, y, r, 24) : oblong(x - r, y - r, 2 * r, 2 * r);
    return {
      outer,
      inner,
      outline: keyholed(backwards ? [...outer].reverse() : outer, holeBackwards ? [...inner].reverse() : inner),
    };
  });

describe('an outline with an opening, as one ring', () => {
  it('has the area of the outer edge less that of the opening, and its edges less the bridge', () => {
    fc.assert(
      fc.property(opened, ({ outer, inner, outline }) => {
        expect(ringArea(outline)).toBeCloseTo(Math.abs(ringArea(outer)) - Math.abs(ringArea(inner)), 4);
        const [edge, opening] = outlineRings(outline);
        expect(ringArea(edge)).toBeCloseTo(Math.abs(ringArea(outer)), 4);
        expect(ringArea(opening)).toBeCloseTo(-Math.abs(ringArea(inner)), 4);
        const length = (ring: Ring) =>
          ring.reduce((sum, [x, y], k) => {
            const [u, v] = ring[(k + 1) % ring.length];
            return sum + Math.hypot(u - x, v - y);
          }, 0);
        const along = outlineEdges(outline).reduce((sum, [[x, y], [u, v]]) => sum + Math.hypot(u - x, v - y), 0);
        expect(along).toBeCloseTo(length(outer) + length(inner), 6);
      }),
      { numRuns: 200 },
    );
  });

  it('is inside where the outer edge is and the opening is not; the bridge is no edge', () => {
    fc.assert(
      fc.property(
        opened,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        ({ outer, inner, outline }, u, v) => {
          const [x, y] = [u * 500, v * 500];
          expect(insideRing(outline, x, y)).toBe(insideRing(outer, x, y) && !insideRing(inner, x, y));
          expect(distanceToEdge(outline, x, y)).toBeCloseTo(
            Math.min(distanceToEdge(outer, x, y), distanceToEdge(inner, x, y)),
            9,
          );
        },
      ),
      { numRuns: 300 },
    );
  });

  it('covers the cells of a lattice by its area', () => {
    fc.assert(
      fc.property(opened, ({ outline }) => {
        const xs = outline.map(([x]) => x);
        const ys = outline.map(([, y]) => y);
        const grid = gridOver(Math.max(...xs), Math.max(...ys), 4);
        const covered = coverageOf(grid, outline)?.reduce((sum, share) => sum + share * 16, 0);
        expect(Math.abs((covered ?? 0) - ringArea(outline))).toBeLessThan(0.02 + 1e-5 * ringArea(outline));
      }),
      { numRuns: 60 },
    );
  });

  it('an outline without one is its only ring', () => {
    const plain = oblong(0, 0, 100, 50);
    expect(outlineRings(plain)).toEqual([plain]);
    expect(outlineEdges(plain)).toHaveLength(4);
  });
});
