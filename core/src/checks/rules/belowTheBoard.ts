import { nameOf } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import { onGround, type Rule } from '../finding.ts';

/** A bed or floor that would have to lie below the baseboard. */
export const belowTheBoard: Rule = ({ project, ground }) =>
  project.landforms.flatMap((form) => {
    const ends = ground.built.find(({ id }) => id === form.id)?.ends;
    const low =
      form.kind === 'basin'
        ? form.waterMm - form.depthMm
        : form.kind === 'channel' && ends
          ? Math.min(ends.fromMm, ends.toMm) - form.depthMm
          : 0;
    if (low >= -0.05) return [];
    return [
      onGround(
        form.id,
        nameOf(form),
        'below-the-board',
        `The bed of ${nameOf(form)} would lie ${mm(-low)} below the top of the baseboard; it stops there.`,
        'Raise its water, or make it shallower.',
      ),
    ];
  });
