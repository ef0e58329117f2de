import { mm } from '../../units/index.ts';
import type { Rule } from '../finding.ts';
import { inBrief } from '../setWords.ts';

/** A storey whose tallest thing reaches into the board above. */
export const lowStoreys: Rule = ({ set }) =>
  set.storeys
    .filter(({ roomMm, tallestMm }) => tallestMm > roomMm)
    .map(({ belowName, aboveName, roomMm, tallestMm }) =>
      inBrief(
        `${belowName} under ${aboveName}`,
        'storey-too-low',
        `${belowName} stands ${mm(tallestMm)} tall; under ${aboveName} there are ${mm(roomMm)}.`,
        `Raise ${aboveName} by ${mm(tallestMm - roomMm)}, or lower what stands below.`,
      ),
    );
