import { heightAt, insideRing } from '../../geometry/index.ts';
import { boardOutline, holeName } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import type { Rule } from '../finding.ts';
import { inBrief } from '../setWords.ts';

/** Holes from below that miss the board, or come out of the ground on top. */
export const holesOut: Rule = ({ project, ground }) => {
  const { base } = project;
  const board = boardOutline(base);
  return (base.board.holes ?? []).flatMap(({ id, at: [x, y], upMm }) => {
    const name = holeName(base, id) ?? id;
    if (board && !insideRing(board, x, y))
      return [inBrief(name, 'hole-misses-the-board', `${name} lies beside the board.`, 'Move it under the board.')];
    if (!upMm || !insideRing(ground.outline, x, y)) return [];
    const height = heightAt(ground.grid, x, y);
    return upMm >= height && height > 0
      ? [
          inBrief(
            name,
            'hole-comes-out',
            `${name} is bored ${mm(upMm)} up, where the ground is ${mm(height)} high: it comes out on top.`,
            'Bore it less far, unless it is meant to.',
          ),
        ]
      : [];
  });
};
