import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import { describe, expect, it } from 'vitest';
import { type Polygon, polygonArea, type Ring } from '../geometry/index.ts';
import { toEnd } from '../kernel/index.ts';
import { cutUp } from '../testing/cutUp.ts';
import { faultsOf } from '../testing/judge.ts';
import { uniformFrom } from '../units/index.ts';
import { type Bed, createSearch, type NestProblem, type Turning, turnsOf } from './index.ts';

const rectangle = (w: number, d: number): Ring => [
  [0, 0],
  [w, 0],
  [w, d],
  [0, d],
];
const sheets = (w: number, d: number, count: number, kind: Bed['kind'] = 'sheet'): Bed[] =>
  Array.from({ length: count }, (_, k) => ({ id: `${kind} ${k}`, outline: rectangle(w, d), kind }));
const problemOf = (
  outlines: readonly Polygon[],
  beds: readonly Bed[],
  turning: Turning = { kind: 'steps', degrees: 90 },
  more: Partial<NestProblem> = {},
): NestProblem => ({
  pieces: outlines.map((outline, k) => ({
    id: `${k}`,
    outline,
    turns: turnsOf(outline.outer, turning, 8),
    anyTurn: turning.kind === 'free',
  })),
  beds,
  gapMm: 0,
  marginMm: 0,
  pinned: [],
  ...more,
});
const searched = (problem: NestProblem, tries: number, seed = 1) => {
  const search = createSearch(problem, seed);
  while (search.tries() < tries) search.step();
  return toEnd(search.best());
};
const whole = (ring: Ring): Polygon => ({ outer: ring, holes: [] });

describe('a search for a layout', () => {
  it('lays sheets cut up at random without overlap, with their gap and margin, however pieces may turn (polygon-clipping)', () => {
    const cases: [Turning, number, number][] = [
      [{ kind: 'steps', degrees: 90 }, 0, 0],
      [{ kind: 'free' }, 3, 5],
      [{ kind: 'steps', degrees: 30 }, 1.5, 0],
      [{ kind: 'half' }, 4, 2],
    ];
    cases.forEach(([turning, gapMm, marginMm], k) => {
      const problem = problemOf(cutUp(400, 300, 12 + k, k + 1), sheets(700, 300, 2), turning, { gapMm, marginMm });
      const layout = searched(problem, 150);
      expect(layout.leftOver).toEqual([]);
      expect(layout.placed).toHaveLength(12 + k);
      expect(faultsOf(problem, layout.placed)).toEqual([]);
      if (turning.kind === 'half') expect(layout.placed.every(({ turn }) => turn % 180 === 0)).toBe(true);
    });
  });

  it('gets better the longer it goes on, never worse, and the same seed gives the same layout', () => {
    const problem = problemOf(cutUp(400, 400, 12, 4), sheets(900, 400, 1));
    const search = createSearch(problem, 5);
    let reach = Number.POSITIVE_INFINITY;
    for (let tries = 0; tries < 500; tries++) {
      search.step();
      if (tries % 50) continue;
      const { score } = toEnd(search.best());
      expect(score.reachMm).toBeLessThanOrEqual(reach + 1e-6);
      reach = score.reachMm;
    }
    expect(400 / reach).toBeGreaterThan(0.7);
    expect(searched(problem, 500, 5)).toEqual(toEnd(search.best()));
    expect(searched(problem, 500, 6).placed).not.toEqual(toEnd(search.best()).placed);
  });

  it('finds packings that are known to be exact', () => {
    const fill = (pieces: readonly Polygon[], w: number, d: number, tries = 40) => {
      const layout = searched(problemOf(pieces, sheets(w, d, 1)), tries);
      expect(layout.leftOver).toEqual([]);
    };
    // Equal rectangles, and squares, that fill a sheet.
    fill(
      Array.from({ length: 6 }, () => whole(rectangle(200, 150))),
      600,
      300,
    );
    fill(
      Array.from({ length: 18 }, () => whole(rectangle(100, 100))),
      600,
      300,
    );
    // Two right triangles are a rectangle.
    const triangle = whole([
      [0, 0],
      [300, 0],
      [0, 200],
    ]);
    fill([triangle, triangle], 301, 201, 300);
    // A square in the hole of a frame that fills the sheet.
    const frame: Polygon = {
      outer: rectangle(300, 300),
      holes: [
        [
          [50, 50],
          [50, 250],
          [250, 250],
          [250, 50],
        ],
      ],
    };
    fill([frame, whole(rectangle(190, 195))], 300, 300);
  });

  it('never needs more sheets for rectangles than a packer of boxes does (maxrects-packer)', () => {
    const chance = uniformFrom(11);
    for (let round = 0; round < 6; round++) {
      const sizes = Array.from({ length: 14 }, () => [
        60 + Math.round(chance() * 200),
        50 + Math.round(chance() * 150),
      ]);
      const packer = new MaxRectsPacker(600, 300, 0, { smart: false, pot: false, square: false, allowRotation: true });
      packer.addArray(sizes.map(([width, height]) => ({ width, height })));
      const problem = problemOf(
        sizes.map(([w, d]) => whole(rectangle(w, d))),
        sheets(600, 300, 14),
      );
      const layout = searched(problem, 120);
      expect(layout.leftOver).toEqual([]);
      expect(layout.score.sheets).toBeLessThanOrEqual(packer.bins.length);
      expect(faultsOf(problem, layout.placed)).toEqual([]);
    }
  });

  it('fills offcuts of any outline first, then sheets of the shed, then such as must be bought', () => {
    const corner: Ring = [
      [0, 0],
      [300, 0],
      [300, 90],
      [90, 90],
      [90, 300],
      [0, 300],
    ];
    const beds: Bed[] = [
      { id: 'o', outline: corner, kind: 'offcut' },
      ...sheets(200, 200, 1),
      ...sheets(400, 300, 2, 'bought'),
    ];
    const strips = [
      whole(rectangle(280, 80)),
      whole(rectangle(180, 80)),
      whole(rectangle(150, 150)),
      whole(rectangle(250, 250)),
    ];
    const problem = problemOf(strips, beds, { kind: 'steps', degrees: 90 }, { gapMm: 2 });
    const layout = searched(problem, 60);
    expect(faultsOf(problem, layout.placed)).toEqual([]);
    const bedOf = (piece: number) => beds[layout.placed.find((place) => place.piece === piece)?.bed ?? -1]?.kind;
    expect([0, 1, 2, 3].map(bedOf)).toEqual(['offcut', 'offcut', 'sheet', 'bought']);
    expect(layout.score).toMatchObject({ leftOverMm2: 0, bought: 1, sheets: 2, offcuts: 1 });
  });

  it('leaves pinned pieces where they are, and lays the others round them', () => {
    const pieces = cutUp(300, 200, 6, 2);
    const pinned = [{ piece: 0, bed: 0, turn: 10, xMm: 300, yMm: 150 }];
    const problem = problemOf(pieces, sheets(600, 300, 1), { kind: 'free' }, { pinned, gapMm: 2 });
    const layout = searched(problem, 120);
    expect(layout.placed.filter(({ piece }) => piece === 0)).toEqual(pinned);
    expect(layout.placed).toHaveLength(6);
    expect(faultsOf(problem, layout.placed)).toEqual([]);
  });

  it('keeps clear of eighty pinned pieces', () => {
    const small = Array.from({ length: 80 }, () => whole(rectangle(8, 8)));
    const free = Array.from({ length: 12 }, () => whole(rectangle(30, 22)));
    const pinned = small.map((_, k) => ({
      piece: k,
      bed: 0,
      turn: 0,
      xMm: 12 + 24 * (k % 10),
      yMm: 6 + 11.5 * Math.floor(k / 10),
    }));
    const problem = problemOf([...small, ...free], sheets(420, 100, 1), undefined, { pinned });
    const layout = searched(problem, 140);
    expect(layout.placed).toHaveLength(92);
    expect(faultsOf(problem, layout.placed)).toEqual([]);
  });

  it('a piece that fits nowhere is left over; the rest is laid', () => {
    const problem = problemOf([whole(rectangle(310, 150)), whole(rectangle(100, 100))], sheets(300, 200, 1));
    const layout = searched(problem, 30);
    expect(layout.leftOver).toEqual([0]);
    expect(layout.placed.map(({ piece }) => piece)).toEqual([1]);
    expect(layout.score.leftOverMm2).toBeCloseTo(polygonArea(problem.pieces[0].outline), 6);
  });

  it('nothing to lay, and nothing to lay it on', () => {
    expect(searched(problemOf([], sheets(300, 200, 1)), 20).placed).toEqual([]);
    expect(searched(problemOf([whole(rectangle(10, 10))], []), 20).leftOver).toEqual([0]);
  });
});

describe('the turns of a piece', () => {
  it('are those that are asked for', () => {
    const bar = rectangle(200, 20);
    expect(turnsOf(bar, { kind: 'half' }, 8)).toEqual([0, 180]);
    expect(turnsOf(bar, { kind: 'steps', degrees: 45 }, 8)).toEqual([0, 45, 90, 135, 180, 225, 270, 315]);
  });

  it('free: a bar that fits its bed only across is laid across, however few turns there are', () => {
    const bar = rectangle(320, 20);
    const turns = turnsOf(bar, { kind: 'free' }, 4, [{ widthMm: 250, depthMm: 250 }]);
    expect(turns).toHaveLength(5);
    const layout = searched(
      { ...problemOf([whole(bar)], sheets(250, 250, 1)), pieces: [{ id: '0', outline: whole(bar), turns }] },
      10,
    );
    expect(layout.leftOver).toEqual([]);
  });

  it('free: a bar that lies aslant may be laid along the sheet', () => {
    const c = Math.cos(0.6);
    const s = Math.sin(0.6);
    const aslant = rectangle(200, 20).map(([x, y]) => [x * c - y * s, x * s + y * c] as const);
    const turns = turnsOf(aslant, { kind: 'free' }, 12);
    expect(turns.some((turn) => Math.abs(turn - (360 - (0.6 * 180) / Math.PI)) < 0.01)).toBe(true);
    expect(turns.length).toBeLessThanOrEqual(12);
  });
});
