import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  cutRings,
  distanceToStretch,
  growRings,
  type Polygon,
  polygonArea,
  type Ring,
  ringArea,
  ringSize,
  straightened,
} from '../geometry/index.ts';
import { toEnd } from '../kernel/index.ts';
import { plan } from '../planner/index.ts';
import {
  changeItem,
  keepLayout,
  type Project,
  type PutAway,
  putAway,
  readProject,
  toggleCut,
} from '../project/index.ts';
import { areaOutside, commonArea, distanceBetween } from '../testing/judge.ts';
import { bedName, offcutOutline, rectangle } from './beds.ts';
import { clashesOn } from './judge.ts';
import { insideRadiusOf, neckOf } from './neck.ts';
import { excessOn } from './nowhere.ts';
import { remainderOf } from './remainder.ts';
import { leastApart, splitToFit } from './seams.ts';

const sample = (name: string): Project => {
  const read = readProject(readFileSync(new URL(`../../../samples/${name}.hosket.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.fault.message);
  return read.value;
};
const quarry = sample('harl-quarry');
const whole = (outer: Ring): Polygon => ({ outer, holes: [] });
const circle = (x: number, y: number, r: number, n = 180): Ring =>
  Array.from(
    { length: n },
    (_, k) => [x + r * Math.cos((k / n) * 2 * Math.PI), y + r * Math.sin((k / n) * 2 * Math.PI)] as const,
  );

describe('the outline of a piece', () => {
  it('straightened strays from what it was by no more than 0.2 mm, either way', () => {
    const wavy = Array.from({ length: 2000 }, (_, k) => {
      const a = (k / 2000) * 2 * Math.PI;
      const r = 100 + 6 * Math.sin(9 * a) + 0.15 * Math.sin(211 * a);
      return [r * Math.cos(a), r * Math.sin(a)] as const;
    });
    const { outer } = straightened(whole(wavy), 0.2);
    expect(outer.length).toBeLessThan(300);
    const farthest = (points: Ring, ring: Ring) =>
      Math.max(
        ...points.map((p) => Math.min(...ring.map((a, k) => distanceToStretch(p, a, ring[(k + 1) % ring.length])))),
      );
    expect(farthest(wavy, outer)).toBeLessThanOrEqual(0.2001);
    expect(farthest(outer, wavy)).toBeLessThanOrEqual(0.2001);
  });

  it('neck: a dumbbell and a ring are as narrow as they were drawn, a plate has none', () => {
    const bar: Ring = [
      [0, 0],
      [40, 0],
      [40, 17],
      [70, 17],
      [70, 0],
      [110, 0],
      [110, 40],
      [70, 40],
      [70, 23],
      [40, 23],
      [40, 40],
      [0, 40],
    ];
    const neck = toEnd(neckOf(whole(bar)));
    expect(neck?.widthMm).toBeCloseTo(6, 0);
    expect(neck?.at[0]).toBeGreaterThan(38);
    expect(neck?.at[0]).toBeLessThan(72);
    const ring: Polygon = { outer: circle(0, 0, 50), holes: [[...circle(8, 0, 38)].reverse()] };
    const wall = toEnd(neckOf(ring));
    expect(Math.abs((wall?.widthMm ?? 0) - 4)).toBeLessThan(0.4);
    expect(wall?.at[0]).toBeGreaterThan(40);
    expect(toEnd(neckOf(whole(rectangle(200, 80))))).toBeNull();
  });

  it('inside corner: a notch with round ends is as wide as its radius, a square one is tight, a plate has none', () => {
    const notch = (r: number) =>
      cutRings(
        [rectangle(100, 60)],
        [rectangle(20, 30).map(([x, y]) => [x + 40, y + 40] as const)].flatMap((ring) =>
          r ? growRings(growRings([ring], -r), r) : [ring],
        ),
      );
    expect(toEnd(insideRadiusOf(whole(notch(0)[0])))).toBe(0);
    expect(toEnd(insideRadiusOf(whole(notch(3.2)[0])))).toBe(3);
    expect(toEnd(insideRadiusOf(whole(rectangle(100, 60))))).toBeNull();
  });
});

describe('seams', () => {
  const straight = { kind: 'straight' as const, apartMm: 40 };
  const room = { widthMm: 300, depthMm: 200, turns: true };

  it('a plate that is too long is split across, by the shortest seam, into parts that fit and add up', () => {
    const { parts, seams } = splitToFit(whole(rectangle(500, 180)), 1, room, [], straight);
    expect(parts).toHaveLength(2);
    expect(seams).toHaveLength(1);
    expect(seams[0].lengthMm).toBeCloseTo(180, 3);
    expect(parts.reduce((sum, part) => sum + polygonArea(part), 0)).toBeCloseTo(500 * 180, 0);
    for (const part of parts)
      expect(excessOn(part.outer, rectangle(300, 200), 0)).toEqual({ overLongMm: 0, overWideMm: 0 });
  });

  it('with a grain a plate that would fit turned is split all the same', () => {
    const plate = whole(rectangle(190, 280));
    expect(splitToFit(plate, 1, room, [], straight).parts).toHaveLength(1);
    const { parts } = splitToFit(plate, 1, { ...room, turns: false }, [], straight);
    expect(parts).toHaveLength(2);
    for (const { outer } of parts) expect(ringSize(outer).depthMm).toBeLessThanOrEqual(200.001);
  });

  it('the layer above has its seam at least 40 mm from it', () => {
    const plate = whole(rectangle(500, 180));
    const below = splitToFit(plate, 1, room, [], straight).seams;
    const above = splitToFit(plate, 2, room, below, straight).seams;
    expect(above[0].apartMm).toBeGreaterThanOrEqual(40);
    expect(leastApart([[above[0].points[0], above[0].points[1]]], below)).toBeCloseTo(above[0].apartMm ?? -1, 9);
  });

  it('keeps away from necks: a dumbbell is cut through a plate, not through its bar', () => {
    const dumbbell: Ring = [
      [0, 0],
      [180, 0],
      [180, 80],
      [240, 80],
      [240, 0],
      [420, 0],
      [420, 180],
      [240, 180],
      [240, 100],
      [180, 100],
      [180, 180],
      [0, 180],
    ];
    const { seams } = splitToFit(whole(dumbbell), 1, room, [], straight);
    for (const seam of seams) for (const [x] of seam.points) expect(x < 181 || x > 239).toBe(true);
  });

  it('keyed parts fit into each other: no overlap, nothing missing, and each still fits a sheet', () => {
    const { parts, seams } = splitToFit(whole(rectangle(500, 180)), 1, room, [], { kind: 'keyed', apartMm: 40 });
    expect(seams[0].keys).toBeGreaterThan(0);
    expect(commonArea(parts[0], parts[1])).toBeLessThan(0.01);
    expect(parts.reduce((sum, part) => sum + polygonArea(part), 0)).toBeCloseTo(500 * 180, 0);
    for (const part of parts) {
      expect(part.outer.length).toBeGreaterThan(6);
      expect(excessOn(part.outer, rectangle(300, 200), 0)).toEqual({ overLongMm: 0, overWideMm: 0 });
    }
  });

  it('a piece that would fall into more parts than anyone glues stays whole; up to there it is split', () => {
    const tiny = { widthMm: 20, depthMm: 20, turns: true };
    const large = splitToFit(whole(rectangle(300, 200)), 1, tiny, [], straight);
    expect([large.parts.length, large.seams.length]).toEqual([1, 0]);
    const strip = splitToFit(whole(rectangle(200, 20)), 1, tiny, [], straight);
    expect(
      strip.parts.every(({ outer }) => ringSize(outer).widthMm <= 20.001 && ringSize(outer).depthMm <= 20.001),
    ).toBe(true);
    expect(strip.parts.reduce((sum, part) => sum + polygonArea(part), 0)).toBeCloseTo(4000, 6);
  });

  it('a base of 1200 x 600 mm on sheets of 600 x 300 mm: every part fits', () => {
    const { parts } = splitToFit(
      whole(rectangle(1200, 600)),
      1,
      { widthMm: 600, depthMm: 300, turns: true },
      [],
      straight,
    );
    expect(parts.length).toBeLessThanOrEqual(6);
    for (const part of parts) expect(excessOn(part.outer, rectangle(600, 300), 0).overLongMm).toBeLessThan(0.1);
  });
});

describe('what is left of a sheet', () => {
  it('is the rest beyond the last piece in one, and nothing that is cut', () => {
    const piece = whole(rectangle(200, 300));
    const [rest, ...more] = remainderOf(rectangle(600, 300), [piece], 1);
    expect(more).toEqual([]);
    expect(ringArea(rest)).toBeCloseTo(399 * 300, -1);
    expect(commonArea(whole(rest), piece)).toBe(0);
    expect(areaOutside(whole(rest), rectangle(600, 300))).toBeLessThan(0.01);
  });

  it('has no holes, lies apart from the pieces by the kerf, and is nowhere narrower than 30 mm', () => {
    const piece = whole(circle(150, 150, 80));
    const left = remainderOf(rectangle(500, 300), [piece], 2);
    expect(left.length).toBeGreaterThan(1);
    left.forEach((ring, k) => {
      expect(distanceBetween(whole(ring), piece)).toBeGreaterThan(1.4);
      for (const other of left.slice(0, k)) expect(commonArea(whole(ring), whole(other))).toBeLessThan(1);
      const kept = growRings(growRings([ring], -14), 14).reduce((sum, part) => sum + ringArea(part), 0);
      expect(kept / ringArea(ring)).toBeGreaterThan(0.95);
    });
  });

  it('the inside of a frame is an offcut too', () => {
    const frame: Polygon = { outer: rectangle(300, 300), holes: [[...circle(150, 150, 100)].reverse()] };
    const left = remainderOf(rectangle(300, 300), [frame], 0);
    expect(left).toHaveLength(1);
    expect(ringArea(left[0])).toBeCloseTo(Math.PI * 1e4, -3);
  });
});

describe('clashes', () => {
  const at = (x: number, y: number) => whole(rectangle(100, 50).map(([u, v]) => [u + x, v + y] as const));
  const on = (...pieces: Polygon[]) =>
    clashesOn(
      rectangle(300, 200),
      pieces.map((lies, k) => ({ id: `${k}`, lies })),
      2,
      5,
    ).map(({ piece, with: other }) => [piece, other]);

  it('overlaps, too small gaps, and what stands over the margin are told; what just keeps them is not', () => {
    expect(on(at(5, 5), at(107, 5))).toEqual([]);
    expect(on(at(5, 5), at(106, 5))).toEqual([['0', '1']]);
    expect(on(at(5, 5), at(50, 20))).toEqual([['0', '1']]);
    expect(on(at(4, 5))).toEqual([['0', null]]);
    expect(on(at(250, 100))).toEqual([['0', null]]);
  });
});

describe('cutting Harl Quarry', () => {
  const { report, cutting } = plan(quarry);

  it('every layer is in its pieces: their areas add up to those of the layers, slivers left aside', () => {
    for (const layer of report.stack.layers) {
      const mine = cutting.pieces.filter((piece) => piece.layer === layer.index);
      const dropped = cutting.dropped.find((each) => each.layer === layer.index)?.areaMm2 ?? 0;
      const pieces = mine.reduce((sum, piece) => sum + piece.areaMm2, 0);
      const parts = layer.parts.reduce((sum, part) => sum + part.areaMm2, 0);
      expect(Math.abs(pieces + dropped - parts) / parts).toBeLessThan(0.002);
      for (const { id } of mine) expect(id).toMatch(new RegExp(`^${layer.index}-\\d+$`));
    }
  });

  it('every piece lies on a sheet of its own kind, none overlaps another, and sheets add up', () => {
    expect(cutting.nowhere).toEqual([]);
    expect(cutting.clashes).toEqual([]);
    for (const bed of cutting.beds) {
      for (const { lies, piece } of bed.pieces) {
        expect(cutting.pieces.find(({ id }) => id === piece)?.sheetIds).toContain(bed.sheetId);
        expect(areaOutside(lies, bed.outline)).toBeLessThan(20);
      }
      bed.pieces.forEach((a, k) => {
        for (const b of bed.pieces.slice(0, k)) {
          expect(commonArea(a.lies, b.lies)).toBeLessThan(0.01);
          expect(distanceBetween(a.lies, b.lies)).toBeGreaterThan(1.95);
        }
      });
      for (const left of bed.left)
        for (const { lies } of bed.pieces) expect(commonArea(whole(left), lies)).toBeLessThan(60);
    }
    for (const { sheetId, sheets } of report.stack.sheetsUsed)
      expect(cutting.beds.filter((bed) => bed.sheetId === sheetId)).toHaveLength(sheets);
    const { piecesMm2, leftMm2, wasteMm2, bedsMm2 } = report.cutting;
    expect(piecesMm2 + leftMm2 + wasteMm2).toBeCloseTo(bedsMm2, 3);
  });

  it('a kept layout stays as it is until what is cut changes; what is pinned stays even then', () => {
    const places = cutting.beds.flatMap(({ id, pieces }) =>
      pieces.map(({ piece, turnDegrees, xMm, yMm }) => ({
        piece,
        bed: id,
        turnDegrees,
        xMm: xMm + 100,
        yMm,
        pinned: piece === '4-1',
      })),
    );
    const kept = keepLayout(quarry, cutting.key, places);
    const now = plan(kept).cutting;
    expect(now.kept).toBe(true);
    expect(now.beds.flatMap(({ pieces }) => pieces.map(({ xMm }) => xMm)).sort()).toEqual(
      places.map(({ xMm }) => xMm).sort(),
    );
    const wider = plan({ ...kept, cutting: { ...kept.cutting, gapMm: 5 } }).cutting;
    expect(wider.kept).toBe(false);
    const moved = (piece: string) =>
      wider.beds.flatMap(({ pieces }) => pieces).find((laid) => laid.piece === piece)?.xMm;
    expect(moved('4-1')).toBe(places.find(({ piece }) => piece === '4-1')?.xMm);
    expect(moved('1-1')).not.toBe(places.find(({ piece }) => piece === '1-1')?.xMm);
  });

  it('a sheet that is put away leaves the shed, its offcuts come into it, its pieces are cut, and nothing else moves', () => {
    const bed = cutting.beds.find(({ pieces }) => pieces.some(({ piece }) => piece === '4-1'));
    if (!bed) throw new Error('4-1 lies nowhere');
    const laid = keepLayout(
      toggleCut(quarry, '4-1'),
      cutting.key,
      cutting.beds.flatMap(({ id, pieces }) => pieces.map(({ lies: _, ...place }) => ({ ...place, bed: id }))),
    );
    const put: PutAway = {
      sheetId: bed.sheetId,
      copy: bed.copy,
      offcutId: null,
      areaMm2: bed.areaMm2,
      beds: [
        {
          name: bedName(quarry, bed.id),
          outline: [...bed.outline].map(([x, y]) => [x, y]),
          pieces: bed.pieces.map(({ piece, lies }) => ({
            piece,
            layer: 4,
            areaMm2: polygonArea(lies),
            outer: lies.outer.map(([x, y]) => [x, y]),
            holes: [],
          })),
        },
      ],
      left: bed.left.map((points, k) => ({ name: `Rest ${k}`, points, areaMm2: ringArea(points) })),
      written: report.stack.written,
    };
    const after = putAway(laid, put);
    const counts = (project: Project) => project.sheets.find(({ id }) => id === bed.sheetId)?.count ?? 0;
    expect(counts(after)).toBe(counts(quarry) - 1);
    expect(after.offcuts).toHaveLength(bed.left.length);
    expect(ringArea(offcutOutline(after.offcuts[0]))).toBeCloseTo(ringArea(bed.left[0]), -2);
    expect(after.nest.ticked).toEqual([]);
    const again = plan(after);
    expect(again.report.stack.layers.map(({ sheetId }) => sheetId)).toEqual(
      report.stack.layers.map(({ sheetId }) => sheetId),
    );
    expect(again.cutting.beds.flatMap(({ pieces }) => pieces.map(({ piece }) => piece))).not.toContain('4-1');
    expect(again.report.cutting.pieces.find(({ id }) => id === '4-1')?.state).toBe('put away');
    expect(again.cutting.kept).toBe(true);
    for (const { piece, xMm, yMm } of again.cutting.beds.flatMap(({ pieces }) => pieces))
      expect(laid.nest.places.find((place) => place.piece === piece)).toMatchObject({ xMm, yMm });
    // What was cut is still counted, and nothing is short because of it.
    expect(again.report.stack.sheetsUsed.map(({ sheets }) => sheets)).toEqual(
      report.stack.sheetsUsed.map(({ sheets }) => sheets),
    );
    const codes = again.report.findings.map(({ code }) => code);
    expect(codes).not.toContain('stock-short');
    expect(codes).not.toContain('cut-otherwise');
    // A higher bench makes another piece of it than the one that is cut.
    const changed = plan(changeItem(after, 'bench-3', { heightMm: 52 })).report.findings;
    expect(changed.find(({ code }) => code === 'cut-otherwise')?.message).toMatch(
      /^Piece 4-1 was cut from Dense foam 20/,
    );
  });

  it('too little of a kind: what is left over says whether it is too large or everything is taken', () => {
    const few = {
      ...quarry,
      sheets: quarry.sheets.map((sheet) => ({ ...sheet, count: sheet.id === 'dense-20' ? 1 : sheet.count })),
    };
    const nowhere = plan({ ...few, stack: { ...few.stack, byHand: report.stack.written } }).report;
    expect(nowhere.cutting.nowhere.map(({ why }) => why)).toContain('full');
    expect(nowhere.findings.find(({ code }) => code === 'piece-nowhere')?.message).toMatch(
      /would fit on .* but everything of its kind is taken/,
    );
  });

  it('layers sliced by a wire lie on slices: two of one sheet, which leaves the shed with both', () => {
    const slice = { sheetIds: ['dense-30'], sliceMm: 14.5 };
    const whole20 = { sheetIds: ['dense-20'], sliceMm: null };
    const wired: Project = {
      ...quarry,
      stacking: { ...quarry.stacking, wire: { kerfMm: 1, thinnestMm: 5 } },
      stack: { ...quarry.stack, byHand: [slice, slice, whole20] },
    };
    const sliced = plan(wired);
    const beds = sliced.cutting.beds.filter(({ sheetId }) => sheetId === 'dense-30');
    expect(beds.map(({ id, copy, left }) => [id, copy, left])).toEqual([
      ['dense-30#1.1', 1, []],
      ['dense-30#1.2', 1, []],
    ]);
    expect(sliced.report.stack.sheetsUsed.find(({ sheetId }) => sheetId === 'dense-30')?.sheets).toBe(1);
    const after = putAway(wired, {
      sheetId: 'dense-30',
      copy: 1,
      offcutId: null,
      areaMm2: beds[0].areaMm2,
      beds: beds.map(({ id, pieces }) => ({
        name: id,
        outline: [
          [0, 0],
          [600, 0],
          [600, 300],
        ],
        pieces: pieces.map(({ piece, lies }) => ({
          piece,
          layer: 1,
          areaMm2: polygonArea(lies),
          outer: lies.outer.map(([x, y]) => [x, y]),
          holes: [],
        })),
      })),
      left: [],
      written: sliced.report.stack.written,
    });
    expect(after.sheets.find(({ id }) => id === 'dense-30')?.count).toBe(1);
    expect(plan(after).cutting.beds.every(({ sheetId }) => sheetId === 'dense-20')).toBe(true);
    expect(after.nest.done.map(({ usedMm2 }) => usedMm2)).toEqual([180_000, 0]);
  });

  it('what lies on later sheets stays on them when an earlier one is put away', () => {
    const place = (piece: string, bed: string) => ({ piece, bed, turnDegrees: 0, xMm: 1, yMm: 2, pinned: false });
    const laid = keepLayout(quarry, 'k', [
      place('1-1', 'dense-20#1'),
      place('4-1', 'dense-20#3'),
      place('2-1', 'dense-10#3'),
    ]);
    const after = putAway(laid, {
      sheetId: 'dense-20',
      copy: 1,
      offcutId: null,
      areaMm2: 180_000,
      beds: [
        {
          name: 'one',
          outline: [
            [0, 0],
            [1, 0],
            [1, 1],
          ],
          pieces: [
            {
              piece: '1-1',
              layer: 1,
              areaMm2: 1,
              outer: [
                [0, 0],
                [1, 0],
                [1, 1],
              ],
              holes: [],
            },
          ],
        },
      ],
      left: [],
      written: [],
    });
    expect(after.nest.places.map(({ piece, bed }) => [piece, bed])).toEqual([
      ['4-1', 'dense-20#2'],
      ['2-1', 'dense-10#3'],
    ]);
  });
});
