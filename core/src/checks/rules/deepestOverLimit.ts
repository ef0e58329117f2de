import { mm } from '../../units/index.ts';
import type { Rule } from '../finding.ts';

/** A spot where paste lies deeper than the coats that the rest of the ground needs will bear. */
export const deepestOverLimit: Rule = ({ takeoff, paste }) =>
  takeoff.flatMap(({ id, title, stage, coats, drying, zones }) => {
    if (stage !== 'skin' || drying.kind !== 'paste') return [];
    const { mostPerCoatMm } = drying;
    const spot = paste
      .filter(({ id: zone }) => zones.some((on) => on.id === zone))
      .reduce<(typeof paste)[number] | null>((a, b) => (!a || b.deepestMm > a.deepestMm ? b : a), null);
    if (!spot || spot.deepestMm <= coats * mostPerCoatMm + 0.05) return [];
    return [
      {
        code: 'paste-over-limit',
        severity: 'note' as const,
        band: 'surface' as const,
        place: spot.name,
        message: `${title}: at its deepest spot, in ${spot.name}, ${mm(spot.deepestMm)}; ${coats === 1 ? 'one coat bears' : `${coats} coats bear`} ${mm(coats * mostPerCoatMm)}.`,
        remedy: 'Fill that spot first in coats of its own, or glue an offcut into it.',
        step: id,
        ...(spot.deepestAt && { at: spot.deepestAt }),
      },
    ];
  });
