import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Point, ringArea } from '../../geometry/index.ts';
import {
  changeItem,
  copyItems,
  drawItem,
  findItem,
  type ItemKind,
  itemsOf,
  mirrorItems,
  type Project,
  raiseItem,
  removeItems,
  reorderItem,
  shiftItems,
  startProject,
  turnItems,
} from '../index.ts';

const pond: Point[] = [
  [40, 40],
  [90, 42],
  [70, 80],
];
/** A project with one thing of each way of being drawn. */
function several(): { project: Project; ids: string[] } {
  let project = startProject('edits', '2027-03-01', 'ground');
  const ids: string[] = [];
  const draw = (kind: ItemKind, points: readonly Point[], change: object = {}) => {
    const drawn = drawItem(project, kind, points, 20, change);
    project = drawn.project;
    ids.push(drawn.id);
  };
  draw('contour', pond, { closed: true });
  draw('spot', [[120, 30]]);
  draw('break', [
    [10, 10],
    [10, 90],
  ]);
  draw('way', [
    [0, 100],
    [150, 120],
  ]);
  draw('cliff', [
    [20, 150],
    [140, 160],
  ]);
  draw('basin', pond);
  draw('rock', pond);
  return { project, ids };
}
const { project, ids } = several();
const pointsOf = (from: Project) => itemsOf(from).map((item) => item.points);
const near = (a: Project, b: Project) =>
  pointsOf(a).forEach((points, k) => {
    points.forEach((point, p) => {
      // Places are kept to a hundredth of a millimetre.
      expect(Math.hypot(point[0] - pointsOf(b)[k][p][0], point[1] - pointsOf(b)[k][p][1])).toBeLessThan(0.04);
    });
  });

describe('several things at once', () => {
  it('shifted there and back, mirrored twice, turned by quarters all round: as they were', () => {
    expect(shiftItems(shiftItems(project, ids, [12.5, -3]), ids, [-12.5, 3])).toEqual(project);
    expect(mirrorItems(mirrorItems(project, ids, 77), ids, 77)).toEqual(project);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 359 }), (degrees) => {
        near(turnItems(turnItems(project, ids, [80, 60], degrees), ids, [80, 60], -degrees), project);
      }),
    );
    let round = project;
    for (let k = 0; k < 4; k++) round = turnItems(round, ids, [60, 60], 90);
    near(round, project);
  });

  it('a turn keeps areas, a mirror turns their sense; a quarter turn goes against the clock', () => {
    const area = (from: Project) => ringArea(findItem(from, ids[0])?.points ?? []);
    expect(area(turnItems(project, ids, [0, 0], 30))).toBeCloseTo(area(project), 0);
    expect(area(mirrorItems(project, ids, 0))).toBeCloseTo(-area(project), 6);
    expect(findItem(turnItems(project, ids, [100, 30], 90), ids[1])?.points).toEqual([[100, 50]]);
  });

  it('a mirrored cliff or break still has its top on the same side: its line runs the other way', () => {
    const mirrored = mirrorItems(project, ids, 80);
    expect(findItem(mirrored, ids[2])?.points).toEqual([
      [150, 90],
      [150, 10],
    ]);
    expect(findItem(mirrored, ids[4])?.points[0]).toEqual([20, 160]);
    // A road has no sides while it has no crossfall: it keeps the way it was drawn, and its ends their heights.
    expect(findItem(mirrored, ids[3])?.points[0]).toEqual([160, 100]);
    const tilted = changeItem(project, ids[3], { crossfallPercent: 3, fromMm: 10, toMm: 30 });
    expect(findItem(mirrorItems(tilted, ids, 80), ids[3])).toMatchObject({ fromMm: 30, toMm: 10 });
  });

  it('copies have ids and names of their own, and leave what they were taken from', () => {
    const copied = copyItems(project, ids, [5, 5]);
    expect(new Set(itemsOf(copied.project).map(({ id }) => id)).size).toBe(2 * ids.length);
    expect(copied.ids).toHaveLength(ids.length);
    expect(findItem(copied.project, copied.ids[1])).toMatchObject({ name: 'Spot height 2, copy', points: [[125, 35]] });
    for (const id of ids) expect(findItem(copied.project, id)).toEqual(findItem(project, id));
    expect(removeItems(copied.project, copied.ids)).toEqual(project);
  });

  it('what is locked stays where it is; its copy does not', () => {
    const locked = changeItem(project, ids[0], { locked: true });
    expect(findItem(shiftItems(locked, ids, [9, 9]), ids[0])?.points).toEqual(pond);
    expect(findItem(turnItems(locked, ids, [0, 0], 45), ids[0])?.points).toEqual(pond);
    expect(findItem(copyItems(locked, [ids[0]], [1, 1]).project, 'contour-8')).toMatchObject({ locked: false });
  });
});

describe('one thing', () => {
  it('is built earlier or later, within its list', () => {
    const order = (from: Project) => from.landforms.map(({ kind }) => kind);
    expect(order(project)).toEqual(['way', 'cliff', 'basin']);
    expect(order(reorderItem(project, ids[5], -2))).toEqual(['basin', 'way', 'cliff']);
    expect(order(reorderItem(project, ids[3], 1))).toEqual(['cliff', 'way', 'basin']);
    expect(order(reorderItem(project, ids[3], -1))).toEqual(order(project));
    expect(reorderItem(project, ids[6], -1).landforms).toBe(project.landforms);
  });

  it('is raised by what makes its height: both ends of a road, top and foot of a cliff, the water of a pond', () => {
    const raised = (id: string) => findItem(raiseItem(project, id, 5), id) as unknown as Record<string, number | null>;
    const was = (id: string) => findItem(project, id) as unknown as Record<string, number>;
    expect(raised(ids[0]).heightMm).toBe(was(ids[0]).heightMm + 5);
    expect(raised(ids[4])).toMatchObject({ topMm: was(ids[4]).topMm + 5, footMm: was(ids[4]).footMm + 5 });
    expect(raised(ids[5]).waterMm).toBe(was(ids[5]).waterMm + 5);
  });

  it('an unknown id changes nothing', () => {
    expect(shiftItems(project, ['nobody'], [3, 3])).toEqual(project);
    expect(reorderItem(project, 'nobody', 1)).toEqual(project);
    expect(copyItems(project, ['nobody'], [1, 1]).ids).toEqual([]);
  });
});
