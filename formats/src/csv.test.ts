import fc from 'fast-check';
import Papa from 'papaparse';
import { expect, it } from 'vitest';
import { csvCell, csvText } from './csv.ts';

it('no cell begins as a formula does, and each comes back as it was', () => {
  const tricky = fc.oneof(
    fc.string(),
    fc
      .string()
      .chain((text) => fc.constantFrom('=', '+', '-', '@', '\t', '\r', "'", "'=").map((first) => first + text)),
  );
  fc.assert(
    fc.property(fc.array(tricky, { minLength: 1, maxLength: 5 }), fc.boolean(), (cells, semicolons) => {
      const text = csvText(
        cells.map((_, k) => `c${k}`),
        [cells],
        semicolons,
      );
      const [, row] = Papa.parse<string[]>(text, { delimiter: semicolons ? ';' : ',', newline: '\r\n' }).data;
      for (const cell of row) expect(cell).not.toMatch(/^[=+@\t\r]/);
      expect(row.map(csvCell)).toEqual(cells.map((cell) => csvCell(cell)));
    }),
    { numRuns: 500 },
  );
});

it('a number below nothing stays a number', () => {
  expect(csvText(['a', 'b', 'c'], [['-5', '-0.25', '-1,5']], true)).toBe('a;b;c\r\n-5;-0.25;-1,5\r\n');
  expect(csvText(['a'], [['-5+cmd']], false)).toBe('a\r\n"\'-5+cmd"\r\n');
});
