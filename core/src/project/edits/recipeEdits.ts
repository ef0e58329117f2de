import type { Material, OwnValue } from '../../materials/index.ts';
import type { Coat, Recipe } from '../schemas/recipeSchema.ts';
import type { Project } from '../schemas/schema.ts';
import { freeId } from './edits.ts';

/** Adds a recipe, or puts it in the place of the one with its id. */
export const putRecipe = (project: Project, recipe: Recipe): Project => ({
  ...project,
  recipes: project.recipes.some(({ id }) => id === recipe.id)
    ? project.recipes.map((other) => (other.id === recipe.id ? recipe : other))
    : [...project.recipes, recipe],
});

/** Adds a recipe that came from elsewhere under an id and a name that are still free; gives its id. */
export function takeRecipe(project: Project, recipe: Recipe): { project: Project; id: string } {
  const taken = project.recipes.some(({ id }) => id === recipe.id);
  const id = taken ? freeId(recipe.id.slice(0, 50), project.recipes) : recipe.id;
  let name = recipe.name;
  for (let n = 2; project.recipes.some((other) => other.name === name); n++) name = `${recipe.name.slice(0, 110)} ${n}`;
  return { project: putRecipe(project, { ...recipe, id, name }), id };
}

/** Takes a recipe away: what wore it wears the project's own again. The project's own stays. */
export function removeRecipe(project: Project, id: string): Project {
  if (project.surface.recipe === id || project.recipes.length < 2) return project;
  const bare = <T extends { recipe: string | null }>(wearer: T): T =>
    wearer.recipe === id ? { ...wearer, recipe: null } : wearer;
  const { edges, walls } = project.surface;
  return {
    ...project,
    recipes: project.recipes.filter((recipe) => recipe.id !== id),
    patches: project.patches.map(bare),
    zones: { ...project.zones, rules: project.zones.rules.map(bare) },
    tiles: project.tiles.map((tile) => ({ ...tile, patches: tile.patches.map(bare) })),
    surface: { ...project.surface, edges: edges === id ? null : edges, walls: walls === id ? null : walls },
  };
}

/** What wears recipes: a patch, a rule, everything else (the project's own), the sides of the base, the walls of the box. */
export type Wearer = { of: 'patch' | 'rule'; id: string } | { of: 'rest' } | { of: 'edges' } | { of: 'walls' };

/** Dresses a zone; null takes its recipe off. The rest of the ground always wears the project's own. */
export function wear(project: Project, wearer: Wearer, recipe: string | null): Project {
  const { surface } = project;
  const on = <T extends { id: string; recipe: string | null }>(list: T[], id: string): T[] =>
    list.map((one) => (one.id === id ? { ...one, recipe } : one));
  switch (wearer.of) {
    case 'patch':
      return { ...project, patches: on(project.patches, wearer.id) };
    case 'rule':
      return { ...project, zones: { ...project.zones, rules: on(project.zones.rules, wearer.id) } };
    case 'rest':
      return recipe === null ? project : { ...project, surface: { ...surface, recipe } };
    default:
      return { ...project, surface: { ...surface, [wearer.of]: recipe } };
  }
}

/** Moves a coat of a recipe to another place, counted from the foam up. */
export function moveCoat(recipe: Recipe, id: string, to: number): Recipe {
  const coat = recipe.coats.find((one) => one.id === id);
  if (!coat) return recipe;
  const coats = recipe.coats.filter((one) => one.id !== id);
  coats.splice(Math.max(0, Math.min(coats.length, to)), 0, coat);
  return { ...recipe, coats };
}

export const changeCoat = (recipe: Recipe, id: string, change: Partial<Coat>): Recipe => ({
  ...recipe,
  coats: recipe.coats.map((coat) => (coat.id === id ? { ...coat, ...change } : coat)),
});

/** Writes the builder's own figure for a material; null takes it back, so that the shipped one counts again. */
export const ownFigure = (
  project: Project,
  of: Pick<OwnValue, 'material' | 'property'>,
  value: Omit<OwnValue, 'material' | 'property'> | null,
): Project => ({
  ...project,
  materials: {
    ...project.materials,
    values: [
      ...project.materials.values.filter(
        ({ material, property }) => material !== of.material || property !== of.property,
      ),
      ...(value ? [{ ...value, material: of.material, property: of.property }] : []),
    ],
  },
});

/** Adds a material of the builder's own, or puts it in the place of the one with its id. */
export const putMaterial = (project: Project, material: Material): Project => ({
  ...project,
  materials: {
    ...project.materials,
    added: [...project.materials.added.filter(({ id }) => id !== material.id), material],
  },
});

export const removeMaterial = (project: Project, id: string): Project => ({
  ...project,
  materials: {
    added: project.materials.added.filter((material) => material.id !== id),
    values: project.materials.values.filter(({ material }) => material !== id),
  },
});
