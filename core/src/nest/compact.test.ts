import { describe, expect, it } from 'vitest';
import { boundsOf, type Polygon, type Ring } from '../geometry/index.ts';
import { toEnd } from '../kernel/index.ts';
import { cutUp } from '../testing/cutUp.ts';
import { faultsOf } from '../testing/judge.ts';
import { compact } from './compact.ts';
import { type Bed, createSearch, laidOut, type NestProblem, type Placed, scorePlaced, turnsOf } from './index.ts';
import { prepare } from './problem.ts';

const rectangle = (w: number, d: number): Ring => [
  [0, 0],
  [w, 0],
  [w, d],
  [0, d],
];
const whole = (outer: Ring): Polygon => ({ outer, holes: [] });
const problemOf = (
  outlines: readonly Polygon[],
  bed: Ring,
  anyTurn: boolean,
  more: Partial<NestProblem> = {},
): NestProblem => ({
  pieces: outlines.map((outline, k) => ({ id: `${k}`, outline, turns: [0], anyTurn })),
  beds: [{ id: 'b', outline: bed, kind: 'sheet' } satisfies Bed],
  gapMm: 0,
  marginMm: 0,
  pinned: [],
  ...more,
});
const at = (piece: number, turn: number, xMm: number, yMm: number): Placed => ({ piece, bed: 0, turn, xMm, yMm });
const pressed = (problem: NestProblem, placed: readonly Placed[]): Placed[] | null =>
  toEnd(compact(prepare(problem), placed));
const reachOf = (problem: NestProblem, placed: readonly Placed[]) => scorePlaced(problem, placed).reachMm;

describe('a layout pressed together', () => {
  const block = [whole(rectangle(100, 50))];
  // Turned by 10 degrees its box is 107.2 wide and 66.6 deep.
  const aslant = [at(0, 10, 60, 40)];

  it('a block that lies aslant turns upright, and is as wide as it is', () => {
    const problem = problemOf(block, rectangle(300, 75), true);
    const out = pressed(problem, aslant) ?? [];
    expect(reachOf(problem, out)).toBeGreaterThan(100);
    expect(reachOf(problem, out)).toBeLessThan(100.3);
    expect(Math.min(out[0].turn, 360 - out[0].turn)).toBeLessThan(1);
    expect(faultsOf(problem, out)).toEqual([]);
  });

  it('what may not lie at any turn is moved, never turned', () => {
    const problem = problemOf(block, rectangle(300, 75), false);
    const out = pressed(problem, aslant) ?? [];
    expect(out[0].turn).toBe(10);
    const upright = 100 * Math.cos(Math.PI / 18) + 50 * Math.sin(Math.PI / 18);
    expect(reachOf(problem, out)).toBeCloseTo(upright, 0);
  });

  it('two halves of a square cut aslant come together again', () => {
    const halves = [
      whole([
        [0, 0],
        [100, 0],
        [0, 100],
      ]),
      whole([
        [100, 0],
        [100, 100],
        [0, 100],
      ]),
    ];
    const problem = problemOf(halves, rectangle(300, 104), true);
    const apart = [at(0, 2, 54, 52), at(1, 358, 78, 52)];
    expect(faultsOf(problem, apart)).toEqual([]);
    const out = pressed(problem, apart) ?? [];
    expect(reachOf(problem, apart)).toBeGreaterThan(125);
    expect(reachOf(problem, out)).toBeLessThan(102.5);
    expect(faultsOf(problem, out)).toEqual([]);
  });

  it('a pinned piece stays, and others come up to it', () => {
    const pin = at(0, 0, 120, 50);
    const blocks = [whole(rectangle(60, 60)), whole(rectangle(40, 40))];
    const problem = problemOf(blocks, rectangle(400, 100), true, { pinned: [pin] });
    const out = pressed(problem, [pin, at(1, 5, 250, 50)]) ?? [];
    expect(out[0]).toEqual(pin);
    expect(reachOf(problem, out)).toBeLessThan(190.5);
    expect(faultsOf(problem, out)).toEqual([]);
  });

  it('what lies in the cut-out of another stays in it', () => {
    const ring: Polygon = {
      outer: rectangle(100, 100),
      holes: [
        [
          [20, 20],
          [20, 80],
          [80, 80],
          [80, 20],
        ],
      ],
    };
    const problem = problemOf([ring, whole(rectangle(40, 30))], rectangle(300, 110), true);
    const out = pressed(problem, [at(0, 3, 60, 55), at(1, 20, 62, 57)]) ?? [];
    const [outer, inner] = out.map((place) => boundsOf(laidOut(problem.pieces[place.piece], place).outer));
    expect(outer[2]).toBeLessThan(100.4);
    expect(inner[0]).toBeGreaterThan(outer[0] + 20 - 0.1);
    expect(inner[2]).toBeLessThan(outer[2] - 20 + 0.1);
    expect(faultsOf(problem, out)).toEqual([]);
  });

  it('a bed of another outline is left as it is', () => {
    const notched: Ring = [
      [0, 0],
      [300, 0],
      [300, 75],
      [150, 75],
      [140, 70],
      [0, 75],
    ];
    expect(pressed(problemOf(block, notched, true), aslant)).toBeNull();
  });

  it('sheets cut up at random: never an overlap, with their gap and margin, and never longer (polygon-clipping)', () => {
    for (const [seed, gapMm, marginMm] of [
      [1, 0, 0],
      [2, 3, 5],
      [3, 1.5, 0],
    ]) {
      const outlines = cutUp(400, 300, 10, seed);
      const free = problemOf(outlines, rectangle(900, 320), true, { gapMm, marginMm });
      const problem: NestProblem = {
        ...free,
        pieces: free.pieces.map((piece) => ({ ...piece, turns: turnsOf(piece.outline.outer, { kind: 'free' }, 8) })),
      };
      // Laid, but not pressed: the search presses only after many tries.
      const search = createSearch(problem, seed);
      while (search.tries() < 20) search.step();
      const { placed } = toEnd(search.best());
      const out = pressed(problem, placed);
      expect(out, `cut ${seed}`).not.toBeNull();
      expect(reachOf(problem, out ?? [])).toBeLessThan(reachOf(problem, placed) - 1);
      expect(faultsOf(problem, out ?? [])).toEqual([]);
    }
  });
});

describe('a search that presses', () => {
  it('lays pieces that may lie at any turn at turns that were not given, and keeps to those given where they may not', () => {
    const turned = (anyTurn: boolean) => {
      const outlines = cutUp(300, 300, 8, 5);
      const free = problemOf(outlines, rectangle(700, 310), anyTurn);
      const problem: NestProblem = {
        ...free,
        pieces: free.pieces.map((piece) => ({ ...piece, turns: [0, 90, 180, 270] })),
      };
      const search = createSearch(problem, 1);
      while (search.tries() < 1200) search.step();
      const { placed } = toEnd(search.best());
      expect(faultsOf(problem, placed)).toEqual([]);
      for (const { turn } of placed) expect(turn >= 0 && turn < 360).toBe(true);
      return placed.some(({ turn }) => Math.abs(turn - 90 * Math.round(turn / 90)) > 1e-9);
    };
    expect(turned(true)).toBe(true);
    expect(turned(false)).toBe(false);
  });
});
