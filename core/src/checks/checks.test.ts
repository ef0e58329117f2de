import { describe, expect, it } from 'vitest';
import { drawItem, type ItemKind, type Mark, type Point, type Project, plan, startProject } from '../index.ts';
import { circle, line, spot } from '../testing/solids.ts';
import { sayGradient } from './index.ts';

const board = (marks: Mark[] = []): Project => {
  const start = startProject('checks', '2027-03-01', 'ground');
  return {
    ...start,
    base: { ...start.base, shape: { kind: 'rectangle', widthMm: 160, depthMm: 100 } },
    sections: [{ id: 'A', name: 'A', from: [0, 50], to: [160, 50] }],
    marks,
  };
};
const drawnOn = (project: Project, kind: ItemKind, points: Point[], change: object = {}) =>
  drawItem(project, kind, points, 20, { name: 'It', smooth: false, ...change }).project;
const findings = (project: Project) => plan(project).report.findings;
const found = (project: Project, code: string) => findings(project).find((finding) => finding.code === code);
const pad: Point[] = [
  [20, 20],
  [140, 20],
  [140, 80],
  [20, 80],
];
const onPad: Point[] = [
  [40, 50],
  [120, 50],
];
const across: Point[] = [
  [10, 50],
  [150, 50],
];

describe('what is said of lines', () => {
  it('crossing at different heights: both lines, both heights, the place', () => {
    const crossing = found(board([circle(50, 50, 20, 30), circle(75, 50, 20, 40)]), 'lines-cross');
    expect(crossing?.message).toBe(
      'circle at 30 (30 mm) and circle at 40 (40 mm) cross; the ground there is a compromise.',
    );
    expect(crossing?.place).toMatch(/^circle at 40 at \d+, \d+ mm$/);
    expect(crossing?.itemId).toBe('circle-20-40');
    expect(found(board([circle(50, 50, 20, 30), circle(75, 50, 20, 30)]), 'lines-cross')).toBeUndefined();
  });

  it('an outline that crosses itself, and one that nearly closes', () => {
    const eight = line(20, [
      [20, 20],
      [80, 80],
      [80, 20],
      [20, 80],
    ]);
    expect(found(board([{ ...eight, closed: true }]), 'crosses-itself')?.remedy).toContain('runs round once');
    expect(found(board([eight]), 'crosses-itself')?.remedy).toContain('draw it as two');
    const open = circle(60, 50, 30, 20);
    expect(found(board([{ ...open, closed: false }]), 'open-outline')?.message).toContain('1 mm apart');
    expect(found(board([open]), 'open-outline')).toBeUndefined();
  });

  it('two spot heights on one point, whether or not they agree', () => {
    const twin = { ...spot(30, 40, 40), id: 'twin', name: 'twin' };
    expect(found(board([spot(20, 40, 40), twin]), 'spots-on-one-point')?.message).toContain('with 20 and 30 mm');
    const same = found(board([spot(30, 40, 40), twin]), 'spots-on-one-point');
    expect(same?.message).toBe('spot and twin stand on one point.');
  });

  it('heights are compared as what they mean: 20 of bare foam and 23 finished are one height', () => {
    const at = (heightMm: number) => ({
      ...spot(heightMm, 40, 40),
      id: 'twin',
      name: 'twin',
      heightIs: 'ground' as const,
    });
    const foam = { ...board([spot(20, 40, 40), at(23)]), heights: 'foam' as const };
    expect(found(foam, 'spots-on-one-point')?.message).toBe('spot and twin stand on one point.');
    expect(found(foam, 'spot-missed')).toBeUndefined();
    const apart = { ...board([spot(20, 40, 40), at(20)]), heights: 'foam' as const };
    expect(found(apart, 'spots-on-one-point')?.message).toContain('with 20 and 17 mm');
  });

  it('outside the base: told at the mark, the rest still planned', () => {
    const project = board([circle(400, 50, 20, 30), circle(60, 50, 30, 25, true)]);
    expect(found(project, 'off-the-base')?.itemId).toBe('circle-20-30');
    expect(plan(project).report.ground.highestMm).toBeGreaterThan(24);
  });

  it('a line of 20,000 points that crosses another once is told once, at that place', () => {
    const points = Array.from({ length: 20_000 }, (_, k): [number, number] => [
      8 + (144 * k) / 19_999,
      50 + 10 * Math.sin(k / 300),
    ]);
    const crossing = line(40, [
      [80, -5],
      [80, 105],
    ]);
    const told = findings(board([{ ...line(20, points), name: 'long' }, crossing])).filter(
      ({ code }) => code === 'lines-cross',
    );
    expect(told).toHaveLength(1);
    expect(told[0].message).toContain('long (20 mm)');
  });
});

describe('what is said of landforms', () => {
  it('a gradient in the words of the trade', () => {
    expect([sayGradient(0.05), sayGradient(-0.25), sayGradient(0)]).toEqual(['1 in 20', '1 in 4.0', 'level']);
  });

  it('a road steeper than its limit: by how much, and what would do', () => {
    const road = (gradientPercent: number) =>
      drawnOn(board(), 'way', across, { fromMm: 10, toMm: 24, gradientPercent });
    // 14 mm over 140.
    expect(found(road(10), 'way-too-steep')).toBeUndefined();
    const steep = found(road(8), 'way-too-steep');
    expect(steep?.message).toBe('It climbs 10.0 % (1 in 10); its limit is 8 %.');
    expect(steep?.remedy).toContain('2.8 mm nearer in height');
    expect(steep?.remedy).toContain('35 mm longer');
  });

  it('a span with too little room, and one that lies in the ground', () => {
    const deck = (atMm: number) =>
      drawnOn(drawnOn(board(), 'pad', pad, { heightMm: 20 }), 'span', onPad, {
        fromMm: atMm,
        toMm: atMm,
        thicknessMm: 4,
        clearanceMm: 30,
      });
    expect(found(deck(60), 'span-too-low')).toBeUndefined();
    expect(found(deck(44), 'span-too-low')).toMatchObject({
      remedy: expect.stringContaining('Raise the deck by 10 mm'),
    });
    expect(found(deck(22), 'span-too-low')?.message).toContain('2 mm too low');
  });

  it('a landform that changes nothing, a cliff upside down, a bed below the board', () => {
    expect(found(drawnOn(board(), 'pad', pad, { heightMm: 0 }), 'changes-nothing')?.message).toContain('It changes');
    const cliff = drawnOn(board(), 'cliff', across, { topMm: 10, footMm: 30 });
    expect(found(cliff, 'cliff-upside-down')?.remedy).toContain('Exchange');
    const pond = drawnOn(board(), 'basin', pad, { waterMm: 6, depthMm: 9 });
    expect(found(pond, 'below-the-board')?.message).toContain('3 mm below');
  });

  it('a building on uneven ground', () => {
    const slope = board(
      [10, 30].map((h) =>
        line(h, [
          [4 * h, -5],
          [4 * h, 105],
        ]),
      ),
    );
    const house = (beddedMm: number) =>
      drawnOn(
        slope,
        'building',
        pad.map(([x, y]) => [x / 4 + 60, y / 2]),
        { beddedMm },
      );
    expect(found(house(0), 'stands-uneven')?.message).toMatch(/rises \d\.\d mm; bedded 0 mm/);
    expect(found(house(6), 'stands-uneven')).toBeUndefined();
  });
});
