import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { groundOf, measuredGround, thinnedTo } from '../ground/index.ts';
import { toEnd } from '../kernel/index.ts';
import {
  type Coat,
  drawItem,
  everywhere,
  newCoat,
  type Project,
  type Recipe,
  readProject,
  usualRecipe,
} from '../project/index.ts';
import { shippedRecipes } from '../recipes/index.ts';
import { stacked, taken } from '../testing/stacked.ts';
import { product, sum, uniformFrom } from '../units/index.ts';
import { stepsOf } from './order.ts';
import type { WornSurface } from './wornSurface.ts';

function sample(name: string) {
  const read = readProject(readFileSync(new URL(`../../../samples/${name}.hosket.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.fault.message);
  const fine = toEnd(groundOf(read.value));
  return {
    project: read.value,
    ground: toEnd(measuredGround(fine.outline, thinnedTo(20000, fine.grid), fine.built, null)),
  };
}
const quarry = sample('harl-quarry');

const rule = (id: string, when: Partial<ReturnType<typeof everywhere>>, recipe: string | null) => ({
  id,
  name: id,
  cover: 'rock' as const,
  recipe,
  when: { ...everywhere(), ...when },
});
/** Five zones of the quarry in five recipes. */
const five = (base: Project): Project => ({
  ...base,
  recipes: [...base.recipes, ...shippedRecipes.filter(({ id }) => ['rock', 'bed', 'bare-earth', 'scree'].includes(id))],
  zones: {
    rules: [
      rule('bed', { height: { from: null, to: 12 } }, 'bed'),
      rule('faces', { slope: { from: 45, to: null } }, 'rock'),
      rule('scree', { slope: { from: 28, to: 45 } }, 'scree'),
      rule('high', { height: { from: 55, to: null } }, 'bare-earth'),
    ],
    rest: 'grass',
  },
});
const worked = (project: Project) => {
  const { plan, land } = stacked(project, quarry.ground);
  return { plan, land, ...taken(project, plan, land) };
};

describe('conservation', () => {
  it('five zones with skins from 0 to 5 mm: paste by zone is what the solids say, foam and paste make the ground', () => {
    const { plan, paste, skinMl, land } = worked(five(quarry.project));
    const fill = paste.zones.reduce((all, { fillMl }) => all + fillMl, 0);
    const skin = paste.zones.reduce((all, zone) => all + zone.skinMl, 0);
    expect(fill).toBeCloseTo(plan.fillMl, 6);
    expect(skin).toBeCloseTo(skinMl - plan.rooms.skinMl, 6);
    expect(paste.zones.filter(({ skinMl: ml }) => ml > 1).length).toBe(5);
    const rooms = plan.rooms.leftMl.reduce((all, ml) => all + ml, 0) + plan.rooms.fillMl + plan.rooms.glueMl;
    const whole = plan.foamLeftMl + plan.glueLineMl + plan.fillMl + rooms + plan.cutOutMl + skinMl;
    expect(whole / quarry.ground.volumeMl).toBeCloseTo(1, 3);
    expect(land.worn.zones.reduce((all, { trueMm2 }) => all + trueMm2, 0)).toBeCloseTo(
      quarry.ground.surface.trueMm2,
      4,
    );
  });

  it('what the cells tell of fill and skin lies within 3 % of the solids before it is stretched', () => {
    const { plan, land, skinMl } = worked(quarry.project);
    // One zone: the stretch itself cannot be seen, so the cells are added up here a second way.
    let skin = 0;
    const { grid, coverage } = quarry.ground;
    for (let j = 0, cell = 0; j < grid.rows - 1; j++)
      for (let i = 0; i < grid.columns - 1; i++, cell++) {
        const n = j * grid.columns + i;
        const mean = (v: ArrayLike<number>) => (v[n] + v[n + 1] + v[n + grid.columns] + v[n + grid.columns + 1]) / 4;
        const area = (coverage ? coverage[cell] : 1) * grid.cellMm ** 2;
        skin += (area * (mean(grid.values) - Math.max(0, mean(land.target.grid.values)))) / 1000;
      }
    expect(Math.abs(skin / skinMl - 1)).toBeLessThan(0.03);
    expect(plan.fillMl).toBeGreaterThan(50);
  });

  it('slate laid along a bank takes its room from the paste, in its own zone', () => {
    const bank = drawItem(
      quarry.project,
      'slate',
      [
        [40, 60],
        [160, 60],
        [160, 100],
        [40, 100],
      ],
      20,
      { heightMm: 14, beddedMm: 6, smooth: false },
    ).project;
    const bare = worked({ ...five(quarry.project), laid: [] });
    const laid = worked({ ...five(quarry.project), laid: bank.laid.slice(-1) });
    const all = ({ stages }: typeof bare) =>
      stages.filter(({ stage }) => stage === 'skin').reduce((ml, { materials }) => ml + materials[0].amount.likely, 0);
    expect(all(laid)).toBeLessThan(all(bare) - 5);
    bare.paste.zones.forEach((zone, k) => {
      expect(laid.paste.zones[k].skinMl).toBeLessThan(zone.skinMl + 0.5);
    });
  });
});

describe('what can be done at once is', () => {
  const surface = (id: string, ...coats: Coat[]): WornSurface => ({
    id,
    name: id,
    recipe: { ...usualRecipe(), id, coats },
    trueMm2: 1000,
    coatMm2: coats.map(() => 1000),
    fillMl: 0,
    skinMl: 0,
    depths: [],
    lengthM: 0,
    onFoam: true,
  });
  const steps = (...surfaces: WornSurface[]) =>
    stepsOf(surfaces).map(({ worn }) => [worn[0].coat.material, worn.map((one) => one.surface.id).join('')]);

  it('the same seal on two zones is one pot, another colour is not', () => {
    const a = surface('a', newCoat('1', 'seal', 'gesso'), newCoat('2', 'paint', 'acrylic', { colour: 'red' }));
    const b = surface('b', newCoat('1', 'seal', 'gesso'), newCoat('2', 'paint', 'acrylic', { colour: 'grey' }));
    expect(steps(a, b)).toEqual([
      ['gesso', 'ab'],
      ['acrylic', 'a'],
      ['acrylic', 'b'],
    ]);
  });

  it('what is later on one zone is waited for by the other', () => {
    const wash = newCoat('w', 'wash', 'wash');
    const a = surface('a', wash);
    const b = surface('b', newCoat('p', 'paint', 'acrylic'), wash);
    expect(steps(a, b)).toEqual([
      ['acrylic', 'b'],
      ['wash', 'ab'],
    ]);
  });

  it('no recipe is ever done out of its own order, and every coat is done once', () => {
    const kinds: [Coat['operation'], string][] = [
      ['skin', 'compound'],
      ['seal', 'gesso'],
      ['paint', 'acrylic'],
      ['wash', 'wash'],
      ['dry-brush', 'dry-brush'],
      ['scatter', 'soil'],
      ['grass', 'grass 4 mm'],
    ];
    const coats = fc
      .array(fc.nat({ max: kinds.length - 1 }), { maxLength: 7 })
      .map((picks) => picks.map((pick, k) => newCoat(`c${k}`, ...kinds[pick])));
    fc.assert(
      fc.property(fc.array(coats, { minLength: 1, maxLength: 5 }), (recipes) => {
        const surfaces = recipes.map((list, k) => surface(`z${k}`, ...list));
        const found = stepsOf(surfaces);
        surfaces.forEach((zone) => {
          const order = found.flatMap(({ worn }) => worn.filter((one) => one.surface === zone).map(({ at }) => at));
          expect(order).toEqual(zone.recipe.coats.map((_, at) => at));
        });
        expect(new Set(found.map(({ id }) => id)).size).toBe(found.length);
      }),
      { numRuns: 60 },
    );
  });
});

describe('five zones in five recipes', () => {
  const { stages } = worked(five(quarry.project));

  it('every step knows its zones, its steps before, and its own name', () => {
    expect(new Set(stages.map(({ id }) => id)).size).toBe(stages.length);
    const seen = new Set<string>();
    for (const { id, after, zones, stage } of stages) {
      for (const { id: before } of after) expect(seen.has(before), `${id} after ${before}`).toBe(true);
      if (!['cut', 'glue', 'carve'].includes(stage)) expect(zones.length).toBeGreaterThan(0);
      seen.add(id);
    }
    const seal = stages.find(({ id }) => id === 'seal-seal-coat');
    expect(seal?.zones.map(({ name }) => name).sort()).toEqual(['Everything else', 'faces', 'high', 'scree']);
  });

  it('the benches in texture paste instead of compound: other amounts, coats, bowls, hours and weight', () => {
    const swapped = (recipe: Recipe): Recipe => ({
      ...recipe,
      coats: recipe.coats.map((coat) =>
        coat.material === 'compound' ? { ...coat, material: 'texture paste', thicknessMm: 1.5 } : coat,
      ),
    });
    const before = stages.find(({ id }) => id === 'skin-compound');
    const project = five(quarry.project);
    const after = worked({
      ...project,
      recipes: project.recipes.map((recipe) => (recipe.id === 'usual' ? swapped(recipe) : recipe)),
    }).stages.find(({ id, zones }) => id.startsWith('skin-texture') && zones.some(({ id: zone }) => zone === null));
    expect(before && after).toBeTruthy();
    if (!before || !after) return;
    expect(after.materials[0].amount.likely).not.toBeCloseTo(before.materials[0].amount.likely, 0);
    expect(after.batches?.why).not.toBe(before.batches?.why);
    expect(after.coats).toBeGreaterThan(before.coats);
    expect(after.drying).not.toEqual(before.drying);
    expect(after.dryG.likely).not.toBeCloseTo(before.dryG.likely, 0);
  });
});

describe('ranges combine as independent', () => {
  /** Draws a split log-normal: one in twenty below low, one in twenty above high. */
  const normalFrom = (seed: number) => {
    const uniform = uniformFrom(seed);
    return () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  };

  it('a product of four uncertain figures against 40,000 draws with a fixed seed: 5 % and 95 % within 4 %', () => {
    const figures = [
      { low: 1.1, likely: 1.3, high: 1.6 },
      { low: 3.5, likely: 5.5, high: 8 },
      { low: 0.8, likely: 0.9, high: 0.95 },
      { low: 0.6, likely: 1, high: 1.6 },
    ];
    const told = product(100, [
      { range: figures[0] },
      { range: figures[1], under: true },
      { range: figures[2], under: true },
      { range: figures[3] },
    ]);
    const normal = normalFrom(7);
    const draw = ({ low, likely, high }: (typeof figures)[number]) => {
      const z = normal();
      return likely * (z > 0 ? high / likely : likely / low) ** (z / 1.645);
    };
    const drawn = Array.from({ length: 40_000 }, () => {
      const [a, b, c, d] = figures.map(draw);
      return (100 * a * d) / (b * c);
    }).sort((x, y) => x - y);
    const at = (share: number) => drawn[Math.floor(share * drawn.length)];
    expect(Math.abs(told.low / at(0.05) - 1)).toBeLessThan(0.04);
    expect(Math.abs(told.high / at(0.95) - 1)).toBeLessThan(0.04);
    // Adding every worst case would promise far too much.
    expect(told.high).toBeLessThan(0.75 * ((100 * 1.6 * 1.6) / (3.5 * 0.8)));
  });

  it('a sum of five likewise', () => {
    const parts = [10, 20, 30, 25, 15].map((likely) => ({ low: 0.7 * likely, likely, high: 1.4 * likely }));
    const told = sum(parts);
    const normal = normalFrom(11);
    const drawn = Array.from({ length: 40_000 }, () =>
      parts.reduce((all, { low, likely, high }) => {
        const z = normal();
        return all + likely + ((z > 0 ? high - likely : likely - low) * z) / 1.645;
      }, 0),
    ).sort((x, y) => x - y);
    const at = (share: number) => drawn[Math.floor(share * drawn.length)];
    // A sum of skewed parts lies a little above the sum of their likeliest values: within 4 %.
    expect(Math.abs(told.low / at(0.05) - 1)).toBeLessThan(0.04);
    expect(Math.abs(told.high / at(0.95) - 1)).toBeLessThan(0.04);
  });
});
