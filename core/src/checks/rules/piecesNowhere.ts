import { bedName } from '../../cutting/index.ts';
import { mm, mm2 } from '../../units/index.ts';
import { onCutting } from '../cutWords.ts';
import type { Finding, Rule } from '../finding.ts';

/** Pieces for which no sheet or offcut has room: by how much. */
export const piecesNowhere: Rule = ({ cutting, project }) =>
  cutting.nowhere.map(({ piece, why, bed: bedId, overLongMm, overWideMm }): Finding => {
    const bed = bedId && bedName(project, bedId);
    const place = `Piece ${piece}`;
    if (why === 'none')
      return onCutting(
        'warn',
        'piece-nowhere',
        place,
        `Piece ${piece} lies nowhere: there is no sheet or offcut of its kind left.`,
        'Add sheets to the shed, or say that more can be bought.',
      );
    if (why === 'full') {
      const areaMm2 = cutting.pieces.find(({ id }) => id === piece)?.areaMm2 ?? 0;
      return onCutting(
        'warn',
        'piece-nowhere',
        place,
        `Piece ${piece} (${mm2(areaMm2)}) would fit on ${bed}, but everything of its kind is taken.`,
        'Look for a better layout, add a sheet, or say that more can be bought.',
      );
    }
    const over = [
      ...(overLongMm > 0.05 ? [`${mm(overLongMm)} too long`] : []),
      ...(overWideMm > 0.05 ? [`${mm(overWideMm)} too wide`] : []),
    ].join(' and ');
    return onCutting(
      'warn',
      'piece-nowhere',
      place,
      `Piece ${piece} fits nowhere: it is ${over} for ${bed}, the nearest to fitting.`,
      project.cutting.split
        ? 'Use a larger sheet, or make the margin smaller.'
        : 'Allow seams, use a larger sheet, or make the margin smaller.',
    );
  });
