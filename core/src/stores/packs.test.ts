import createHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { uniformFrom } from '../units/index.ts';
import { cheapestPacks, otherPacks, type PackSize } from './packs.ts';

const pack = (amount: number, price: number | null = null): PackSize => ({ amount, price });

describe('packs for an amount', () => {
  it('two small tubs where the large one is dearer', () => {
    const best = cheapestPacks(450, [pack(250, 3), pack(1000, 9)]);
    expect(best).toMatchObject({ counts: [2, 0], amount: 500, cost: 6, packs: 2 });
  });

  it('one large tub where it is the cheaper', () => {
    expect(cheapestPacks(450, [pack(250, 5), pack(1000, 9)])).toMatchObject({ counts: [0, 1], cost: 9 });
  });

  it('a mixture: 1.2 kg is a large and a small one', () => {
    expect(cheapestPacks(1200, [pack(250, 4), pack(500, 6), pack(1000, 9)])).toMatchObject({
      counts: [1, 0, 1],
      cost: 13,
      amount: 1250,
    });
  });

  it('without prices as little as may be is left over, in as few packs as may be', () => {
    expect(cheapestPacks(700, [pack(250), pack(500)])).toMatchObject({ counts: [1, 1], amount: 750, cost: null });
    expect(cheapestPacks(500, [pack(250), pack(500)])).toMatchObject({ counts: [0, 1] });
  });

  it('packs without a price are left aside where others have one', () => {
    expect(cheapestPacks(90, [pack(100), pack(60, 3)])).toMatchObject({ counts: [0, 2], cost: 6 });
  });

  it('sizes that are no whole numbers, and a need that is just met', () => {
    expect(cheapestPacks(177.4, [pack(88.7, 2)])?.counts).toEqual([2]);
    expect(cheapestPacks(177.41, [pack(88.7, 2)])?.counts).toEqual([3]);
  });

  it('nothing on offer, nothing needed', () => {
    expect(cheapestPacks(100, [])).toBeNull();
    expect(cheapestPacks(0, [pack(100, 2)])).toMatchObject({ counts: [0], packs: 0, amount: 0, cost: 0 });
  });

  it('a need a thousand times the pack is covered, for no more than the cheapest pack alone would cost', () => {
    const packs = [pack(17.3, 2.9), pack(60, 7), pack(991.7, 80)];
    const needed = 2_345_678;
    const best = cheapestPacks(needed, packs);
    expect(best?.amount).toBeGreaterThanOrEqual(needed);
    expect(best?.cost).toBeLessThanOrEqual(Math.ceil(needed / 991.7) * 80);
  });

  it('against an integer program: 80 random shops solved by highs', async () => {
    const highs = await createHighs();
    const uniform = uniformFrom(20270301);
    for (let run = 0; run < 80; run++) {
      const packs = Array.from({ length: 2 + Math.floor(3 * uniform()) }, () =>
        pack(10 * Math.ceil(100 * uniform()), Math.round(100 + 2000 * uniform()) / 100),
      );
      const needed = Math.ceil(3000 * uniform());
      const names = packs.map((_, k) => `x${k}`);
      const solved = highs.solve(
        [
          'Minimize',
          `cost: ${packs.map(({ price }, k) => `${price} x${k}`).join(' + ')}`,
          'Subject To',
          `enough: ${packs.map(({ amount }, k) => `${amount} x${k}`).join(' + ')} >= ${needed}`,
          'General',
          names.join(' '),
          'End',
        ].join('\n'),
      );
      const best = cheapestPacks(needed, packs);
      expect(solved.Status).toBe('Optimal');
      expect(best?.cost, JSON.stringify({ packs, needed })).toBeCloseTo(solved.ObjectiveValue, 6);
      expect(best?.amount).toBeGreaterThanOrEqual(needed);
      expect(best?.cost).toBeCloseTo(
        packs.reduce((sum, { price }, k) => sum + (best?.counts[k] ?? 0) * (price ?? 0), 0),
        9,
      );
    }
  });
});

describe('what else would do', () => {
  it('each size alone, the cheapest first, the best not told again', () => {
    const packs = [pack(250, 3), pack(500, 7), pack(1000, 9)];
    const best = cheapestPacks(450, packs);
    if (!best) throw new Error('nothing was found');
    expect(best.counts).toEqual([2, 0, 0]);
    expect(otherPacks(450, packs, best).map(({ counts, cost }) => [counts, cost])).toEqual([
      [[0, 1, 0], 7],
      [[0, 0, 1], 9],
    ]);
  });
});
