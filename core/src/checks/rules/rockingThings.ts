import { nameOf } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import { onGround, type Rule } from '../finding.ts';

/** A thing laid on ground (or a deck) so uneven that it would rock, or stand in the air on one side; and one that its deck does not hold whole. */
export const rockingThings: Rule = ({ project, laid }) =>
  laid.flatMap((read) => {
    const thing = project.laid.find(({ id }) => id === read.id);
    if (!thing) return [];
    const name = nameOf(thing);
    const bedded = read.deckId === null ? thing.beddedMm : 0;
    const told = (message: string, remedy: string) => [onGround(thing.id, name, 'stands-uneven', message, remedy)];
    if (read.overDeck)
      return told(
        `${name} reaches over the edge of the deck that it stands on.`,
        'Move it, make the deck wider, or tick that it stands below.',
      );
    if (read.unevenMm <= 2 * bedded + 1) return [];
    return read.deckId === null
      ? told(
          `The ground under ${name} rises ${mm(read.unevenMm)}; bedded ${mm(thing.beddedMm)} it stands in the air on one side.`,
          'Bed it deeper, or put a pad under it.',
        )
      : told(`The deck under ${name} rises ${mm(read.unevenMm)} from end to end of it.`, 'Put a wedge under it.');
  });
