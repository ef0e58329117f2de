import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { heightAt, type Point } from '../geometry/index.ts';
import { toEnd } from '../kernel/index.ts';
import { type Mark, startProject } from '../project/index.ts';
import { contoursOf } from '../testing/contours.ts';
import { leastBending, straightPins } from '../testing/leastBending.ts';
import { circle, line, spot } from '../testing/solids.ts';
import { groundOf, solvedOf } from './index.ts';

const drawnOn = (widthMm: number, depthMm: number, marks: readonly Mark[]) => {
  const { base } = startProject('planes', '2027-03-01', 'ground');
  return { base: { ...base, shape: { kind: 'rectangle' as const, widthMm, depthMm } }, marks, landforms: [] };
};
const groundOn = (widthMm: number, depthMm: number, marks: readonly Mark[], cellMm = 1) =>
  toEnd(groundOf(drawnOn(widthMm, depthMm, marks), cellMm));

/** A plane by its height at the origin and its slopes; it stops at the board. */
const plane = (z0: number, gx: number, gy: number) => (x: number, y: number) => Math.max(0, z0 + gx * x + gy * y);

/** Its straight contour at a height, far beyond the base. */
function contour(z0: number, gx: number, gy: number, heightMm: number): Mark {
  const square = gx * gx + gy * gy;
  const [x, y] = [(gx * (heightMm - z0)) / square, (gy * (heightMm - z0)) / square];
  const [tx, ty] = [-gy / Math.sqrt(square), gx / Math.sqrt(square)];
  const far = 2000;
  return line(heightMm, [
    [x - far * tx, y - far * ty],
    [x + far * tx, y + far * ty],
  ]);
}

/** Largest difference from a formula at any node, to the very edge of the base. */
function worstOf({ grid }: ReturnType<typeof groundOn>, z: (x: number, y: number) => number) {
  let worst = 0;
  for (let n = 0; n < grid.values.length; n++) {
    const [i, j] = [n % grid.columns, Math.floor(n / grid.columns)];
    worst = Math.max(worst, Math.abs(grid.values[n] - z(i * grid.cellMm, j * grid.cellMm)));
  }
  return worst;
}

describe('a plane comes back as a plane, to the edge of the base or down to the board', () => {
  const turned: [number, number] = [0.2 * Math.cos(Math.PI / 6), 0.2 * Math.sin(Math.PI / 6)];
  it.each([
    ['two lines 300 mm apart', 2, 0.2, 0, [14, 74]],
    ['three lines 115 mm apart', 2, 0.2, 0, [14, 37, 60]],
    ['the same turned by 30 degrees', 5, ...turned, [20, 43, 66]],
    ['two lines 10 mm apart near one edge', 2, 0.2, 0, [4, 6]],
    ['falling to the board', 40, -0.2, 0, [38, 36]],
  ] as [string, number, number, number, number[]][])('%s', (_, z0, gx, gy, heights) => {
    const ground = groundOn(
      420,
      297,
      heights.map((height) => contour(z0, gx, gy, height)),
    );
    // Observed 0.005 mm at most; 7 to 78 mm before.
    expect(worstOf(ground, plane(z0, gx, gy))).toBeLessThan(0.05);
  });

  it('any two lines 5 to 300 mm apart, at any turn and slope, anywhere on the base', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
        fc.double({ min: 0.03, max: 0.8, noNaN: true }),
        fc.double({ min: 0.2, max: 0.8, noNaN: true }),
        (apartMm, turn, slope, share) => {
          const [w, d] = [260, 180];
          const [gx, gy] = [slope * Math.cos(turn), slope * Math.sin(turn)];
          // The first line goes through the base; the other wherever that comes to, as long as it still touches the base.
          const at: Point = [share * w, share * d];
          const z0 = 30 - gx * at[0] - gy * at[1];
          const corners = [0, gx * w, gy * d, gx * w + gy * d].map((rise) => z0 + rise);
          const other = 30 + slope * Math.min(apartMm, 0.9 * ((Math.max(...corners) - 30) / slope));
          fc.pre(other - 30 > 5 * slope);
          const ground = groundOn(w, d, [contour(z0, gx, gy, 30), contour(z0, gx, gy, other)], 2);
          expect(worstOf(ground, plane(z0, gx, gy))).toBeLessThan(0.05);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('three spots, wherever they stand off one line', () => {
    const place = fc.tuple(fc.integer({ min: 5, max: 255 }), fc.integer({ min: 5, max: 175 }));
    const height = fc.integer({ min: 1, max: 60 });
    fc.assert(
      fc.property(fc.tuple(place, place, place), fc.tuple(height, height, height), (places, heights) => {
        const [[ax, ay], [bx, by], [cx, cy]] = places;
        const det = (bx - ax) * (cy - ay) - (cx - ax) * (by - ay);
        fc.pre(Math.abs(det) > 4000);
        const [a, b, c] = heights;
        const gx = ((b - a) * (cy - ay) - (c - a) * (by - ay)) / det;
        const gy = ((c - a) * (bx - ax) - (b - a) * (cx - ax)) / det;
        const marks = places.map(([x, y], k) => spot(heights[k], x, y));
        const ground = groundOn(260, 180, marks, 2);
        expect(worstOf(ground, plane(a - gx * ax - gy * ay, gx, gy))).toBeLessThan(0.05);
      }),
      { numRuns: 25 },
    );
  });

  it('lines that stop just short of the edge, or stop on the base, say the same plane', () => {
    for (const short of [1, 2.5, 60]) {
      const marks = [14, 54].map((height) =>
        line(height, [
          [(height - 2) / 0.2, short],
          [(height - 2) / 0.2, 180 - short],
        ]),
      );
      expect(worstOf(groundOn(300, 180, marks), plane(2, 0.2, 0))).toBeLessThan(0.05);
    }
  });
});

describe('at rest within 0.02 mm of the minimum, by an independent minimiser', () => {
  const [columns, rows, cellMm] = [25, 17, 12];
  const [w, d] = [(columns - 1) * cellMm, (rows - 1) * cellMm];
  it.each([
    [
      'two lines 150 mm apart',
      [
        [
          [60, -20],
          [70, 260],
        ],
        [
          [210, -20],
          [220, 260],
        ],
      ],
      [10, 40],
    ],
    [
      'two lines 240 mm apart that lean apart',
      [
        [
          [20, -20],
          [30, 260],
        ],
        [
          [290, -20],
          [240, 260],
        ],
      ],
      [5, 50],
    ],
    [
      'three lines, the middle one low',
      [
        [
          [30, -20],
          [30, 260],
        ],
        [
          [150, -20],
          [160, 260],
        ],
        [
          [270, -20],
          [275, 260],
        ],
      ],
      [40, 10, 30],
    ],
    [
      'two that cross the corner',
      [
        [
          [-20, 90],
          [110, -20],
        ],
        [
          [100, 260],
          [320, 60],
        ],
      ],
      [12, 30],
    ],
  ] as [string, Point[][], number[]][])('%s', (_, lines, heights) => {
    const marks = lines.map((points, k) => line(heights[k], points as [number, number][]));
    const solved = toEnd(solvedOf(drawnOn(w, d, marks), cellMm));
    const free = solved.free;
    if (!free) throw new Error('nothing was solved');
    expect([...free.surface.bendLengthMm].every((length) => length === Number.POSITIVE_INFINITY)).toBe(true);
    const pins = lines.flatMap((ends, k) => straightPins(columns, rows, cellMm, ends, heights[k]));
    const least = leastBending(columns, rows, cellMm, pins);
    let worst = 0;
    for (let n = 0; n < least.length; n++) worst = Math.max(worst, Math.abs(least[n] - free.surface.z[n]));
    expect(worst).toBeLessThan(0.02);
  });
});

describe('no false flats, overshoots or bumps', () => {
  /** Ground between two of whose lines bending alone would pass them by millimetres. */
  const steep = [
    line(40, [
      [50, -5],
      [52, 220],
    ]),
    line(20, [
      [70, -5],
      [74, 220],
    ]),
    line(10, [
      [200, -5],
      [180, 220],
    ]),
  ];
  it('a steep bank over a long gentle fall: it falls all the way, and never below the lower line', () => {
    const { grid } = groundOn(260, 200, steep);
    for (const y of [20, 100, 180])
      for (let x = 80; x < 178; x += 4) {
        const fall = heightAt(grid, x, y) - heightAt(grid, x + 4, y);
        // Not a flat at 10 mm anywhere, as bounds that press the ground would make.
        if (x < 160) expect(fall).toBeGreaterThan(0.005);
        expect(heightAt(grid, x, y)).toBeGreaterThan(9.9);
        expect(heightAt(grid, x, y)).toBeLessThan(20.1);
      }
  });

  const two = (x: number, y: number) =>
    70 * Math.exp(-((x - 135) ** 2 + (y - 148.5) ** 2) / 4050) +
    70 * Math.exp(-((x - 285) ** 2 + (y - 148.5) ** 2) / 4050);
  const falls = (x: number, y: number) => {
    const [u, v] = [(x - 150) / 65, (y - 100) / 60];
    return Math.max(0, 60 - 15 * (u * u - 1) ** 2 - 10 * v * v + 3 * u);
  };
  const cone = (x: number, y: number) => Math.max(0, 70 - 0.6 * Math.hypot(x - 210, y - 148.5));
  const wave = (x: number, y: number) => {
    const r = Math.min(1, Math.hypot(x - 210, y - 148.5) / 130);
    return 35 * (1 + Math.cos(Math.PI * r));
  };
  const uneven = (x: number, y: number) =>
    80 * Math.exp(-((x - 130) ** 2 + (y - 148.5) ** 2) / 5000) +
    60 * Math.exp(-((x - 290) ** 2 + (y - 148.5) ** 2) / 5000);
  // Errors inside: before 0.07, 0.35, 1.44 mm, now 0.11, 0.34, 1.18. Below the lowest contour: before 2.0, 3.7, 6.4 mm, now 0.53, 0.79, 0.72.
  it.each([
    [5, 0.13, 0.7],
    [10, 0.38, 1],
    [20, 1.4, 1],
  ])('two peaks with a saddle, contours every %i mm', (step, inside, below) => {
    const errors = errorsOf(two, 420, 297, step);
    expect(errors.inside).toBeLessThan(inside);
    expect(errors.below).toBeLessThan(below);
  });

  // Observed, with before in brackets: 1.5 (6.8), 0.8 (2.6), 0.9 (3.7), 0.3 (0.3), 1.3 (1.3) mm. What runs straight to the board and ends
  // there with a kink, as a cone does, is not told from a bell by lines so far apart: 2.9 (0.8).
  it.each([
    ['uneven peaks', uneven, 420, 297, 20, 1.8],
    ['a wave', wave, 420, 297, 10, 1],
    ['a wave', wave, 420, 297, 20, 1.2],
    ['what falls ever more steeply', falls, 300, 200, 5, 0.5],
    ['what falls ever more steeply', falls, 300, 200, 10, 1.5],
    ['a cone', cone, 420, 297, 10, 3.2],
  ] as const)('the foot of %s', (_, z, widthMm, depthMm, step, below) => {
    expect(errorsOf(z, widthMm, depthMm, step).below).toBeLessThan(below);
  });

  it('a foot leaves its line with the slope it came with, and comes down to the board', () => {
    const { grid } = groundOn(420, 297, [circle(210, 148.5, 30, 40), circle(210, 148.5, 60, 20)]);
    const at = (r: number) => heightAt(grid, 210 + r, 148.5);
    // The slope on both sides of the line, over 2 mm each: no kink.
    expect(Math.abs(at(58) - 2 * at(60) + at(62))).toBeLessThan(0.1);
    for (let r = 60; r < 90; r += 5) expect(at(r) - at(r + 5)).toBeGreaterThan(0.05);
    expect(at(205)).toBe(0);
  });
});

describe('what lies outside all contours', () => {
  it('rings close together: the summit goes on and is rounded over under the next interval, with no plateau', () => {
    const ground = groundOn(200, 160, [circle(100, 80, 60, 10), circle(100, 80, 52, 40)]);
    const top = heightAt(ground.grid, 100, 80);
    expect(top).toBeGreaterThan(55);
    expect(top).toBeLessThan(70);
    // It falls off on all sides, ring by ring.
    for (let r = 16; r < 50; r += 8)
      expect(heightAt(ground.grid, 100 + r, 80)).toBeLessThan(heightAt(ground.grid, 92 + r, 80) - 0.1);
  });

  it('a hollow goes on as well, and never lands on the board', () => {
    const { grid } = groundOn(200, 160, [circle(100, 80, 60, 30), circle(100, 80, 52, 6)]);
    const floor = heightAt(grid, 100, 80);
    expect(floor).toBeGreaterThan(0);
    expect(floor).toBeLessThan(5);
    expect(heightAt(grid, 120, 80)).toBeGreaterThan(floor + 0.02);
  });

  it('is marked as guessed with its share of the base, until something says how high it is', () => {
    const rings = [circle(100, 80, 60, 10), circle(100, 80, 40, 20)];
    const { guess, guessed, grid } = groundOn(200, 160, rings);
    // Inside the upper ring pi 40^2, and round the lower one as far as it falls to the board (slope about a half: 20 mm on).
    expect(guess?.share).toBeGreaterThan((Math.PI * 1500) / 32000);
    expect(guessed?.[80 * grid.columns + 100]).toBe(1);
    expect(guessed?.[80 * grid.columns + 150]).toBe(0);
    const spotted = groundOn(200, 160, [...rings, spot(27, 100, 80)]);
    expect(spotted.guessed?.[80 * grid.columns + 100]).toBe(0);
    const foot = groundOn(200, 160, [...rings, spot(27, 100, 80), circle(100, 80, 75, 0)]);
    expect(foot.guess).toBeNull();
  });

  it.each([
    [120, 100, 0.5],
    [130, 100, 0.5],
    [297, 210, 1],
    [1000, 700, 1],
  ])('a line round all of a base of %i x %i mm, off its edge: the base lies at its height', (w, d, cellMm) => {
    const round = (heightMm: number, level: boolean, by: number): Mark => ({
      ...circle(w / 2, d / 2, 1, heightMm, level),
      points: [
        [-by, -by],
        [w + by, -by],
        [w + by, d + by],
        [-by, d + by],
      ],
    });
    const at = (marks: Mark[], x: number, y: number) => heightAt(groundOn(w, d, marks, cellMm).grid, x, y);
    for (const [x, y] of [
      [0, 0],
      [w / 2, d / 2],
      [w, d],
    ]) {
      expect(at([round(40, true, 5)], x, y)).toBeCloseTo(40, 9);
      expect(at([round(40, false, 5)], x, y)).toBeCloseTo(40, 9);
      // The inner of two counts.
      expect(at([round(20, true, 30), round(30, true, 10)], x, y)).toBeCloseTo(30, 9);
    }
    // A hill that stands on it rises from it.
    const hill = [round(20, true, 5), circle(w / 2, d / 2, 30, 20), circle(w / 2, d / 2, 15, 35)];
    expect(at(hill, 2, 2)).toBeCloseTo(20, 6);
    expect(at(hill, w / 2, d / 2)).toBeGreaterThan(35);
    expect(at(hill, w / 2 + 22, d / 2)).toBeGreaterThan(24);
  });

  it('a lone contour makes a slab of the whole base, and all of it is a guess', () => {
    const { grid, guess } = groundOn(120, 90, [
      line(20, [
        [40, -5],
        [60, 95],
      ]),
    ]);
    for (const [x, y] of [
      [3, 3],
      [60, 45],
      [117, 88],
    ])
      expect(heightAt(grid, x, y)).toBeCloseTo(20, 1);
    expect(guess?.share).toBeGreaterThan(0.95);
  });

  it('between two lines of one height that are both feet the ground goes on below them; where they look different ways it is flat', () => {
    const valley = groundOn(
      200,
      100,
      [20, 10].flatMap((h, k) => [
        line(h, [
          [30 + 30 * k, -5],
          [30 + 30 * k, 105],
        ]),
        line(h, [
          [170 - 30 * k, -5],
          [170 - 30 * k, 105],
        ]),
      ]),
    );
    expect(heightAt(valley.grid, 100, 50)).toBeLessThan(9);
    const terrace = groundOn(
      200,
      100,
      [40, 20, 20].map((h, k) =>
        line(h, [
          [40 + 40 * k, -5],
          [40 + 40 * k, 105],
        ]),
      ),
    );
    expect(heightAt(terrace.grid, 100, 50)).toBeCloseTo(20, 3);
  });

  it.each([130, 130.4, 131.5])(
    'a ridge line at %s mm makes a roof sharp, whether it runs through nodes or between',
    (top) => {
      // A roof 60 mm high at its ridge, 0.5 steep; contours every 20 mm and the ridge as a form line.
      const roof = (y: number) => Math.max(0, 60 - 0.5 * Math.abs(y - top));
      const across = (y: number): [number, number][] => [
        [-5, y],
        [205, y],
      ];
      const sides = [0, 20, 40].flatMap((h) =>
        [-1, 1].map((way): Mark => ({ ...line(h, across(top + way * (120 - 2 * h))), id: `side-${h}-${way}` })),
      );
      const shown = { hidden: false, locked: false, smooth: false };
      const ridge: Mark = {
        kind: 'form',
        id: 'ridge',
        name: 'ridge',
        ...shown,
        fromMm: 60,
        toMm: 60,
        points: across(top),
      };
      const without = groundOn(200, 260, sides);
      const helped = groundOn(200, 260, [...sides, ridge]);
      const worst = (grid: typeof helped.grid) => {
        let most = 0;
        // Between two nodes a lattice cannot show the ridge itself, nor the foot.
        for (let y = 15; y <= 245; y++)
          if (Math.abs(y - top) >= 1) most = Math.max(most, Math.abs(heightAt(grid, 100, y) - roof(y)));
        return most;
      };
      expect(worst(without.grid)).toBeGreaterThan(1);
      expect(worst(helped.grid)).toBeLessThan(0.02);
      expect(Math.max(...helped.grid.values)).toBeLessThan(60.02);
    },
  );
});

/** Largest errors of ground rebuilt from its contours, above the lowest of them and below it. */
function errorsOf(z: (x: number, y: number) => number, w: number, d: number, step: number) {
  const ground = groundOn(w, d, contoursOf(z, w, d, step));
  let [inside, below] = [0, 0];
  for (let y = 0; y <= d; y++)
    for (let x = 0; x <= w; x++) {
      const error = Math.abs(heightAt(ground.grid, x, y) - z(x, y));
      if (z(x, y) >= step) inside = Math.max(inside, error);
      else below = Math.max(below, error);
    }
  return { inside, below };
}
