/** What the plan comes to with other glues in the same joints: for a deadline that the present one breaks. */
import type { PlanView } from '../checks/index.ts';
import type { Cutting } from '../cutting/index.ts';
import { daysOf } from '../days/index.ts';
import { catalogueOf, glueOf } from '../materials/index.ts';
import { type Glue, glues, type Project } from '../project/index.ts';
import { takeoffOf } from '../takeoff/index.ts';
import type { Worked } from './worked.ts';

/** Glues that hold for spots and seams, not under whole layers (common practice, no source). */
const FOR_SPOTS: readonly Glue[] = ['hot glue', 'hot glue, high temperature', 'sealant', 'super glue'];

/** The layers as they are with every other glue that is meant for foam. Yields between glues. */
export function* withOtherGlues(
  project: Project,
  { plan, above, wedges }: Worked,
  cutting: Cutting,
): Generator<undefined, PlanView['glues']> {
  const catalogue = catalogueOf(project.materials);
  const attacks = (glue: Glue) =>
    glueOf(glue, catalogue).spreads.some(({ material }) =>
      catalogue.material(material)?.facts.includes('attacks foam'),
    );
  const found: PlanView['glues'][number][] = [];
  for (const glue of glues) {
    if (glue === project.stacking.glue || FOR_SPOTS.includes(glue) || attacks(glue)) continue;
    const glued = { ...project, stacking: { ...project.stacking, glue } };
    const { finish, handsOnMin } = daysOf(glued, plan, takeoffOf(glued, plan, above, cutting, wedges));
    found.push({ glue, finish, handsOnMin });
    yield;
  }
  return found;
}
