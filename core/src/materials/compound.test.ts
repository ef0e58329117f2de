import { describe, expect, it } from 'vitest';
import { compound, fibres, glueData, hydrationWater, plasterFreeWater, plasterYield, toleranceOf } from './index.ts';

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
