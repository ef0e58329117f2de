import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readHeights, writeHeights } from './heights16.ts';

describe('heights in a file', () => {
  it('are written as Node writes the same bytes in base 64 (RFC 4648)', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(65535), { maxLength: 40 }), (heights) => {
        const bytes = Buffer.from(Uint16Array.from(heights).buffer);
        expect(writeHeights(heights)).toBe(bytes.toString('base64'));
      }),
    );
  });

  it('come back as they were', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(65535), { maxLength: 40 }), (heights) => {
        expect([...readHeights(writeHeights(heights), heights.length)]).toEqual(heights);
      }),
    );
  });

  it('that are missing read as nothing', () => {
    expect([...readHeights('AQA=', 3)]).toEqual([1, 0, 0]);
  });
});
