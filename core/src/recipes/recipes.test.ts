import { describe, expect, it } from 'vitest';
import { toEnd } from '../kernel/index.ts';
import { catalogueOf, shippedCatalogue } from '../materials/index.ts';
import {
  type Coat,
  everywhere,
  newCoat,
  operations,
  operationWords,
  type Project,
  parts,
  recipeSchema,
  usualRecipe,
} from '../project/index.ts';
import { frustumGround, frustumProject } from '../testing/frustum.ts';
import { zonesOf } from '../zones/index.ts';
import { coatsOfPart, doneIn, shippedRecipes, wayOf, ways } from './ways.ts';
import { wornOf } from './worn.ts';

describe('the schools of the trade', () => {
  it('every coat is of a material on the shelf that goes with its operation', () => {
    for (const { id, coats } of [...ways, ...shippedRecipes])
      for (const { operation, material } of coats) {
        const form = shippedCatalogue.material(material)?.form;
        expect(form, `${id}: ${material}`).toBeDefined();
        expect(operationWords[operation].forms, `${id}: ${operation} with ${material}`).toContain(form);
      }
  });

  it('every shipped recipe reads by its schema, and ids are one of a kind', () => {
    for (const recipe of shippedRecipes) expect(recipeSchema.safeParse(recipe).success, recipe.id).toBe(true);
    expect(new Set(ways.map(({ id }) => id)).size).toBe(ways.length);
    expect(new Set(shippedRecipes.map(({ id }) => id)).size).toBe(shippedRecipes.length);
  });

  it('the main schools of every part are there', () => {
    const count = Object.fromEntries(parts.map((part) => [part, ways.filter((way) => way.part === part).length]));
    expect(count.skin).toBeGreaterThanOrEqual(12);
    expect(count.seal).toBe(4);
    expect(count.colour).toBeGreaterThanOrEqual(4);
    expect(count.cover).toBeGreaterThanOrEqual(9);
    expect(count.edge).toBe(3);
  });

  it('a part done in another way keeps its place, and everything else its coats', () => {
    const recipe = usualRecipe();
    const texture = ways.find(({ id }) => id === 'texture')!;
    const next = doneIn(recipe, texture);
    expect(next.coats.map(({ material }) => material)).toEqual([
      'texture paste',
      ...recipe.coats.slice(1).map(({ material }) => material),
    ]);
    expect(wayOf(next, 'skin')?.id).toBe('texture');
    expect(wayOf(recipe, 'skin')?.id).toBe('compound');
    expect(wayOf(recipe, 'cover')).toBeNull();
    // There and back again.
    expect(doneIn(next, ways.find(({ id }) => id === 'compound')!).coats.map(({ material }) => material)).toEqual(
      recipe.coats.map(({ material }) => material),
    );
  });

  it('a part that was not there comes where the work would have it', () => {
    const bare = { ...usualRecipe(), coats: usualRecipe().coats.filter(({ operation }) => operation !== 'seal') };
    const sealed = doneIn(bare, ways.find(({ id }) => id === 'gesso')!);
    expect(sealed.coats.map(({ operation }) => operation).slice(0, 3)).toEqual(['skin', 'seal', 'paint']);
    expect(new Set(sealed.coats.map(({ id }) => id)).size).toBe(sealed.coats.length);
  });

  it('coats of all parts together are the recipe', () => {
    const recipe = shippedRecipes.find(({ id }) => id === 'meadow')!;
    const inParts = parts.filter((part) => part !== 'edge').flatMap((part) => coatsOfPart(recipe, part));
    expect(new Set(inParts)).toEqual(new Set(recipe.coats));
    for (const operation of operations) expect(parts).toContain(operationWords[operation].part);
  });
});

describe('recipes on the ground', () => {
  const ground = frustumGround(2);
  const start = frustumProject();
  const rule = (id: string, when: Partial<ReturnType<typeof everywhere>>, recipe: string | null) => ({
    id,
    name: id,
    cover: 'rock' as const,
    recipe,
    when: { ...everywhere(), ...when },
  });
  const worn = (project: Project) => toEnd(wornOf(project, ground, zonesOf(project, ground)));
  const dressed = (coats: Coat[]): Project => ({
    ...start,
    recipes: [...start.recipes, { ...usualRecipe(), id: 'other', name: 'Other', coats }],
    zones: { rules: [rule('steep', { slope: { from: 20, to: null } }, 'other')], rest: 'grass' },
  });

  it('areas of the zones add up to the surface, whatever they wear', () => {
    const { zones } = worn(dressed([]));
    expect(zones.map(({ recipe }) => recipe)).toEqual(['other', 'usual']);
    expect(zones.reduce((sum, { trueMm2 }) => sum + trueMm2, 0)).toBeCloseTo(ground.surface.trueMm2, 5);
    expect(zones.reduce((sum, { planMm2 }) => sum + planMm2, 0)).toBeCloseTo(ground.surface.planMm2, 5);
  });

  it('a coat counts only where it is meant: by slope, by height, by the way to the edge', () => {
    const coat = (when: Partial<ReturnType<typeof everywhere>>) =>
      newCoat('c', 'paint', 'acrylic', { when: { ...everywhere(), ...when } });
    const area = (when: Partial<ReturnType<typeof everywhere>>) => {
      const project = { ...start, recipes: [{ ...start.recipes[0], coats: [coat(when)] }] };
      return worn(project).zones[0].coatMm2[0] / 100;
    };
    // The top of 80 x 80 mm; a rim of 10 mm round 240 x 240 mm, along the slope of 64 on 80.
    expect(Math.abs(area({ slope: { from: null, to: 1 } }) - 64)).toBeLessThan(1.5);
    const steep = Math.hypot(1, 64 / 80);
    expect(area({ edge: { from: null, to: 10 } }) / (((240 ** 2 - 220 ** 2) / 100) * steep)).toBeCloseTo(1, 1.7);
    // Below 32 mm: the outer 40 mm of every side.
    expect(area({ height: { from: null, to: 32 } }) / (((240 ** 2 - 160 ** 2) / 100) * steep)).toBeCloseTo(1, 1.7);
    expect(area({})).toBeCloseTo(ground.surface.trueMm2 / 100, 6);
  });

  it('skins of one thickness are one; others are told apart node by node', () => {
    expect(worn(start).skin).toEqual({ thicknessMm: [3], node: null });
    const { skin } = worn(dressed([newCoat('s', 'skin', 'texture paste', { thicknessMm: 1.5 })]));
    expect([...skin.thicknessMm].sort()).toEqual([1.5, 3]);
    const classes = new Set(skin.node);
    expect(classes.size).toBe(2);
  });

  it('more than eight thicknesses are rounded together', () => {
    const coats = Array.from({ length: 12 }, (_, k) =>
      newCoat(`s${k}`, 'skin', 'compound', {
        thicknessMm: 0.4,
        when: { ...everywhere(), height: { from: 5 * k, to: null } },
      }),
    );
    const { skin } = worn({ ...start, recipes: [{ ...start.recipes[0], coats }] });
    expect(skin.thicknessMm.length).toBeLessThanOrEqual(8);
    expect(Math.max(...skin.thicknessMm)).toBeGreaterThan(4);
  });

  it('plies make a skin of their own thickness', () => {
    const { skin } = worn({
      ...start,
      recipes: [{ ...start.recipes[0], coats: [newCoat('t', 'skin', 'tissue', { coats: 4 })] }],
    });
    expect(skin.thicknessMm).toEqual([4 * catalogueOf(start.materials).need('tissue', 'plyMm').likely]);
  });
});
