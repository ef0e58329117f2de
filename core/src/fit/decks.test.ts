import { describe, expect, it } from 'vitest';
import { plan } from '../planner/index.ts';
import { drawItem, type ItemKind, type Project, startProject } from '../project/index.ts';

type Points = Parameters<typeof drawItem>[2];
const draw = (project: Project, kind: ItemKind, points: Points, change: object) =>
  drawItem(project, kind, points, 20, change).project;

/** A valley 60 mm wide and 40 deep between banks at 50 mm, and a deck across it from 50 to 62 mm, 40 wide and 4 thick. */
function bridged(): Project {
  const start = startProject('Bridge', '2027-03-01', 'ground');
  const flat = { ...start, base: { ...start.base, shape: { kind: 'rectangle' as const, widthMm: 240, depthMm: 120 } } };
  const land = draw(flat, 'spot', [[10, 10]], { heightMm: 50 });
  const valley = draw(
    land,
    'pit',
    [
      [90, 0],
      [150, 0],
      [150, 120],
      [90, 120],
    ],
    { floorMm: 10, wallDegrees: 85 },
  );
  return draw(
    valley,
    'span',
    [
      [80, 60],
      [160, 60],
    ],
    { name: 'Bridge', widthMm: 40, thicknessMm: 4, fromMm: 50, toMm: 62 },
  );
}
const figure = (project: Project, x: number, y: number, change: object = {}) =>
  draw(project, 'figure', [[x, y]], { footMm: 20, heightMm: 32, ...change });

describe('things on a deck', () => {
  it('stand on it, at its height and slope, and weigh and balance there; it is no collision', () => {
    const { report } = plan(figure(bridged(), 120, 60, { name: 'Watchman' }));
    const [stood] = report.fit.things;
    expect(stood.deckId).toBe(report.spans[0].id);
    expect(stood.bottomMm).toBeCloseTo(56, 6);
    const [judged] = report.judgements.figures;
    // 12 mm over 80.
    expect(judged.tiltDegrees).toBeCloseTo((Math.atan(0.15) * 180) / Math.PI, 6);
    expect(judged.stands).toBe(true);
    expect(report.fit.meetings).toEqual([]);
    expect(report.mass.thingsG.likely).toBeGreaterThan(1);
  });

  it('a lorry stands on it lengthways, and reaches over its edge across; a house stands on it too, unless it is said to be below', () => {
    const lorry = (turnDegrees: number) =>
      draw(bridged(), 'vehicle', [[120, 60]], {
        name: 'Lorry',
        footMm: 28,
        heightMm: 40,
        footprint: { kind: 'oblong', longMm: 60, turnDegrees },
      });
    const along = plan(lorry(0)).report;
    expect(along.judgements.figures[0]).toMatchObject({ name: 'Lorry', stands: true });
    expect(along.fit.things[0]).toMatchObject({ deckId: along.spans[0].id });
    expect(along.fit.meetings).toEqual([]);
    // 60 x 28 x 40 mm of plastic.
    expect(along.mass.thingsG.likely).toBeCloseTo(0.35 * 67.2, 6);
    const across = plan(lorry(90)).report;
    expect(across.judgements.figures[0].stands).toBe(false);
    expect(across.findings.find(({ code }) => code === 'figure-does-not-stand')?.message).toBe(
      'Lorry reaches over the edge.',
    );
    const house = (halfWide: number, change: object = {}) =>
      plan(
        draw(
          bridged(),
          'building',
          [
            [110, 60 - halfWide],
            [130, 60 - halfWide],
            [130, 60 + halfWide],
            [110, 60 + halfWide],
          ],
          { name: 'Toll house', heightMm: 30, beddedMm: 2, ...change },
        ),
      ).report;
    const toll = house(15);
    expect(toll.laid[0]).toMatchObject({ deckId: toll.spans[0].id, overDeck: false, foamMl: 0, skinMl: 0 });
    expect(toll.laid[0].undersideMm).toBeCloseTo(56, 6);
    expect(toll.fit.meetings).toEqual([]);
    const told = (report: typeof toll) =>
      report.findings.filter(({ code }) => code === 'stands-uneven').map(({ message }) => message);
    // The deck rises 12 mm in 80: more than a millimetre under a house.
    expect(told(toll)).toHaveLength(1);
    expect(told(toll)[0]).toContain('The deck under Toll house rises');
    expect(told(house(25))[0]).toContain('reaches over the edge of the deck');
    // Below, it is bedded 2 mm into the floor at 10 mm.
    const below = house(15, { under: true });
    expect(below.laid[0].deckId).toBeNull();
    expect(below.laid[0].undersideMm).toBeCloseTo(8, 1);
  });

  it('below it stand where that is said; two figures one over the other do not meet', () => {
    const { report } = plan(figure(figure(bridged(), 120, 60), 120, 60, { under: true }));
    expect(report.fit.things.map(({ bottomMm }) => Math.round(bottomMm))).toEqual([56, 10]);
    expect(report.fit.meetings).toEqual([]);
    // One taller than the room under the deck runs into it.
    const tall = plan(figure(bridged(), 120, 60, { under: true, heightMm: 60 })).report;
    expect(tall.fit.meetings).toHaveLength(1);
  });

  it('reach over its edge where it is too narrow; beside it they stand on the ground', () => {
    const { report } = plan(figure(figure(bridged(), 120, 74, { name: 'Leaner' }), 120, 95));
    expect(report.judgements.figures.map(({ stands }) => stands)).toEqual([false, true]);
    expect(report.findings.find(({ code }) => code === 'figure-does-not-stand')?.message).toContain(
      'Leaner on its 20 mm base reaches over the edge',
    );
    expect(report.fit.things[1].bottomMm).toBeCloseTo(10, 1);
  });

  it('a road that comes up to the deck is no road under it; one that passes below is', () => {
    const road = (project: Project, points: Points, heights: object) =>
      draw(project, 'way', points, { widthMm: 24, smooth: false, ...heights });
    const onto = road(
      bridged(),
      [
        [5, 60],
        [84, 60],
      ],
      { fromMm: 50, toMm: 50 },
    );
    const through = road(
      onto,
      [
        [120, 5],
        [120, 115],
      ],
      { fromMm: 12, toMm: 12 },
    );
    const low = (project: Project) => plan(project).report.findings.filter(({ code }) => code === 'span-too-low');
    expect(low(onto)).toEqual([]);
    expect(low(through)).toEqual([]);
    // Lowest over the side of the road where the deck begins to rise.
    expect(plan(through).report.spans[0].rooms[0].roomMm).toBeCloseTo(54.2 - 4 - 12, 6);
  });
});

describe('streets', () => {
  it('are judged for their way like single houses, by the house that is worst placed', () => {
    const start = startProject('Street', '2027-03-01', 'ground');
    const land = draw(start, 'spot', [[10, 10]], { heightMm: 20 });
    const street = draw(
      land,
      'street',
      [
        [20, 60],
        [280, 60],
      ],
      { name: 'Row', frontageMm: 60, gapMm: 5 },
    );
    const way = (x: number) =>
      draw(
        street,
        'way',
        [
          [10, 90],
          [x, 90],
        ],
        { widthMm: 20, smooth: false, fromMm: 20, toMm: 20 },
      );
    const read = (project: Project) => plan(project).report.judgements.houses;
    expect(read(street)).toMatchObject([{ name: 'Row', wayMm: null, reached: false }]);
    // 30 mm from line to line, half the road and half a millimetre of front.
    expect(read(way(285))[0].wayMm).toBeCloseTo(19.5, 6);
    expect(read(way(285))[0].reached).toBe(true);
    // The last house begins at 215.
    expect(read(way(120))[0].wayMm).toBeCloseTo(Math.hypot(95, 19.5), 6);
    expect(read(way(120))[0].reached).toBe(false);
  });
});
