import { mm2 } from '../../units/index.ts';
import type { Rule } from '../finding.ts';

/** Grass glue that would skin over before all of its ground is covered. */
export const grassGlueSkins: Rule = ({ takeoff }) =>
  takeoff.flatMap(({ id, title, batches, zones }) =>
    batches?.of === 'patch' && batches.count > 1
      ? [
          {
            code: 'grass-glue-skins',
            severity: 'note' as const,
            band: 'surface' as const,
            place: zones.map(({ name }) => name).join(', '),
            message: `${title}: the glue would skin over before all of it is covered (${batches.eachMm2 === null ? '' : `in patches of about ${mm2(batches.eachMm2)}; `}${batches.why}).`,
            remedy: `Glue and cover it in ${batches.count} patches.`,
            step: id,
          },
        ]
      : [],
  );
