import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gridOver, type Ring, sampleFormula } from '../geometry/index.ts';
import { toEnd } from '../kernel/index.ts';
import { addItem, drawItem, startProject, type Void } from '../project/index.ts';
import { readVoids as reading } from './voidReads.ts';
import { voidShape } from './voids.ts';

const square = (x0: number, y0: number, x1: number, y1: number): [number, number][] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];
const outline: Ring = square(0, 0, 100, 80);
const flatAt = (heightMm: number) => sampleFormula(gridOver(100, 80, 1), () => heightMm);

/** A void as it is drawn, with other parameters. */
function draw(kind: Void['kind'], points: readonly (readonly [number, number])[], change: object): Void {
  const { project } = drawItem(startProject('p', '2027-03-01', 'ground'), kind, points, 40, {
    smooth: false,
    id: kind,
    ...change,
  });
  return project.voids[0];
}

const readVoids = (...given: Parameters<typeof reading>) => toEnd(reading(...given));
const read = (hollow: Void, heightMm = 40) => readVoids(flatAt(heightMm), outline, [hollow]).voids[0];

describe('a void in the ground', () => {
  it('a flat-roofed chamber under a flat: roof, area and volume by hand', () => {
    // 30 x 20 mm inside, 10 mm high, its roof at 25 under ground at 40.
    const chamber = read(draw('chamber', square(20, 20, 50, 40), { floorMm: 15, headMm: 10 }));
    expect(chamber.thinnestMm).toBeCloseTo(15, 6);
    expect(chamber.volumeMl).toBeCloseTo((chamber.areaMm2 * 10) / 1000, 6);
    expect(Math.abs(chamber.areaMm2 - 600)).toBeLessThan(60);
    expect([chamber.floorMm, chamber.roofMm, chamber.openings.length, chamber.atEdge]).toEqual([15, 25, 0, false]);
  });

  it('a bore is round: half a bore over and under its middle', () => {
    const { at } = voidShape(
      draw(
        'cable',
        [
          [10, 40],
          [90, 40],
        ],
        { boreMm: 6, fromMm: 10, toMm: 20 },
      ),
    );
    expect(at(50, 40)).toEqual({ floorMm: 12, roofMm: 18 });
    const aside = at(50, 42);
    expect((aside?.roofMm ?? 0) - 15).toBeCloseTo(Math.sqrt(5), 6);
    expect(at(50, 43.5)).toBeNull();
  });

  it('a vault is full in the middle and half as high at its walls', () => {
    const { at } = voidShape(
      draw(
        'tunnel',
        [
          [0, 40],
          [100, 40],
        ],
        { widthMm: 20, headMm: 16, fromMm: 5, toMm: 5, roof: 'vaulted' },
      ),
    );
    expect(at(50, 40)?.roofMm).toBeCloseTo(21, 6);
    expect(at(50, 50)?.roofMm).toBeCloseTo(13, 6);
    // A quarter of an ellipse: half way from wall to middle it has risen by sqrt(3)/2 of the half.
    expect(at(50, 45)?.roofMm).toBeCloseTo(13 + 8 * Math.sqrt(0.75), 6);
  });

  it('a void never pierces the surface without being told', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 2, max: 40 }),
        fc.integer({ min: 10, max: 60 }),
        fc.integer({ min: 15, max: 60 }),
        (floorMm, headMm, x, y) => {
          // Ground that falls from left to right, with a hollow.
          const ground = sampleFormula(gridOver(100, 80, 1), (u, v) =>
            Math.max(0, 50 - u / 4 - 10 * Math.exp(-((v - 40) ** 2) / 200)),
          );
          const hollow = draw('cave', square(x, y, x + 30, y + 15), { floorMm, headMm, roof: 'flat' });
          const { openings } = readVoids(ground, outline, [hollow]).voids[0];
          let pierced = false;
          for (let j = 0; j <= 80; j++)
            for (let i = 0; i <= 100; i++) {
              const there = voidShape(hollow).at(i, j);
              const z = ground.values[j * ground.columns + i];
              if (there && z > there.floorMm + 0.05 && z <= there.roofMm + 0.05) pierced = true;
            }
          expect(openings.length > 0).toBe(pierced);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('beside a mouth that is meant to be there the roof may run out; elsewhere it may not', () => {
    // A bank that rises 1 in 1 from x = 40: the cave reaches out of it.
    const bank = sampleFormula(gridOver(100, 80, 1), (x) => Math.min(50, Math.max(0, x - 40)));
    const cave = draw('cave', square(30, 30, 80, 50), { floorMm: 0, headMm: 20, roof: 'flat', roofLeastMm: 6 });
    const [meant] = readVoids(bank, outline, [cave]).voids;
    expect(meant.openings).toHaveLength(1);
    // The mouth runs from where the ground leaves the floor to where it reaches the roof: 41 to 60 mm across.
    expect(meant.openings[0].at[0]).toBeCloseTo(50.5, 6);
    // The roof is as thick as the way from the mouth; within two thinnest roofs (12 mm) it is not asked.
    expect(meant.thinnestMm).toBeCloseTo(13, 6);
    const [closed] = readVoids(bank, outline, [{ ...cave, opens: false } as Void]).voids;
    expect(closed.thinnestMm).toBeCloseTo(1, 6);
  });
});

describe('where a cable run ends', () => {
  const ends = (points: [number, number][], more: readonly Void[] = [], change: object = {}) =>
    readVoids(flatAt(40), outline, [
      draw('cable', points, { fromMm: 10, toMm: 10, boreMm: 5, ...change }),
      ...more,
    ]).voids[0].ends.map(({ where }) => where);
  const bay = draw('bay', square(60, 30, 80, 50), { floorMm: 0, headMm: 18 });

  it('at the edge, in a bay, at the surface, or nowhere', () => {
    expect(
      ends([
        [30, 40],
        [100, 40],
      ]),
    ).toEqual(['in the ground', 'at the edge']);
    expect(
      ends(
        [
          [30, 40],
          [70, 40],
        ],
        [bay],
      ),
    ).toEqual(['in the ground', 'in a void']);
    expect(
      ends(
        [
          [30, 40],
          [50, 40],
        ],
        [],
        { fromMm: 39 },
      ),
    ).toEqual(['at the surface', 'in the ground']);
    expect(
      ends([
        [30, 40],
        [120, 40],
      ]),
    ).toEqual(['in the ground', 'off the base']);
  });

  it('a bay that lies higher is not met', () => {
    expect(
      ends(
        [
          [30, 40],
          [70, 40],
        ],
        [{ ...bay, floorMm: 20 } as Void],
      ),
    ).toEqual(['in the ground', 'in the ground']);
  });
});

describe('voids that meet', () => {
  const two = (a: Void, b: Void) => readVoids(flatAt(60), outline, [a, { ...b, id: 'other' }]).meetings;
  const room = (x: number, floorMm: number) =>
    draw('chamber', square(x, 20, x + 20, 40), { floorMm, headMm: 10, roofLeastMm: 6 });

  it('run into one another', () => {
    expect(two(room(20, 5), room(35, 5))).toMatchObject([{ wallMm: 0, wantedMm: 6 }]);
  });

  it('leave a wall or a floor that is too thin', () => {
    const [beside] = two(room(20, 5), room(44, 5));
    expect(Math.abs(beside.wallMm - 4)).toBeLessThanOrEqual(1);
    const [over] = two(room(20, 5), room(20, 19));
    expect(over.wallMm).toBeCloseTo(4, 6);
  });

  it('or keep clear of one another', () => {
    expect(two(room(20, 5), room(50, 5))).toEqual([]);
    expect(two(room(20, 5), room(20, 22))).toEqual([]);
  });
});

it('voids are items like all others: added, found and listed', () => {
  const project = addItem(startProject('p', '2027-03-01', 'ground'), draw('cave', square(10, 10, 40, 30), {}));
  expect(project.voids.map(({ kind }) => kind)).toEqual(['cave']);
});
