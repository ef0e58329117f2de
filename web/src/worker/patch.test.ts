import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { patched, patchOf } from './patch.ts';

describe('what has changed of a report', () => {
  it('leads from any plain value to any other', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 7 }), fc.jsonValue({ maxDepth: 7 }), (before, after) => {
        const patch = structuredClone(patchOf(before, after));
        expect(JSON.stringify(patched(before, patch))).toBe(JSON.stringify(after));
      }),
    );
  });

  it('leads on when only a part deep inside is another, and shares all the rest', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ a: fc.integer(), far: fc.array(fc.string()) }, { noNullPrototype: true }), {
          minLength: 1,
        }),
        (list) => {
          const before = { list, other: { pieces: list } };
          const after = { ...before, list: list.map((item, k) => (k ? item : { ...item, a: item.a + 1 })) };
          const patch = patchOf(before, after);
          expect(JSON.stringify(patch)).not.toContain('"other"');
          const next = patched(before, structuredClone(patch)) as typeof before;
          expect(next).toEqual(after);
          expect(next.other).toBe(before.other);
          for (let k = 1; k < list.length; k++) expect(next.list[k]).toBe(list[k]);
          expect(next.list[0].far).toBe(list[0].far);
        },
      ),
    );
  });

  it('geometry that is the same object is not sent; that which is another is sent whole', () => {
    const points = Array.from({ length: 2000 }, (_, k) => [k, k * k]);
    const report = (minutes: number, outline: number[][]) => ({ layers: [{ minutes, pieces: [{ outer: outline }] }] });
    const price = patchOf(report(3, points), report(4, points));
    expect(JSON.stringify(price).length).toBeLessThan(200);
    const moved = patchOf(
      report(3, points),
      report(
        3,
        points.map(([x, y]) => [x + 1, y]),
      ),
    );
    expect(JSON.stringify(moved).length).toBeGreaterThan(10_000);
    expect(patchOf(undefined, report(3, points))).toEqual({ kind: 'new', value: report(3, points) });
  });
});
