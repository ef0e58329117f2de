import { type ComparedSurface, compareGlues, compareWays, type WayRead } from '../days/index.ts';
import { boardOf, catalogueOf } from '../materials/index.ts';
import { type Project, recipeOf } from '../project/index.ts';
import type { PartRead, PiecePart } from './breakdown.ts';

/** What makes the piece heavy, dear or slow, and what would change it. */
export interface Advice {
  of: 'heavy' | 'dear' | 'slow';
  part: PiecePart;
  /** In g, money or hours. */
  value: number;
  sharePercent: number;
  /** Another way of doing it, and what that saves in the same measure; null where nothing is known that saves. */
  instead: { what: string; saves: number } | null;
}

/** A zone as the plan tells it, with the id of its recipe. */
type ZoneTold = Omit<ComparedSurface, 'recipe' | 'lengthM'> & { recipe: string };

interface Weighed {
  breakdown: readonly PartRead[];
  surfaces: readonly ZoneTold[];
  layers: Parameters<typeof compareGlues>[1];
}

/** So many parts of each kind are told. */
const TOLD = 3;

/** The parts that weigh most, cost most and take longest, each with the change of it that saves most. */
export function adviceOf(project: Project, { breakdown, surfaces, layers }: Weighed): Advice[] {
  const zones = surfaces.map(
    (zone): ComparedSurface => ({ ...zone, recipe: recipeOf(project, zone.recipe), lengthM: 0 }),
  );
  const skins = skinWays(project, zones);
  const board = lighterBoard(project, breakdown);
  const heavy = ranked(
    'heavy',
    breakdown,
    ({ massG }) => massG.likely,
    (part) => {
      if (part === 'board') return board;
      if (part === 'skin') return bestSkin(skins, ({ dryG }) => dryG.likely);
      if (part === 'foam' && project.stacking.hollow.kind === 'solid')
        return { what: 'hollow layers, as rings or on a core (Layers, Build)', saves: 0 };
      return null;
    },
  );
  const dear = ranked(
    'dear',
    breakdown,
    ({ money }) => money ?? 0,
    () => null,
  );
  return [...heavy, ...dear, ...slow(project, skins, layers)];
}

function ranked(
  of: Advice['of'],
  breakdown: readonly PartRead[],
  value: (part: PartRead) => number,
  instead: (part: PiecePart) => Advice['instead'],
): Advice[] {
  const all = breakdown.reduce((sum, part) => sum + value(part), 0);
  return breakdown
    .map((part) => ({ part: part.part, value: value(part) }))
    .filter(({ value: worth }) => worth > 0)
    .sort((a, b) => b.value - a.value)
    .slice(0, TOLD)
    .map(({ part, value: worth }) => ({
      of,
      part,
      value: worth,
      sharePercent: (100 * worth) / all,
      instead: instead(part),
    }));
}

/** The lightest board of the same thickness. */
function lighterBoard({ base, materials }: Project, breakdown: readonly PartRead[]): Advice['instead'] {
  const catalogue = catalogueOf(materials);
  if (base.board.material === 'none') return null;
  const now = breakdown.find(({ part }) => part === 'board')?.massG.likely ?? 0;
  const density = boardOf(base.board, catalogue).density.likely;
  const boards = catalogue.materials.filter(({ form }) => form === 'board');
  const lightest = boards.reduce<{ what: string; saves: number } | null>((best, { id, name }) => {
    const other = catalogue.figure(id, 'densityKgM3')?.likely ?? density;
    const saves = now * (1 - other / density);
    // Card and cork bend under a stack that dries: only boards that hold it flat are proposed.
    return stiff.includes(id) && saves > (best?.saves ?? 0) ? { what: lower(name), saves } : best;
  }, null);
  return lightest;
}
/** With a small first letter: what follows may be a name in capitals. */
const lower = (name: string) => name[0].toLowerCase() + name.slice(1);
const stiff = ['fibreboard', 'plywood', 'hardboard'];

interface SkinWays {
  recipe: string;
  now: WayRead;
  others: WayRead[];
}

/** Every worn recipe with its skin done in every way. */
function skinWays(project: Project, surfaces: readonly ComparedSurface[]): SkinWays[] {
  const recipes = new Map(surfaces.map(({ recipe }) => [recipe.id, recipe]));
  return [...recipes.values()].flatMap((recipe) => {
    const wearing = surfaces.filter((surface) => surface.recipe.id === recipe.id && surface.trueMm2 > 1);
    if (!wearing.length || !recipe.coats.some(({ operation }) => operation === 'skin')) return [];
    const [now, ...others] = compareWays(project, wearing, 'skin');
    return [{ recipe: recipe.name, now, others: others.filter(({ stages }) => stages.length > 0) }];
  });
}

/** The one change of a skin that saves most of something. */
function bestSkin(skins: readonly SkinWays[], value: (read: WayRead) => number): Advice['instead'] {
  let best: Advice['instead'] = null;
  for (const { recipe, now, others } of skins)
    for (const other of others) {
      const saves = value(now) - value(other);
      if (saves > (best?.saves ?? 0) + 1e-9)
        best = { what: `${lower(other.way?.name ?? 'Another way')} as the skin of ${recipe}`, saves };
    }
  return best;
}

/** What must be waited for longest: the joints until they are dry, each skin until it may be sealed. */
function slow(project: Project, skins: readonly SkinWays[], layers: Weighed['layers']): Advice[] {
  const glues = compareGlues(project, layers);
  const now = glues.find(({ glue }) => glue === project.stacking.glue);
  const catalogue = catalogueOf(project.materials);
  const safe = glues.filter(({ materials }) =>
    materials.every(({ material }) => material && catalogue.material(material)?.facts.includes('foam-safe')),
  );
  const fastest = safe.reduce<(typeof glues)[number] | null>(
    (best, read) => (!best || read.dry.likely < best.dry.likely ? read : best),
    null,
  );
  const jointH = now?.dry.likely ?? 0;
  const skinH = Math.max(0, ...skins.map(({ now: { untilNextH } }) => untilNextH ?? 0));
  const found: Pick<Advice, 'part' | 'value' | 'instead'>[] = [
    {
      part: 'joints',
      value: jointH,
      instead:
        fastest && fastest.dry.likely < jointH ? { what: fastest.glue, saves: jointH - fastest.dry.likely } : null,
    },
    { part: 'skin', value: skinH, instead: bestSkin(skins, ({ untilNextH }) => untilNextH ?? 0) },
  ];
  const all = jointH + skinH;
  return found
    .filter(({ value }) => value > 0)
    .sort((a, b) => b.value - a.value)
    .map((one) => ({ of: 'slow' as const, ...one, sharePercent: (100 * one.value) / all }));
}
