import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { prolongate, restrict, transferOf } from './transfer.ts';

const COLUMNS = 11;
const ROWS = 8;
/** Edges across which the ground may fold, as a line at this place along x would make them. */
const foldedAt = (i: number) => {
  const folded = new Uint8Array(COLUMNS * ROWS);
  for (let j = 0; j < ROWS; j++) folded[j * COLUMNS + i] = 1;
  return folded;
};
const transferWith = (folded: Uint8Array) =>
  transferOf({ columns: COLUMNS, rows: ROWS, folded, cut: new Uint8Array(folded.length) });
const spreadOn = (folded: Uint8Array, at: (i: number, j: number) => number) => {
  const transfer = transferWith(folded);
  const { wide, deep } = transfer;
  const coarse = Float64Array.from({ length: wide * deep }, (_, n) => at(2 * (n % wide), 2 * Math.floor(n / wide)));
  const fine = new Float64Array(COLUMNS * ROWS);
  prolongate(transfer, coarse, fine, new Uint8Array(fine.length));
  return fine;
};

describe('heights carried between lattices', () => {
  it.each([3, 4, 5])(
    'a plane stays one, and a ground that turns about a fold after column %s stays straight on both sides',
    (i) => {
      const plane = spreadOn(new Uint8Array(COLUMNS * ROWS), (x, y) => 2 * x - 3 * y);
      plane.forEach((z, n) => {
        expect(z).toBeCloseTo(2 * (n % COLUMNS) - 3 * Math.floor(n / COLUMNS), 9);
      });
      const turned = (x: number, y: number) => (x <= i ? (x - i) * (1 + y) : 0);
      spreadOn(foldedAt(i), turned).forEach((z, n) => {
        expect(z).toBeCloseTo(turned(n % COLUMNS, Math.floor(n / COLUMNS)), 9);
      });
    },
  );

  it('a fold across is like one along', () => {
    const folded = new Uint8Array(COLUMNS * ROWS);
    for (let i = 0; i < COLUMNS; i++) folded[3 * COLUMNS + i] = 2;
    const turned = (x: number, y: number) => (y <= 3 ? (y - 3) * (1 + x) : 0);
    spreadOn(folded, turned).forEach((z, n) => {
      expect(z).toBeCloseTo(turned(n % COLUMNS, Math.floor(n / COLUMNS)), 9);
    });
  });

  it('gathering is four times the transpose of spreading, whatever folds', () => {
    const bits = fc.array(fc.integer({ min: 0, max: 3 }), { minLength: COLUMNS * ROWS, maxLength: COLUMNS * ROWS });
    const numbers = (count: number) =>
      fc.array(fc.double({ min: -9, max: 9, noNaN: true }), { minLength: count, maxLength: count });
    fc.assert(
      fc.property(bits, numbers(COLUMNS * ROWS), numbers(6 * 5), (folds, fine, coarse) => {
        const transfer = transferWith(Uint8Array.from(folds));
        expect([transfer.wide, transfer.deep]).toEqual([6, 5]);
        const [up, down] = [new Float64Array(30), new Float64Array(COLUMNS * ROWS)];
        restrict(transfer, Float64Array.from(fine), up);
        prolongate(transfer, Float64Array.from(coarse), down, new Uint8Array(down.length));
        const product = (a: ArrayLike<number>, b: ArrayLike<number>) =>
          Array.from(a).reduce((sum, each, k) => sum + each * b[k], 0);
        expect(product(up, coarse)).toBeCloseTo(4 * product(fine, down), 6);
      }),
    );
  });
});
