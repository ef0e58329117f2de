import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plan } from '../planner/index.ts';
import { drawItem, type ItemKind, type Project, startProject } from '../project/index.ts';

/** A level slab at 20 mm on 200 x 100 mm, 6 mm board. */
function slab(): Project {
  const start = startProject('fit', '2027-03-01', 'ground');
  const flat = {
    ...start,
    base: { ...start.base, shape: { kind: 'rectangle' as const, widthMm: 200, depthMm: 100 } },
  };
  return drawItem(flat, 'spot', [[100, 50]], 20).project;
}
const put = (project: Project, kind: ItemKind, x: number, y: number, change: object) =>
  drawItem(project, kind, [[x, y]], 20, { marginMm: 0, ...change }).project;
const fitOf = (project: Project) => plan(project).report.fit;
const boxed = (project: Project, change: object): Project => ({
  ...project,
  envelope: {
    swingMm: null,
    box: {
      widthMm: 240,
      depthMm: 120,
      heightMm: 150,
      backMm: null,
      underMm: 0,
      backdrop: false,
      walls: false,
      ...change,
    },
  },
});

describe('things stand on the ground', () => {
  it('at its height, held up by as much as asked for', () => {
    const project = put(put(slab(), 'tree', 50, 50, { heightMm: 90 }), 'held', 150, 50, { heightMm: 30, raisedMm: 40 });
    const [tree, held] = fitOf(project).things;
    expect(tree.groundMm).toBeCloseTo(20, 3);
    expect(tree.topMm).toBeCloseTo(110, 3);
    expect(held.bottomMm).toBeCloseTo(60, 3);
    expect(fitOf(project).tallestMm).toBeCloseTo(116, 3);
  });

  it('one beside the base is told', () => {
    const { report } = plan(put(slab(), 'figure', 230, 50, {}));
    expect(report.fit.things[0].groundMm).toBeNull();
    expect(report.findings.map(({ code }) => code)).toContain('stands-beside');
  });
});

describe('a cabinet', () => {
  it('board 6 + ground 20 + tree 130 is 156 in 150 mm: 6 mm too tall, and the tree is to blame', () => {
    const project = boxed(put(slab(), 'tree', 60, 50, { heightMm: 130, crownMm: 40, name: 'Old pine' }), {});
    const [breach, ...more] = fitOf(project).breaches;
    expect(breach).toMatchObject({ name: 'Old pine', side: 'top' });
    expect(breach.byMm).toBeCloseTo(6, 3);
    expect(more).toEqual([]);
    expect(plan(project).report.findings.find(({ code }) => code === 'out-of-the-box')?.message).toBe(
      'Old pine is 6 mm too tall for the box.',
    );
  });

  it('feet under the board and a margin over the tree count', () => {
    const tall = put(slab(), 'tree', 60, 50, { heightMm: 120, crownMm: null });
    expect(fitOf(boxed(tall, {})).breaches).toEqual([]);
    expect(fitOf(boxed(tall, { underMm: 10 })).breaches[0].byMm).toBeCloseTo(6, 3);
    const shy = put(slab(), 'tree', 60, 50, { heightMm: 120, crownMm: null, marginMm: 7 });
    expect(fitOf(boxed(shy, {})).breaches[0]).toMatchObject({ side: 'top' });
  });

  it('a crown over the edge leaves the box at that side; the base itself can be too wide or too deep', () => {
    const wide = put(slab(), 'tree', 5, 50, { heightMm: 60, crownMm: 60 });
    // The box begins 20 mm left of the base; the crown ends 25 mm left of it.
    expect(fitOf(boxed(wide, {})).breaches).toEqual([expect.objectContaining({ side: 'left' })]);
    expect(fitOf(boxed(wide, {})).breaches[0].byMm).toBeCloseTo(5, 6);
    const small = fitOf(boxed(slab(), { widthMm: 190, depthMm: 90 })).breaches;
    expect(small.map(({ name, side, byMm }) => [name, side, Math.round(byMm)])).toEqual([
      ['The base', 'left', 5],
      ['The base', 'right', 5],
      ['The base', 'front', 5],
      ['The base', 'back', 5],
    ]);
  });

  it('stood against the back wall all the room is in front; a frame takes its part of it', () => {
    const at = (backMm: number | null, frame: Project['base']['frame'] = null) =>
      fitOf(boxed({ ...slab(), base: { ...slab().base, frame } }, { backMm })).room;
    expect(at(null)).toMatchObject({ x0: -20, x1: 220, y0: -10, y1: 110, topMm: 144, floorMm: -6 });
    expect(at(0)).toMatchObject({ y0: -20, y1: 100 });
    expect(at(0, { widthMm: 10, heightMm: 10, lapMm: 4 })).toMatchObject({ y0: -14, y1: 106 });
  });

  it('its dressed faces have their areas', () =>
    expect(fitOf(boxed(slab(), { backdrop: true, walls: true })).faces).toEqual([
      { name: 'Backdrop', areaMm2: 240 * 150 },
      { name: 'Left wall', areaMm2: 120 * 150 },
      { name: 'Right wall', areaMm2: 120 * 150 },
    ]));
});

describe('a turntable', () => {
  const turning = (swingMm: number) => ({ ...slab(), envelope: { box: null, swingMm } });

  it('the corner of 200 x 100 swings on a radius of 111.8 mm', () => {
    expect(fitOf(turning(224)).breaches).toEqual([]);
    expect(fitOf(turning(220)).breaches[0]).toMatchObject({ side: 'swing', name: 'The base' });
    expect(fitOf(turning(220)).breaches[0].byMm).toBeCloseTo(Math.hypot(100, 50) - 110, 6);
  });

  it('a crown that overhangs swings wider than the base', () => {
    const tree = put(turning(240), 'tree', 190, 50, { heightMm: 60, crownMm: 80 });
    expect(fitOf(tree).breaches).toEqual([expect.objectContaining({ side: 'swing', byMm: 10 })]);
  });
});

describe('two things', () => {
  it('feet 30 mm apart stand free, crowns of 50 and 30 mm run 10 mm into one another', () => {
    const bare = put(put(slab(), 'tree', 60, 50, { crownMm: null }), 'tree', 90, 50, { crownMm: null });
    expect(fitOf(bare).meetings).toEqual([]);
    const leafy = put(put(slab(), 'tree', 60, 50, { crownMm: 50 }), 'tree', 90, 50, { crownMm: 30 });
    expect(fitOf(leafy).meetings).toHaveLength(1);
    expect(fitOf(leafy).meetings[0].gapMm).toBeCloseTo(-10, 9);
  });

  it('a figure under a crown does not meet it, one as tall as the branches does', () => {
    const under = (heightMm: number) =>
      put(put(slab(), 'tree', 60, 50, { heightMm: 90, crownMm: 60 }), 'figure', 85, 50, { footMm: 10, heightMm });
    expect(fitOf(under(29)).meetings).toEqual([]);
    expect(fitOf(under(32)).meetings).toHaveLength(1);
  });

  it('the larger margin counts, once', () => {
    const two = (marginMm: number) =>
      put(put(slab(), 'figure', 60, 50, { footMm: 20, marginMm }), 'figure', 85, 50, { footMm: 20, marginMm: 2 });
    expect(fitOf(two(5)).meetings).toEqual([]);
    expect(fitOf(two(6)).meetings[0]).toMatchObject({ wantedMm: 6 });
    expect(fitOf(two(6)).meetings[0].gapMm).toBeCloseTo(5, 9);
  });

  it('a figure beside, in and across a building', () => {
    const corners = [
      [100, 20],
      [140, 20],
      [140, 60],
      [100, 60],
    ] as const;
    const house = drawItem(slab(), 'building', corners, 20, { smooth: false, name: 'House' }).project;
    const gap = (x: number) => fitOf(put(house, 'figure', x, 40, { footMm: 20 })).meetings[0]?.gapMm;
    expect(gap(89)).toBeUndefined();
    expect(gap(95)).toBeCloseTo(-5, 6);
    expect(gap(120)).toBeCloseTo(-30, 6);
  });

  it('two buildings meet when their walls do', () => {
    const house = (project: Project, x: number) =>
      drawItem(
        project,
        'building',
        [
          [x, 20],
          [x + 40, 20],
          [x + 40, 60],
          [x, 60],
        ],
        20,
        { smooth: false },
      ).project;
    const gap = (x: number) => fitOf(house(house(slab(), 20), x)).meetings[0]?.gapMm;
    expect(gap(60)).toBeUndefined();
    expect(gap(55)).toBeCloseTo(-5, 3);
  });

  it('who is drawn first, and moving both, changes nothing', () => {
    const place = fc.integer({ min: 20, max: 80 });
    const gaps = (project: Project) => fitOf(project).meetings.map(({ gapMm }) => gapMm.toFixed(6));
    fc.assert(
      fc.property(place, place, fc.integer({ min: 5, max: 60 }), (a, b, crownMm) => {
        const tree = (project: Project, x: number, across: number) => put(project, 'tree', x, 50, { crownMm: across });
        const one = gaps(tree(tree(slab(), a, crownMm), b, 30));
        expect(gaps(tree(tree(slab(), a + 100, crownMm), b + 100, 30))).toEqual(one);
        expect(gaps(tree(tree(slab(), b, 30), a, crownMm))).toEqual(one);
      }),
      { numRuns: 12 },
    );
  });
});
