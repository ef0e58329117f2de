import type { Underlay } from '@hosket/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { onBase, onPicture } from './underlay.ts';

const pins: Underlay['pins'] = [
  { px: [100, 400], mm: [20, 30] },
  { px: [500, 400], mm: [220, 30] },
];

describe('a picture under the plan', () => {
  it('lies with its two points where they are pinned, upright and half a millimetre to the pixel', () => {
    expect(onBase(pins, [100, 400])).toEqual([20, 30]);
    expect(onBase(pins, [500, 400])).toEqual([220, 30]);
    expect(onBase(pins, [100, 200])).toEqual([20, 130]);
  });

  it('turns with the line between them', () => {
    const turned: Underlay['pins'] = [pins[0], { px: [500, 400], mm: [20, 230] }];
    const [x, y] = onBase(turned, [100, 200]);
    expect(x).toBeCloseTo(-80, 9);
    expect(y).toBeCloseTo(30, 9);
  });

  it('and back again', () => {
    const place = fc.tuple(fc.integer({ min: -500, max: 500 }), fc.integer({ min: -500, max: 500 }));
    fc.assert(
      fc.property(place, place, place, (a, b, px) => {
        fc.pre(Math.hypot(a[0] - b[0], a[1] - b[1]) > 5);
        const laid: Underlay['pins'] = [
          { px: [10, 20], mm: a },
          { px: [300, 260], mm: b },
        ];
        const [x, y] = onPicture(laid, onBase(laid, px));
        expect(x).toBeCloseTo(px[0], 5);
        expect(y).toBeCloseTo(px[1], 5);
      }),
    );
  });
});
