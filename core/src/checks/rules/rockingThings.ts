import { nameOf } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import { onGround, type Rule } from '../finding.ts';

/** A thing laid on ground so uneven that it would rock, or stand in the air on one side. */
export const rockingThings: Rule = ({ project, laid }) =>
  laid.flatMap((read) => {
    const thing = project.laid.find(({ id }) => id === read.id);
    if (!thing || read.unevenMm <= 2 * thing.beddedMm + 1) return [];
    return [
      onGround(
        thing.id,
        nameOf(thing),
        'stands-uneven',
        `The ground under ${nameOf(thing)} rises ${mm(read.unevenMm)}; bedded ${mm(thing.beddedMm)} it stands in the air on one side.`,
        'Bed it deeper, or put a pad under it.',
      ),
    ];
  });
