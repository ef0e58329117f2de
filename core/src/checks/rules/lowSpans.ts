import { nameOf } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import { onGround, type Rule } from '../finding.ts';

/** A deck with less room under it than is wanted, or none at all. */
export const lowSpans: Rule = ({ project, spans }) =>
  spans.flatMap((span) => {
    const form = project.landforms.find(({ id }) => id === span.id);
    const tightest = span.rooms[0];
    if (form?.kind !== 'span' || !tightest) return [];
    if (tightest.roomMm >= form.clearanceMm && tightest.roomMm > 0) return [];
    return [
      onGround(
        form.id,
        nameOf(form),
        'span-too-low',
        tightest.roomMm <= 0
          ? `${nameOf(form)} lies in ${tightest.over}: its underside is ${mm(-tightest.roomMm)} too low there.`
          : `${nameOf(form)} leaves ${mm(tightest.roomMm)} over ${tightest.over}; ${mm(form.clearanceMm)} are wanted.`,
        `Raise the deck by ${mm(form.clearanceMm - tightest.roomMm)}, or lower what lies under it.`,
      ),
    ];
  });
