import type { Mark, SectionSample } from '@hosket/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { linePath, piecePath } from './handling/paths.ts';
import { placeLabels } from './plan/labels.ts';
import { reliefPixels } from './plan/relief.ts';
import { bandsOf, bandWords } from './plan/shading.ts';
import { sectionPaths } from './section/sectionShape.ts';
import { spreadApart } from './section/spread.ts';

describe('labels', () => {
  it('spread apart: never nearer than the gap, in order, within bounds when there is room', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 300, noNaN: true }), { minLength: 1, maxLength: 18 }), (wanted) => {
        const placed = spreadApart(wanted, 15, 0, 300);
        const order = wanted.map((_, k) => k).sort((a, b) => placed[a] - placed[b]);
        for (let n = 1; n < order.length; n++)
          expect(placed[order[n]] - placed[order[n - 1]]).toBeGreaterThanOrEqual(15 - 1e-6);
        for (const at of placed) {
          expect(at).toBeGreaterThanOrEqual(-1e-6);
          expect(at).toBeLessThanOrEqual(300 + 1e-6);
        }
        for (let i = 0; i < wanted.length; i++)
          for (let j = 0; j < wanted.length; j++) if (wanted[i] < wanted[j]) expect(placed[i]).toBeLessThan(placed[j]);
      }),
    );
  });

  it('stays put when nothing collides', () => expect(spreadApart([10, 50, 90], 15, 0, 100)).toEqual([10, 50, 90]));

  it('no two labels of heights meet, one that finds no place is left out', () => {
    const spot = (id: string, x: number, y: number): Mark => ({
      kind: 'spot',
      id,
      name: id,
      heightMm: 10,
      hidden: false,
      locked: false,
      points: [[x, y]],
    });
    const room = { width: 300, height: 200 };
    const labels = placeLabels(
      [spot('a', 50, 50), spot('b', 52, 51), spot('c', 150, 50)],
      () => '10',
      ([x, y]) => [x, y],
      room,
    );
    expect(labels.map(({ itemId }) => itemId)).toEqual(['a', 'c']);
    const off = placeLabels(
      [spot('a', 50, 50), spot('c', 150, 50)],
      () => '10',
      ([x, y]) => [x, y],
      room,
      [
        [
          [0, 38],
          [100, 38],
        ],
      ],
    );
    expect(off.map(({ itemId }) => itemId)).toEqual(['c']);
  });
});

describe('paths', () => {
  it('lines and pieces with holes', () => {
    const place = ([x, y]: readonly [number, number]) => [x * 2, 100 - y] as const;
    expect(
      linePath(
        [
          [0, 0],
          [10, 5],
        ],
        place,
        false,
      ),
    ).toBe('M0 100L20 95');
    expect(
      piecePath(
        [
          {
            outer: [
              [0, 0],
              [1, 0],
              [1, 1],
            ],
            holes: [
              [
                [0, 0],
                [1, 1],
                [1, 0],
              ],
            ],
          },
        ],
        place,
      ),
    ).toBe('M0 100L2 100L2 99ZM0 100L2 99L2 100Z');
  });
});

describe('the section', () => {
  const sample = (
    alongMm: number,
    groundMm: number,
    targetMm: number,
    foamMm: number,
    layer: number,
    onBase = true,
    cutOut: readonly number[] = [],
  ): SectionSample => ({ alongMm, onBase, groundMm, targetMm, foamMm, layer, cutOut });
  const layer = {
    ...({} as Parameters<typeof sectionPaths>[1][number]),
    index: 1,
    bottomMm: 0,
    topMm: 20,
    outlineAtMm: [10],
  };
  const draw = (samples: SectionSample[]) =>
    sectionPaths(
      samples,
      [layer],
      (x) => x,
      (z) => -z,
    );

  it('carves what stands above the target and fills what is missing', () => {
    const { foam, carve, fill, skin, ground } = draw([
      sample(0, 15, 12, 20, 1),
      sample(1, 15, 12, 20, 1),
      sample(2, 8, 5, 0, 0),
      sample(3, 8, 5, 0, 0),
    ]);
    expect(foam[0].path).toBe('M0 -12L1 -12L1 0L0 0Z');
    expect(carve).toBe('M0 -20L1 -20L1 -12L0 -12Z');
    expect(fill).toBe('M2 -5L3 -5L3 0L2 0Z');
    expect(skin).toContain('M0 -15');
    expect(ground).toBe('M0 -15L1 -15L2 -8L3 -8');
  });

  it('draws what is cut out of a layer over its whole thickness', () => {
    const hollow = [1, 2].map((at) => sample(at, 40, 37, 20, 1, true, [1]));
    expect(draw([sample(0, 40, 37, 20, 1), ...hollow]).cutOut).toBe('M1 -20L2 -20L2 0L1 0Z');
  });

  it('draws guessed ground as a line of its own, joined to what is known', () => {
    const samples = [sample(0, 9, 6, 0, 0), sample(1, 9, 6, 0, 0), sample(2, 8, 6, 0, 0), sample(3, 7, 6, 0, 0)];
    const { ground, guess } = sectionPaths(
      samples,
      [],
      (x) => x,
      (z) => z,
      ({ alongMm }) => alongMm >= 2,
    );
    expect(ground).toBe('M0 9L1 9');
    expect(guess).toBe('M1 9L2 8L3 7');
  });

  it('draws nothing off the base', () => {
    expect(draw([sample(0, 9, 6, 0, 0, false), sample(1, 9, 6, 0, 0, false)])).toEqual({
      foam: [{ layer: 1, path: '' }],
      cutOut: '',
      carve: '',
      fill: '',
      skin: '',
      board: '',
      ground: '',
      guess: '',
    });
  });

  it('leaves out what an opening of the base leaves out: ground and board on either side of it, nothing over it', () => {
    const over = [true, true, false, false, true, true].map((on, k) => sample(k, 9, 6, 0, 0, on));
    const { ground, board } = sectionPaths(
      over,
      [],
      (x) => x,
      (z) => z,
      () => false,
      4,
    );
    expect(ground).toBe('M0 9L1 9M4 9L5 9');
    expect(board).toBe('M0 0L1 0L1 -4L0 -4ZM4 0L5 0L5 -4L4 -4Z');
  });
});

it('relief: slopes that face the light are lighter than those that turn away, rows run from the far edge', () => {
  const grid = (z: (x: number, y: number) => number) => ({
    columns: 3,
    rows: 3,
    cellMm: 1,
    originMm: [0, 0] as const,
    values: Float64Array.from({ length: 9 }, (_, n) => z(n % 3, Math.floor(n / 3))),
  });
  const plain = bandsOf('relief', 3);
  const red = (pixels: Uint8ClampedArray) => pixels[4 * 4];
  expect(
    red(
      reliefPixels(
        grid((x) => x),
        'relief',
        plain,
      ),
    ),
  ).toBeGreaterThan(
    red(
      reliefPixels(
        grid((x) => 3 - x),
        'relief',
        plain,
      ),
    ),
  );
  expect(
    reliefPixels(
      grid(() => 1),
      'relief',
      plain,
    ),
  ).toHaveLength(36);
});

describe('shading', () => {
  it('what is read from a lattice of its own is tinted where it lies', () => {
    const flat = { columns: 5, rows: 2, cellMm: 1, originMm: [0, 0] as const, values: new Float64Array(10).fill(10) };
    const standing = {
      columns: 3,
      rows: 2,
      cellMm: 2,
      originMm: [0, 0] as const,
      values: Float64Array.from([0, 2, 2, 0, 2, 2]),
    };
    const pixels = reliefPixels(flat, 'standing', bandsOf('standing', 10), standing);
    const tint = (i: number) => [...pixels.slice(4 * i, 4 * i + 3)].join(' ');
    expect(tint(0)).not.toBe(tint(4));
    expect(tint(2)).toBe(tint(4));
    expect(bandWords(bandsOf('standing', 10), 'standing', 'metric')).toHaveLength(4);
    expect(bandWords(bandsOf('wet', 10), 'wet', 'metric')).toHaveLength(bandsOf('wet', 10).length);
  });

  it('slope steps by what they mean at the bench, height in round steps, each in words', () => {
    expect(bandWords(bandsOf('slope', 91), 'slope', 'metric')).toEqual([
      '0–5°',
      '5–10°',
      '10–20°',
      '20–40°',
      '40–60°',
      'over 60°',
    ]);
    expect(bandWords(bandsOf('height', 91), 'height', 'metric')).toEqual([
      '0–20 mm',
      '20–40 mm',
      '40–60 mm',
      '60–80 mm',
      'over 80 mm',
    ]);
    expect(bandsOf('height', 0)).toHaveLength(1);
    for (let highest = 1; highest < 900; highest += 7) expect(bandsOf('height', highest).length).toBeLessThanOrEqual(6);
  });

  it('a steep face is darker than a flat of the same height when slope is shown', () => {
    const wall = {
      columns: 4,
      rows: 3,
      cellMm: 1,
      originMm: [0, 0] as const,
      values: Float64Array.from([9, 9, 9, 3, 9, 9, 9, 3, 9, 9, 9, 3]),
    };
    const pixels = reliefPixels(wall, 'slope', bandsOf('slope', 9));
    expect(pixels[4 * 5]).toBeGreaterThan(pixels[4 * 6]);
  });
});
