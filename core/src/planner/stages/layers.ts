import { type LayerPlan, layerPlan } from '../../layers/index.ts';
import { stage } from '../input.ts';
import { choice } from './choice.ts';
import { layersBy } from './layersBy.ts';
import { layerLand } from './stackGround.ts';

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
