import { mm2 } from '../../units/index.ts';
import { onCutting } from '../cutWords.ts';
import type { Finding, Rule } from '../finding.ts';

/** So much may a piece differ from what was cut before it is told, as a share of its area. */
const SAME_AREA = 0.01;

/** What is cut and put away, but has another shape by now, or is no longer wanted. */
export const cutOtherwise: Rule = ({ cutting, project }) =>
  project.nest.done.flatMap(({ name, pieces }) =>
    pieces.flatMap(({ piece, areaMm2 }): Finding[] => {
      const now = cutting.pieces.find(({ id }) => id === piece);
      if (now && Math.abs(now.areaMm2 - areaMm2) <= SAME_AREA * areaMm2) return [];
      return [
        onCutting(
          'warn',
          'cut-otherwise',
          `Piece ${piece}`,
          now
            ? `Piece ${piece} was cut from ${name} with ${mm2(areaMm2)}; by now it should have ${mm2(now.areaMm2)}.`
            : `Piece ${piece} was cut from ${name}, but there is no such piece any more.`,
          'Undo what changed the ground or the stack, carve or fill the difference, or cut it again.',
        ),
      ];
    }),
  );
