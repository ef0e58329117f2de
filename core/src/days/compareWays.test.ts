import { describe, expect, it } from 'vitest';
import { newCoat, type Project, startProject, usualRecipe } from '../project/index.ts';
import { compareWays } from './compareWays.ts';

const start = startProject('w', '2027-03-01', 'ground');
const evenings: Project = {
  ...start,
  bench: {
    ...start.bench,
    week: {
      monday: { from: '19:00', to: '21:00' },
      tuesday: { from: '19:00', to: '21:00' },
      wednesday: { from: '19:00', to: '21:00' },
      thursday: { from: '19:00', to: '21:00' },
      friday: { from: '19:00', to: '21:00' },
      saturday: { from: '19:00', to: '21:00' },
      sunday: { from: '19:00', to: '21:00' },
    },
  },
};
const zone = {
  id: null,
  name: 'all',
  recipe: usualRecipe(),
  trueMm2: 60_000,
  fillMl: 50,
  skinMl: null as number | null,
  most95Mm: 8,
  lengthM: 0,
  coatMm2: null as number[] | null,
};
const read = (part: Parameters<typeof compareWays>[2], project = evenings, surfaces = [zone]) =>
  compareWays(project, surfaces, part);

describe('ways side by side', () => {
  it('first what is done now, then every school of that part', () => {
    const reads = read('colour');
    expect(reads[0].way).toBeNull();
    expect(reads.slice(1).map(({ way }) => way?.id)).toEqual([
      'dark-up',
      'mid-and-wash',
      'spots-on-white',
      'sprayed',
      'water-bands',
    ]);
  });

  it('which way of colouring takes one evening, and which more', () => {
    const of = Object.fromEntries(read('colour').map((one) => [one.way?.id ?? 'now', one]));
    // Airbrushed coats are dry in minutes; washes want an hour each, and five of them do not go into two hours.
    expect(of.sprayed.evenings).toBe(1);
    expect(of['spots-on-white'].evenings).toBeGreaterThanOrEqual(3);
    expect(of['spots-on-white'].evenings).toBeGreaterThan(of['mid-and-wash'].evenings ?? 99);
    for (const one of Object.values(of)) expect(one.untilNextH).toBeGreaterThan(one.handsOnMin / 60);
  });

  it('skins fill the same steps: lighter filler weighs less, texture paste wants more coats', () => {
    const of = Object.fromEntries(read('skin').map((one) => [one.way?.id ?? 'now', one]));
    expect(of['light-filler'].dryG.likely).toBeLessThan(of.compound.dryG.likely / 2);
    expect(of.texture.coats).toBeGreaterThan(of.compound.coats);
    expect(of['filler-quick'].stages[0].batches?.count).toBeGreaterThan(of.filler.stages[0].batches?.count ?? 99);
    // Tissue alone fills nothing: the project's own paste does that under it.
    expect(of.tissue.stages.map(({ operation }) => operation)).toEqual(['skin', 'skin']);
    // What is done now is the school it came from.
    expect(of.now.handsOnMin).toBeCloseTo(of.compound.handsOnMin, 9);
  });

  it('a skin that has no room everywhere is told as it is, and every school has as little room', () => {
    const [, compound] = read('skin');
    const [now, less] = read('skin', evenings, [{ ...zone, skinMl: 90 }]);
    // 60,000 mm2 x 3 mm are 180 ml; half of it lies on the board.
    const mixed = (one: typeof now) => one.stages[0].materials[0].amount.likely;
    expect(mixed(compound) / mixed(less)).toBeCloseTo((50 + 180) / (50 + 90), 9);
    expect(mixed(now)).toBeCloseTo(mixed(less), 9);
  });

  it('what is limited to part of the ground is told as it is now; a school goes all over', () => {
    const recipe = { ...zone.recipe, coats: [newCoat('a', 'paint', 'acrylic'), newCoat('b', 'wash', 'wash')] };
    const limited = { ...zone, recipe, coatMm2: [60_000, 15_000] };
    const of = (part: 'colour') => read(part, evenings, [limited]);
    const [now, ...schools] = of('colour');
    expect(now.stages.map(({ areaMm2 }) => areaMm2)).toEqual([60_000, 15_000]);
    for (const { stages } of schools) expect(stages[0].areaMm2).toBeGreaterThan(15_000);
    const [everywhere] = read('colour', evenings, [{ ...zone, recipe }]);
    expect(now.handsOnMin).toBeLessThan(everywhere.handsOnMin);
  });

  it('costs only where everything is priced, by the kilogram of powder', () => {
    const priced = {
      ...evenings,
      materials: {
        added: [],
        values: [{ material: 'compound', property: 'price' as const, low: 4, likely: 4, high: 4, note: '' }],
      },
    };
    const of = Object.fromEntries(read('skin', priced).map((one) => [one.way?.id ?? 'now', one]));
    const powder = of.compound.stages[0].materials.find(({ name }) => name === 'of it powder');
    expect(of.compound.money).toBeCloseTo((4 * (powder?.amount.likely ?? 0)) / 1000, 9);
    expect(of.plaster.money).toBeNull();
  });

  it('no bench hours, no evenings; nothing on a side comes to nothing', () => {
    const idle = {
      ...start,
      bench: {
        ...start.bench,
        week: Object.fromEntries(Object.keys(start.bench.week).map((day) => [day, null])) as never,
      },
    };
    expect(read('seal', idle)[1].evenings).toBeNull();
    const bare = { ...zone, recipe: { ...usualRecipe(), coats: [] }, fillMl: 0, most95Mm: 0, lengthM: 1.4 };
    const sides = read('edge', evenings, [bare]);
    expect(sides[0].stages).toEqual([]);
    const faced = sides.find(({ way }) => way?.id === 'edge-faced');
    expect(faced?.stages[0].handsOn.likely).toBeCloseTo(1.4 * 30 + 8, 9);
  });

  it('a coat with a limit of its own still counts in what is done now', () => {
    const recipe = { ...usualRecipe(), coats: [newCoat('a', 'seal', 'gesso')] };
    expect(read('seal', evenings, [{ ...zone, recipe }])[0].stages[0].materials[0].amount.likely).toBeGreaterThan(5);
  });
});
