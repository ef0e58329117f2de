import { type LayerPlan, layerPlan } from '../../layers/index.ts';
import type { School } from '../../project/index.ts';
import { stage } from '../input.ts';
import { cheapest, choice, isOther } from './choice.ts';
import { layerLand } from './stackGround.ts';

/** What is in the shed, as far as stacks are cut from it. */
const stock = stage({
  name: 'shed',
  needs: {},
  run: ({ input: { project } }) => [project.sheets, project.offcuts, project.stacking.areas, project.stacking.glue],
  byContent: true,
});

/** The cheapest stack of a school, layer by layer. `of` is the shed that it was cut from. */
export const layersBy = (school: School) =>
  stage({
    name: `layers, ${school}`,
    needs: { layerLand, stock, found: cheapest(school) },
    *run({ input: { project }, needs }): Generator<undefined, { of: unknown; plan: LayerPlan }> {
      const { model, found } = needs.found;
      const plan = yield* layerPlan(project, needs.layerLand, model, school, found.steps, found.costMin);
      return { of: needs.stock, plan };
    },
    // Schools that are not chosen may, as long as the sheets are there that they are cut from.
    lags: (given) => given.before.of === given.needs.stock && isOther(school)(given),
  });

/** The stack that is built: that of its school where nothing else was wished for. */
export const chosenLayers = stage({
  name: 'layers',
  needs: { choice, layerLand },
  *run({ input: { project }, needs: { choice: made, layerLand: land }, ask }): Generator<undefined, LayerPlan> {
    const { school, model, steps, costMin } = made.chosen;
    const cheapestOfAll = made.bySchool.some((each) => each.school === school && each.found.steps === steps);
    if (cheapestOfAll) return (yield* ask(layersBy(school))).plan;
    return yield* layerPlan(project, land, model, school, steps, costMin);
  },
});
