import { describe, expect, it } from 'vitest';
import {
  compound,
  fibres,
  glueData,
  hydrationWater,
  plasterFreeWater,
  plasterYield,
  usualToleranceMm,
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
});

describe('the catalogue', () => {
  it('every range is in order and says where it comes from', () => {
    const all = [
      ...Object.values(compound),
      ...Object.values(glueData).flatMap((glue) => [glue.spread, glue.lineMm, glue.clampMinutes]),
      ...Object.values(fibres).flatMap((fibre) => [fibre.kept, fibre.glue]),
    ];
    for (const { name, low, likely, high, source } of all) {
      expect(low, name).toBeLessThanOrEqual(likely);
      expect(likely, name).toBeLessThanOrEqual(high);
      expect(source.note.length, name).toBeGreaterThan(5);
    }
  });

  it('longer fibres are kept by no less glue', () =>
    expect([2, 4, 6, 12].map((mm) => fibres[mm as 2].glue.likely)).toEqual([2.5, 3, 4, 5]));
  it('a measured sheet is surer than a sold one', () =>
    expect([
      usualToleranceMm(20, true),
      usualToleranceMm(3, false),
      usualToleranceMm(20, false),
      usualToleranceMm(60, false),
    ]).toEqual([0.2, 0.3, 2, 2.5]));
});
