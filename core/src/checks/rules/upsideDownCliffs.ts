import { nameOf } from '../../project/index.ts';
import { onGround, type Rule } from '../finding.ts';

export const upsideDownCliffs: Rule = ({ project }) =>
  project.landforms.flatMap((form) =>
    form.kind === 'cliff' && form.topMm < form.footMm
      ? [
          onGround(
            form.id,
            nameOf(form),
            'cliff-upside-down',
            `The top of ${nameOf(form)} stands below its foot.`,
            'Exchange the two heights, or draw the cliff from its other end.',
          ),
        ]
      : [],
  );
