import { baseSize } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import type { Rule } from '../finding.ts';
import { inBrief } from '../setWords.ts';

/** A slab longer than this bows without a board as its skin dries, mm (common practice, no source). */
const BOWS_MM = 150;
/** A slab that hangs over by more than so many times the thickness of its lowest layer breaks at a knock (common practice, no source). */
const HANGS = 2;

/** What a piece stands on that will not hold it: no board under a long slab, a slab that hangs far over, a wave that bites into the ground. */
export const bareStand: Rule = ({ project, layers }) => {
  const { base } = project;
  const { material, beyondMm = 0, wave } = base.board;
  const { widthMm, depthMm } = baseSize(base);
  const long = Math.max(widthMm, depthMm);
  const lowest = layers.layers[0]?.thicknessMm ?? 0;
  const place = 'What it stands on';
  if (material === 'none')
    return long > BOWS_MM
      ? [
          inBrief(
            place,
            'bows-without-a-board',
            `Without a board a slab ${mm(long)} long bows as its skin dries.`,
            'Weight or pin it flat until it is dry, skin its underside too, or take a board.',
          ),
        ]
      : [];
  if (lowest > 0 && -beyondMm > HANGS * lowest)
    return [
      inBrief(
        place,
        'slab-hangs-far-over',
        `The slab hangs ${mm(-beyondMm)} over its board all round; its lowest layer is ${mm(lowest)} thick.`,
        'Take a larger board, or a thicker sheet at the bottom.',
      ),
    ];
  return wave && wave.deepMm > beyondMm
    ? [
        inBrief(
          place,
          'wave-under-the-ground',
          `The board's edge swings ${mm(wave.deepMm)} but stands out by ${mm(beyondMm)} only: the ground hangs over in its hollows.`,
          `Let the board stand out by ${mm(wave.deepMm)} or more.`,
        ),
      ]
    : [];
};
