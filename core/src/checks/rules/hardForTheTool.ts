import { toolLimits } from '../../cutting/index.ts';
import { mm } from '../../units/index.ts';
import { onCutting } from '../cutWords.ts';
import type { Finding, Rule } from '../finding.ts';

/** Necks and inside corners that are hard to cut with the chosen tool. */
export const hardForTheTool: Rule = ({ cutting, project }) => {
  const { tool } = project.cutting;
  const { neckMm, radiusMm } = toolLimits[tool];
  return cutting.pieces.flatMap(({ id, neck, insideRadiusMm }): Finding[] => {
    const found: Finding[] = [];
    if (neck && neck.widthMm < neckMm)
      found.push(
        onCutting(
          'note',
          'neck-thin',
          `Piece ${id}`,
          `Piece ${id} has a neck of ${mm(neck.widthMm)}; with a ${tool} ${mm(neckMm)} holds (common practice, no source).`,
          'Cut it with a finer tool, leave it wider and carve it, or let it break and glue it.',
        ),
      );
    if (insideRadiusMm !== null && insideRadiusMm < radiusMm)
      found.push(
        onCutting(
          'note',
          'corner-tight',
          `Piece ${id}`,
          `Piece ${id} has inside corners tighter than ${mm(radiusMm)}, which a ${tool} rounds off (common practice, no source).`,
          'Finish those corners with a knife.',
        ),
      );
    return found;
  });
};
