import { type ShoppingLine, type StoreItem, startProject } from '@hosket/core';
import { describe, expect, it } from 'vitest';
import { storeRows } from './rows.ts';

const start = startProject('r', '2027-03-01', 'ground');
const line = (material: string, which: string, short: number): ShoppingLine => ({
  material,
  which,
  name: material,
  unit: 'ml',
  amount: { low: 1, likely: 2, high: 3 },
  parts: [],
  steps: [],
  likely: 2,
  wanted: 3,
  inStock: 0,
  pastDate: 0,
  short,
  buy: null,
  others: [],
  left: 0,
});
const jar = (id: string, material: string, which = ''): StoreItem => ({
  id,
  material,
  which,
  amount: 10,
  unit: 'ml',
  opened: null,
  useBy: null,
  place: '',
});
const rows = (items: StoreItem[], ...shopping: ShoppingLine[]) =>
  storeRows({ ...start, stores: { ...start.stores, items } }, shopping);

describe('the table of stores', () => {
  it('a need without a jar, one with two, and a jar that nobody needs', () => {
    const table = rows(
      [jar('1', 'gesso'), jar('2', 'gesso'), jar('3', 'sealant')],
      line('acrylic', 'black', 5),
      line('gesso', '', 0),
    );
    expect(table.map(({ key, state }) => [key, state])).toEqual([
      ['acrylic black', 'to buy'],
      ['1', 'in the cupboard'],
      ['2', 'in the cupboard'],
      ['3', 'not needed'],
    ]);
    // Figures of a need stand once.
    expect(table.map((row) => row.line !== null)).toEqual([true, true, false, false]);
    expect(table[3].name).toBe('Silicone sealant, clear');
  });

  it('paint serves its own colour only, and one jar stands once', () => {
    const table = rows([jar('r', 'acrylic', 'red')], line('acrylic', 'black', 5), line('acrylic', 'red', 0));
    expect(table.map(({ key }) => key)).toEqual(['acrylic black', 'r']);
  });
});
