import { describe, expect, it } from 'vitest';
import type { PackUnit } from '../materials/index.ts';
import { type Project, type StoreItem, startProject } from '../project/index.ts';
import type { StageTakeoff } from '../takeoff/index.ts';
import { uniformFrom } from '../units/index.ts';
import { needsOf } from './needs.ts';
import { enoughOf, shoppingOf } from './shopping.ts';

const start = startProject('s', '2027-03-01', 'ground');

/** A step that needs some of something; `line` is low, likely, high. */
const step = (id: string, ...lines: [string, string, PackUnit, number, number, number][]): StageTakeoff => ({
  id,
  stage: 'colour',
  operation: 'paint',
  title: `Step ${id}`,
  zones: [],
  areaMm2: 0,
  materials: lines.map(([material, which, unit, low, likely, high]) => ({
    name: material,
    material,
    ...(which && { which }),
    amount: { low, likely, high, unit, working: { expression: 'given', inputs: [], coefficients: [] } },
  })),
  handsOn: { low: 1, likely: 1, high: 1, unit: 'min', working: { expression: 'given', inputs: [], coefficients: [] } },
  batches: null,
  coats: 1,
  coatWord: 'coat',
  drying: { kind: 'none' },
  after: [],
  dryG: { low: 0, likely: 0, high: 0 },
  money: null,
  note: '',
  cautions: [],
});
const jar = (material: string, amount: number, more: Partial<StoreItem> = {}): StoreItem => ({
  id: `${material} ${amount}`,
  material,
  which: '',
  amount,
  unit: 'ml',
  opened: null,
  useBy: null,
  place: '',
  ...more,
});
const stocked = (items: StoreItem[], more: Partial<Project['stores']> = {}): Project => ({
  ...start,
  stores: { ...start.stores, items, ...more },
});
const list = (project: Project, ...steps: StageTakeoff[]) =>
  shoppingOf(
    project,
    needsOf(project, steps, () => '2027-03-20'),
  );
const needed = (project: Project, steps: StageTakeoff[]) => needsOf(project, steps, () => '2027-03-20');

describe('what is needed', () => {
  it('one material in one colour is one line, whatever steps need it; another colour is another', () => {
    const needs = needed(start, [
      step('a', ['acrylic', 'black', 'ml', 8, 10, 13]),
      step('b', ['acrylic', 'Black', 'ml', 4, 5, 7], ['acrylic', 'ochre', 'ml', 2, 3, 6]),
    ]);
    expect(needs.map(({ which, amount }) => [which, amount.likely])).toEqual([
      ['black', 15],
      ['ochre', 3],
    ]);
    expect(needs[0].steps.map(({ id }) => id)).toEqual(['a', 'b']);
    // Root sum of squares upward: 3 and 2.
    expect(needs[0].amount.high).toBeCloseTo(15 + Math.hypot(3, 2), 9);
  });

  it('weight and volume of one material come together by its density', () => {
    const needs = needed(start, [
      step('a', ['white PVA', '', 'g', 108, 108, 108]),
      step('b', ['white PVA', '', 'ml', 50, 50, 50]),
    ]);
    expect(needs).toHaveLength(1);
    expect(needs[0].amount.likely).toBeCloseTo(108 + 50 * 1.08, 9);
  });

  it('powder by the litre is powder, not what is mixed of it; a step that is done needs nothing more', () => {
    const needs = needed(start, [
      step('a', ['compound', '', 'g', 65, 65, 65]),
      step('b', ['compound', '', 'ml', 100, 100, 100]),
    ]);
    expect(needs[0].amount.likely).toBeCloseTo(65 + 65, 9);
    const done = { tile: start.tile.id, step: 'a', title: 'Step a', on: '2027-03-02', used: [], taken: [] };
    expect(needed(stocked([], { done: [done] }), [step('a', ['compound', '', 'g', 65, 65, 65])])).toEqual([]);
  });

  it('cutting needs its board', () => {
    const [board] = needed(start, [{ ...step('cut'), id: 'cut' }]);
    expect(board).toMatchObject({ material: 'fibreboard', which: '6 mm', unit: 'each', amount: { likely: 1 } });
  });
});

describe('what to buy', () => {
  const paint = step('a', ['acrylic', 'black', 'ml', 30, 40, 60]);

  it('needed at the safety asked for, less what is there, in whole packs, with what is over', () => {
    const project = stocked([jar('acrylic', 25, { which: 'black' })], { safety: 95 });
    const [line] = list(project, paint);
    expect(line).toMatchObject({ likely: 40, inStock: 25 });
    expect(line.wanted).toBeCloseTo(60, 3);
    expect(line.short).toBeCloseTo(35, 3);
    // 17, 60 and 120 ml are usual: three small ones leave least over, 51 against 60.
    expect(line.buy?.of.map(({ offer, count }) => [offer.amount, count])).toEqual([[17, 3]]);
    expect(line.left).toBeCloseTo(25 + 51 - 40, 9);
  });

  it('paint of another colour is of no use; stuff without a grade is', () => {
    expect(list(stocked([jar('acrylic', 500, { which: 'red' }), jar('acrylic', 500)]), paint)[0].inStock).toBe(0);
    const soil = step('s', ['soil', 'fine', 'g', 80, 100, 130]);
    expect(list(stocked([jar('soil', 500, { unit: 'g' })]), soil)[0]).toMatchObject({
      inStock: 500,
      short: 0,
      buy: null,
    });
  });

  it('one jar is not promised to two needs', () => {
    const [coarse, fine] = list(
      stocked([jar('soil', 120, { unit: 'g' })], { safety: 50 }),
      step('s', ['soil', 'coarse', 'g', 100, 100, 100], ['soil', 'fine', 'g', 50, 50, 50]),
    );
    expect(coarse.short).toBe(0);
    expect(fine.inStock).toBeCloseTo(20, 9);
    expect(fine.short).toBeCloseTo(30, 9);
  });

  it('what is past its date on the day does not count, and is told', () => {
    const old = jar('acrylic', 100, { which: 'black', useBy: '2027-03-19' });
    expect(list(stocked([old]), paint)[0]).toMatchObject({ inStock: 0, pastDate: 100 });
    expect(list(stocked([{ ...old, useBy: '2027-03-20' }]), paint)[0]).toMatchObject({ inStock: 100, pastDate: 0 });
  });

  it('the builder’s packs and prices decide; usual sizes without a price are left aside then', () => {
    const offer = (amount: number, price: number) => ({
      id: `${amount}`,
      material: 'acrylic',
      which: '',
      amount,
      unit: 'ml' as const,
      price,
      supplier: 'the corner shop',
    });
    const [line] = list(stocked([], { packs: [offer(60, 3), offer(120, 7)], safety: 95 }), paint);
    expect(line.buy).toMatchObject({ cost: 3, packs: 1, of: [{ count: 1, offer: { supplier: 'the corner shop' } }] });
    expect(line.others.map(({ cost }) => cost)).toEqual([7]);
  });

  it('nothing needed is left out: what no pack is known for is in the list with its amount', () => {
    const project = {
      ...start,
      materials: {
        added: [
          { id: 'mine', name: 'Mine', form: 'thin' as const, values: {}, facts: [], use: '', caution: '', packs: [] },
        ],
        values: [],
      },
    };
    const lines = list(project, paint, step('m', ['mine', '', 'ml', 5, 6, 8], ['nobody knows it', '', 'g', 1, 2, 3]));
    expect(lines.map(({ name }) => name)).toEqual(['Acrylic paint, brushed', 'Mine', 'nobody knows it']);
    expect(lines[1]).toMatchObject({ buy: null, likely: 6 });
    expect(lines[1].short).toBeGreaterThan(6);
  });
});

describe('safety', () => {
  // Each step's amount drawn apart: half of a normal distribution below the likely value, half above, low and high one in twenty.
  it.each([80, 90, 95] as const)('of %d percent is enough in so many of 40,000 draws with a fixed seed', (safety) => {
    const steps = [
      step('a', ['acrylic', 'black', 'ml', 8, 10, 14]),
      step('b', ['acrylic', 'black', 'ml', 18, 20, 26]),
      step('c', ['acrylic', 'black', 'ml', 3, 4, 7]),
    ];
    const [need] = needed(start, steps);
    const enough = enoughOf(need.parts, safety);
    const uniform = uniformFrom(7);
    const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
    const draw = ({ low, likely, high }: { low: number; likely: number; high: number }) => {
      const z = normal();
      return likely + (z * (z > 0 ? high - likely : likely - low)) / 1.6449;
    };
    let kept = 0;
    const runs = 40_000;
    for (let run = 0; run < runs; run++) {
      const used = steps.reduce((sum, { materials: [{ amount }] }) => sum + draw(amount), 0);
      if (used <= enough) kept++;
    }
    expect(Math.abs((100 * kept) / runs - safety)).toBeLessThan(2);
  });

  it('more safety is never less; half is the likely amount', () => {
    const range = { low: 8, likely: 10, high: 15 };
    expect(enoughOf([range], 50)).toBe(10);
    expect(enoughOf([range], 80)).toBeGreaterThan(10);
    expect(enoughOf([range], 90)).toBeGreaterThan(enoughOf([range], 80));
    expect(enoughOf([range], 95)).toBeCloseTo(15, 3);
    // Two of which each may be much more: half of the time more than twice the likely amount is needed.
    expect(enoughOf([range, range], 50)).toBeGreaterThan(20);
  });
});
