import type { Rule } from '../finding.ts';
import { inBrief } from '../setWords.ts';
import { tenth } from '../words.ts';

/** A storey whose tallest thing reaches into the board above. */
export const lowStoreys: Rule = ({ set }) =>
  set.storeys
    .filter(({ roomMm, tallestMm }) => tallestMm > roomMm)
    .map(({ belowName, aboveName, roomMm, tallestMm }) =>
      inBrief(
        `${belowName} under ${aboveName}`,
        'storey-too-low',
        `${belowName} stands ${tenth(tallestMm)} mm tall; under ${aboveName} there are ${tenth(roomMm)} mm.`,
        `Raise ${aboveName} by ${tenth(tallestMm - roomMm)} mm, or lower what stands below.`,
      ),
    );
