import { describe, expect, it } from 'vitest';
import type { StoreItem } from '../schemas/storesSchema.ts';
import { startProject } from '../start.ts';
import {
  doneHere,
  markDone,
  markUndone,
  overrule,
  overruledBy,
  putPack,
  putStoreItem,
  removePack,
  removeStoreItem,
} from './storesEdits.ts';

const start = startProject('s', '2027-03-01', 'ground');
const jar = (id: string, amount: number, more: Partial<StoreItem> = {}): StoreItem => ({
  id,
  material: 'gesso',
  which: '',
  amount,
  unit: 'ml',
  opened: null,
  useBy: null,
  place: 'cupboard',
  ...more,
});
const withJars = (...jars: StoreItem[]) => jars.reduce(putStoreItem, start);
const used = (amount: number, unit: 'ml' | 'g' = 'ml', material = 'gesso', which = '') => ({
  step: 'seal',
  title: 'Seal',
  on: '2027-03-05',
  used: [{ material, which, amount, unit }],
});
const left = (project: ReturnType<typeof markDone>) => project.stores.items.map(({ amount }) => amount);

describe('the cupboard', () => {
  it('things are put in, changed and taken out', () => {
    const two = withJars(jar('a', 100), jar('b', 50));
    expect(putStoreItem(two, jar('a', 80)).stores.items.map(({ id, amount }) => [id, amount])).toEqual([
      ['a', 80],
      ['b', 50],
    ]);
    expect(removeStoreItem(two, 'a').stores.items.map(({ id }) => id)).toEqual(['b']);
  });

  it('packs are noted and forgotten', () => {
    const pack = { id: 'p', material: 'gesso', which: '', amount: 250, unit: 'ml' as const, price: 6, supplier: '' };
    const noted = putPack(start, pack);
    expect(noted.stores.packs).toEqual([pack]);
    expect(removePack(noted, 'p').stores.packs).toEqual([]);
  });
});

describe('a step that is done', () => {
  it('takes what it used from what is open longest, then from what is past soonest', () => {
    const jars = withJars(
      jar('new', 200),
      jar('soon', 200, { useBy: '2027-06-01' }),
      jar('open', 30, { opened: '2027-02-01' }),
      jar('older', 20, { opened: '2026-11-01' }),
    );
    const done = markDone(jars, used(100));
    expect(left(done)).toEqual([200, 150, 0, 0]);
    expect(done.stores.done[0].taken).toEqual([
      { item: 'older', amount: 20 },
      { item: 'open', amount: 30 },
      { item: 'soon', amount: 50 },
    ]);
  });

  it('taken back, everything is as it was; marked again, it is not taken twice', () => {
    const jars = withJars(jar('a', 100));
    const done = markDone(jars, used(40));
    expect(left(markDone(done, used(60)))).toEqual([40]);
    expect(markUndone(done, 'seal')).toEqual(jars);
    expect(markUndone(jars, 'seal')).toBe(jars);
  });

  it('more than there is leaves nothing, and never less than nothing', () =>
    expect(left(markDone(withJars(jar('a', 30)), used(100)))).toEqual([0]));

  it('weighed out of a jar that is measured by volume', () => {
    const pva = withJars(jar('a', 500, { material: 'white PVA' }));
    expect(left(markDone(pva, used(108, 'g', 'white PVA')))[0]).toBeCloseTo(400, 9);
  });

  it('each tile of a set has steps of its own', () => {
    const jars = withJars(jar('a', 100));
    const done = markDone(jars, used(40));
    const other = { ...done, tile: { ...done.tile, id: 'tile-2' } };
    expect(doneHere(done)).toHaveLength(1);
    expect(doneHere(other)).toEqual([]);
    const both = markDone(other, used(30));
    expect(left(both)).toEqual([30]);
    expect(markUndone(both, 'seal').stores.done).toEqual(done.stores.done);
    expect(left(markUndone(both, 'seal'))).toEqual([60]);
  });

  it('other colours and other materials are left alone', () => {
    const paints = withJars(
      jar('r', 60, { material: 'acrylic', which: 'red' }),
      jar('b', 60, { material: 'acrylic', which: 'black' }),
    );
    expect(left(markDone(paints, used(10, 'ml', 'acrylic', 'Black')))).toEqual([60, 50]);
    expect(left(markDone(paints, used(10, 'ml', 'gesso')))).toEqual([60, 60]);
  });
});

describe('a finding overruled', () => {
  const finding = { code: 'grass-after-stones', place: 'Meadow' };

  it('is kept with its note, changed, and taken back', () => {
    const once = overrule(start, finding, 'glued stones, no loose ones');
    expect(overruledBy(once, finding)).toBe('glued stones, no loose ones');
    expect(overruledBy(once, { ...finding, place: 'Bank' })).toBeNull();
    const twice = overrule(once, finding, 'still so');
    expect(twice.overruled).toEqual([{ ...finding, note: 'still so' }]);
    expect(overrule(twice, finding, null).overruled).toEqual([]);
  });
});
