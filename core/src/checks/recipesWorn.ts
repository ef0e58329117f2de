import { catalogueOf, type Fact } from '../materials/index.ts';
import { type Coat, type Operation, operationWords, type Project, type Recipe } from '../project/index.ts';
import type { Finding, PlanView } from './finding.ts';

/** Recipes that lie on some ground of the plan, or on its sides and walls. */
export function recipesWorn({ project, zones }: Pick<PlanView, 'project' | 'zones'>): Recipe[] {
  const worn = new Set(
    zones.filter(({ percent }) => percent > 0).map(({ recipe }) => recipe ?? project.surface.recipe),
  );
  const { edges, walls } = project.surface;
  return project.recipes.filter(({ id }) => worn.has(id) || id === edges || id === walls);
}

/** Place of the first coat of some operations; -1 where there is none. */
export const firstOf = ({ coats }: Recipe, wanted: readonly Operation[]): number =>
  coats.findIndex(({ operation }) => wanted.includes(operation));

export const lastOf = ({ coats }: Recipe, wanted: readonly Operation[]): number =>
  coats.findLastIndex(({ operation }) => wanted.includes(operation));

export const colours = ['paint', 'wash', 'dry-brush'] as const satisfies readonly Operation[];

const everywhere = ({ when, sharePercent }: Coat) =>
  sharePercent >= 100 && Object.values(when).every((limits) => limits === null);

/** Stuff that seals, whatever it is put on as. */
const sealing: readonly string[] = ['seal coat', 'gesso', 'PVA seal', 'sealing paste'];

/** Whether all of the ground is sealed before a coat. */
export const sealedUnder = ({ coats }: Recipe, at: number): boolean =>
  coats.slice(0, at).some((coat) => (coat.operation === 'seal' || sealing.includes(coat.material)) && everywhere(coat));

/** Whether a recipe lies on foam somewhere: walls of a box are none, nor is a stack of cork. */
export function liesOnFoam(
  { project, zones, layers }: Pick<PlanView, 'project' | 'zones' | 'layers'>,
  { id }: Recipe,
): boolean {
  const used = project.sheets.filter((sheet) => layers.sheetsUsed.some(({ sheetId }) => sheetId === sheet.id));
  if (used.length && used.every(({ material }) => material === 'cork')) return false;
  const { surface } = project;
  return surface.edges === id || zones.some(({ percent, recipe }) => percent > 0 && (recipe ?? surface.recipe) === id);
}

export const factsOf = ({ materials }: Pick<Project, 'materials'>, material: string): readonly Fact[] =>
  catalogueOf(materials).material(material)?.facts ?? [];

/** "wash dark", "grass 2 mm". */
export const coatWords = ({ operation, colour, material }: Coat): string =>
  colour ? `${operationWords[operation].title.toLowerCase()} ${colour}` : material;

/** Something about one coat of a recipe; `to` is the place in the recipe where it would be right. */
export const onCoat = (
  severity: Finding['severity'],
  recipe: Recipe,
  coat: Coat,
  code: string,
  message: string,
  remedy: string,
  to?: number,
): Finding => ({
  code,
  severity,
  band: 'surface',
  place: recipe.name,
  message,
  remedy,
  coat: { recipe: recipe.id, coat: coat.id },
  ...(to !== undefined && { mend: { recipe: recipe.id, coat: coat.id, to } }),
});
