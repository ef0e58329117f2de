import { describe, expect, it } from 'vitest';
import { boughtAs, catalogueOf, noMaterials, shippedMaterials } from '../materials/index.ts';
import { newCoat, type Project, type Recipe, startProject } from '../project/index.ts';
import { ways } from '../recipes/index.ts';
import { moneyFor, pricesOf } from './money.ts';
import type { StageTakeoff } from './stage.ts';
import { surfaceStages } from './surfaceStages.ts';
import type { WornSurface } from './wornSurface.ts';

const start = startProject('b', '2027-03-01', 'ground');
const catalogue = catalogueOf(noMaterials());

/** A board of 10 dm2 with some steps to fill. */
const surface = (coats: Recipe['coats'], lengthM = 1.2): WornSurface => ({
  id: 'z',
  name: 'zone',
  recipe: { id: 'r', name: 'r', note: '', roughness: 1.2, coats },
  trueMm2: 100_000,
  coatMm2: coats.map(() => 100_000),
  fillMl: 0,
  skinMl: 200,
  depths: [{ mm: 3, areaMm2: 100_000 }],
  lengthM,
  onFoam: true,
});
const steps = (project: Pick<Project, 'materials' | 'recipes' | 'surface' | 'stores'>, coats: Recipe['coats']) =>
  surfaceStages(project, [surface(coats)], 1);
const had = (stages: readonly StageTakeoff[]) =>
  stages
    .flatMap(({ materials }) => materials)
    .flatMap(({ material, amount }) => (material ? [{ material, amount }] : []));

describe('what must be to hand', () => {
  it.each(ways.map((way) => [way.id, way] as const))('%s: every step names it, known and sold in packs', (_, way) => {
    const stages = steps(start, [...way.coats]);
    expect(stages.length).toBeGreaterThan(0);
    for (const stage of stages) {
      const wanted = had([stage]);
      expect(wanted.length, stage.title).toBeGreaterThan(0);
      for (const { material, amount } of wanted) {
        expect(catalogue.material(material)?.packs.length, `${stage.title}: ${material}`).toBeGreaterThan(0);
        expect(amount.likely, `${stage.title}: ${material}`).toBeGreaterThan(0);
      }
    }
  });

  it('a mix is had as its parts, and nothing is counted twice', () => {
    const [seal] = steps(start, [newCoat('s', 'seal', 'seal coat')]);
    const parts = had([seal]);
    expect(parts.map(({ material }) => material)).toEqual(['acrylic', 'matt medium']);
    const whole = seal.materials[0].amount.likely;
    expect(parts.reduce((sum, { amount }) => sum + amount.likely, 0)).toBeCloseTo(whole, 9);
    expect(seal.materials.find(({ material }) => material === 'acrylic')?.which).toBe('black');
  });

  it('powder is had by its weight, not by what is mixed of it; ready paste by its volume', () => {
    const [compound] = steps(start, [newCoat('k', 'skin', 'compound', { thicknessMm: 2 })]);
    expect(had([compound]).map(({ material, amount }) => [material, amount.unit])).toEqual([['compound', 'g']]);
    const [ready] = steps(start, [newCoat('k', 'skin', 'texture paste', { thicknessMm: 2 })]);
    expect(had([ready]).map(({ material, amount }) => [material, amount.unit])).toEqual([['texture paste', 'ml']]);
  });

  it('washes and dry-brushing come out of bottles of paint, an oil wash out of oil paint and thinner', () => {
    const [wash] = steps(start, [newCoat('w', 'wash', 'wash', { colour: 'umber' })]);
    expect(wash.materials[0]).toMatchObject({ material: 'acrylic', which: 'umber' });
    const [oil] = steps(start, [newCoat('w', 'wash', 'oil wash')]);
    expect(had([oil]).map(({ material }) => material)).toEqual(['oil paint', 'thinner']);
    expect(oil.materials.map(({ name }) => name.toLowerCase()).join()).not.toContain('water');
    for (const { id } of shippedMaterials) expect(catalogue.material(boughtAs(id)), id).not.toBeNull();
  });

  it('loose cover needs its mist and all the medium under and over it', () => {
    const [soil] = steps(start, [newCoat('s', 'scatter', 'soil', { colour: 'fine', thicknessMm: 1 })]);
    const of = Object.fromEntries(had([soil]).map(({ material, amount }) => [material, amount.likely]));
    // Ten parts of 100 cm2: glue 2 ml, half of it medium; fixative 5 ml, a quarter of it; mist 1.5 ml.
    expect(of['matt medium']).toBeCloseTo(10 * (2 / 2 + 5 / 4), 9);
    expect(of.alcohol).toBeCloseTo(15, 9);
    expect(soil.materials[0].which).toBe('fine');
  });
});

describe('what it costs', () => {
  const own = (material: string, price: number) => ({
    material,
    property: 'price' as const,
    low: price,
    likely: price,
    high: price,
    note: '',
  });
  const priceWith = (...values: ReturnType<typeof own>[]) => pricesOf({ ...start, materials: { added: [], values } });
  const [soil] = steps(start, [newCoat('s', 'scatter', 'soil', { thicknessMm: 1 })]);

  it('nothing is priced, nothing is said', () => {
    expect(moneyFor(pricesOf(start), soil.materials)).toBeNull();
    expect(soil.money).toBeNull();
  });

  it('kilograms, litres and pieces, as far as they are priced', () => {
    const priced = priceWith(own('soil', 4), own('alcohol', 8), own('tuft', 0.1));
    const grams = soil.materials[0].amount.likely;
    expect(moneyFor(priced, soil.materials)).toBeCloseTo((4 * grams) / 1000 + 8 * 0.015, 9);
    const [tufts] = steps(start, [newCoat('t', 'plant', 'tuft', { per100Cm2: 5 })]);
    expect(moneyFor(priced, tufts.materials)).toBeCloseTo(50 * 0.1, 9);
  });

  it('by the cheapest pack that serves, in its own colour, where the catalogue has no price', () => {
    const pack = (amount: number, price: number | null, which = '') => ({
      id: `${amount} ${which}`,
      material: 'acrylic',
      which,
      amount,
      unit: 'ml' as const,
      price,
      supplier: '',
    });
    const stores = { ...start.stores, packs: [pack(60, 3), pack(120, 4.8), pack(17, null), pack(120, 1, 'black')] };
    const priceOf = pricesOf({ ...start, stores });
    expect(priceOf({ material: 'acrylic', which: 'black' }, 'ml')).toBeCloseTo(1 / 120, 9);
    // A pack without a colour comes in every colour.
    expect(priceOf({ material: 'acrylic', which: 'red' }, 'ml')).toBeCloseTo(0.04, 9);
    expect(priceOf({ material: 'acrylic', which: '' }, 'ml')).toBeCloseTo(0.04, 9);
    expect(priceOf({ material: 'gesso', which: '' }, 'ml')).toBeNull();
  });

  it('panels by the metre, with the glue behind them', () => {
    const priced = priceWith(own('edge panel', 30));
    const [panels] = steps(start, [newCoat('p', 'face', 'edge panel')]);
    expect(moneyFor(priced, panels.materials)).toBeCloseTo(30 * 1.2, 9);
    expect(had([panels]).map(({ material }) => material)).toEqual(['edge panel', 'white PVA']);
  });
});
