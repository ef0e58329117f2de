import { expect, it } from 'vitest';
import { catalogueOf, fillingAgainst, fillingMinPerL, noMaterials, pasteCoats } from './index.ts';

const shipped = catalogueOf(noMaterials());

it('lays deep paste in as many coats as it needs', () => {
  expect([0, 8, 8.1, 16, 17].map((mm) => pasteCoats(mm, 8))).toEqual([1, 1, 2, 2, 3]);
});

it('counts a litre of plaster compound by hand', () => {
  // 8 mm thick it covers 12.5 times 100 cm2 at 3 min; 3 of the 8 mm are filled by volume at 120 min a litre; 20 min a bowl are sure, 8 min each.
  const spread = 12.5 * 3 + (3 / 8) * 120;
  expect(fillingMinPerL(shipped, 'compound')).toBeCloseTo(spread + (spread / 20) * 8, 9);
});

it('counts a stiffer and a thicker paste by what it takes against compound', () => {
  // 12 mm thick: 8.33 times 100 cm2 at 6 min; 7 of 12 mm by volume; 15 min a bowl, 8 min each.
  const spread = (100 / 12) * 6 + (7 / 12) * 120;
  const stiff = spread + (spread / 15) * 8;
  const compound = fillingMinPerL(shipped, 'compound');
  expect(fillingAgainst(shipped, 'compound, stiff', 'compound')).toBeCloseTo(stiff / compound, 9);
  expect(fillingAgainst(shipped, 'compound', 'compound')).toBe(1);
});

it('takes less of a quick paste than of a slow one, and never a number that is none', () => {
  for (const { id, form } of shipped.materials.values()) {
    if (form !== 'paste' || shipped.missing(id).length) continue;
    expect(fillingMinPerL(shipped, id), id).toBeGreaterThan(5);
    expect(fillingMinPerL(shipped, id), id).toBeLessThan(2000);
  }
});
