import { describe, expect, it } from 'vitest';
import {
  catalogueOf,
  forms,
  glueOf,
  hydrationWater,
  materialSchema,
  mixOf,
  noMaterials,
  plasterFreeWater,
  plasterYield,
  shippedCatalogue,
  shippedMaterials,
  toleranceOf,
} from './index.ts';

describe('plaster from stoichiometry', () => {
  // CaSO4.1/2H2O + 3/2 H2O -> CaSO4.2H2O with atomic masses Ca 40.078, S 32.06, O 15.999, H 1.008 (IUPAC, from memory).
  const water = 2 * 1.008 + 15.999;
  const sulfate = 40.078 + 32.06 + 4 * 15.999;

  it('water taken up by 1 kg of powder', () =>
    expect(hydrationWater).toBeCloseTo((1.5 * water) / (sulfate + water / 2), 4));

  it.each([
    [0.6, 0.97],
    [0.65, 1.02],
    [0.7, 1.07],
  ])('yield at water/powder %d is %d L/kg', (ratio, litres) => expect(plasterYield(ratio)).toBeCloseTo(litres, 2));

  it('wet and dry density and free water at 0.65 balance: wet = dry + evaporated', () => {
    const wet = 1.65 / plasterYield(0.65);
    const dry = (1 + hydrationWater) / plasterYield(0.65);
    expect(wet).toBeCloseTo(1.62, 2);
    expect(dry).toBeCloseTo(1.16, 2);
    expect(plasterFreeWater(0.65)).toBeCloseTo(0.455, 2);
    expect(wet - dry).toBeCloseTo(plasterFreeWater(0.65), 9);
  });

  it('the shelf says the same: yield, density wet and dry, and drying water of plaster at 0.65', () => {
    const likely = (property: 'yieldLPerKg' | 'wetKgPerL' | 'dryKgPerL' | 'dryA') =>
      shippedCatalogue.need('plaster', property).likely;
    expect(likely('yieldLPerKg')).toBeCloseTo(plasterYield(0.65), 2);
    expect(likely('wetKgPerL')).toBeCloseTo(1.65 / plasterYield(0.65), 2);
    expect(likely('dryKgPerL')).toBeCloseTo((1 + hydrationWater) / plasterYield(0.65), 2);
    // Evaporated at 0.08 kg/m2h: hours a millimetre.
    expect(likely('dryA')).toBeCloseTo(plasterFreeWater(0.65) / 0.08, 1);
  });

  it('hard casting plaster at 0.35 likewise', () => {
    expect(shippedCatalogue.need('casting plaster', 'yieldLPerKg').likely).toBeCloseTo(plasterYield(0.35), 2);
    expect(shippedCatalogue.need('casting plaster', 'dryKgPerL').likely).toBeCloseTo(
      (1 + hydrationWater) / plasterYield(0.35),
      1,
    );
  });
});

describe('the catalogue', () => {
  it('every material reads back by its schema, ids are one of a kind, and every form is there', () => {
    for (const material of shippedMaterials) {
      const read = materialSchema.safeParse(material);
      expect(read.success, `${material.id}: ${read.error?.message}`).toBe(true);
    }
    expect(new Set(shippedMaterials.map(({ id }) => id)).size).toBe(shippedMaterials.length);
    expect(new Set(shippedMaterials.map(({ form }) => form))).toEqual(new Set(forms));
  });

  it('every range is in order and says where it comes from', () => {
    for (const { id, values } of shippedMaterials)
      for (const [property, { low, likely, high, source }] of Object.entries(values)) {
        expect(low, `${id} ${property}`).toBeLessThanOrEqual(likely);
        expect(likely, `${id} ${property}`).toBeLessThanOrEqual(high);
        expect(source.note.length, `${id} ${property}`).toBeGreaterThan(5);
      }
  });

  it('every paste has what amounts, bowls and drying are worked out from', () => {
    for (const { id } of shippedMaterials.filter(({ form }) => form === 'paste'))
      for (const property of ['mostPerCoatMm', 'workingMin', 'setMin', 'dryA', 'dryB', 'dryKgPerL', 'paceMin'] as const)
        expect(shippedCatalogue.figure(id, property), `${id} ${property}`).not.toBeNull();
  });

  it('pastes lose no more than their own water: dry never heavier than wet', () => {
    for (const { id } of shippedMaterials.filter(({ form }) => form === 'paste')) {
      const wet = shippedCatalogue.need(id, 'wetKgPerL').likely;
      const dry = shippedCatalogue.need(id, 'dryKgPerL').likely;
      expect(dry, id).toBeLessThan(wet);
      // What evaporates, kg/L, over 0.08 kg/m2h is the first-stage drying: within a factor of 1.7 for all of them.
      const water = (wet - dry) / 0.08;
      const a = shippedCatalogue.need(id, 'dryA').likely;
      expect(Math.max(a / water, water / a), id).toBeLessThan(1.7);
    }
  });

  // Common practice, no source.
  it('what the trade goes by: quick filler half and half, hard in 40 minutes; soil covered after two hours; fixative 1:3, seal 1:1', () => {
    const quick = shippedCatalogue.need('quick filler', 'setMin');
    expect(quick).toMatchObject({ likely: 40, source: { kind: 'trade', note: 'common practice, no source' } });
    expect(shippedCatalogue.need('quick filler', 'powderParts').likely).toBe(1);
    expect(shippedCatalogue.need('quick filler', 'workingMin')).toMatchObject({ low: 10, high: 15 });
    const soil = shippedCatalogue.need('soil', 'coatH');
    expect(soil.likely).toBe(2);
    expect(soil.source.note).toContain('common practice, no source');
    expect(mixOf('fixative')?.parts.map(({ parts }) => parts)).toEqual([1, 3]);
    expect(mixOf('seal coat')?.parts.map(({ parts }) => parts)).toEqual([1, 1]);
  });

  it('longer fibres are kept by no less glue', () =>
    expect([2, 4, 6, 12].map((mm) => shippedCatalogue.need(`grass ${mm} mm`, 'glueMl').likely)).toEqual([
      2.5, 3, 4, 5,
    ]));

  it('nothing shipped lacks what its form cannot do without; an own material may, and says what', () => {
    for (const { id } of shippedMaterials) expect(shippedCatalogue.missing(id), id).toEqual([]);
    const paste = shippedMaterials.find(({ id }) => id === 'compound')!;
    const { dryA: _, ...values } = paste.values;
    const half = { ...paste, id: 'half', values };
    const none = { material: 'half', property: 'mostPerCoatMm' as const, low: 0, likely: 0, high: 0, note: '' };
    expect(catalogueOf({ added: [half], values: [] }).missing('half')).toEqual(['dryA']);
    expect(catalogueOf({ added: [half], values: [none] }).missing('half')).toEqual(['mostPerCoatMm', 'dryA']);
    expect(shippedCatalogue.missing('nobody knows it')).toEqual([]);
  });

  it('the builder’s own figure counts, and the shipped one stays beside it', () => {
    const own = {
      added: [],
      values: [{ material: 'acrylic', property: 'spreadM2PerL' as const, low: 7, likely: 8, high: 9, note: 'weighed' }],
    };
    const figure = catalogueOf(own).need('acrylic', 'spreadM2PerL');
    expect(figure).toMatchObject({ low: 7, likely: 8, high: 9, source: { kind: 'yours', note: 'weighed' } });
    expect(figure.shipped).toEqual({ low: 6, likely: 10, high: 15 });
    expect(figure.of).toEqual({ material: 'acrylic', property: 'spreadM2PerL' });
    expect(shippedCatalogue.need('acrylic', 'spreadM2PerL').shipped).toBeUndefined();
  });

  it('an added material counts, but takes no shipped one’s place', () => {
    const sand = { ...shippedMaterials[0], id: 'my sand', name: 'My sand' };
    const catalogue = catalogueOf({ ...noMaterials(), added: [sand, { ...sand, id: 'xps' }] });
    expect(catalogue.material('my sand')?.name).toBe('My sand');
    expect(catalogue.material('xps')?.name).toBe('Dense foam (extruded)');
    expect(catalogue.figure('nothing', 'price')).toBeNull();
    expect(() => catalogue.need('my sand', 'yieldLPerKg')).toThrow('mixed from 1 kg of powder');
  });

  it('a quick rim holds the joint while the slow middle dries', () => {
    const pair = glueOf('quick rim, slow middle', shippedCatalogue);
    expect(pair.clampMinutes.likely).toBe(glueOf('hot glue', shippedCatalogue).clampMinutes.likely);
    expect(pair.drying).toEqual(glueOf('white PVA', shippedCatalogue).drying);
    expect(pair.spreads.reduce((sum, { share }) => sum + share, 0)).toBe(1);
  });

  it('a measured sheet is surer than a sold one, and the builder’s own figure counts before all', () => {
    const either = (mm: number) => ({ minusMm: mm, plusMm: mm });
    expect(toleranceOf('usual', null, 20, true)).toEqual(either(0.2));
    expect(toleranceOf('usual', null, 3, false)).toEqual(either(0.3));
    expect(toleranceOf('usual', null, 20, false)).toEqual(either(2));
    expect(toleranceOf('own', 0.7, 20, true)).toEqual(either(0.7));
  });

  // EN 13164 and EN 13163 thickness classes, from memory; the numbering of EN 13163 turned round in 2012.
  it.each([
    ['EN 13164 T1', 40, 2, 2],
    ['EN 13164 T1', 60, 2, 3],
    ['EN 13164 T1', 140, 2, 6],
    ['EN 13164 T2', 60, 1.5, 1.5],
    ['EN 13164 T3', 60, 1, 1],
    ['EN 13163 T(1)', 50, 1, 1],
    ['EN 13163 T(2)', 50, 2, 2],
    ['EN 13163 T1, before 2012', 50, 2, 2],
    ['EN 13163 T2, before 2012', 50, 1, 1],
  ])('%s at %d mm: -%d / +%d mm', (name, nominalMm, minusMm, plusMm) =>
    expect(toleranceOf(name, null, nominalMm, false)).toEqual({ minusMm, plusMm }),
  );
});
