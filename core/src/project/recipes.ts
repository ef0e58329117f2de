import { catalogueOf, type Form, type Material } from '../materials/index.ts';
import type { Coat, Operation, Part, Recipe, Tool } from './schemas/recipeSchema.ts';
import type { Project } from './schemas/schema.ts';
import { everywhere } from './schemas/zoneSchema.ts';

interface OperationWords {
  part: Part;
  /** Materials that it is done with. */
  forms: readonly Form[];
  tool: Tool;
  title: string;
}

/** How each operation is called, which part of a recipe it belongs to, and what it is done with. */
export const operationWords: Readonly<Record<Operation, OperationWords>> = {
  set: { part: 'skin', forms: ['counted'], tool: 'hand', title: 'Set' },
  skin: { part: 'skin', forms: ['paste', 'ply'], tool: 'spatula', title: 'Skin' },
  seal: { part: 'seal', forms: ['thin', 'paste'], tool: 'brush', title: 'Seal' },
  paint: { part: 'colour', forms: ['thin'], tool: 'brush', title: 'Paint' },
  wash: { part: 'colour', forms: ['thin'], tool: 'brush', title: 'Wash' },
  'dry-brush': { part: 'colour', forms: ['thin'], tool: 'brush', title: 'Dry-brush' },
  powder: { part: 'colour', forms: ['powder'], tool: 'brush', title: 'Powder' },
  scatter: { part: 'cover', forms: ['loose'], tool: 'sieve', title: 'Scatter' },
  grass: { part: 'cover', forms: ['fibre'], tool: 'applicator', title: 'Grass' },
  spread: { part: 'cover', forms: ['paste'], tool: 'spatula', title: 'Spread' },
  plant: { part: 'cover', forms: ['counted'], tool: 'tweezers', title: 'Plant' },
  varnish: { part: 'cover', forms: ['thin'], tool: 'brush', title: 'Varnish' },
  face: { part: 'edge', forms: ['panel'], tool: 'hand', title: 'Face' },
};

/** A coat with what its operation usually has. */
export const newCoat = (id: string, operation: Operation, material: string, change: Partial<Coat> = {}): Coat => ({
  id,
  operation,
  material,
  colour: '',
  thicknessMm: null,
  coats: 1,
  sharePercent: 100,
  thinParts: null,
  tool: operationWords[operation].tool,
  per100Cm2: null,
  apartMm: null,
  when: everywhere(),
  ...change,
});

/** Loose stuff that lies on the ground as single stones, and comes off with the fibres when a base is tapped. */
const looseStones: readonly string[] = ['large stones', 'small stones', 'ballast', 'nut-shell ballast'];
export const isLooseStone = ({ operation, material }: Pick<Coat, 'operation' | 'material'>): boolean =>
  operation === 'scatter' && looseStones.includes(material);

const upTo = (to: number) => ({ ...everywhere(), slope: { from: null, to } });

/** What a new project wears: compound, sealed, painted and dry-brushed, with soil where it is not too steep and grass on the flats. */
export const usualRecipe = (): Recipe => ({
  id: 'usual',
  name: 'Earth and grass',
  note: '',
  roughness: 1.3,
  coats: [
    newCoat('skin', 'skin', 'compound', { thicknessMm: 3 }),
    newCoat('seal', 'seal', 'seal coat'),
    newCoat('base', 'paint', 'acrylic', { colour: 'soil brown', coats: 2 }),
    newCoat('dry-brush', 'dry-brush', 'dry-brush', { colour: 'ochre to bone', coats: 2 }),
    newCoat('soil', 'scatter', 'soil', { thicknessMm: 1, sharePercent: 80, when: upTo(40) }),
    newCoat('grass', 'grass', 'grass 2 mm', { sharePercent: 40, when: upTo(25) }),
  ],
});

export const usualSurface = (): Project['surface'] => ({ recipe: 'usual', edges: null, walls: null });

type Wardrobe = Pick<Project, 'recipes' | 'surface'>;

/** A recipe by its id, else the one that the whole project wears. */
export const recipeOf = ({ recipes, surface }: Wardrobe, id: string | null): Recipe =>
  recipes.find((recipe) => recipe.id === id) ?? recipes.find((recipe) => recipe.id === surface.recipe) ?? recipes[0];

type Shelf = Wardrobe & Pick<Project, 'materials'>;

const formOf = (project: Pick<Project, 'materials'>, coat: Coat): Material['form'] | null =>
  catalogueOf(project.materials).material(coat.material)?.form ?? null;

/** How thick a coat of the skin makes the ground, all its plies together; 0 for anything else. */
export function bulkMm(project: Pick<Project, 'materials'>, coat: Coat): number {
  if (coat.operation !== 'skin') return 0;
  const ply = catalogueOf(project.materials).figure(coat.material, 'plyMm');
  return ply ? ply.likely * coat.coats : (coat.thicknessMm ?? 0);
}

/** Thickness of the skin of a recipe where nothing limits its coats. */
export const skinMmOf = (project: Shelf, recipe: Recipe = recipeOf(project, null)): number =>
  recipe.coats.reduce((sum, coat) => sum + bulkMm(project, coat), 0);

/** The paste that fills the steps under a skin: the first of its coats that is one, else that of the project's own recipe. */
export function fillPasteOf(project: Shelf, recipe: Recipe = recipeOf(project, null)): string {
  const first = (worn: Recipe) =>
    worn.coats.find(
      (coat) =>
        coat.operation === 'skin' &&
        formOf(project, coat) === 'paste' &&
        !catalogueOf(project.materials).missing(coat.material).length,
    );
  return first(recipe)?.material ?? first(recipeOf(project, null))?.material ?? 'compound';
}
