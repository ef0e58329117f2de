import type { PasteMap } from '../../layers/index.ts';
import { stage } from '../input.ts';
import { chosenLayers } from './layers.ts';
import { layersBy } from './layersBy.ts';
import { pasteBy, pasteFor, underPaste } from './pasteBy.ts';

/** Paste on the stack that is built: once, where that is the stack of a school. */
export const chosenPaste = stage({
  name: 'paste',
  needs: { ...underPaste, plan: chosenLayers },
  *run({ input: { project }, needs: { plan, ...under }, ask }): Generator<undefined, PasteMap> {
    const { plan: cheapest } = yield* ask(layersBy(plan.school));
    return cheapest === plan
      ? yield* ask(pasteBy(plan.school))
      : yield* pasteFor(under, plan, project.stacking.wedges ?? null);
  },
});
