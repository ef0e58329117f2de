import { describe, expect, it } from 'vitest';
import { shippedMaterials } from '../../materials/index.ts';
import {
  changeCoat,
  drawItem,
  everywhere,
  fillPasteOf,
  moveCoat,
  newCoat,
  ownFigure,
  putMaterial,
  putRecipe,
  readMaterials,
  readRecipe,
  recipeOf,
  removeMaterial,
  removeRecipe,
  skinMmOf,
  startProject,
  takeRecipe,
  usualRecipe,
  wear,
  writeMaterials,
  writeRecipe,
} from '../index.ts';

const start = startProject('p', '2027-03-01', 'ground');
const patched = drawItem(
  start,
  'patch',
  [
    [0, 0],
    [50, 0],
    [50, 50],
  ],
  0,
).project;
const patch = patched.patches[0].id;

describe('wearing recipes', () => {
  it('a zone wears its own, then the project’s again', () => {
    const { project, id } = takeRecipe(patched, { ...usualRecipe(), id: 'mine', name: 'Mine' });
    const dressed = wear(project, { of: 'patch', id: patch }, id);
    expect(dressed.patches[0].recipe).toBe('mine');
    expect(recipeOf(dressed, dressed.patches[0].recipe).name).toBe('Mine');
    expect(removeRecipe(dressed, 'mine').patches[0].recipe).toBeNull();
    expect(wear(dressed, { of: 'edges' }, id).surface.edges).toBe('mine');
    expect(removeRecipe(wear(dressed, { of: 'edges' }, id), 'mine').surface.edges).toBeNull();
    expect(recipeOf(dressed, 'gone').id).toBe('usual');
  });

  it('the project’s own recipe cannot be taken away, nor taken off the rest of the ground', () => {
    expect(removeRecipe(start, 'usual')).toBe(start);
    expect(wear(start, { of: 'rest' }, null)).toBe(start);
    const { project, id } = takeRecipe(start, usualRecipe());
    expect(wear(project, { of: 'rest' }, id).surface.recipe).toBe(id);
  });

  it('a recipe taken twice has another id and name', () => {
    const once = takeRecipe(start, usualRecipe());
    const twice = takeRecipe(once.project, usualRecipe());
    expect(new Set(twice.project.recipes.map(({ id }) => id)).size).toBe(3);
    expect(twice.project.recipes.map(({ name }) => name)).toEqual([
      'Earth and grass',
      'Earth and grass 2',
      'Earth and grass 3',
    ]);
  });
});

describe('coats', () => {
  const ids = (recipe: ReturnType<typeof usualRecipe>) => recipe.coats.map(({ id }) => id);
  it('are moved by their place from the foam up, and stay within the recipe', () => {
    const recipe = usualRecipe();
    expect(ids(moveCoat(recipe, 'grass', 0))[0]).toBe('grass');
    expect(ids(moveCoat(recipe, 'skin', 99)).at(-1)).toBe('skin');
    expect(ids(moveCoat(recipe, 'seal', 2)).slice(1, 3)).toEqual(['base', 'seal']);
    expect(moveCoat(recipe, 'nothing', 2)).toBe(recipe);
  });

  it('are changed one by one, and the skin follows', () => {
    const thick = putRecipe(start, changeCoat(usualRecipe(), 'skin', { thicknessMm: 5 }));
    expect(skinMmOf(thick)).toBe(5);
    expect(skinMmOf(start)).toBe(3);
    const bare = putRecipe(start, { ...usualRecipe(), coats: [newCoat('t', 'skin', 'tissue', { coats: 2 })] });
    expect(skinMmOf(bare)).toBe(0.5);
    expect(fillPasteOf(bare)).toBe('compound');
    expect(fillPasteOf(start, { ...usualRecipe(), coats: [newCoat('p', 'skin', 'plaster')] })).toBe('plaster');
  });
});

describe('own figures and materials', () => {
  it('a figure is written over, and taken back', () => {
    const of = { material: 'acrylic', property: 'spreadM2PerL' as const };
    const once = ownFigure(start, of, { low: 7, likely: 8, high: 9, note: 'weighed' });
    const twice = ownFigure(once, of, { low: 6, likely: 7, high: 8, note: '' });
    expect(twice.materials.values).toEqual([{ ...of, low: 6, likely: 7, high: 8, note: '' }]);
    expect(ownFigure(twice, of, null).materials.values).toEqual([]);
  });

  it('a material goes with its figures', () => {
    const own = { ...shippedMaterials[0], id: 'mine', name: 'Mine' };
    const added = putMaterial(start, own);
    const figured = ownFigure(
      added,
      { material: 'mine', property: 'densityKgM3' },
      { low: 1, likely: 2, high: 3, note: '' },
    );
    expect(putMaterial(figured, { ...own, name: 'Ours' }).materials.added).toHaveLength(1);
    expect(removeMaterial(figured, 'mine').materials).toEqual({ added: [], values: [] });
  });
});

describe('files of recipes and of materials', () => {
  const own = { ...shippedMaterials[0], id: 'mine', name: 'Mine', form: 'paste' as const };
  const project = putMaterial(start, own);

  it('a recipe brings the builder’s own materials that it is made of, and no others', () => {
    const recipe = {
      ...usualRecipe(),
      coats: [
        newCoat('a', 'skin', 'mine', { thicknessMm: 2, when: { ...everywhere(), slope: { from: 10, to: null } } }),
      ],
    };
    const other = putMaterial(project, { ...own, id: 'unused' });
    const read = readRecipe(writeRecipe(recipe, other.materials));
    expect(read).toEqual({ ok: true, value: { format: 'hosket-recipe', version: 1, recipe, materials: [own] } });
  });

  it('materials come back as they went', () => {
    const figured = ownFigure(
      project,
      { material: 'gesso', property: 'coatH' },
      { low: 1, likely: 2, high: 3, note: 'cold' },
    );
    expect(readMaterials(writeMaterials(figured.materials))).toEqual({ ok: true, value: figured.materials });
  });

  it('what cannot be read says where and why', () => {
    const fault = (text: string) => {
      const read = readRecipe(text);
      return read.ok ? null : read.fault;
    };
    expect(fault('')?.code).toBe('empty');
    expect(fault('{"format":"hosket-project"}')?.place).toBe('format');
    const bad = JSON.parse(writeRecipe(usualRecipe(), start.materials));
    bad.recipe.coats[2].sharePercent = 300;
    expect(fault(JSON.stringify(bad))?.place).toBe('recipe.coats[2].sharePercent');
    const materials = readMaterials(
      '{"format":"hosket-materials","version":1,"materials":{"added":[],"values":[{"material":"a","property":"price","low":3,"likely":2,"high":1,"note":""}]}}',
    );
    expect(materials.ok ? null : materials.fault.message).toContain('must rise');
  });
});
