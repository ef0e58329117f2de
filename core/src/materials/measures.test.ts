import { describe, expect, it } from 'vitest';
import { boughtAs, thinningOf } from './buying.ts';
import { catalogueOf, noMaterials, shippedMaterials } from './catalogue.ts';
import { inUnit, offeredAs, servesFor } from './measures.ts';

const catalogue = catalogueOf(noMaterials());

describe('an amount in another unit', () => {
  it('by the density of the material as it is sold', () => {
    expect(inUnit(100, 'ml', 'g', 'white PVA', catalogue)).toBeCloseTo(108, 9);
    expect(inUnit(108, 'g', 'ml', 'white PVA', catalogue)).toBeCloseTo(100, 9);
    // Loose, as turf is sold by the tub.
    expect(inUnit(350, 'ml', 'g', 'fine turf', catalogue)).toBeCloseTo(350 * 0.11, 9);
    // Powder, not what is mixed from it.
    expect(inUnit(1000, 'ml', 'g', 'plaster', catalogue)).toBeCloseTo(900, 9);
  });

  it('there and back is where it was, for everything that is weighed or measured', () => {
    for (const { id } of shippedMaterials) {
      const grams = inUnit(250, 'ml', 'g', id, catalogue) ?? 0;
      expect(grams, id).toBeGreaterThan(0);
      expect(inUnit(grams, 'g', 'ml', id, catalogue), id).toBeCloseTo(250, 9);
    }
  });

  it('the same unit is left alone, also of what nobody knows; pieces are no volume', () => {
    expect(inUnit(7, 'each', 'each', 'nobody knows it', catalogue)).toBe(7);
    expect(inUnit(7, 'each', 'ml', 'tuft', catalogue)).toBeNull();
    expect(inUnit(7, 'mm', 'g', 'running rail', catalogue)).toBeNull();
  });
});

describe('what serves for what', () => {
  const kind = (material: string, which = '') => ({ material, which });

  it.each([
    ['acrylic', 'black', 'acrylic', 'black', true],
    ['acrylic', ' Black ', 'acrylic', 'black', true],
    ['acrylic', 'red', 'acrylic', 'black', false],
    ['acrylic', '', 'acrylic', 'black', false],
    ['soil', '', 'soil', 'fine', true],
    ['soil', 'coarse', 'soil', 'fine', false],
    ['gesso', '', 'matt medium', '', false],
  ])('%s "%s" in the cupboard for %s "%s": %s', (material, which, wanted, of, does) =>
    expect(servesFor(kind(material, which), kind(wanted, of), catalogue)).toBe(does),
  );

  it('a pack without a colour comes in every colour, one with a colour in that only', () => {
    expect(offeredAs(kind('acrylic'), kind('acrylic', 'red'))).toBe(true);
    expect(offeredAs(kind('acrylic', 'Red'), kind('acrylic', 'red'))).toBe(true);
    expect(offeredAs(kind('acrylic', 'black'), kind('acrylic', 'red'))).toBe(false);
    expect(offeredAs(kind('gesso'), kind('acrylic'))).toBe(false);
  });
});

describe('what a paint comes out of, and what it is thinned with', () => {
  it('ways of using paint come out of bottles that are on the shelf and sold in packs', () => {
    for (const { id, form, packs } of shippedMaterials) {
      const bottle = catalogue.material(boughtAs(id));
      expect(bottle, id).not.toBeNull();
      if (form === 'thin' && !packs.length && boughtAs(id) !== id) expect(bottle?.packs.length, id).toBeGreaterThan(0);
    }
  });

  it('shares of the thinning make a whole', () => {
    for (const { id } of shippedMaterials)
      expect(
        thinningOf(catalogue, id).reduce((sum, { share }) => sum + share, 0),
        id,
      ).toBeCloseTo(1, 9);
  });

  it('solvent paint is never thinned with water, water paint never with solvent', () => {
    const with_ = (id: string) => thinningOf(catalogue, id).map(({ material }) => material);
    expect(with_('oil wash')).toEqual(['thinner']);
    expect(with_('acrylic')).toEqual([null]);
    expect(with_('wash')).toEqual([null, 'matt medium']);
  });
});
