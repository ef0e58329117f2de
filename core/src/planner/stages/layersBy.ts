import { type LayerPlan, layerPlan } from '../../layers/index.ts';
import type { School } from '../../project/index.ts';
import { stage } from '../input.ts';
import { isOther } from './isOther.ts';
import { layerLand } from './stackGround.ts';
import { cheapest } from './tracks.ts';

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
