import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Grid, heightAt } from '../geometry/index.ts';
import { toEnd } from '../kernel/index.ts';
import { plan } from '../planner/index.ts';
import { drawItem, skinMmOf, startProject } from '../project/index.ts';
import { groundFrom } from '../testing/solids.ts';
import { foamTarget } from './foamTarget.ts';
import { skinOver } from './skinOver.ts';
import { evenSkin } from './target.ts';

const over = (foam: Grid, mm: number) => toEnd(skinOver(foam, evenSkin(mm)));

describe('finished ground over bare foam: the foam dilated by a ball', () => {
  it('over a plane it lies skin x sqrt(1 + slope^2) higher', () => {
    const { grid } = groundFrom(60, 40, (x, y) => 20 + 0.8 * x + 0.3 * y);
    const ground = over(grid, 3);
    const higher = 3 * Math.sqrt(1 + 0.8 ** 2 + 0.3 ** 2);
    for (const [x, y] of [
      [30, 20],
      [17, 8],
      [50, 35],
    ])
      expect(heightAt(ground, x, y)).toBeCloseTo(heightAt(grid, x, y) + higher, 6);
  });

  it('round the edge of a slab on the board: level on top, a quarter round beyond, and the board bare', () => {
    // Half-millimetre cells: the edge itself lies within one.
    const { grid } = groundFrom(60, 30, (x) => (x <= 30 ? 20 : 0), 0.5);
    const ground = over(grid, 4);
    expect(heightAt(ground, 20, 15)).toBeCloseTo(24, 9);
    for (const d of [1, 2, 3]) expect(heightAt(ground, 30 + d, 15)).toBeCloseTo(20 + Math.sqrt(16 - d * d), 6);
    expect(heightAt(ground, 36, 15)).toBe(0);
    expect(heightAt(ground, 50, 15)).toBe(0);
  });

  it('in the foot of a wall it lies as the two skins meet, with no hollow and no heap', () => {
    const { grid } = groundFrom(80, 20, (x) => (x <= 40 ? 10 : 40), 0.5);
    const ground = over(grid, 3);
    expect(heightAt(ground, 30, 10)).toBeCloseTo(13, 9);
    expect(heightAt(ground, 60, 10)).toBeCloseTo(43, 9);
    // The wall's own skin stands 3 mm out of it.
    expect(heightAt(ground, 36.5, 10)).toBeCloseTo(13, 6);
    expect(heightAt(ground, 39, 10)).toBeGreaterThan(40);
  });

  it('over a dome it is the dome of the larger radius', () => {
    const { grid } = groundFrom(200, 200, (x, y) =>
      Math.sqrt(95 ** 2 - Math.min(94 ** 2, (x - 100) ** 2 + (y - 100) ** 2)),
    );
    const ground = over(grid, 5);
    for (const r of [0, 10, 25, 40, 55])
      expect(Math.abs(heightAt(ground, 100 + r, 100) - Math.sqrt(100 ** 2 - r ** 2))).toBeLessThan(0.03);
  });

  it('there and back: foam under its own ground is never less than it was, and the same where it is nowhere hollow', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 5, noNaN: true }),
        fc.double({ min: 2, max: 20, noNaN: true }),
        fc.double({ min: -0.5, max: 0.5, noNaN: true }),
        (skinMm, wave, lean) => {
          const { grid } = groundFrom(40, 30, (x, y) => 60 + wave * Math.sin(x / 7) + lean * y);
          const back = foamTarget(over(grid, skinMm), skinMm);
          // Chords of what bends within a cell (curvature wave / 49 a mm) lie under it by up to a hundredth of the wave.
          // Beyond the edge either runs on as it met it, which is not there and back.
          for (let x = 6; x <= 34; x++)
            for (let y = 6; y <= 24; y++)
              expect(heightAt(back, x, y) - heightAt(grid, x, y)).toBeGreaterThan(-0.02 - wave / 100);
        },
      ),
      { numRuns: 20 },
    );
    const { grid } = groundFrom(60, 40, (x, y) => 40 - 0.004 * (x - 30) ** 2 - 0.006 * (y - 20) ** 2);
    const back = foamTarget(over(grid, 3), 3);
    for (let x = 6; x <= 54; x += 4) expect(heightAt(back, x, 20)).toBeCloseTo(heightAt(grid, x, 20), 2);
  });
});

describe('a flat drawn at the height of the board', () => {
  const pad = (heightMm: number, change: object = {}) => {
    const start = startProject('Flat', '2027-03-01');
    const base = { ...start.base, shape: { kind: 'rectangle' as const, widthMm: 200, depthMm: 100 } };
    // Foam on the left half only.
    const left: [number, number][] = [
      [0, 0],
      [100, 0],
      [100, 100],
      [0, 100],
    ];
    const right = left.map(([x, y]): [number, number] => [110 + 0.9 * x, y]);
    const block = drawItem({ ...start, base }, 'pad', left, 0, { heightMm: 30, bankDegrees: 90 }).project;
    return drawItem(block, 'pad', right, 0, { heightMm, bankDegrees: 90, ...change }).project;
  };

  it('wears its skin like foam would; a bare board beside it wears none', () => {
    const drawn = plan(pad(0)).report;
    const skinMm = skinMmOf(pad(0));
    expect(drawn.ground.highestMm).toBeCloseTo(30 + skinMm, 1);
    // Nothing drawn there: the board is bare.
    const project = pad(0);
    const bare = plan({ ...project, landforms: project.landforms.slice(0, 1) }).report;
    expect(bare.ground.lowestMm).toBe(0);
    const paste = (report: typeof drawn) =>
      report.takeoff.filter(({ stage }) => stage === 'skin').reduce((sum, { materials }) => sum + materials.length, 0);
    expect(paste(drawn)).toBeGreaterThan(0);
    // The board is covered by as much more paste as the flat is large, and a quarter round along its free side.
    const more = drawn.ground.volumeMl - bare.ground.volumeMl;
    const wanted = (90 * skinMm + (Math.PI / 4) * skinMm ** 2) / 10;
    expect(more / wanted).toBeCloseTo(1, 2);
  });

  it('as finished ground at 0 it has no room for one', () => {
    expect(plan(pad(0, { heightIs: 'ground' })).report.ground.lowestMm).toBe(0);
  });
});
