import { describe, expect, it } from 'vitest';
import { bowlShare, measuredOut, mixes, mixOf, shippedCatalogue } from './index.ts';

const mix = (id: string) => {
  const found = mixOf(id);
  if (!found) throw new Error(`no mix ${id}`);
  return found;
};

describe('mixes by parts', () => {
  // Common practice, no source: 1 part of medium to 3 of water, with a drop of soap.
  it('100 ml of fixative: 25 ml of medium, 75 ml of water and a drop of soap', () => {
    const [medium, water, soap] = measuredOut(mix('fixative'), 'whole', 100);
    expect(medium.ml).toBe(25);
    expect(medium.teaspoons).toBe(5);
    expect(water).toMatchObject({ ml: 75, g: 75 });
    expect(soap.drops).toBeCloseTo(1, 9);
  });

  it('from any one part the rest follows: whatever is given, the same bowl comes out', () => {
    for (const each of mixes) {
      const whole = measuredOut(each, 'whole', 120);
      each.parts.forEach((_, k) => {
        const again = measuredOut(each, k, whole[k].ml);
        again.forEach(({ ml, g }, n) => {
          expect(ml).toBeCloseTo(whole[n].ml, 9);
          expect(g).toBeCloseTo(whole[n].g, 9);
        });
      });
    }
  });

  it('a seal coat is half paint by volume, and the heavier half by mass', () => {
    const [paint, medium] = measuredOut(mix('seal coat'), 0, 20);
    expect(medium.ml).toBe(20);
    expect(paint.g / medium.g).toBeCloseTo(1.2 / 1.05, 9);
  });

  it('volume fractions from mass fractions by densities and back', () => {
    // w_i / rho_i over the sum of all: the usual conversion.
    const measured = measuredOut(mix('ground mix'), 'whole', 200);
    const g = measured.reduce((sum, part) => sum + part.g, 0);
    const overDensity = measured.map((part, k) => {
      const { material } = mix('ground mix').parts[k];
      const figure = shippedCatalogue.figure(material, 'bulkKgPerL') ?? shippedCatalogue.need(material, 'wetKgPerL');
      return part.g / g / figure.likely;
    });
    const all = overDensity.reduce((sum, share) => sum + share, 0);
    measured.forEach(({ ml }, k) => {
      // More is measured out than the bowl holds: wet parts fill the voids of the soil.
      expect(overDensity[k] / all).toBeCloseTo((ml / 200) * bowlShare(mix('ground mix')), 9);
    });
  });
});
