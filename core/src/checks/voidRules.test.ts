import { describe, expect, it } from 'vitest';
import { drawItem, type Finding, type ItemKind, type Point, type Project, plan, startProject } from '../index.ts';

const square = (x0: number, y0: number, x1: number, y1: number): Point[] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];

/** A slab of 40 mm on a base of 160 x 100 mm, with these hollows in it. */
function slabWith(...hollows: [kind: ItemKind, points: Point[], change: object][]): Project {
  const start = startProject('hollows', '2027-03-01', 'ground');
  let project: Project = {
    ...start,
    base: { ...start.base, shape: { kind: 'rectangle', widthMm: 160, depthMm: 100 } },
    sections: [{ id: 'A', name: 'A', from: [0, 50], to: [160, 50] }],
  };
  project = drawItem(project, 'spot', [[80, 50]], 40, { heightMm: 40 }).project;
  for (const [kind, points, change] of hollows)
    project = drawItem(project, kind, points, 40, { smooth: false, ...change }).project;
  return project;
}

const findings = (...hollows: Parameters<typeof slabWith>): Finding[] => plan(slabWith(...hollows)).report.findings;
const said = (code: string, ...hollows: Parameters<typeof slabWith>) =>
  findings(...hollows).find((finding) => finding.code === code);

describe('what is said of hollows', () => {
  const chamber = square(60, 30, 100, 70);
  const under = { name: 'Cellar', floorMm: 10, headMm: 10, roofLeastMm: 8, opens: false };

  it('one with roof enough: nothing', () => {
    const codes = findings(['chamber', chamber, under]).map(({ code }) => code);
    for (const code of ['void-breaks-out', 'void-opens', 'void-in-the-air', 'roof-too-thin'])
      expect(codes).not.toContain(code);
  });

  it('breaking out of the ground: a fault, or meant', () => {
    const high = { ...under, headMm: 40 };
    const fault = said('void-breaks-out', ['chamber', chamber, high]);
    expect(fault?.severity).toBe('warn');
    expect(fault?.message).toMatch(/^Cellar breaks out of the ground: 5\d\.\d mm across at /);
    const meant = said('void-opens', ['chamber', chamber, { ...high, opens: true }]);
    expect(meant?.severity).toBe('note');
    expect(said('void-breaks-out', ['chamber', chamber, { ...high, opens: true }])).toBeUndefined();
  });

  it('over the ground altogether', () =>
    expect(said('void-in-the-air', ['chamber', chamber, { ...under, floorMm: 60 }])?.remedy).toContain(
      'Lower its floor',
    ));

  it.each([
    [24, true],
    [20, false],
  ])('a head of %s mm over a floor of 10 leaves its roof too thin: %s', (headMm, thin) => {
    const finding = said('roof-too-thin', ['chamber', chamber, { ...under, headMm }]);
    expect(finding !== undefined).toBe(thin);
    if (thin) expect(finding?.message).toMatch(/^The roof of Cellar is 6 mm thin at .*; 8 mm are wanted\.$/);
  });

  it.each([
    [110, 'wall-too-thin'],
    [95, 'voids-meet'],
    [125, null],
  ])('another from %s mm on: %s', (from, code) => {
    const two: Parameters<typeof slabWith> = [
      ['chamber', chamber, { ...under, roofLeastMm: 15 }],
      ['chamber', square(from, 30, from + 20, 70), { ...under, name: 'Store', roofLeastMm: 15 }],
    ];
    const met = findings(...two).filter((finding) => ['wall-too-thin', 'voids-meet'].includes(finding.code));
    expect(met.map((finding) => finding.code)).toEqual(code ? [code] : []);
    if (code) expect(met[0].place).toBe('Cellar and Store');
  });

  it('caves that run into one another are one, and no fault; a thin wall between them is', () => {
    const cave = (from: number, name: string): Parameters<typeof slabWith>[0] => [
      'cave',
      square(from, 30, from + 40, 70),
      { name, floorMm: 4, headMm: 20, roofLeastMm: 8 },
    ];
    const codes = (from: number) =>
      findings(cave(20, 'Den'), cave(from, 'Lair'))
        .map(({ code }) => code)
        .filter((code) => code === 'voids-meet' || code === 'wall-too-thin');
    expect(codes(50)).toEqual([]);
    expect(codes(64)).toEqual(['wall-too-thin']);
  });
});

describe('what is said of cables and bays', () => {
  const bore = { name: 'Lead', boreMm: 4, fromMm: 15, toMm: 15, roofLeastMm: 3 };
  const along = (x0: number, x1: number): Point[] => [
    [x0, 50],
    [x1, 50],
  ];

  it('a cable that leads nowhere, one whose end is buried, one from edge to edge', () => {
    expect(said('cable-ends-nowhere', ['cable', along(40, 100), bore])?.place).toBe('Lead');
    const buried = said('cable-end-buried', ['cable', along(-2, 100), bore]);
    // Its middle lies at 15 under ground at 40.
    expect(buried?.message).toMatch(/^An end of Lead lies 25 mm under the ground at /);
    const through = findings(['cable', along(-2, 162), bore]).map(({ code }) => code);
    expect(through).not.toContain('cable-ends-nowhere');
    expect(through).not.toContain('cable-end-buried');
  });

  it.each([
    ['from the side', 5, square(60, 30, 100, 70), 'lies inside the base'],
    ['from the side', 5, square(-2, 30, 30, 70), null],
    ['from below', 5, square(60, 30, 100, 70), '5 mm of foam lie under it'],
    ['from below', 0, square(60, 30, 100, 70), null],
  ])('a bay reached %s with its floor at %s mm', (access, floorMm, points, why) => {
    const finding = said('bay-not-reached', ['bay', points, { name: 'Battery', access, floorMm, headMm: 15 }]);
    if (why) expect(finding?.message).toContain(why);
    else expect(finding).toBeUndefined();
  });
});
