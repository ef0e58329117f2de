import { nameOf } from '../../project/index.ts';
import { onGround, type Rule } from '../finding.ts';

/** A landform that changed nothing. */
export const idleLandforms: Rule = ({ project, ground }) =>
  project.landforms.flatMap((form) => {
    const built = ground.built.find(({ id }) => id === form.id);
    if (form.kind === 'cliff' || form.kind === 'span' || !built || built.areaMm2 > 0) return [];
    return [
      onGround(
        form.id,
        nameOf(form),
        'changes-nothing',
        `${nameOf(form)} changes nothing: the ground already lies as it asks.`,
        'Change its heights, or build it later in the order.',
      ),
    ];
  });
