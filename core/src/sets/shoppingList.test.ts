import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  addTile,
  type Count,
  createSetLister,
  markDone,
  openTile,
  type Project,
  plan,
  putStoreItem,
  readProject,
  type SetProgress,
  type ShoppingList,
  startProject,
  tilesOf,
  wholeList,
} from '../index.ts';

const read = readProject(readFileSync(new URL('../../../samples/tarrow-moor.hosket.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(read.fault.message);
const moor = read.value;

const line = ({ shopping }: ShoppingList, material: string, which = '') =>
  shopping.find((one) => one.material === material && one.which === which);
const sheet = (project: Project): Project['sheets'][number] => ({ ...project.sheets[0], grain: false, buyable: true });

/** A small block of foam, 20 mm high; so many tiles like it. */
function blocks(count: number, change: (project: Project) => Project = (project) => project): Project {
  const start = startProject('Blocks', '2027-03-01', 'ground');
  const base = { ...start.base, shape: { kind: 'rectangle' as const, widthMm: 100, depthMm: 100 } };
  const one: Project = change({
    ...start,
    base,
    sheets: [{ ...sheet(start), nominalMm: 20, measuredMm: null, widthMm: 250, depthMm: 120, count: 0 }],
    sections: [{ id: 'A', name: 'A', from: [0, 50], to: [100, 50] }],
    marks: [
      {
        kind: 'contour',
        id: 'top',
        name: 'Top',
        heightMm: 24,
        hidden: false,
        locked: false,
        smooth: false,
        closed: true,
        level: true,
        points: [
          [10, 10],
          [90, 10],
          [90, 90],
          [10, 90],
        ],
      },
    ],
  });
  let all = one;
  for (let k = 1; k < count; k++) ({ project: all } = addTile(all, false));
  return all;
}
const toEnd = (run: Generator<SetProgress, ShoppingList>): { seen: SetProgress[]; list: ShoppingList } => {
  const seen: SetProgress[] = [];
  for (;;) {
    const step = run.next();
    if (step.done) return { seen, list: step.value };
    seen.push(step.value);
  }
};
/** Remembers what tests have in common. */
const shared = createSetLister();
const listOf = (project: Project) => toEnd(shared.run(project)).list;

describe('the shopping list of a set', () => {
  const list = listOf(moor);
  const alone = tilesOf(moor).map(({ id }) => plan(openTile(moor, id)).report);

  it('leaves nothing out: whatever any tile needs is on it, in the sum of what the tiles need', () => {
    expect(list.tiles).toEqual(tilesOf(moor).map(({ name }) => name));
    const kinds = new Set(
      alone.flatMap(({ shopping }) => shopping.map(({ material, which }) => `${material}/${which}`)),
    );
    expect(new Set(list.shopping.map(({ material, which }) => `${material}/${which}`))).toEqual(kinds);
    // What goes on the ground does not depend on the foam under it.
    const grass = alone.map(({ shopping }) => shopping.find(({ material }) => material === 'grass glue')?.likely ?? 0);
    expect(grass.every((ml) => ml > 0)).toBe(true);
    expect(line(list, 'grass glue')?.likely).toBeCloseTo(
      grass.reduce((sum, ml) => sum + ml, 0),
      6,
    );
  });

  it('a board for each tile; sheets for each, none of them counted twice', () => {
    expect(line(list, moor.base.board.material, `${moor.base.board.thicknessMm} mm`)?.wanted).toBe(3);
    for (const { sheetId, there } of list.sheets)
      expect(there).toBeLessThanOrEqual(moor.sheets.find(({ id }) => id === sheetId)?.count ?? 0);
    expect(list.sheets.reduce((sum, { needed }) => sum + needed, 0)).toBeGreaterThanOrEqual(2);
  });

  it('is the same whichever tile lies open', () => {
    const [, other] = tilesOf(moor);
    const there = openTile(moor, other.id);
    expect(wholeList(there, plan(there).report)).toEqual(list);
  });

  it('a file of one tile has the list of its plan', () => {
    const one = blocks(1);
    const { report } = plan(one);
    expect(wholeList(one, report).shopping).toBe(report.shopping);
  });

  it('the same step on several tiles errs alike: three equal tiles need three times the low, likely and high', () => {
    const one = line(listOf(blocks(1)), 'compound');
    const three = line(listOf(blocks(3)), 'compound');
    for (const end of ['low', 'likely', 'high'] as const)
      expect(three?.amount[end]).toBeCloseTo(3 * (one?.amount[end] ?? 0), 6);
    expect(three?.steps.map(({ id }) => id)).toEqual(one?.steps.map(({ id }) => id));
  });
});

describe('foam for a set', () => {
  it('what one tile leaves of a sheet serves the next: two blocks from one sheet, the third from another', () => {
    expect(listOf(blocks(1)).sheets).toMatchObject([{ needed: 1, toBuy: 1 }]);
    expect(listOf(blocks(2)).sheets).toMatchObject([{ needed: 1, toBuy: 1 }]);
    expect(listOf(blocks(3)).sheets).toMatchObject([{ needed: 2, toBuy: 2 }]);
  });

  it('a tile for which no foam is left is named, with what is missing', () => {
    const scarce = blocks(3, (project) => ({
      ...project,
      sheets: project.sheets.map((one) => ({ ...one, count: 1, buyable: false })),
    }));
    const { gaps, sheets } = listOf(scarce);
    expect(sheets).toMatchObject([{ needed: 1, there: 1, toBuy: 0 }]);
    expect([...new Set(gaps.map(({ tile }) => tile))]).toEqual(['Tile 3']);
    expect(gaps[0].remedy).toContain('Add sheets');
    expect(listOf(blocks(3)).gaps).toEqual([]);
  });

  it('a tile whose foam is cut takes none, and no longer stands in the way of others', () => {
    const cut = (project: Project) => markDone(project, { step: 'cut', title: 'Cut', on: '2027-03-02', used: [] });
    expect(listOf(cut(blocks(2))).sheets).toMatchObject([{ needed: 1 }]);
    const [, second] = tilesOf(blocks(2));
    expect(listOf(cut(openTile(cut(blocks(2)), second.id))).sheets).toEqual([]);
  });
});

describe('what is done and what is counted', () => {
  const smoke: Count = { kind: 'fill', id: 'smoke', name: 'Smoke', volumeMl: 200 };
  const counted = { ...blocks(3), counts: [smoke] };
  const fibre = (project: Project) => listOf(project).shopping.find(({ steps }) => steps[0].id === 'count-smoke');

  it('what is counted without being drawn comes once, and is done once, whichever tile lies open', () => {
    const { report } = plan(counted);
    const one = report.shopping.find(({ steps }) => steps[0].id === 'count-smoke');
    expect(fibre(counted)?.likely).toBeCloseTo(one?.likely ?? 0, 9);
    const there = openTile(counted, 'tile-2');
    expect(fibre(markDone(there, { step: 'count-smoke', title: 'Smoke', on: '2027-03-02', used: [] }))).toBeUndefined();
  });

  it('a step that is done on one tile is still to do on the others', () => {
    const two = blocks(2);
    const skin = plan(two).report.takeoff.find(({ stage }) => stage === 'skin')?.id ?? '';
    const before = line(listOf(two), 'compound')?.likely ?? 0;
    const done = markDone(two, { step: skin, title: 'Skin', on: '2027-03-02', used: [] });
    expect(line(listOf(done), 'compound')?.likely).toBeCloseTo(before / 2, 6);
  });

  it('the cupboard counts for all tiles together', () => {
    const two = blocks(2);
    const { wanted = 0 } = line(listOf(two), 'compound') ?? {};
    const item = { id: 'a', material: 'compound', which: '', unit: 'g' as const, opened: null, useBy: null, place: '' };
    const half = line(listOf(putStoreItem(two, { ...item, amount: wanted / 2 })), 'compound');
    expect(half?.short).toBeCloseTo(wanted / 2, 6);
  });
});

describe('a lister that has seen the set before', () => {
  const lister = createSetLister();
  const three = blocks(3);
  const first = toEnd(lister.run(three));

  it('says which tile it is at', () => {
    expect(first.seen[0]).toEqual({ at: 1, of: 3, name: 'Tile 1' });
    expect([...new Set(first.seen.map(({ at }) => at))]).toEqual([1, 2, 3]);
  });

  it('works nothing out again for a jar in the cupboard, only the changed tile for a change of one', () => {
    const item = { id: 'a', material: 'compound', which: '', unit: 'g' as const, opened: null, useBy: null, place: '' };
    const stocked = toEnd(lister.run(putStoreItem(three, { ...item, amount: 10 })));
    expect(stocked.seen).toEqual([]);
    expect(line(stocked.list, 'compound')?.inStock).toBe(10);
    const last = openTile(three, 'tile-3');
    const raised = { ...last, laid: [], rows: [], sections: [{ ...last.sections[0], name: 'B' }] };
    const again = toEnd(lister.run(raised));
    expect([...new Set(again.seen.map(({ at }) => at))]).toEqual([3]);
    expect(again.list).toEqual(first.list);
  });

  it('forgets a tile that is taken out', () => {
    const { list, seen } = toEnd(lister.run({ ...three, tiles: three.tiles.slice(0, 1) }));
    expect(seen).toEqual([]);
    expect(list.tiles).toEqual(['Tile 1', 'Tile 2']);
  });
});
