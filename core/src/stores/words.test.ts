import { describe, expect, it } from 'vitest';
import type { ShoppingLine } from './shopping.ts';
import { sayBuy, sayKind, sayPurchase, sayQuantity } from './words.ts';

const offer = (amount: number, unit: 'ml' | 'g' | 'each' | 'mm') => ({
  amount,
  unit,
  price: null,
  supplier: '',
  own: false,
});
const purchase = (...of: [number, number, 'ml' | 'g' | 'each' | 'mm'][]) => ({
  of: of.map(([count, amount, unit]) => ({ count, offer: offer(amount, unit) })),
  packs: of.reduce((sum, [count]) => sum + count, 0),
  amount: 0,
  cost: null,
});

describe('packs and amounts in words', () => {
  it.each([
    [250, 'ml', 'metric', '250 ml'],
    [1200, 'g', 'metric', '1.2 kg'],
    [1000, 'mm', 'metric', '1000 mm'],
    [11.2, 'each', 'metric', '12'],
    [3, 'each', 'imperial', '3'],
  ] as const)('%d %s, %s: %s', (value, unit, system, words) => expect(sayQuantity(value, unit, system)).toBe(words));

  it('inches and ounces where they are used', () => {
    expect(sayQuantity(453.6, 'g', 'imperial')).toMatch(/lb|oz/);
    expect(sayQuantity(254, 'mm', 'imperial')).toContain('in');
  });

  it('a purchase: packs by their size, pieces by packs of so many', () => {
    expect(sayPurchase(purchase([1, 60, 'ml'], [2, 17, 'ml']), 'metric')).toBe('1 x 60 ml + 2 x 17 ml');
    expect(sayPurchase(purchase([3, 1, 'each']), 'metric')).toBe('3');
    expect(sayPurchase(purchase([2, 50, 'each']), 'metric')).toBe('2 x pack of 50');
  });

  it('what to buy: packs, the bare amount where none is known, nothing where all is there', () => {
    const line = (short: number, buy: ShoppingLine['buy']) => ({ short, buy, unit: 'g' }) as ShoppingLine;
    expect(sayBuy(line(40, purchase([1, 500, 'g'])), 'metric')).toBe('1 x 500 g');
    expect(sayBuy(line(40, null), 'metric')).toBe('40 g');
    expect(sayBuy(line(0, null), 'metric')).toBe('');
  });

  it('a material with its colour', () => {
    expect(sayKind({ name: 'Acrylic paint, brushed', which: 'black' })).toBe('Acrylic paint, brushed: black');
    expect(sayKind({ name: 'Gesso', which: '' })).toBe('Gesso');
  });
});
