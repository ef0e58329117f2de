import { skillFactor } from '../materials/index.ts';
import { bulkMm, type Coat, type Part, type Project, type Recipe } from '../project/index.ts';
import { coatsOfPart, type Way, ways } from '../recipes/index.ts';
import { atPace, type StageTakeoff, surfaceStages, type WornSurface } from '../takeoff/index.ts';
import { type Range, sum } from '../units/index.ts';
import { sittingsOf } from './calendar.ts';
import { operationsOf } from './operations.ts';
import { schedule } from './schedule.ts';

/** What a part of the work comes to when it is done in one way. */
export interface WayRead {
  /** Null is the way it is done now. */
  way: Way | null;
  stages: StageTakeoff[];
  coats: number;
  handsOnMin: number;
  /** Sittings at the bench that work is done in, and hours from its first stroke until what comes next may begin. */
  evenings: number | null;
  untilNextH: number | null;
  dryG: Range;
  money: number | null;
}

/** A zone as the plan tells it. */
export interface ComparedSurface {
  id: string | null;
  name: string;
  recipe: Recipe;
  trueMm2: number;
  fillMl: number;
  /** Of its skin as it is now; null where that is not known: then all of the ground has it. */
  skinMl: number | null;
  most95Mm: number;
  lengthM: number;
  /** Ground that each coat of its recipe is meant for, mm2; null where none is limited. */
  coatMm2: readonly number[] | null;
}

/**
 * One part of a recipe done in every way there is, on the same zones: first as it is now, then by each school. The stack stays as it is, so that another skin fills the
 * same steps. What is limited to part of the ground now is told as it is; a school goes all over. The builder's own sittings are taken from the first day on, with nothing else to do.
 */
export function compareWays(project: Project, surfaces: readonly ComparedSurface[], part: Part): WayRead[] {
  const now = surfaces.map((surface) => only(project, surface, coatsOfPart(surface.recipe, part)));
  const schools = ways.filter((way) => way.part === part);
  return [
    readOf(project, null, now, part),
    ...schools.map((way) =>
      readOf(
        project,
        way,
        surfaces.map((surface) => only(project, surface, [...way.coats])),
        part,
      ),
    ),
  ];
}

/** A zone that wears nothing but some coats: those of its recipe where they are meant to lie, others everywhere. */
function only(project: Project, surface: ComparedSurface, coats: Recipe['coats']): WornSurface {
  const meantFor = (coat: Coat) => surface.coatMm2?.[surface.recipe.coats.indexOf(coat)] ?? surface.trueMm2;
  const skinOf = (list: Recipe['coats']) =>
    list.reduce((ml, coat) => ml + (meantFor(coat) * bulkMm(project, coat)) / 1000, 0);
  // Where the ground lies on the board there is no room for a skin.
  const whole = skinOf(surface.recipe.coats);
  const laidOn = surface.skinMl !== null && whole > 0 ? surface.skinMl / whole : 1;
  const thick = (list: Recipe['coats']) => list.reduce((mm, coat) => mm + bulkMm(project, coat), 0);
  const skinMm = thick(coats);
  const fills = skinMm > 0 || coats.some(({ operation }) => operation === 'skin');
  return {
    id: surface.id,
    name: surface.name,
    recipe: { ...surface.recipe, coats },
    trueMm2: surface.trueMm2,
    coatMm2: coats.map(meantFor),
    fillMl: fills ? surface.fillMl : 0,
    skinMl: skinOf(coats) * laidOn,
    depths: [{ mm: Math.max(0, surface.most95Mm - thick(surface.recipe.coats) + skinMm), areaMm2: surface.trueMm2 }],
    lengthM: surface.lengthM,
    onFoam: false,
  };
}

function readOf(project: Project, way: Way | null, worn: readonly WornSurface[], part: Part): WayRead {
  const { skill } = project.bench;
  const pace = skillFactor[skill];
  const stages = surfaceStages(project, worn, pace).map((stage) => atPace(stage, pace, skill));
  const operations = operationsOf(project, [], stages);
  const sittings = sittingsOf(project.bench);
  const tasks = schedule(operations, sittings);
  const used = new Set(
    (tasks ?? []).flatMap(({ sessions }) =>
      sessions.map(({ from }) => sittings.findIndex((sitting) => from >= sitting.from && from < sitting.to)),
    ),
  );
  const begin = Math.min(...(tasks ?? []).map(({ sessions }) => sessions[0].from));
  // Paste must be dry through before what comes next, anything else only coatable.
  const end = Math.max(...(tasks ?? []).map((task) => (part === 'skin' ? task.throughAt : task.coatAt)));
  const priced = stages.flatMap(({ money }) => (money === null ? [] : [money]));
  return {
    way,
    stages,
    coats: operations.length,
    handsOnMin: stages.reduce((minutes, { handsOn }) => minutes + handsOn.likely, 0),
    evenings: tasks ? used.size : null,
    untilNextH: tasks?.length ? (end - begin) / 60 : null,
    dryG: sum(stages.map(({ dryG }) => dryG)),
    money: stages.length && priced.length === stages.length ? priced.reduce((all, one) => all + one, 0) : null,
  };
}
