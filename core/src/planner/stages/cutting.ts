import { cuttingOf } from '../../cutting/index.ts';
import { cuttingReport as reportOfCutting } from '../../report/index.ts';
import { stage } from '../input.ts';
import { chosenLayers } from './layers.ts';

/** Pieces of the layers, and how they lie on sheets. */
export const cutting = stage({
  name: 'cutting',
  needs: { plan: chosenLayers },
  run: ({ input: { project }, needs }) => cuttingOf(project, needs.plan.layers),
  lags: () => true,
});

/** The same as data. */
export const cuttingReport = stage({
  name: 'cutting as data',
  needs: { cutting },
  run: ({ input: { project }, needs }) => reportOfCutting(project, needs.cutting),
});
