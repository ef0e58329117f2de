import { describe, expect, it } from 'vitest';
import { plan } from '../planner/index.ts';
import { drawItem, type ItemKind, type Project, startProject } from '../project/index.ts';

/** A slab at 20 mm whose right half climbs to 60: 1 in 2.5, 21.8 degrees. */
function slope(): Project {
  const start = startProject('judged', '2027-03-01', 'ground');
  let project: Project = {
    ...start,
    base: { ...start.base, shape: { kind: 'rectangle', widthMm: 200, depthMm: 100 } },
  };
  for (const [x, heightMm] of [
    [0, 20],
    [100, 20],
    [200, 60],
  ])
    project = drawItem(
      project,
      'contour',
      [
        [x, 0],
        [x, 100],
      ],
      heightMm,
      { heightMm, closed: false },
    ).project;
  return project;
}
const put = (project: Project, kind: ItemKind, x: number, change: object = {}) =>
  drawItem(project, kind, [[x, 50]], 20, { footMm: 32, ...change }).project;
const judged = (project: Project) => plan(project).report.judgements;

describe('figures', () => {
  it('stand on the flat and slide on 1 in 2.5, which is told; with a steeper limit they stand', () => {
    const { report } = plan(put(put(slope(), 'figure', 40), 'figure', 150, { name: 'Climber' }));
    expect(report.judgements.figures.map(({ stands }) => stands)).toEqual([true, false]);
    expect(report.judgements.figures[1].tiltDegrees).toBeCloseTo((Math.atan(0.4) * 180) / Math.PI, 0);
    expect(report.findings.find(({ code }) => code === 'figure-does-not-stand')?.message).toMatch(
      /^Climber on its 32 mm base would slide: it tilts 2\d°, at most 20° are wanted\.$/,
    );
    const lenient = { ...slope(), judging: { ...slope().judging, tiltDegrees: 30 } };
    expect(judged(put(lenient, 'figure', 150)).figures[0].stands).toBe(true);
  });

  it('held up in the air none is judged', () =>
    expect(judged(put(slope(), 'figure', 150, { raisedMm: 20 })).figures).toEqual([]));

  it('a wider base finds less room', () => {
    const [small, middle, large] = judged(slope()).standing;
    expect([small.baseMm, middle.baseMm, large.baseMm]).toEqual([25, 32, 40]);
    expect(small.percent).toBeGreaterThan(middle.percent);
    expect(middle.percent).toBeGreaterThan(large.percent);
    // The flat half alone, less half a base all round. Observed 25.2.
    expect(middle.percent).toBeGreaterThan((100 * (84 * 68 * 0.86)) / (200 * 100));
    expect(middle.percent).toBeLessThan(50);
  });
});

describe('houses', () => {
  const house = (project: Project, x: number) =>
    drawItem(
      project,
      'building',
      [
        [x, 40],
        [x + 20, 40],
        [x + 20, 60],
        [x, 60],
      ],
      20,
      { smooth: false, name: 'Hut' },
    ).project;
  const road = (project: Project, x: number) =>
    drawItem(
      project,
      'way',
      [
        [x, 0],
        [x, 100],
      ],
      20,
      { widthMm: 10, smooth: false },
    ).project;

  it('without any way are told, and so are those too far from one', () => {
    expect(judged(house(slope(), 60)).houses).toEqual([expect.objectContaining({ wayMm: null, reached: false })]);
    // From the wall at 60 to the edge of a road of 10 mm along 20: 35 mm.
    const far = plan(road(house(slope(), 60), 20)).report;
    expect(far.judgements.houses[0].wayMm).toBeCloseTo(35, 3);
    expect(far.findings.find(({ code }) => code === 'house-without-way')?.message).toBe(
      'The nearest way ends 35 mm from Hut.',
    );
  });

  it('beside a road are reached', () => expect(judged(road(house(slope(), 60), 40)).houses[0].reached).toBe(true));
});
