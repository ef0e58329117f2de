import { readFileSync } from 'node:fs';
import { createPlanner, ownFigure, type Project, readProject, shippedRecipes } from '@hosket/core';
import { toEnd } from '../../core/src/kernel/index.ts';
import { everywhere } from '../../core/src/project/index.ts';
import { timed, whole } from './timed.ts';

/** The quarry with ten zones by height and slope, each in a recipe of eight coats. */
function tenByEight(): Project {
  const read = readProject(readFileSync(new URL('../../samples/harl-quarry.hosket.json', import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.fault.message);
  const coats = shippedRecipes
    .filter(({ id }) => id === 'meadow' || id === 'cast-rock')
    .flatMap((recipe) => recipe.coats);
  const recipes = Array.from({ length: 10 }, (_, k) => ({
    id: `r${k}`,
    name: `Recipe ${k}`,
    note: '',
    roughness: 1.1 + 0.05 * k,
    coats: coats
      .slice(0, 8)
      // Every second zone has colours of its own, so that not everything is one pot; the last coat keeps to the flatter ground.
      .map((coat, n) => ({
        ...coat,
        id: `c${n}`,
        colour: k % 2 ? `${coat.colour} ${k}` : coat.colour,
        when: n === 7 ? { ...everywhere(), slope: { from: null, to: 35 } } : everywhere(),
      })),
  }));
  return {
    ...read.value,
    recipes: [...read.value.recipes, ...recipes],
    zones: {
      rules: recipes.slice(0, 9).map(({ id }, k) => ({
        id: `z${k}`,
        name: `Zone ${k}`,
        cover: 'grass' as const,
        recipe: id,
        when: { ...everywhere(), height: { from: 8 * k, to: 8 * k + 8 } },
      })),
      rest: 'grass',
    },
    surface: { ...read.value.surface, recipe: 'r9' },
  };
}

/** What an edit of a coverage figure, and one of a coat, takes until the whole plan answers. */
export function takeoffs() {
  const project = tenByEight();
  const planner = createPlanner();
  const first = toEnd(planner.run(project));
  const figure = timed((run) => {
    const likely = 5 + (run % 2);
    const edited = ownFigure(
      project,
      { material: 'seal coat', property: 'spreadM2PerL' },
      { low: likely - 1, likely, high: likely + 1, note: '' },
    );
    return toEnd(planner.run(edited, true));
  }, 7);
  const coat = timed((run) => {
    const recipes = project.recipes.map((recipe) => ({
      ...recipe,
      coats: recipe.coats.map((one) => (one.operation === 'grass' ? { ...one, sharePercent: 70 + (run % 2) } : one)),
    }));
    return toEnd(planner.run({ ...project, recipes }, true));
  }, 7);
  return {
    zones: first.report.zones.length,
    steps: first.report.takeoff.length,
    operations: first.report.operations.length,
    'a coverage figure edited, ms': whole(figure.ms),
    'share of a coat edited, ms': whole(coat.ms),
    'asked for, ms': 100,
  };
}
