import { mm2 } from '../../units/index.ts';
import { onCutting } from '../cutWords.ts';
import type { Rule } from '../finding.ts';

/** Pieces that overlap as they lie, or stand over the edge. */
export const clashingPieces: Rule = ({ cutting }) =>
  cutting.clashes.map(({ piece, with: other, areaMm2 }) =>
    onCutting(
      'warn',
      'pieces-clash',
      `Piece ${piece}`,
      other
        ? `Pieces ${piece} and ${other} overlap, or lie nearer than the gap (${mm2(areaMm2, 1)}).`
        : `Piece ${piece} stands over the edge or margin of its sheet by ${mm2(areaMm2, 1)}.`,
      'Move or turn it, or unpin it and look for a better layout.',
    ),
  );
