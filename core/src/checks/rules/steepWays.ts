import { nameOf } from '../../project/index.ts';
import { decimals, mm } from '../../units/index.ts';
import { onGround, type Rule } from '../finding.ts';
import { sayGradient } from '../words.ts';

/** A way steeper than its limit. */
export const steepWays: Rule = ({ project, ground }) =>
  project.landforms.flatMap((form) => {
    const ends = ground.built.find(({ id }) => id === form.id)?.ends;
    if (form.kind !== 'way' || !ends?.lengthMm) return [];
    const climb = Math.abs(ends.toMm - ends.fromMm);
    const limit = form.gradientPercent / 100;
    if (climb <= limit * ends.lengthMm + 0.05) return [];
    const longer = limit ? `make it ${mm(climb / limit - ends.lengthMm)} longer, or ` : '';
    return [
      onGround(
        form.id,
        nameOf(form),
        'way-too-steep',
        `${nameOf(form)} climbs ${decimals((100 * climb) / ends.lengthMm, 1)} % (${sayGradient(climb / ends.lengthMm)}); its limit is ${form.gradientPercent} %.`,
        `Bring its ends ${mm(climb - limit * ends.lengthMm)} nearer in height${longer ? `, ${longer}raise the limit.` : ', or raise the limit.'}`,
      ),
    ];
  });
