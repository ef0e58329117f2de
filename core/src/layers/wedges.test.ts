import { describe, expect, it } from 'vitest';
import { gridOver, sampleFormula } from '../geometry/index.ts';
import { measureGround } from '../ground/index.ts';
import { plan } from '../planner/index.ts';
import { drawItem, type Project, startProject, USUAL_WEDGES } from '../project/index.ts';
import { foamItself } from './target.ts';
import { wedgesOf } from './wedges.ts';

const W = 120;
const D = 80;
const outline = [
  [0, 0],
  [W, 0],
  [W, D],
  [0, D],
] as [number, number][];
const mapOf = { node: null, areas: [null], inside: null } as unknown as Parameters<typeof wedgesOf>[0]['map'];
const landOf = (height: (x: number, y: number) => number) => {
  const grid = sampleFormula(gridOver(W, D, 1), height);
  const ground = measureGround(outline, grid);
  return { ground, target: foamItself(ground), map: mapOf };
};
/** Layers 20 mm thick, each cut back to where the ground reaches its top. */
const builtUp = (count: number) =>
  Array.from({ length: count }, (_, k) => ({ topMm: 20 * (k + 1), outlineAtMm: [20 * (k + 1)] }));

describe('wedges of offcut', () => {
  // A ramp of 1 in 2 from 20 to 80 mm over 120 mm: each step is a wedge 40 mm long and 20 deep.
  const ramp = landOf((x) => 20 + x / 2);

  it('fill every step of a ramp but for the skim: closed form of triangles cut off at the skim', () => {
    const skimMm = 2;
    const { list, cells } = wedgesOf(ramp, builtUp(4), { fromMm: 8, skimMm });
    expect(list).toHaveLength(3);
    // Of a triangle 40 long and 20 deep the part deeper than 2: 36 long, 18 deep.
    const each = ((36 * 18) / 2) * D;
    for (const { foamMl, deepMm, areaMm2, longMm, wideMm } of list) {
      expect(foamMl / (each / 1000)).toBeCloseTo(1, 1);
      expect(deepMm).toBeCloseTo(18, 0);
      expect(areaMm2 / (36 * D)).toBeCloseTo(1, 1);
      expect(longMm * wideMm).toBeCloseTo(areaMm2, 6);
    }
    expect(cells.reduce((sum, cell) => sum + cell, 0)).toBeLessThan(W * D);
  });

  it('are not cut for what one coat of paste fills, nor for crumbs', () => {
    expect(wedgesOf(ramp, builtUp(4), { fromMm: 25, skimMm: 2 }).list).toEqual([]);
    const pimple = landOf((x, y) => 20 + Math.max(0, 15 - 3 * Math.hypot(x - 60, y - 40)));
    expect(wedgesOf(pimple, builtUp(1), { fromMm: 8, skimMm: 2 }).list).toEqual([]);
  });

  it('two slopes that do not touch are two wedges; a round hill has one ring a step', () => {
    const hill = landOf((x, y) => Math.max(0, 40 - Math.hypot(x - 60, y - 40)));
    const { list } = wedgesOf(hill, builtUp(2), { fromMm: 8, skimMm: 2 });
    expect(list).toHaveLength(2);
    // The lower step: fill 2 to 20 mm deep from 22 to 38 mm out of the middle.
    const [lower] = list;
    expect(lower.areaMm2 / (Math.PI * (38 ** 2 - 20 ** 2))).toBeCloseTo(1, 1);
    expect(lower.wideMm).toBeGreaterThan(12);
  });
});

describe('wedges in a plan', () => {
  /** A slope across an A4 base that is built up, so that its steps are filled. */
  const slope = (wedges?: Project['stacking']['wedges']): Project => {
    const start = startProject('Slope', '2027-03-01', 'ground');
    const thick = { ...start.sheets[0], id: 's30', nominalMm: 30, measuredMm: null, count: 8 };
    const low = drawItem(
      { ...start, sheets: [thick] },
      'contour',
      [
        [10, 5],
        [10, 205],
      ],
      0,
      {
        heightMm: 34,
        closed: false,
        smooth: false,
      },
    ).project;
    const { project } = drawItem(
      low,
      'contour',
      [
        [285, 5],
        [285, 205],
      ],
      0,
      { heightMm: 95, closed: false, smooth: false },
    );
    return { ...project, stacking: { ...project.stacking, school: 'build up', wedges } };
  };

  it('are proposed with what they save, taken by one change, and weigh, cost time and dry as was told', () => {
    const [paste, foam] = [slope(), slope(USUAL_WEDGES)].map((project) => plan(project).report);
    const offer = paste.wedges;
    if (!offer || !foam.wedges) throw new Error('no wedges');
    expect(offer.on).toBeNull();
    expect(offer.instead.fillMl).toBeLessThan(0.5 * offer.now.fillMl);
    expect(offer.instead.massG).toBeLessThan(offer.now.massG);
    // What was offered is what comes of it, and the other way round.
    expect(foam.wedges.on).toEqual(USUAL_WEDGES);
    expect(foam.wedges.now.fillMl).toBeCloseTo(offer.instead.fillMl, 6);
    expect(foam.wedges.now.handsOnMin).toBeCloseTo(offer.instead.handsOnMin, 6);
    expect(foam.wedges.instead.massG).toBeCloseTo(offer.now.massG, 6);
    expect(foam.wedges.list).toEqual(offer.list);
    // Fill and foam of wedges are the gap under the ground.
    expect(offer.instead.fillMl + offer.instead.foamMl).toBeCloseTo(offer.now.fillMl, 6);
    const skin = (report: typeof paste) =>
      report.takeoff.filter(({ stage }) => stage === 'skin').reduce((sum, { dryG }) => sum + dryG.likely, 0);
    expect(skin(foam)).toBeLessThan(skin(paste));
    expect(foam.takeoff.map(({ id }) => id)).toContain('wedges');
    expect(foam.mass.totalG.likely).toBeLessThan(paste.mass.totalG.likely);
    expect(Date.parse(offer.instead.dryAt ?? '')).toBeLessThanOrEqual(Date.parse(offer.now.dryAt ?? ''));
  });
});
