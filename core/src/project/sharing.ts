import { z } from 'zod';
import { type Material, materialSchema, type OwnMaterials, ownMaterialsSchema } from '../materials/index.ts';
import { bad, good, type Result } from '../units/index.ts';
import { pathText, readJson } from './reading/read.ts';
import { type Recipe, recipeSchema } from './schemas/recipeSchema.ts';

const recipeFileSchema = z.strictObject({
  format: z.literal('hosket-recipe'),
  version: z.literal(1),
  recipe: recipeSchema,
  /** Materials of the builder's own that it is made of. */
  materials: z.array(materialSchema).max(100),
});

const materialsFileSchema = z.strictObject({
  format: z.literal('hosket-materials'),
  version: z.literal(1),
  materials: ownMaterialsSchema,
});

export const sharedSchemas = { recipe: recipeFileSchema, materials: materialsFileSchema };

/** The text of a recipe file: the recipe with those materials of the builder's own that it is made of. */
export function writeRecipe(recipe: Recipe, { added }: OwnMaterials): string {
  const used = new Set(recipe.coats.map(({ material }) => material));
  const materials = added.filter(({ id }) => used.has(id));
  return `${JSON.stringify({ format: 'hosket-recipe', version: 1, recipe, materials }, null, 2)}\n`;
}

export const writeMaterials = (materials: OwnMaterials): string =>
  `${JSON.stringify({ format: 'hosket-materials', version: 1, materials }, null, 2)}\n`;

export const readRecipe = (text: string): Result<{ recipe: Recipe; materials: Material[] }> =>
  readAs(text, recipeFileSchema, 'recipe', '*.hosket-recipe.json');

export function readMaterials(text: string): Result<OwnMaterials> {
  const read = readAs(text, materialsFileSchema, 'list of materials', '*.hosket-materials.json');
  return read.ok ? good(read.value.materials) : read;
}

function readAs<T>(text: string, schema: z.ZodType<T>, what: string, file: string): Result<T> {
  const json = readJson(text);
  if (!json.ok) return json;
  const read = schema.safeParse(json.value);
  if (read.success) return good(read.data);
  const [issue] = read.error.issues;
  const place = pathText(issue.path) || '(whole file)';
  return bad('value', place, `The file is no ${what} that can be read: ${issue.message}.`, `Choose a ${file} file.`);
}
