import { expect, it } from 'vitest';
import { type Project, recipeOf, startProject } from '../project/index.ts';
import { fillMinPerLOf, weightsOf } from './stackModel.ts';

/** A new project whose own recipe has another paste under its skin. */
function skinnedWith(material: string): Project {
  const project = startProject('n', '2027-03-01');
  const worn = recipeOf(project, null);
  const skinned = {
    ...worn,
    coats: worn.coats.map((coat) => (coat.operation === 'skin' ? { ...coat, material } : coat)),
  };
  return { ...project, recipes: [...project.recipes.filter(({ id }) => id !== worn.id), skinned] };
}
const anyPaste = (project: Project): Project => {
  const { fillByPaste: _, ...costs } = project.stacking.costs;
  return { ...project, stacking: { ...project.stacking, costs } };
};

it('a litre of the paste that fills counts as it takes longer to spread than compound, where the builder wants that', () => {
  expect(fillMinPerLOf(skinnedWith('compound'))).toBe(240);
  const stiff = fillMinPerLOf(skinnedWith('compound, stiff'));
  // 186 min against 110.
  expect(stiff / 240).toBeGreaterThan(1.5);
  expect(stiff / 240).toBeLessThan(2);
  expect(fillMinPerLOf(anyPaste(skinnedWith('compound, stiff')))).toBe(240);
});

it('and the stack is chosen by that, its money besides', () => {
  const project = skinnedWith('compound, stiff');
  const priced = { ...project, stacking: { ...project.stacking, pastePerL: 5 } };
  const { minPerMoney } = project.stacking.costs;
  expect(weightsOf(priced).fillPerL).toBeCloseTo(fillMinPerLOf(project) + 5 * minPerMoney, 9);
});
