import { heightAt, lineLength, outlineEdges, outlineRings } from '../geometry/index.ts';
import type { Ground } from '../ground/index.ts';
import type { PasteMap } from '../layers/index.ts';
import { boardOutline, facesOf, type Project, recipeOf } from '../project/index.ts';
import type { Worn } from '../recipes/index.ts';
import type { ZoneRead } from '../zones/index.ts';
import type { WornSurface } from './wornSurface.ts';

/** Sides of the base and walls of the box as places that wear a recipe. */
const EDGES = 'edges of the base';
const WALLS = 'walls of the box';

/** Everything that wears a recipe: the zones of the ground, and the sides and walls where they have one. */
export function surfacesOf(
  project: Project,
  ground: Ground,
  zones: readonly ZoneRead[],
  worn: Worn,
  paste: PasteMap,
): WornSurface[] {
  return [
    ...worn.zones.map(
      ({ id, recipe, trueMm2, coatMm2 }, k): WornSurface => ({
        id,
        name: zones[k].name,
        recipe: recipeOf(project, recipe),
        trueMm2,
        coatMm2,
        fillMl: paste.zones[k].fillMl,
        skinMl: paste.zones[k].skinMl,
        depths: paste.zones[k].depths,
        lengthM: 0,
        onFoam: true,
      }),
    ),
    ...dressedOf(project, ground).flatMap(({ recipe, ...place }) =>
      recipe === null ? [] : [plain(project, recipe, place)],
    ),
  ];
}

/** Something besides the ground that may wear a recipe. */
export interface Dressed {
  id: string;
  name: string;
  trueMm2: number;
  lengthM: number;
  recipe: string | null;
}

/** The sides of the base and the dressed walls of the box, with what they wear. */
export function dressedOf(project: Project, ground: Ground): Dressed[] {
  const { edges, walls } = project.surface;
  const sides = sidesOf(project, ground);
  const box = facesOf(project).reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  return [
    { id: EDGES, name: 'Edges of the base', ...sides, recipe: edges },
    ...(box ? [{ id: WALLS, name: 'Walls of the box', trueMm2: box, lengthM: 0, recipe: walls }] : []),
  ];
}

function plain(project: Project, recipe: string, place: Omit<Dressed, 'recipe'>): WornSurface {
  const wears = recipeOf(project, recipe);
  return {
    ...place,
    recipe: wears,
    coatMm2: wears.coats.map(() => place.trueMm2),
    fillMl: 0,
    skinMl: 0,
    depths: [],
    onFoam: false,
  };
}

/** From under the board up to the ground all along the outline, in steps of about 2 mm. */
function sidesOf(project: Project, { outline, grid }: Ground): { trueMm2: number; lengthM: number } {
  let area = 0;
  let length = 0;
  for (const [[ax, ay], [bx, by]] of outlineEdges(outline)) {
    const side = Math.hypot(bx - ax, by - ay);
    const parts = Math.max(1, Math.ceil(side / 2));
    for (let n = 0; n < parts; n++) {
      const t = (n + 0.5) / parts;
      const height = Math.max(0, heightAt(grid, ax + t * (bx - ax), ay + t * (by - ay)));
      area += (height * side) / parts;
    }
    length += side;
  }
  // The board's own edge may run another way.
  const board = boardOutline(project.base);
  const boardMm = board ? outlineRings(board).reduce((sum, ring) => sum + lineLength(ring), 0) : 0;
  return { trueMm2: area + boardMm * project.base.board.thicknessMm, lengthM: Math.max(length, boardMm) / 1000 };
}
